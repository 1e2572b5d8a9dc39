import { formatQuantity, heightOn, type Slope, largest, smallest } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'

const [wide, high] = [340, 120] as const
const room = { left: 16, right: 96, top: 18, bottom: 30 } as const

/** The slope cut along its fall, to scale, with its run, its rise and its pitch. */
export function SlopePicture({ slope }: { readonly slope: Slope }) {
  const format = useFormat()
  const heights = slope.outline.map((corner) => heightOn(slope, corner))
  const rise = largest(heights) - smallest(heights)
  const run = rise / Math.max(Math.tan(slope.pitch), 1e-9)
  if (rise < 1e-6) return null
  const scale = Math.min((wide - room.left - room.right) / run, (high - room.top - room.bottom) / rise)
  const [x0, y0] = [room.left, high - room.bottom]
  const [x1, y1] = [x0 + run * scale, y0 - rise * scale]
  const text = (value: number) => formatQuantity(value, 'length', format)
  return (
    <Picture
      viewBox={`0 0 ${wide} ${high}`}
      role="img"
      aria-label={`Slope ${slope.label} along its fall: ${text(run)} long in plan, ${text(rise)} high`}
    >
      <path d={`M${x0} ${y0} H${x1} V${y1}`} className="thin" />
      <path d={`M${x0} ${y0} L${x1} ${y1}`} className="roof" />
      <text x={(x0 + x1) / 2} y={y0 + 18} textAnchor="middle">
        {text(run)} in plan
      </text>
      <text x={x1 + 8} y={(y0 + y1) / 2 + 5}>
        {text(rise)}
      </text>
      <text x={(x0 + x1) / 2 - 6} y={(y0 + y1) / 2 - 8} textAnchor="end">
        {formatQuantity(slope.pitch, 'angle', format)}
      </text>
    </Picture>
  )
}

const Picture = styled.svg`
  display: block;
  width: 340px;
  max-width: 100%;
  margin: 6px 20px;
  text {
    font: 400 13px var(--sans);
    fill: var(--ink);
  }
  .thin {
    fill: none;
    stroke: var(--border);
    stroke-dasharray: 5 3;
  }
  .roof {
    stroke: var(--ink);
    stroke-width: 3;
  }
`
