import type { ColumnView } from '@hedrion/core'
import { rowsFromAbove } from './columnWords'

const [width, rowHeight, head] = [64, 30, 30]

/** A strip that grows with the force: down a column to what it stands on, up a hanger to what it hangs from. */
export function ColumnStrip({ view, picked }: { readonly view: ColumnView; readonly picked: string }) {
  const { hangs } = view
  const rows = rowsFromAbove(view)
  const most = Math.max(1, ...rows.flatMap(({ top, foot }) => [Math.abs(top), Math.abs(foot)]))
  const half = (force: number) => (Math.abs(force) / most) * (width / 2 - 3)
  return (
    <svg
      width={width}
      height={head + rows.length * rowHeight + 16}
      role="img"
      aria-label={hangs ? 'Force in the hanger, growing upwards' : 'Force in the column, growing downwards'}
    >
      {rows.map(({ expandedId, top, foot }, i) => {
        const [y0, y1] = [head + i * rowHeight, head + (i + 1) * rowHeight]
        const middle = width / 2
        const [above, below] = hangs ? [foot, top] : [top, foot]
        return (
          <polygon
            key={expandedId}
            points={`${middle - half(above)},${y0} ${middle + half(above)},${y0} ${middle + half(below)},${y1} ${middle - half(below)},${y1}`}
            fill={expandedId === picked ? 'var(--accent)' : 'var(--accent-soft)'}
            stroke="var(--accent)"
          />
        )
      })}
      <path
        d={
          hangs
            ? `M${width / 2 - 9} ${head - 3}h18`
            : `M${width / 2 - 9} ${head + rows.length * rowHeight + 12}l9 -11 9 11z`
        }
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.3}
      />
    </svg>
  )
}
