import { formatQuantity, type Table, largest, smallest } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { PictureFrame } from './pictureFrame'

const [width, height] = [440, 126]
const edge = { left: 76, right: 16, top: 12, bottom: 24 }

interface CurvePictureProps {
  readonly table: Table
  readonly row: string
  /** What this building reads it at, and what it gets. */
  readonly at: number
  readonly value: number
}

/** The rows of a table as curves (steps where it is read so), and the place of this building on its row. */
export function CurvePicture({ table, row, at, value }: CurvePictureProps) {
  const format = useFormat()
  const { axis, rows, quantity } = table
  const [first = 0, last = 1] = [axis.at[0], axis.at.at(-1)]
  // what is read below the first point as at it goes on to nought
  const open = axis.below === 'nearest' && axis.between !== 'log'
  const [from, to] = [Math.min(open ? 0 : first, first, at), Math.max(last, at)]
  const all = [...Object.values(rows).flat(), value]
  const [low, high] = [Math.min(0, smallest(all)), Math.max(0, largest(all))]
  const scale = axis.between === 'log' ? Math.log : (x: number) => x
  const part = (x: number) => (to === from ? 0.5 : (scale(x) - scale(from)) / (scale(to) - scale(from)))
  const x = (point: number) => edge.left + part(point) * (width - edge.left - edge.right)
  const y = (cell: number) =>
    height - edge.bottom - ((cell - low) / (high - low || 1)) * (height - edge.top - edge.bottom)
  const pathOf = (values: readonly number[]) => {
    const corners = values.flatMap((cell, i): (readonly [number, number])[] => {
      const [here = 0, before = from, after = to] = [axis.at[i], axis.at[i - 1], axis.at[i + 1]]
      if (axis.between === 'nextAbove') return [[i === 0 ? from : before, cell] as const, [here, cell] as const]
      if (axis.between === 'lastBelow') return [[here, cell] as const, [after, cell] as const]
      return [[here, cell] as const]
    })
    const ends = [[from, values[0] ?? 0] as const, ...corners, [to, values.at(-1) ?? 0] as const]
    return ends.map(([p, q], i) => `${i === 0 ? 'M' : 'L'}${x(p)} ${y(q)}`).join('')
  }
  return (
    <PictureFrame
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`${table.symbol} by ${axis.symbol}: this building at ${formatQuantity(at, axis.quantity, format)}, ${formatQuantity(value, quantity, format)}`}
    >
      <path
        d={`M${edge.left} ${edge.top}V${height - edge.bottom}H${width - edge.right}`}
        stroke="var(--border)"
        fill="none"
      />
      {Object.entries(rows).map(([name, values]) => (
        <path
          key={name}
          d={pathOf(values)}
          fill="none"
          stroke={name === row ? 'var(--accent)' : 'var(--border)'}
          strokeWidth={name === row ? 2.4 : 1}
        />
      ))}
      <path
        d={`M${x(at)} ${height - edge.bottom}V${y(value)}H${edge.left}`}
        fill="none"
        stroke="var(--ink)"
        strokeDasharray="4 3"
      />
      <circle cx={x(at)} cy={y(value)} r={4} fill="var(--ink)" />
      <text x={edge.left - 6} y={y(value) + 4} textAnchor="end">
        {formatQuantity(value, quantity, format)}
      </text>
      <text x={x(at)} y={height - 6} textAnchor={part(at) > 0.8 ? 'end' : part(at) < 0.2 ? 'start' : 'middle'}>
        {formatQuantity(at, axis.quantity, format)}, this building
      </text>
    </PictureFrame>
  )
}
