import { useState, type KeyboardEvent } from 'react'
import { ComboBox, ListBox, type Key } from 'react-aria-components'
import styled from 'styled-components'
import { Item } from './Choice'
import { FieldBox } from './FieldBox'
import { FieldProblem } from './FieldProblem'
import { PopCard } from './PopCard'
import { pressed } from '../state/shortcuts'

export interface LookupEntry {
  readonly id: string
  readonly text: string
  /** What kind of thing it is: found by this as well. */
  readonly group?: string
  /** Its value, beside the name. */
  readonly detail: string
}

interface LookupProps {
  readonly label: string
  readonly placeholder: string
  readonly entries: readonly LookupEntry[]
  readonly onChoose: (id: string) => void
  /** A text that is no entry; answers a sentence where it is refused. */
  readonly onText: (text: string) => string | undefined
  readonly onLeave: () => void
}

/** So many are listed at once; more words make it fewer. */
const most = 40

/** A field that finds an entry of a long table by words of its name. */
export function Lookup({ label, placeholder, entries, onChoose, onText, onLeave }: LookupProps) {
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const words = text.toLowerCase().split(/\s+/).filter(Boolean)
  const found = entries
    .filter(({ text: name, group = '' }) => words.every((word) => `${name} ${group}`.toLowerCase().includes(word)))
    .slice(0, most)
  const choose = (key: Key | null) => {
    if (key === null) return
    onChoose(String(key))
    onLeave()
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (pressed(event, 'cancel')) onLeave()
    // with an entry in focus, Enter chooses it
    if (!pressed(event, 'commit') || event.currentTarget.getAttribute('aria-activedescendant')) return
    const exact = found.find((entry) => entry.text.toLowerCase() === text.trim().toLowerCase())
    const [only, second] = exact ? [exact] : words.length > 0 ? found : []
    if (only && !second) return choose(only.id)
    const sentence = only ? 'Several match. Choose with the arrow keys.' : onText(text.trim())
    setProblem(sentence ?? null)
    if (sentence === undefined) onLeave()
  }
  return (
    <Field
      aria-label={label}
      inputValue={text}
      onInputChange={(next) => {
        setText(next)
        setProblem(null)
      }}
      selectedKey={null}
      onSelectionChange={choose}
      items={found}
      menuTrigger="input"
      allowsCustomValue
      allowsEmptyCollection={false}
      isInvalid={problem !== null}
    >
      <Box placeholder={placeholder} onKeyDown={onKeyDown} autoFocus />
      {problem !== null && <FieldProblem role="alert">{problem}</FieldProblem>}
      <PopCard>
        <List items={found}>
          {(entry) => (
            <Row id={entry.id} textValue={entry.text}>
              <span>{entry.text}</span>
              <small>{entry.group ? `${entry.group}, ${entry.detail}` : entry.detail}</small>
            </Row>
          )}
        </List>
      </PopCard>
    </Field>
  )
}

const Field = styled(ComboBox<LookupEntry>)`
  position: relative;
  display: inline-block;
`
const Box = styled(FieldBox)`
  width: 300px;
  max-width: 100%;
`
const List = styled(ListBox<LookupEntry>)`
  padding: 4px 0;
  outline: none;
`
const Row = styled(Item)`
  display: flex;
  justify-content: space-between;
  gap: 18px;
  small {
    color: var(--quiet);
  }
`
