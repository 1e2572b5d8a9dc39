import { formatValue, type ColumnView, largest } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { rowHeight } from './ColumnTable'
import { reductionsFromAbove, rowsFromAbove } from './columnWords'

const width = 64
const head = rowHeight

/**
 * A strip that grows with the force: down a column to what it stands on, up a hanger to what it hangs from. Where imposed load is
 * reduced, what is left of it stands solid within the whole, with its part in figures.
 */
export function ColumnStrip({ view, picked }: { readonly view: ColumnView; readonly picked: string }) {
  const format = useFormat()
  const { hangs } = view
  const rows = rowsFromAbove(view)
  const reductions = reductionsFromAbove(view)
  const most = Math.max(1, largest(rows.flatMap(({ top, foot }) => [Math.abs(top), Math.abs(foot)])))
  const half = (force: number) => (Math.abs(force) / most) * (width / 2 - 3)
  const middle = width / 2
  const between = (above: number, below: number, [y0, y1]: readonly [number, number]) =>
    `${middle - half(above)},${y0} ${middle + half(above)},${y0} ${middle + half(below)},${y1} ${middle - half(below)},${y1}`
  return (
    <svg
      width={width}
      height={head + rows.length * rowHeight + 16}
      role="img"
      aria-label={[
        hangs ? 'Force in the hanger, accumulated upwards' : 'Force in the column, accumulated downwards',
        ...(reductions ? ['the reduced force is solid'] : []),
      ].join('; ')}
    >
      {rows.map(({ expandedId, top, foot }, i) => {
        const ys = [head + i * rowHeight, head + (i + 1) * rowHeight] as const
        const [above, below] = hangs ? [foot, top] : [top, foot]
        const part = partOf(foot, reductions?.[i]?.foot)
        return (
          <g key={expandedId} stroke="var(--accent)">
            <polygon
              points={between(above, below, ys)}
              fill={expandedId === picked && part === null ? 'var(--accent)' : 'var(--accent-soft)'}
            />
            {part !== null && (
              <>
                <polygon
                  points={between(part * above, part * below, ys)}
                  fill={expandedId === picked ? 'var(--accent)' : 'var(--border)'}
                  stroke="none"
                />
                <text
                  x={middle}
                  y={head + (i + 0.5) * rowHeight + 4}
                  textAnchor="middle"
                  fill="var(--ink)"
                  stroke="var(--sheet)"
                  strokeWidth={3}
                  paintOrder="stroke"
                  fontSize={12}
                  fontFamily="var(--sans)"
                >
                  {formatValue(part, 'factor', format)}
                </text>
              </>
            )}
          </g>
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

/** What is left of the force of a length; null where nothing of it is reduced. */
const partOf = (whole: number, reduced: number | undefined): number | null =>
  reduced === undefined || whole === 0 || reduced === whole ? null : reduced / whole
