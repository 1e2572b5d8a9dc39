import {
  numberField,
  blankStage,
  familyOf,
  formatQuantity,
  stageKindNames,
  stageKinds,
  type ConstructionStage,
  type LoadKey,
} from '@hedrion/core'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { useCited } from '../../compute/useCited'
import { useEdit } from '../../compute/useEdit'
import { useTerms } from '../../compute/useTerms'
import { Line } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Fold } from '../../ui/Fold'
import { QuantityField, type QuantityFieldProps } from '../../ui/QuantityField'

const stageFields = ['permanent', ...stageKindNames] as const
type StageField = (typeof stageFields)[number]

/** What a load key carries beside the finished floor: during construction, and for the mass of the level. */
export function StageLines({ loadKey }: { readonly loadKey: LoadKey }) {
  const stage = useRecords('constructionStage').find(({ key }) => key === loadKey.id)
  const said = [
    ...(stage ? stageFields.map((field) => stage[field]) : []),
    loadKey.additionalSeismicMass,
    loadKey.massShare,
  ]
  const count = said.filter((value) => value !== null).length
  return (
    <Fold
      title="Construction stage, mass"
      aside={count === 0 ? 'same as finished floor' : `${count} entered`}
      startsOpen={count > 0}
    >
      <Fields loadKey={loadKey} stage={stage} />
    </Fold>
  )
}

interface FieldsProps {
  readonly loadKey: LoadKey
  readonly stage: ConstructionStage | undefined
}

const none = { optional: true, placeholder: 'none' } as const

function Fields({ loadKey, stage }: FieldsProps) {
  const fieldOf = useFieldOf()
  const ofStage = useStageField(loadKey, stage)
  const loads = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === loadKey.id)
  const [basis] = useRecords('basis')
  const { name } = loadKey
  const cited = useCited()
  const terms = useTerms()
  const isEuropean = basis?.family === 'EN'
  return (
    <>
      <Line
        reference="during construction"
        result={
          loads?.construction.permanent && (
            <Value
              value={loads.construction.permanent.value}
              quantity="pressure"
              address={`key:${loadKey.id}:construction/permanent`}
              strong={false}
            />
          )
        }
      >
        {terms.permanent} <QuantityField {...ofStage('permanent', terms.permanent)} />
      </Line>
      {stageKindNames.map((kind) => (
        <Line key={kind} reference={isEuropean ? 'EN 1991-1-6 4.11.1' : 'during construction'}>
          {stageKinds[kind]} <QuantityField {...ofStage(kind, stageKinds[kind])} />
        </Line>
      ))}
      {loads?.construction.imposed && (
        <Line
          reference="sum"
          result={
            <Value
              value={loads.construction.imposed.value}
              quantity="pressure"
              address={`key:${loadKey.id}:construction/imposed`}
            />
          }
        >
          <SymbolText name="q_c" /> during construction
        </Line>
      )}
      <Line
        reference={basis ? cited(familyOf(basis.family).mass.clause) : 'mass'}
        result={
          loads && <Value value={loads.massShare.value} quantity="factor" address={`key:${loadKey.id}:massShare`} />
        }
      >
        <SymbolText name="ψ_E" /> of the {terms.imposed} load in the seismic mass{' '}
        <QuantityField
          {...fieldOf(loadKey, 'massShare', `share of ${name} in the seismic mass`, {
            optional: true,
            placeholder: 'from the standard',
          })}
        />
      </Line>
      <Line reference="additional seismic mass">
        <QuantityField {...fieldOf(loadKey, 'additionalSeismicMass', `additional seismic mass of ${name}`, none)} />{' '}
        <small>applies no load</small>
      </Line>
    </>
  )
}

/** A field of the construction stage; the first value that is entered makes its record. */
function useStageField(loadKey: LoadKey, stage: ConstructionStage | undefined) {
  const fieldOf = useFieldOf()
  const edit = useEdit()
  const format = useFormat()
  return (field: StageField, name: string): QuantityFieldProps => {
    const label = `construction, ${name}, of ${loadKey.name}`
    if (stage) return fieldOf(stage, field, label, none)
    return {
      label,
      ...numberField('constructionStage', field),
      format,
      value: null,
      ...none,
      onCommit: (next, typed) =>
        next === null
          ? undefined
          : edit.add(`Load key ${loadKey.name}: ${label} ${formatQuantity(next, 'pressure', format)}`, [
              {
                ...blankStage(loadKey.id, Math.random),
                [field]: next,
                ...(typed ? { typed: { [field]: typed } } : {}),
              },
            ]),
    }
  }
}
