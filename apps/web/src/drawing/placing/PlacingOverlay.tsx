import { formatQuantity, tools, type Point, type Point3 } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { heldText } from '../heldText'
import { apart } from './drawing'
import { useTool } from './toolStore'

interface PlacingOverlayProps {
  /** Where a point is seen, in pixels; null where it is not in sight. */
  readonly place: (at: Point3) => Point | null
}

const Length = styled.text`
  ${heldText}
  fill: var(--ink);
`

/** The shape as far as it is drawn, with the piece to the cursor and its length. */
export function PlacingOverlay({ place }: PlacingOverlayProps) {
  const { tool, points, cursor } = useTool()
  const format = useFormat()
  if (!tool) return null
  const at = cursor && place(cursor)
  const corners = points.map(place).flatMap((corner) => (corner ? [corner] : []))
  const outline = at ? [...corners, at] : corners
  const path =
    outline.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('') +
    (tools[tool].shape === 'ring' && outline.length > 2 ? 'Z' : '')
  const last = points.at(-1)
  const length = last && cursor ? apart(last, cursor) : 0
  return (
    <g>
      <path
        d={path}
        stroke="var(--accent)"
        strokeWidth={2.5}
        strokeDasharray="6 4"
        fill="var(--accent)"
        fillOpacity={0.08}
      />
      {corners.map(([x, y], i) => (
        <circle key={i} cx={x} cy={y} r={4} fill="var(--accent)" />
      ))}
      {at && (
        <g stroke="var(--accent)" strokeWidth={1.4}>
          <line x1={at[0] - 11} x2={at[0] + 11} y1={at[1]} y2={at[1]} />
          <line x1={at[0]} x2={at[0]} y1={at[1] - 11} y2={at[1] + 11} />
          {length > 1e-6 && (
            <Length x={at[0] + 14} y={at[1] - 10}>
              {formatQuantity(length, 'length', format)}
            </Length>
          )}
        </g>
      )}
    </g>
  )
}
