import { useState, type KeyboardEvent, type ReactNode } from 'react'
import { Input, TextField } from 'react-aria-components'
import styled from 'styled-components'
import { FieldProblem } from './FieldProblem'
import { pressed } from '../state/shortcuts'

interface TextLineProps {
  readonly label: string
  readonly value: string
  readonly placeholder?: string
  readonly maxLength?: number
  /** What the text would do, said while it is typed. */
  readonly preview?: (text: string) => ReactNode
  /** Answers a sentence where the text is refused. */
  readonly onCommit: (text: string) => string | undefined
}

/** A short text in the line where it stands, such as a name. */
export function TextLine({ label, value, placeholder, maxLength = 60, preview, onCommit }: TextLineProps) {
  const [draft, setDraft] = useState<string | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const finish = () => {
    const text = draft?.trim()
    const sentence = text === undefined || text === value ? undefined : onCommit(text)
    setProblem(sentence ?? null)
    if (sentence === undefined) setDraft(null)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (pressed(event, 'commit')) finish()
    if (pressed(event, 'cancel') && draft !== null) {
      event.stopPropagation()
      setDraft(null)
      setProblem(null)
    }
  }
  const text = draft ?? value
  const retype = (next: string) => {
    setDraft(next)
    // what was refused is being mended
    setProblem(null)
  }
  return (
    <Field aria-label={label} value={text} onChange={retype} isInvalid={problem !== null} maxLength={maxLength}>
      <Box
        title={text}
        size={Math.max(4, text.length + 1, placeholder?.length ?? 0)}
        {...(placeholder === undefined ? {} : { placeholder })}
        onBlur={finish}
        onKeyDown={onKeyDown}
      />
      {problem === null && draft !== null && preview && <Preview role="status">{preview(draft)}</Preview>}
      {problem !== null && <FieldProblem role="alert">{problem}</FieldProblem>}
    </Field>
  )
}

const Preview = styled.span`
  font: 400 13px/1.4 var(--sans);
  color: var(--quiet);
  min-height: 18px;
`
const Field = styled(TextField)`
  display: inline-flex;
  flex-direction: column;
  position: relative;
  max-width: 100%;
`
const Box = styled(Input)`
  background: transparent;
  border: 0;
  border-bottom: 1.5px solid var(--border);
  padding: 1px 2px;
  font: inherit;
  color: var(--ink);
  field-sizing: content;
  min-width: 4ch;
  max-width: 100%;
  text-overflow: ellipsis;
  &[data-hovered],
  &[data-focused] {
    background: var(--accent-soft);
    border-bottom-color: var(--accent);
  }
  &::placeholder {
    color: var(--quiet);
  }
`
