import { memberTableLimits, readMemberTable, type Layout, type ReadMembers } from '@hedrion/core'
import { useMemo, useState } from 'react'
import { TextArea, TextField } from 'react-aria-components'
import styled from 'styled-components'
import { useDocument, useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'

/** So many problems are said at once. */
const shown = 6

/** Members from a table: pasted cells or a CSV file, read as one types, added when every row is understood. */
export function MemberTable({ layout }: { readonly layout: Layout }) {
  const [open, setOpen] = useState(false)
  return (
    <Section
      title="Members from a table"
      aside={
        <Button kind="link" onPress={() => setOpen(!open)}>
          {open ? 'Put it away' : 'Paste or load one'}
        </Button>
      }
    >
      {open ? (
        <TableField layout={layout} onAdded={() => setOpen(false)} />
      ) : (
        <Note>A row to each member, for the layout “{layout.name}”.</Note>
      )}
    </Section>
  )
}

interface TableFieldProps {
  readonly layout: Layout
  readonly onAdded: () => void
}

function TableField({ layout, onAdded }: TableFieldProps) {
  const document = useDocument()
  const format = useFormat()
  const edit = useEdit()
  const [text, setText] = useState('')
  const [refused, setRefused] = useState<string | null>(null)
  const read = useMemo(
    () => (text.trim() === '' ? null : readMemberTable(text, { document, layout, format, random: Math.random })),
    [text, document, layout, format],
  )
  const add = () => {
    if (!read || read.problems.length > 0) return
    const sentence = edit.add(`Members from a table: ${countText(read.members)}`, [...read.sections, ...read.members])
    setRefused(sentence ?? null)
    if (sentence === undefined) onAdded()
  }
  return (
    <>
      <Note>
        Headings: label, role, from, to, section, material; or x1, y1, x2, y2 in place of from and to, with a unit as in
        “x1, mm”; z1 and z2 for braces, girts, ties and posts. Cells from a spreadsheet, or CSV.
      </Note>
      <Field aria-label="Table of members" value={text} onChange={setText} isInvalid={(read?.problems.length ?? 0) > 0}>
        <Area rows={6} placeholder={'label,from,to,section\nB40,A1 + 1.5 m north,A2 + 1.5 m north,IPE 300'} />
      </Field>
      <FileLine onText={setText} />
      {read && <Problems read={read} />}
      {refused !== null && <Problem role="alert">{refused}</Problem>}
      {read && read.problems.length === 0 && (
        <Line
          lit
          reference={
            read.sections.length === 0
              ? 'nothing else is new'
              : `new: ${read.sections.map(({ name }) => name).join(', ')}`
          }
          result={
            <Button kind="primary" onPress={add}>
              Add {countText(read.members)}
            </Button>
          }
        >
          {read.members
            .slice(0, 3)
            .map(({ label }) => label)
            .join(', ')}
          {read.members.length > 3 && ' …'}
        </Line>
      )}
    </>
  )
}

function FileLine({ onText }: { readonly onText: (text: string) => void }) {
  const [problem, setProblem] = useState<string | null>(null)
  const choose = (file: File) => {
    if (file.size > memberTableLimits.characters) return setProblem('The file is larger than 2 MB.')
    file.text().then(
      (text) => {
        setProblem(null)
        onText(text)
      },
      () => setProblem('The file could not be read.'),
    )
  }
  return (
    <Line reference="or a file">
      <FileButton
        kind="link"
        label="File with a table of members"
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        onFile={choose}
      >
        Load a CSV file
      </FileButton>
      {problem !== null && <Problem role="alert">{problem}</Problem>}
    </Line>
  )
}

/** What is wrong, row by row; nothing is added while there is any. */
function Problems({ read: { problems, members } }: { readonly read: ReadMembers }) {
  if (problems.length === 0) return null
  return (
    <List role="alert" aria-label="What is wrong in the table">
      {problems.slice(0, shown).map(({ row, column, problem }, i) => (
        <li key={i}>
          Row {row}
          {column === '' ? '' : `, ${column}`}: {problem}
        </li>
      ))}
      {problems.length > shown && <li>{problems.length - shown} more.</li>}
      <li>{members.length === 0 ? 'Nothing is added.' : `Nothing is added, though ${countText(members)} are read.`}</li>
    </List>
  )
}

/** “12 beams, 3 columns”. */
function countText(members: ReadMembers['members']): string {
  const counts = new Map<string, number>()
  for (const { role } of members) counts.set(role, (counts.get(role) ?? 0) + 1)
  return [...counts]
    .map(([role, count]) => `${count} ${role}${count === 1 ? '' : role === 'truss' ? 'es' : 's'}`)
    .join(', ')
}

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
