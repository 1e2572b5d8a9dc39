import { memo } from 'react'
import {
  kindNames,
  expanded,
  formatQuantity,
  goingOf,
  type Barrier,
  type Layout,
  type NumberFormat,
  type Stair,
  type WallSurface,
} from '@hedrion/core'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { PickLine } from '../../sheet/PickLine'
import { Note, Section } from '../../sheet/Sheet'
import { byNumber } from '../../ui/byNumber'

/** Flights of stairs, barriers and wall surfaces of a layout, each in one line. */
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
  const surfaces = useRecords('wallSurface')
  const here = [...stairs, ...barriers, ...surfaces]
    .filter((record) => record.layout === layout.id)
    .sort((a, b) => byNumber.compare(a.label, b.label))
  return (
    <Section title="Stairs, barriers and pressure surfaces">
      {here.length === 0 && (
        <Note>
          None yet. Draw a flight from foot to head, a barrier along an edge, or a surface under wind or earth pressure.
        </Note>
      )}
      {here.map((record) => (
        <PickLine
          key={record.id}
          id={expanded(record.id, levelId)}
          reference={record.label}
          name={kindNames[record.kind].toLowerCase()}
        >
          {' '}
          <small>{sizeOf(record, format)}</small>
        </PickLine>
      ))}
    </Section>
  )
})

function sizeOf(record: Stair | Barrier | WallSurface, format: NumberFormat): string {
  const show = (length: number) => formatQuantity(length, 'length', format)
  if (record.kind === 'stair') return `${show(goingOf(record))} by ${show(record.width)}`
  if (record.kind === 'barrier') return `${show(record.height)} high`
  return record.pressures.length === 0 ? 'no pressure' : `${record.pressures.length} pressures`
}
