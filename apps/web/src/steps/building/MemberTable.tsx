import { memberTableLimits, readMemberTable, tableExamples, type Layout, type ReadMembers } from '@hedrion/core'
import { useCallback } from 'react'
import { useDocument, useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { TableSection, type TableReading } from '../../sheet/TableSection'

/** Members of a layout from a table. */
export function MemberTable({ layout }: { readonly layout: Layout }) {
  const document = useDocument()
  const format = useFormat()
  const edit = useEdit()
  const read = useCallback(
    (text: string): TableReading => {
      const { members, sections, materials, problems } = readMemberTable(text, {
        document,
        layout,
        format,
        random: Math.random,
      })
      const count = countText(members)
      const made = [...sections, ...materials]
      return {
        problems,
        count,
        labels: members.map(({ label }) => label),
        beside: made.length === 0 ? 'no other objects are added' : `new: ${made.map(({ name }) => name).join(', ')}`,
        add: () => edit.add(`Members from a table: ${count}`, [...made, ...members]),
      }
    },
    [document, layout, format, edit],
  )
  return (
    <TableSection
      title="Members from a table"
      command="memberTable"
      about={`One row per member, for the layout “${layout.name}”.`}
      help="Headings: label, role, from, to, section, material; or x1, y1, x2, y2 instead of from and to, with a unit as in “x1, mm”; via for intermediate points of cranked members, or rise for an arc; z1 and z2 for braces, girts, ties, posts, chords and truss members (web)."
      label="Table of members"
      example={tableExamples({ document, layout, format }).members}
      limit={memberTableLimits.characters}
      read={read}
    />
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
