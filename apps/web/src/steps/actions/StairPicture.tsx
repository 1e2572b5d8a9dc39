import { formatQuantity, goingOf, stepsOf, type Stair } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { SheetPicture } from '../../sheet/SheetPicture'

const [width, tall, margin] = [440, 190, 46]

/** The flight in section, from its own numbers: waist, steps, rise and length in plan. */
export function StairPicture({ stair }: { readonly stair: Stair }) {
  const format = useFormat()
  const [l, h] = [goingOf(stair), stair.rise]
  if (l <= 0) return null
  const scale = Math.min((width - 3.2 * margin) / l, (tall - 1.6 * margin) / Math.max(h, 0.3))
  const [x0, y0] = [margin, tall - 30]
  const x = (u: number) => x0 + u * scale
  const y = (v: number) => y0 - v * scale
  const steps = stepsOf(stair).count
  const along = Math.hypot(l, h)
  // the soffit lies the waist below the line through the inner corners of the steps
  const [dx, dy] = [(stair.waist * h) / along, (stair.waist * l) / along]
  const outline =
    steps === 0
      ? `M${x(0)} ${y(0)}L${x(l)} ${y(h)}`
      : `M${x(0)} ${y(0)}` +
        Array.from({ length: steps }, (_, i) => `V${y(((i + 1) * h) / steps)}H${x(((i + 1) * l) / steps)}`).join('')
  const show = (value: number, quantity: 'length' | 'smallLength') => formatQuantity(value, quantity, format)
  const [mx, my] = [x(l / 2), y(h / 2)]
  return (
    <SheetPicture
      viewBox={`0 0 ${width} ${tall}`}
      role="img"
      aria-label="Section through the flight with its dimensions"
    >
      <path
        d={`${outline}L${x(l + dx)} ${y(h - dy)}L${x(dx)} ${y(-dy)}Z`}
        fill="var(--hairline)"
        stroke="var(--ink)"
        strokeLinejoin="round"
      />
      <path d={`M${x(0)} ${y(0)}L${x(l)} ${y(h)}`} stroke="var(--quiet)" strokeDasharray="4 3" fill="none" />
      <g stroke="var(--quiet)" fill="none">
        <path d={`M${x(0)} ${tall - 10}h${l * scale}M${x(0)} ${tall - 14}v8M${x(l)} ${tall - 14}v8`} />
        <path d={`M${x(l) + 26} ${y(0)}v${-h * scale}M${x(l) + 22} ${y(0)}h8M${x(l) + 22} ${y(h)}h8`} />
      </g>
      <text x={x(l / 2)} y={tall - 14} textAnchor="middle">
        {show(l, 'length')}
      </text>
      <text x={x(l) + 34} y={y(h / 2) + 4}>
        {show(h, 'length')}
      </text>
      <text x={mx + 14} y={my + dy * scale + 18}>
        waist {show(stair.waist, 'smallLength')}
      </text>
      {steps > 0 && (
        <text x={x0 - 30} y={y(h) + 4}>
          {steps} steps of {show(h / steps, 'smallLength')}
        </text>
      )}
    </SheetPicture>
  )
}
