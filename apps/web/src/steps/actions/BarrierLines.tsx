import { memo } from 'react'
import { formatQuantity, type Barrier } from '@hedrion/core'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { ConcernsHere } from '../../sheet/ConcernsHere'
import { NameField } from '../../sheet/NameField'
import { Several } from '../../sheet/Several'
import { Line, Note, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { useChoiceOf } from '../../sheet/useChoiceOf'
import { useFieldOf } from '../../sheet/useFieldOf'
import { Value } from '../../sheet/Value'
import { Choice } from '../../ui/Choice'
import { QuantityField } from '../../ui/QuantityField'
import { clauseOf } from './UseLine'
import { useUses } from './useUses'

/** The picked barriers: how hard people press, how high, and what that asks of the edge. */
export const BarrierLines = memo(function BarrierLines({ barriers }: { readonly barriers: readonly Barrier[] }) {
  const fieldOf = useFieldOf()
  const format = useFormat()
  const [first] = barriers
  if (!first) return null
  const alone = barriers.length === 1
  return (
    <Section title={alone ? 'Load on the barrier' : `Load on ${barriers.length} barriers`}>
      {alone && (
        <Line reference="label">
          <NameField label="Label of the barrier" record={first} />
        </Line>
      )}
      <UseOfFloor barriers={barriers} />
      <Line reference="top">
        <QuantityField {...fieldOf(barriers, 'height', 'height of the barrier')} /> above the level
        <Several records={barriers} textOf={({ height }) => formatQuantity(height, 'length', format)} />
      </Line>
      {alone && <PressLines barrier={first} />}
      <Note>
        Acts normal to the barrier, outwards (or inwards). Exported with its moment about the edge, in a separate case
        that is not combined.
      </Note>
      <ConcernsHere ids={barriers.map(({ id }) => id).join()} />
    </Section>
  )
})

/** The use of the adjacent floor gives the load; a typed value stands instead of it. */
function UseOfFloor({ barriers }: { readonly barriers: readonly Barrier[] }) {
  const choiceOf = useChoiceOf()
  const fieldOf = useFieldOf()
  const format = useFormat()
  const uses = useUses()
  return (
    <Line reference="use of adjacent floor">
      <Choice {...choiceOf(barriers, 'use', 'use', { ...uses, label: 'Use of the floor adjacent to the barrier' })} />{' '}
      <QuantityField
        {...fieldOf(barriers, 'value', 'entered load on the barrier', { optional: true, placeholder: 'from the use' })}
      />
      <Several
        records={barriers}
        textOf={({ use: of, value }) => (value === null ? (of ?? 'no use') : formatQuantity(value, 'lineLoad', format))}
      />
    </Line>
  )
}

function PressLines({ barrier }: { readonly barrier: Barrier }) {
  const load = useAnswer({ kind: 'why', address: `barrier:${barrier.id}:load` })
  const place = useAnswer({ kind: 'why', address: `barrier:${barrier.id}:place` })
  const moment = useAnswer({ kind: 'why', address: `barrier:${barrier.id}:moment` })
  if (!load || !place || !moment) return null
  return (
    <>
      <Line
        reference={clauseOf(load, 'typed')}
        result={<Value value={load.value} quantity="lineLoad" address={`barrier:${barrier.id}:load`} />}
      >
        <SymbolText name={load.symbol} /> normal to it, at{' '}
        <Value value={place.value} quantity="length" address={`barrier:${barrier.id}:place`} strong={false} />
      </Line>
      <Line
        reference="at the edge"
        result={<Value value={moment.value} quantity="lineMoment" address={`barrier:${barrier.id}:moment`} />}
      >
        <SymbolText name="m" /> = <SymbolText name={load.symbol} /> · z
      </Line>
    </>
  )
}
