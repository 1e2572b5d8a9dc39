import { nationalSetEdits, nationalSets, type Basis } from '@hedrion/core'
import { useGetDocument, useRecords } from '../../compute/SessionContext'
import { useEdit, useNote } from '../../compute/useEdit'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { Line, Section, Sheet } from '../../sheet/Sheet'
import { Symbol } from '../../sheet/Symbol'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { TextLine } from '../../ui/TextLine'
import { Later } from '../../ui/Later'
import { PressureChain } from './PressureChain'
import { StandardValues } from './StandardValues'

/** Family, national set and the project's own values; the site; what follows from them. */
export function BasisSheet() {
  const [basis] = useRecords('basis')
  if (!basis) return null
  return (
    <Sheet title="Basis" scope="of the whole project">
      <StandardLines basis={basis} />
      <Later>
        <SiteLines basis={basis} />
      </Later>
      <Later after={2}>
        <PressureChain />
      </Later>
      <Later after={4}>
        <StandardValues />
      </Later>
    </Sheet>
  )
}

const recommended = 'recommended'
const classes = [
  ['CC1', 'CC1 · low'],
  ['CC2', 'CC2 · usual'],
  ['CC3', 'CC3 · high'],
] as const

function StandardLines({ basis }: { readonly basis: Basis }) {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const note = useNote()
  const national = useRecords('layer').find(({ standing }) => standing === 'national')
  const choose = (name: string) => {
    const set = nationalSets.find((entry) => entry.name === name) ?? null
    edit.apply(
      `National set ${national?.name ?? 'none'} → ${set?.name ?? 'none'}`,
      nationalSetEdits(getDocument(), set, Math.random),
    )
  }
  return (
    <Section title="Standard">
      <Line reference="project">
        <TextLine
          label="Name of the project"
          value={basis.name}
          maxLength={120}
          onCommit={(name) =>
            name === ''
              ? 'A project needs a name.'
              : edit.set(basis, note.text(basis, 'name', basis.name, name), { name })
          }
        />
      </Line>
      <Line reference="family">Eurocodes: EN 1990, EN 1991-1-1, EN 1991-1-4</Line>
      <Line reference="national set">
        <Choice
          label="National set"
          value={national?.name ?? recommended}
          options={[
            [recommended, 'none: recommended values'],
            ...nationalSets.map(({ name }) => [name, name] as const),
          ]}
          onChange={choose}
        />
      </Line>
      <Line reference="EN 1990 B3.1">
        <Choice
          label="Consequence class"
          value={basis.consequenceClass}
          options={classes}
          onChange={(consequenceClass) =>
            edit.set(basis, note.text(basis, 'consequence class', basis.consequenceClass, consequenceClass), {
              consequenceClass,
            })
          }
        />
      </Line>
      <Line reference="shown in">
        <Choice
          label="Units"
          value={basis.units}
          options={[
            ['metric', 'kN, m'],
            ['us', 'kip, ft'],
          ]}
          onChange={(units) => edit.set(basis, note.text(basis, 'units', basis.units, units), { units })}
        />{' '}
        with a decimal{' '}
        <Choice
          label="Decimal sign"
          value={basis.decimal}
          options={[
            ['point', 'point'],
            ['comma', 'comma'],
          ]}
          onChange={(decimal) => edit.set(basis, note.text(basis, 'decimal sign', basis.decimal, decimal), { decimal })}
        />
      </Line>
      <ConcernsHere codes="layer." />
    </Section>
  )
}

const terrains = [
  ['0', '0 · sea, open coast'],
  ['I', 'I · lakes, no obstacles'],
  ['II', 'II · low vegetation'],
  ['III', 'III · villages, forest'],
  ['IV', 'IV · towns'],
] as const

function SiteLines({ basis }: { readonly basis: Basis }) {
  const edit = useEdit()
  const note = useNote()
  const fieldOf = useFieldOf()
  return (
    <Section title="Site">
      <Line reference="place">
        <TextLine
          label="Place"
          value={basis.place}
          placeholder="town, street"
          maxLength={120}
          onCommit={(place) => edit.set(basis, note.text(basis, 'place', basis.place, place), { place })}
        />
      </Line>
      <Line reference="4.2(1)P">
        <Symbol name="v_b,0" /> ={' '}
        <QuantityField
          {...fieldOf(basis, 'basicWindVelocity', 'basic wind velocity', 'velocity', {
            min: 5,
            max: 80,
            optional: true,
            placeholder: 'none',
          })}
        />
      </Line>
      <Line reference="table 4.1">
        terrain{' '}
        <Choice
          label="Terrain category"
          value={basis.terrain}
          options={terrains}
          onChange={(terrain) => edit.set(basis, note.text(basis, 'terrain', basis.terrain, terrain), { terrain })}
        />
      </Line>
      <Line reference="altitude">
        <QuantityField
          {...fieldOf(basis, 'altitude', 'altitude of the site', 'length', {
            min: -500,
            max: 5000,
          })}
        />{' '}
        above sea level
      </Line>
      <ConcernsHere ids={basis.id} />
    </Section>
  )
}
