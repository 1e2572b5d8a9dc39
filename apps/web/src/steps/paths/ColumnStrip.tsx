import type { ColumnView } from '@hedrion/core'

const [width, rowHeight, head] = [64, 30, 30]

/** A strip that grows downwards with the force in the column. */
export function ColumnStrip({ view, picked }: { readonly view: ColumnView; readonly picked: string }) {
  const { rows } = view
  const most = Math.max(1, ...rows.flatMap(({ top, foot }) => [Math.abs(top), Math.abs(foot)]))
  const half = (force: number) => (Math.abs(force) / most) * (width / 2 - 3)
  return (
    <svg
      width={width}
      height={head + rows.length * rowHeight + 16}
      role="img"
      aria-label="Force in the column, growing downwards"
    >
      {rows.map(({ expandedId, top, foot }, i) => {
        const [y0, y1] = [head + i * rowHeight, head + (i + 1) * rowHeight]
        const middle = width / 2
        return (
          <polygon
            key={expandedId}
            points={`${middle - half(top)},${y0} ${middle + half(top)},${y0} ${middle + half(foot)},${y1} ${middle - half(foot)},${y1}`}
            fill={expandedId === picked ? 'var(--accent)' : 'var(--accent-soft)'}
            stroke="var(--accent)"
          />
        )
      })}
      <path
        d={`M${width / 2 - 9} ${head + rows.length * rowHeight + 12}l9 -11 9 11z`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.3}
      />
    </svg>
  )
}
