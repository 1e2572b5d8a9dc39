import { distance, formatQuantity, tools } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { toScreen, type Viewport } from '../viewport'
import { useTool } from './toolStore'

/** The shape as far as it is drawn, with the piece to the cursor and its length. */
export function PlacingOverlay({ view }: { readonly view: Viewport }) {
  const { tool, points, cursor } = useTool()
  const format = useFormat()
  if (!tool) return null
  const all = cursor ? [...points, cursor] : points
  const screen = all.map((point) => toScreen(view, point))
  const path =
    screen.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('') +
    (tools[tool].shape === 'ring' && screen.length > 2 ? 'Z' : '')
  const last = points.at(-1)
  const at = cursor && toScreen(view, cursor)
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
      {points.map((point, i) => {
        const [x, y] = toScreen(view, point)
        return <circle key={i} cx={x} cy={y} r={4} fill="var(--accent)" />
      })}
      {at && (
        <g stroke="var(--accent)" strokeWidth={1.4}>
          <line x1={at[0] - 11} x2={at[0] + 11} y1={at[1]} y2={at[1]} />
          <line x1={at[0]} x2={at[0]} y1={at[1] - 11} y2={at[1] + 11} />
          {last && cursor && distance(last, cursor) > 1e-6 && (
            <text x={at[0] + 14} y={at[1] - 10} stroke="none" fill="var(--ink)" fontSize={13} fontWeight={600}>
              {formatQuantity(distance(last, cursor), 'length', format)}
            </text>
          )}
        </g>
      )}
    </g>
  )
}
