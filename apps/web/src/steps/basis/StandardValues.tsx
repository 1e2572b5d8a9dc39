import { ownValueEdits, type ResolvedValue } from '@hedrion/core'
import { Button as AriaButton, Disclosure, DisclosurePanel, Heading } from 'react-aria-components'
import { memo, useState } from 'react'
import styled from 'styled-components'
import { formatValue } from '@hedrion/core'
import { useAnswer, useFormat, useGetDocument } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { FromMemory } from '../../sheet/FromMemory'
import { Line, Section } from '../../sheet/Sheet'
import { Symbol } from '../../sheet/Symbol'
import { Value } from '../../sheet/Value'
import { Button } from '../../ui/Button'
import { QuantityField } from '../../ui/QuantityField'

const groups: readonly (readonly [prefix: string, title: string])[] = [
  ['basis.gamma', 'Partial factors'],
  ['basis.K_FI', 'Reliability'],
  ['basis.psi', 'Combination factors ψ'],
  ['rule.', 'Factors of the combinations'],
  ['imposed.partitions', 'Partitions'],
  ['imposed.', 'Imposed loads by use'],
  ['wind.terrain', 'Terrain'],
  ['wind.', 'Wind'],
]

const groupOf = (key: string): number => groups.findIndex(([prefix]) => key.startsWith(prefix))

/** Every value of the standard in use: what a layer replaced is struck through, the project's own can be taken back. */
export function StandardValues() {
  const standard = useAnswer({ kind: 'standard' })
  const values = standard?.values ?? []
  const changed = values.filter(({ replaced }) => replaced.length > 0)
  return (
    <Section
      title="Values of the standard"
      aside={<small>{changed.length === 0 ? 'as recommended' : `${changed.length} replaced`}</small>}
    >
      {groups.map(([, title], i) => {
        const entries = values.filter(({ key }) => groupOf(key) === i)
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
  const [open, setOpen] = useState<boolean | null>(null)
  const replaced = entries.filter((entry) => entry.replaced.length > 0).length
  const isOpen = open ?? replaced > 0
  return (
    <Fold isExpanded={isOpen} onExpandedChange={setOpen}>
      <Heading>
        <Toggle slot="trigger">
          {title} <small>{replaced > 0 ? `${entries.length}, ${replaced} replaced` : entries.length}</small>
        </Toggle>
      </Heading>
      {/* a hundred fields are dear to draw: only those that are looked at */}
      <DisclosurePanel>{isOpen && entries.map((entry) => <ValueLine key={entry.key} entry={entry} />)}</DisclosurePanel>
    </Fold>
  )
}

const ValueLine = memo(function ValueLine({ entry }: { readonly entry: ResolvedValue }) {
  const getDocument = useGetDocument()
  const format = useFormat()
  const edit = useEdit()
  const { key, meaning, value, clause, replaced, fromMemory, layer } = entry
  const isOwn = layer === 'this project'
  const set = (next: number | null) =>
    edit.apply(
      `${meaning.symbol} ${meaning.name}: ${next === null ? 'as the standard' : 'own value'}`,
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
      <Symbol name={meaning.symbol} /> <small>{meaning.name}</small>{' '}
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
        onCommit={(next) => (next === null ? 'Type a value.' : set(next))}
      />
      {isOwn && (
        <>
          {' '}
          <Button kind="link" onPress={() => set(null)} aria-label={`Take back ${meaning.symbol} ${meaning.name}`}>
            take back
          </Button>
        </>
      )}
    </Line>
  )
})

const Fold = styled(Disclosure)`
  h3 {
    margin: 0;
  }
`
const Toggle = styled(AriaButton)`
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  padding: 6px 20px;
  font: 400 15px var(--sans);
  color: var(--ink);
  cursor: pointer;
  small {
    color: var(--quiet);
  }
  &::before {
    content: '▸ ';
    color: var(--accent);
  }
  &[aria-expanded='true']::before {
    content: '▾ ';
  }
`
