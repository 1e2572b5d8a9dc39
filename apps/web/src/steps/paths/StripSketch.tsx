import { formatValue, unitOf, type StripView, largest } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { colourOfMark } from '../../drawing/marks'
import type { Mark } from '../../drawing/scene'
import { SheetPicture } from '../../sheet/SheetPicture'

const [width, height] = [440, 132]
const [left, right, base, tallest] = [26, 414, 80, 44]

/** The strip from end to end: its loads to scale, what it rests on, and what each takes. */
export function StripSketch({ strip, mark }: { readonly strip: StripView; readonly mark: Mark }) {
  const format = useFormat()
  const length = strip.pieces.at(-1)?.to ?? 0
  if (length <= 0) return null
  const loads = strip.pieces.flatMap((piece) => piece.loads)
  const top = Math.max(1e-9, largest(loads.map(({ q }) => Math.abs(q))))
  const x = (u: number) => left + ((right - left) * u) / length
  const colour = colourOfMark(mark)
  const held = (u: number) => Math.min(right - 26, Math.max(left + 26, x(u)))
  return (
    <Picture viewBox={`0 0 ${width} ${height}`} role="img" aria-label="The strip with its loads and reactions">
      {loads.map(({ c, d, q }, i) => (
        <g key={i} stroke={colour}>
          <rect
            x={x(c)}
            width={Math.max(0, x(d) - x(c))}
            y={base - (tallest * Math.abs(q)) / top}
            height={(tallest * Math.abs(q)) / top}
            fill={colour}
            fillOpacity={0.12}
          />
          <text x={(x(c) + x(d)) / 2} y={base - (tallest * Math.abs(q)) / top - 5} stroke="none" textAnchor="middle">
            {formatValue(q, 'pressure', format)} {i === 0 ? unitOf('pressure', format) : ''}
          </text>
        </g>
      ))}
      {strip.pieces.map(({ from, to, supports }) => (
        <g key={from}>
          <line x1={x(from)} x2={x(to)} y1={base} y2={base} stroke="var(--accent)" strokeWidth={4} />
          {supports.map(({ u, force, labels }) => (
            <g key={u}>
              <path d={`M${x(u)} ${base + 3}l-7 12h14z`} fill="none" stroke="var(--ink)" strokeWidth={1.3} />
              <text x={held(u)} y={base + 31} textAnchor="middle" fontWeight={600}>
                {formatValue(Math.abs(force), 'lineLoad', format)} {force < 0 ? 'down' : ''}
              </text>
              <text x={held(u)} y={base + 47} textAnchor="middle">
                {labels.join(', ')}
              </text>
            </g>
          ))}
        </g>
      ))}
    </Picture>
  )
}

const Picture = styled(SheetPicture)`
  margin: 12px 20px 0;
`
