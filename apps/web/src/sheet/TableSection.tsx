import { useMemo, useRef, useState, type ReactNode } from 'react'
import type { TableProblem } from '@hedrion/core'
import { useCommand, type CommandName } from '../state/commands'
import { Button } from '../ui/Button'
import { CellsField, CellsProblem } from './CellsField'
import { Line, Note, Section } from './Sheet'

/** What of a text was understood, and what would be added. */
export interface TableReading {
  readonly problems: readonly TableProblem[]
  /** “12 beams, 3 columns”; empty where there is nothing. */
  readonly count: string
  readonly labels: readonly string[]
  /** What comes with it, said beside the labels. */
  readonly beside: string
  /** Adds all of it; answers a sentence where that is refused. */
  readonly add: () => string | undefined
}

interface TableSectionProps {
  readonly title: string
  /** Said while it is closed. */
  readonly about: string
  /** Which headings there are. */
  readonly help: string
  readonly label: string
  readonly example: string
  readonly limit: number
  readonly read: (text: string) => TableReading | null
  /** The command that opens it. */
  readonly command?: CommandName
}

/** Records from a table: pasted cells or a CSV file, read as one types, added when every row is understood. */
export function TableSection(props: TableSectionProps) {
  const [open, setOpen] = useState(false)
  const here = useRef<HTMLDivElement>(null)
  useCommand(props.command ?? null, () => {
    setOpen(true)
    // its field is there in the next frame
    requestAnimationFrame(() => here.current?.querySelector('textarea')?.focus())
  })
  const does = open ? 'Close' : 'Paste or import'
  return (
    <div ref={here}>
      <Section
        title={props.title}
        aside={
          <Button kind="link" aria-label={`${does}: ${props.title}`} onPress={() => setOpen(!open)}>
            {does}
          </Button>
        }
      >
        {open ? <TableField {...props} onAdded={() => setOpen(false)} /> : <Note>{props.about}</Note>}
      </Section>
    </div>
  )
}

function TableField({
  help,
  label,
  example,
  limit,
  read,
  onAdded,
}: TableSectionProps & { readonly onAdded: () => void }): ReactNode {
  const [text, setText] = useState('')
  const [refused, setRefused] = useState<string | null>(null)
  const reading = useMemo(() => (text.trim() === '' ? null : read(text)), [text, read])
  const add = () => {
    const sentence = reading?.add()
    setRefused(sentence ?? null)
    if (sentence === undefined) onAdded()
  }
  return (
    <>
      <Note>{help} Spreadsheet cells or CSV.</Note>
      <CellsField
        label={label}
        placeholder={example}
        text={text}
        onText={setText}
        problems={reading?.problems ?? []}
        nothing={
          reading && reading.count !== ''
            ? `Nothing can be added until the errors are corrected. Read without errors: ${reading.count}.`
            : 'Nothing can be added.'
        }
        limit={limit}
      />
      {refused !== null && <CellsProblem>{refused}</CellsProblem>}
      {reading && reading.problems.length === 0 && (
        <Line
          lit
          reference={reading.beside}
          result={
            <Button kind="primary" onPress={add}>
              Add {reading.count}
            </Button>
          }
        >
          {reading.labels.slice(0, 3).join(', ')}
          {reading.labels.length > 3 && ' …'}
        </Line>
      )}
    </>
  )
}
