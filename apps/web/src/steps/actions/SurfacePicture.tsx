import { formatQuantity, type Point, type RestView, type StretchView, largest, smallest } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { SheetPicture } from '../../sheet/SheetPicture'

const [width, most, margin] = [440, 260, 34]

/** A stretch as one sees it from outside, to scale: its openings, what rests in its plane, and the pressure over its height. */
export function SurfacePicture({ stretch }: { readonly stretch: StretchView }) {
  const format = useFormat()
  const points = stretch.outline
  const [low, high] = [smallest(points.map(([, v]) => v)), largest(points.map(([, v]) => v))]
  const scale = Math.min((width - 3 * margin - 40) / stretch.length, (most - 2 * margin) / (high - low))
  const tall = (high - low) * scale + 2 * margin
  const across = (u: number) => (stretch.leftwards ? stretch.length - u : u)
  const at = ([u, v]: Point): Point => [margin + across(u) * scale, tall - margin - (v - low) * scale]
  const path = (rings: readonly (readonly Point[])[]) =>
    rings
      .map(
        (ring) =>
          `M${ring
            .map((point) =>
              at(point)
                .map((x) => x.toFixed(1))
                .join(' '),
            )
            .join('L')}Z`,
      )
      .join('')
  const taking = stretch.rests.filter(({ force }) => Math.abs(force) >= 0.5)
  const idle = stretch.rests.filter(({ force }) => Math.abs(force) < 0.5)
  return (
    <SheetPicture
      viewBox={`0 0 ${width} ${tall.toFixed(0)}`}
      role="img"
      aria-label={`Elevation of segment ${stretch.index + 1}, ${formatQuantity(stretch.length, 'length', format)} by ${formatQuantity(high - low, 'length', format)}`}
    >
      <path d={path(stretch.net)} fill="var(--accent-soft)" stroke="var(--quiet)" fillRule="evenodd" />
      {idle.map((rest, i) => (
        <RestLine key={i} rest={rest} at={at} taking={false} />
      ))}
      {taking.map((rest, i) => (
        <RestLine key={i} rest={rest} at={at} taking />
      ))}
      <Pressure
        stretch={stretch}
        x={margin + stretch.length * scale + 22}
        from={at([0, low])[1]}
        to={at([0, high])[1]}
      />
      <text x={margin} y={tall - 8}>
        {formatQuantity(stretch.length, 'length', format)} by {formatQuantity(high - low, 'length', format)}
      </text>
    </SheetPicture>
  )
}

interface RestLineProps {
  readonly rest: RestView
  readonly at: (point: Point) => Point
  readonly taking: boolean
}

/** What takes nothing is dashed; the name of a member stands at its middle. */
function RestLine({ rest: { a, b, label, kind }, at, taking }: RestLineProps) {
  const [[x0, y0], [x1, y1]] = [at(a), at(b)]
  const upright = Math.abs(x1 - x0) < Math.abs(y1 - y0)
  const dash = taking ? {} : { strokeDasharray: '3 3' }
  return (
    <g>
      <line
        x1={x0}
        y1={y0}
        x2={x1}
        y2={y1}
        stroke={kind === 'ground' ? 'var(--border)' : 'var(--ink)'}
        strokeWidth={taking ? 3 : 1.2}
        {...dash}
      />
      {label !== '' && (
        <text
          x={(x0 + x1) / 2 + (upright ? 5 : 0)}
          y={(y0 + y1) / 2 + (upright ? 4 : -5)}
          textAnchor={upright ? 'start' : 'middle'}
        >
          {label}
        </text>
      )}
    </g>
  )
}

interface PressureProps {
  readonly stretch: StretchView
  readonly x: number
  readonly from: number
  readonly to: number
}

/** The pressure over the height as a shape beside the surface, its values at both ends. */
function Pressure({ stretch: { top, foot }, x, from, to }: PressureProps) {
  const format = useFormat()
  const greatest = Math.max(Math.abs(top), Math.abs(foot))
  if (greatest === 0) return null
  const long = (value: number) => (30 * Math.abs(value)) / greatest
  return (
    <g>
      <path
        d={`M${x} ${to}h${long(top)}L${x + long(foot)} ${from}H${x}Z`}
        fill="none"
        stroke="var(--permanent)"
        strokeWidth={1.4}
      />
      <text x={x} y={to - 6}>
        {formatQuantity(top, 'pressure', format)}
      </text>
      {foot !== top && (
        <text x={x} y={from + 15}>
          {formatQuantity(foot, 'pressure', format)}
        </text>
      )}
    </g>
  )
}
