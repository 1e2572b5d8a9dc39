import { memo } from 'react'
import { buildUps, formatQuantity, goingOf, selfWeight, type Stair } from '@hedrion/core'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { Working } from '../../sheet/Chain'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Note, Section } from '../../sheet/Sheet'
import { severalWord } from '../../sheet/several'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { StairPicture } from './StairPicture'
import { useTerms } from '../../compute/useTerms'

const noKey = 'none'

/** The picked flights: their section, what they weigh, and what each end hands on. */
export const StairLines = memo(function StairLines({ stairs }: { readonly stairs: readonly Stair[] }) {
  const fieldOf = useFieldOf()
  const format = useFormat()
  const [first] = stairs
  if (!first) return null
  const alone = stairs.length === 1
  return (
    <Section title={alone ? 'Flight of stairs' : `${stairs.length} flights of stairs`}>
      {alone && (
        <Line reference="label" result={<Value value={goingOf(first) * first.width} quantity="area" strong={false} />}>
          <NameField label="Label of the flight" record={first} />
          {' · '}
          <Value value={goingOf(first)} quantity="length" strong={false} /> in plan
        </Line>
      )}
      <Line reference="width, rise">
        <QuantityField {...fieldOf(stairs, 'width', 'width of the flight')} /> wide, rises{' '}
        <QuantityField {...fieldOf(stairs, 'rise', 'rise of the flight')} />
        <Several records={stairs} textOf={({ rise }) => formatQuantity(rise, 'length', format)} />
      </Line>
      <Line reference="concrete">
        waist <QuantityField {...fieldOf(stairs, 'waist', 'waist of the flight')} />, steps{' '}
        <QuantityField {...fieldOf(stairs, 'riser', 'height of a step')} />
        <MaterialChoice stairs={stairs} />
        <Several records={stairs} textOf={({ waist }) => formatQuantity(waist, 'smallLength', format)} />
      </Line>
      <KeyChoice stairs={stairs} />
      {alone && (
        <>
          <StairPicture stair={first} />
          <EndLoads stair={first} />
        </>
      )}
      <Note>Half of the load is transferred to the beam or landing at each end, as a line load across the width.</Note>
      <ConcernsHere ids={stairs.map(({ id }) => id).join()} />
    </Section>
  )
})

function MaterialChoice({ stairs }: { readonly stairs: readonly Stair[] }) {
  const choiceOf = useChoiceOf()
  const options = useRecords('material').map(({ id, name }) => [id, name] as const)
  return (
    <>
      {' of '}
      <Choice {...choiceOf(stairs, 'material', 'material', { label: 'Material of the flight', options })} />
    </>
  )
}

/** Finishes and use come from a load key, as they do for a floor. */
function KeyChoice({ stairs }: { readonly stairs: readonly Stair[] }) {
  const choiceOf = useChoiceOf()
  const keys = useRecords('loadKey')
  const nameOf = (id: string) => (id === noKey ? 'none' : (keys.find((entry) => entry.id === id)?.name ?? severalWord))
  return (
    <Line reference="finishes and use">
      <Choice
        {...choiceOf(stairs, 'key', 'load key', {
          label: 'Load key of the flight',
          options: [[noKey, 'no load key'], ...keys.map(({ id, name }) => [id, name] as const)],
          none: noKey,
          saidAs: nameOf,
        })}
      />
      <Several records={stairs} textOf={(stair) => nameOf(stair.key ?? noKey)} />
    </Line>
  )
}

/** What each end hands on, case by case. */
function EndLoads({ stair }: { readonly stair: Stair }) {
  const terms = useTerms()
  const cases = useAnswer({ kind: 'keys' })?.find(({ key }) => key.id === stair.key)?.cases
  const rows = [
    ['self-weight', selfWeight],
    ['build-up', buildUps],
    [terms.imposed, cases?.imposed],
  ] as const
  return rows.map(([name, caseId]) =>
    caseId ? <Working key={name} reference={name} address={`stairEnd:${stair.id}:${caseId}`} /> : null,
  )
}
