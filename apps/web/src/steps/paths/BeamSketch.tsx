import { formatQuantity, formatValue, unitOf, type MemberView, largest, smallest } from '@hedrion/core'
import styled from 'styled-components'
import { SheetPicture } from '../../sheet/SheetPicture'
import { useFormat } from '../../compute/SessionContext'
import { colourOfMark } from '../../drawing/marks'
import type { Mark } from '../../drawing/scene'

const [width, height] = [440, 132]
const [left, right, base, tallest] = [26, 414, 84, 52]

/** The beam with its load to scale, its supports and their reactions. */
export function BeamSketch({ view, mark }: { readonly view: MemberView; readonly mark: Mark }) {
  const format = useFormat()
  const { lines, points, length, supports, lands } = view
  const top = Math.max(1e-9, largest(lines.flatMap(([, , q0, q1]) => [Math.abs(q0), Math.abs(q1)])))
  const x = (s: number) => left + ((right - left) * s) / length
  const y = (q: number) => base - (tallest * q) / top
  const labelled = roomy(lines.map(([s0, s1]) => [x(s0), x(s1)] as const))
  const first = smallest(labelled)
  const pointLoads = together([...points, ...lands.flatMap(({ at, force }) => (at === null ? [] : [{ s: at, force }]))])
  const colour = colourOfMark(mark)
  return (
    <Picture viewBox={`0 0 ${width} ${height}`} role="img" aria-label="The load on the beam and its reactions">
      {lines.map(([s0, s1, q0, q1], i) => (
        <g key={i} stroke={colour}>
          <polygon
            points={`${x(s0)},${base} ${x(s0)},${y(q0)} ${x(s1)},${y(q1)} ${x(s1)},${base}`}
            fill="none"
            strokeWidth={1.3}
          />
          {strokes(x(s0), x(s1)).map(([px, t]) => (
            <line key={px} x1={px} x2={px} y1={base} y2={y(q0 + (q1 - q0) * t)} strokeWidth={0.7} />
          ))}
          {labelled.has(i) && (
            <text x={(x(s0) + x(s1)) / 2} y={Math.min(y(q0), y(q1)) - 5} stroke="none" textAnchor="middle">
              {formatValue((q0 + q1) / 2, 'lineLoad', format)} {i === first ? unitOf('lineLoad', format) : ''}
            </text>
          )}
        </g>
      ))}
      {pointLoads.map(({ s, force }, i) => (
        <g key={`p${i}`} stroke="var(--ink)">
          <line x1={x(s)} x2={x(s)} y1={base - 40} y2={base - 3} strokeWidth={1.8} />
          <path d={`M${x(s)} ${base - 2}l-4 -9h8z`} fill="var(--ink)" stroke="none" />
          <text x={x(s) + 5} y={base - 32} stroke="none">
            {formatQuantity(force, 'force', format)}
          </text>
        </g>
      ))}
      <line x1={left} x2={right} y1={base} y2={base} stroke="var(--accent)" strokeWidth={4} />
      {supports.map(({ s, reaction }, i) => (
        <g key={`s${i}`}>
          <path d={`M${x(s)} ${base + 3}l-7 12h14z`} fill="none" stroke="var(--ink)" strokeWidth={1.3} />
          <text x={Math.min(right - 20, Math.max(left + 20, x(s)))} y={base + 33} textAnchor="middle" fontWeight={600}>
            {formatValue(Math.abs(reaction), 'force', format)} {unitOf('force', format)} {reaction < 0 ? 'down' : ''}
          </text>
        </g>
      ))}
    </Picture>
  )
}

interface PointLoad {
  readonly s: number
  readonly force: number
}

/** Forces at the same place as one, so that their values do not stand over each other. */
function together(points: readonly PointLoad[]): readonly PointLoad[] {
  const sums: PointLoad[] = []
  for (const { s, force } of [...points].sort((p, q) => p.s - q.s)) {
    const last = sums.at(-1)
    if (last && s - last.s < 1e-3) sums[sums.length - 1] = { s: last.s, force: last.force + force }
    else sums.push({ s, force })
  }
  return sums
}

/** Pixels that a value takes. */
const apart = 34

/** The pieces whose value has room: the longest first, and none beside one that has its value. */
function roomy(pieces: readonly (readonly [from: number, to: number])[]): ReadonlySet<number> {
  const places = pieces.map(([from, to], i) => ({ i, middle: (from + to) / 2, length: to - from }))
  const chosen: typeof places = []
  for (const place of places.sort((p, q) => q.length - p.length || p.i - q.i))
    if (!chosen.some(({ middle }) => Math.abs(middle - place.middle) < apart)) chosen.push(place)
  return new Set(chosen.map(({ i }) => i))
}

/** Places of hatch strokes and how far along the piece they are. */
function strokes(from: number, to: number): readonly (readonly [number, number])[] {
  const count = Math.floor((to - from) / 6)
  return Array.from(
    { length: Math.max(0, count - 1) },
    (_, i) => [from + ((to - from) * (i + 1)) / count, (i + 1) / count] as const,
  )
}

const Picture = styled(SheetPicture)`
  margin: 12px 20px 0;
`
