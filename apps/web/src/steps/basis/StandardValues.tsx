import { formatValue, ownLayerName, ownValueEdits, type ResolvedValue } from '@hedrion/core'
import { memo } from 'react'
import { useWords } from '../../compute/useWords'
import { useAnswer, useFormat, useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { FromMemory } from '../../sheet/FromMemory'
import { Line, Section } from '../../sheet/Sheet'
import { SymbolText } from '../../sheet/SymbolText'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { Fold } from '../../ui/Fold'
import { QuantityField } from '../../ui/QuantityField'
import { groupOfValue, valueGroups } from './valueGroups'

/** Every value of the standard in use: what a layer replaced is struck through, the project's own can be taken back. */
export function StandardValues() {
  const inWords = useWords()
  const standard = useAnswer({ kind: 'standard' })
  const values = standard?.values ?? []
  const changed = values.filter(({ replaced }) => replaced.length > 0)
  return (
    <Section
      title="Values of the standard"
      aside={<small>{changed.length === 0 ? 'as recommended' : `${changed.length} replaced`}</small>}
    >
      {valueGroups(inWords).map(([, title], i) => {
        const entries = values.filter(({ key }) => groupOfValue(key) === i)
        return entries.length > 0 && <Group key={title} title={title} entries={entries} />
      })}
    </Section>
  )
}

interface GroupProps {
  readonly title: string
  readonly entries: readonly ResolvedValue[]
}

/** A fold of values; it stands open where the project or its national set changed one of them. */
function Group({ title, entries }: GroupProps) {
  const replaced = entries.filter((entry) => entry.replaced.length > 0).length
  return (
    <Fold
      title={title}
      aside={replaced > 0 ? `${entries.length}, ${replaced} replaced` : entries.length}
      startsOpen={replaced > 0}
    >
      {entries.map((entry) => (
        <ValueLine key={entry.key} entry={entry} />
      ))}
    </Fold>
  )
}

const ValueLine = memo(function ValueLine({ entry }: { readonly entry: ResolvedValue }) {
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const { key, meaning, value, clause, replaced, fromMemory, layer } = entry
  const isOwn = layer === ownLayerName
  const set = (next: number | null) =>
    edit.apply(
      `${meaning.symbol} ${meaning.name}: ${next === null ? 'from the standard' : 'project value'}`,
      ownValueEdits(getDocument(), key, next, Math.random),
    )
  return (
    <Line
      reference={
        <>
          {isOwn ? replaced.at(-1)?.clause : clause}
          <FromMemory shown={fromMemory} />
        </>
      }
      result={<Value value={value} quantity={meaning.quantity} address={`parameter:${key}`} />}
    >
      <SymbolText name={meaning.symbol} /> <small>{meaning.name}</small>{' '}
      {replaced.map((old, i) => (
        <s key={i} title={`${old.layer}, ${old.clause}`}>
          {formatValue(old.value, meaning.quantity, format)}{' '}
        </s>
      ))}
      <QuantityField
        label={`${meaning.symbol}, ${meaning.name}`}
        quantity={meaning.quantity}
        format={format}
        value={value}
        min={meaning.min}
        max={meaning.max}
        onCommit={(next) => (next === null ? 'Enter a value.' : set(next))}
      />
      {isOwn && (
        <>
          {' '}
          <Button kind="link" onPress={() => set(null)} aria-label={`Revert ${meaning.symbol} ${meaning.name}`}>
            revert
          </Button>
        </>
      )}
    </Line>
  )
})
