import { enPressureRule, familyOf, formatQuantity, pressureRuleOf, type Basis } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { Line, Note, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'

/** Where the building stands, and what follows for wind. */
export function SiteLines({ basis }: { readonly basis: Basis }) {
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  const { name, derivesWind } = familyOf(basis.family)
  const rule = pressureRuleOf(basis.family)
  const { velocity, terrainClause, terrains, terrainOf } = rule ?? enPressureRule
  return (
    <Section title="Site">
      <Line reference="address">
        <TextLine
          label="Address"
          value={basis.place}
          placeholder="town, street"
          maxLength={120}
          onCommit={(place) => edit.set(basis, note.text(basis, 'place', basis.place, place), { place })}
        />
      </Line>
      {!derivesWind && (
        <Note>
          {rule
            ? `The pressure of the wind is worked out by ${name}, and no loads of it in this version.`
            : `Wind is not derived to ${name} in this version. Entered values are kept and apply again under the Eurocodes.`}
        </Note>
      )}
      <Line reference={rule ? velocity.clause : 'kept'}>
        <SymbolText name={velocity.symbol} /> ={' '}
        <QuantityField
          {...fieldOf(basis, 'basicWindVelocity', 'basic wind velocity', { optional: true, placeholder: 'none' })}
        />
        <small> {velocity.says}</small>
        <FromSite basis={basis} field="basicWindVelocity" />
      </Line>
      <Line reference={rule ? terrainClause : 'kept'}>
        terrain{' '}
        <Choice
          label="Terrain category"
          value={terrainOf(basis.terrain)}
          options={terrains}
          onChange={(terrain) => edit.set(basis, note.text(basis, 'terrain', basis.terrain, terrain), { terrain })}
        />
      </Line>
      <Line reference="altitude">
        <QuantityField {...fieldOf(basis, 'altitude', 'altitude of the site')} /> above sea level
        <FromSite basis={basis} field="altitude" />
      </Line>
      <Line reference="EN 1991-1-3 4.1">
        <SymbolText name="s_k" /> ={' '}
        <QuantityField {...fieldOf(basis, 'groundSnow', 'ground snow load', { optional: true, placeholder: 'none' })} />
        <FromSite basis={basis} field="groundSnow" />
        <small> stored; snow loads are not derived yet</small>
      </Line>
      <ConcernsHere ids={basis.id} codes="value." />
      <ConcernsHere ids={basis.id} codes="wind." />
    </Section>
  )
}

/** Where a value of the site came from: the service's answer, or typed over it. */
function FromSite({
  basis,
  field,
}: {
  readonly basis: Basis
  readonly field: 'altitude' | 'basicWindVelocity' | 'groundSnow'
}) {
  const format = useFormat()
  const { siteData } = basis
  if (!siteData) return null
  const quantity = { altitude: 'length', basicWindVelocity: 'velocity', groundSnow: 'pressure' } as const
  const zone = { altitude: '', basicWindVelocity: `, ${siteData.windZone}`, groundSnow: `, ${siteData.snowZone}` }[
    field
  ]
  return (
    <small>
      {' '}
      {basis[field] === siteData[field]
        ? `from ${siteData.source}${zone}`
        : `entered; ${siteData.source} says ${formatQuantity(siteData[field], quantity[field], format)}`}
    </small>
  )
}
