import { memo } from 'react'
import { expanded, formatQuantity, goingOf, type Layout } from '@hedrion/core'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { PickLine } from '../../sheet/PickLine'
import { Note, Section } from '../../sheet/Sheet'
import { byNumber } from '../../ui/byNumber'

/** Flights of stairs and barriers of a layout, each in one line. */
export const EdgesOfLayout = memo(function EdgesOfLayout({
  layout,
  levelId,
}: {
  readonly layout: Layout
  readonly levelId: string
}) {
  const format = useFormat()
  const stairs = useRecords('stair')
  const barriers = useRecords('barrier')
  const here = [...stairs, ...barriers]
    .filter((record) => record.layout === layout.id)
    .sort((a, b) => byNumber.compare(a.label, b.label))
  return (
    <Section title="Stairs and barriers">
      {here.length === 0 && <Note>None: draw a flight from its foot to its head, or a barrier along an edge.</Note>}
      {here.map((record) => (
        <PickLine
          key={record.id}
          id={expanded(record.id, levelId)}
          reference={record.label}
          name={record.kind === 'stair' ? 'flight of stairs' : 'barrier'}
        >
          {' '}
          <small>
            {record.kind === 'stair'
              ? `${formatQuantity(goingOf(record), 'length', format)} by ${formatQuantity(record.width, 'length', format)}`
              : `${formatQuantity(record.height, 'length', format)} high`}
          </small>
        </PickLine>
      ))}
    </Section>
  )
})
