import { memberTableLimits, readMemberTable, type Layout, type ReadMembers } from '@hedrion/core'
import { useMemo, useState } from 'react'
import { useDocument, useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { CellsField, CellsProblem } from '../../sheet/CellsField'
import { Line, Note, Section } from '../../sheet/Sheet'
import { Button } from '../../ui/Button'

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
        “x1, mm”; via for places that a bent member passes, or rise for an arc; z1 and z2 for braces, girts, ties and
        posts. Cells from a spreadsheet, or CSV.
      </Note>
      <CellsField
        label="Table of members"
        placeholder={'label,from,to,section\nB40,A1 + 1.5 m north,A2 + 1.5 m north,IPE 300'}
        text={text}
        onText={setText}
        problems={read?.problems ?? []}
        nothing={
          read && read.members.length > 0
            ? `Nothing is added, though ${countText(read.members)} are read.`
            : 'Nothing is added.'
        }
        limit={memberTableLimits.characters}
      />
      {refused !== null && <CellsProblem>{refused}</CellsProblem>}
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

/** “12 beams, 3 columns”. */
function countText(members: ReadMembers['members']): string {
  const counts = new Map<string, number>()
  for (const { role } of members) counts.set(role, (counts.get(role) ?? 0) + 1)
  return [...counts]
    .map(([role, count]) => `${count} ${role}${count === 1 ? '' : role === 'truss' ? 'es' : 's'}`)
    .join(', ')
}
