import { uncapitalized, type TableProblem } from '@hedrion/core'
import { useState, type ReactNode } from 'react'
import { TextArea, TextField } from 'react-aria-components'
import styled from 'styled-components'
import { FileButton } from '../ui/FileButton'
import { Line } from './Sheet'

/** So many problems are said at once. */
const shown = 6

interface CellsFieldProps {
  readonly label: string
  readonly placeholder: string
  readonly text: string
  readonly onText: (text: string) => void
  readonly problems: readonly TableProblem[]
  /** Said under the problems: that nothing is added. */
  readonly nothing: string
  /** Characters that are read, at most. */
  readonly limit: number
}

/** Cells pasted from a spreadsheet, CSV, or a file of it, with what is wrong row by row; nothing is added while there is any. */
export function CellsField({ label, placeholder, text, onText, problems, nothing, limit }: CellsFieldProps) {
  return (
    <>
      <Field aria-label={label} value={text} onChange={onText} isInvalid={problems.length > 0}>
        <Area rows={6} placeholder={placeholder} />
      </Field>
      <FileLine label={label} limit={limit} onText={onText} />
      {problems.length > 0 && (
        <List role="alert" aria-label="Errors in the table">
          {problems.slice(0, shown).map(({ row, column, problem }, i) => (
            <li key={i}>
              Row {row}
              {column === '' ? '' : `, ${column}`}: {problem}
            </li>
          ))}
          {problems.length > shown && <li>{problems.length - shown} more.</li>}
          <li>{nothing}</li>
        </List>
      )}
    </>
  )
}

interface FileLineProps {
  readonly label: string
  readonly limit: number
  readonly onText: (text: string) => void
}

function FileLine({ label, limit, onText }: FileLineProps) {
  const [problem, setProblem] = useState<string | null>(null)
  const choose = (file: File) => {
    if (file.size > limit) return setProblem(`The file is larger than ${limit / 1e6} MB.`)
    file.text().then(
      (text) => {
        setProblem(null)
        onText(text)
      },
      () => setProblem('The file could not be read.'),
    )
  }
  return (
    <Line reference="or import a file">
      <FileButton
        kind="link"
        label={`File with a ${uncapitalized(label)}`}
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        onFile={choose}
      >
        Import CSV file
      </FileButton>
      {problem !== null && <CellsProblem>{problem}</CellsProblem>}
    </Line>
  )
}

/** Why nothing was added, beside the cells. */
export const CellsProblem = ({ children }: { readonly children: ReactNode }) => (
  <Problem role="alert">{children}</Problem>
)

const Field = styled(TextField)`
  display: block;
  padding: 4px 20px;
`
const Area = styled(TextArea)`
  width: 100%;
  font: 400 14px/1.5 var(--sans);
  color: var(--ink);
  background: var(--accent-soft);
  border: 0;
  border-bottom: 2px solid var(--accent);
  padding: 6px 10px;
  resize: vertical;
  white-space: pre;
  overflow: auto;
  &::placeholder {
    color: var(--quiet);
  }
  &[data-invalid] {
    background: var(--warm-soft);
    border-bottom-color: var(--warm);
  }
`
const Problem = styled.p`
  padding: 4px 20px;
  color: var(--warm);
`
const List = styled.ul`
  margin: 4px 20px;
  padding: 6px 12px 6px 28px;
  background: var(--warm-soft);
  border-left: 3px solid var(--warm);
  font-size: 14px;
`
