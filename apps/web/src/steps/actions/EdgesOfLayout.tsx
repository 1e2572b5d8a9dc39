import { memo } from 'react'
import { expanded, formatQuantity, goingOf, type Layout } from '@hedrion/core'
import { useFormat, useRecords } from '../../compute/SessionContext'
import { Line, Note, Section } from '../../sheet/Sheet'
import { useLook } from '../../state/look'
import { Button } from '../../ui/Button'

/** Q2 before Q10. */
const byNumber = new Intl.Collator('en', { numeric: true })

/** Flights of stairs and barriers of a layout, each in one line. */
export const EdgesOfLayout = memo(function EdgesOfLayout({
  layout,
  levelId,
}: {
  readonly layout: Layout
  readonly levelId: string
}) {
  const [look, change] = useLook()
  const format = useFormat()
  const stairs = useRecords('stair')
  const barriers = useRecords('barrier')
  const here = [...stairs, ...barriers]
    .filter((record) => record.layout === layout.id)
    .sort((a, b) => byNumber.compare(a.label, b.label))
  return (
    <Section title="Stairs and barriers">
      {here.length === 0 && <Note>None: draw a flight from its foot to its head, or a barrier along an edge.</Note>}
      {here.map((record) => {
        const id = expanded(record.id, levelId)
        return (
          <Line key={record.id} reference={record.label} lit={look.picked.includes(id)}>
            <Button kind="link" onPress={() => change({ picked: [id] })}>
              {record.kind === 'stair' ? 'flight of stairs' : 'barrier'}
            </Button>{' '}
            <small>
              {record.kind === 'stair'
                ? `${formatQuantity(goingOf(record), 'length', format)} by ${formatQuantity(record.width, 'length', format)}`
                : `${formatQuantity(record.height, 'length', format)} high`}
            </small>
          </Line>
        )
      })}
    </Section>
  )
})
