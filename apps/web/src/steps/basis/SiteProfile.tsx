import type { SiteData } from '@hedrion/contract'
import { formatQuantity, largest, smallest } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'

const [width, tall, foot] = [600, 130, 26] as const

/** The ground from west to east through the place, heights drawn ten times as steep as they are or less. */
export function SiteProfile({ site: { profile, place, altitude } }: { readonly site: SiteData }) {
  const format = useFormat()
  const distances = profile.map(({ distance }) => distance)
  const heights = profile.map(({ elevation }) => elevation)
  const [from, to] = [smallest(distances), largest(distances)]
  const [low, high] = [smallest(heights), largest(heights)]
  const perMetre = width / (to - from)
  const rise = Math.min(10 * perMetre, (tall - foot - 24) / Math.max(1, high - low))
  const x = (distance: number) => (distance - from) * perMetre
  const y = (elevation: number) => tall - foot - 6 - (elevation - low) * rise
  const ground = profile.map(({ distance, elevation }) => `${x(distance)},${y(elevation)}`).join(' ')
  return (
    <Picture
      viewBox={`0 0 ${width} ${tall}`}
      role="img"
      aria-label={`Ground from west to east through ${place}, from ${formatQuantity(low, 'length', format)} to ${formatQuantity(high, 'length', format)}`}
    >
      <polygon points={`0,${tall - foot} ${ground} ${width},${tall - foot}`} fill="var(--hairline)" />
      <polyline points={ground} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      <line x1={x(0)} x2={x(0)} y1={12} y2={y(altitude)} stroke="var(--accent)" strokeWidth={2} />
      <text x={x(0) + 6} y={16}>
        {formatQuantity(altitude, 'length', format)}, heights {Math.round(rise / perMetre)} times as steep
      </text>
      <text x={0} y={tall - 8}>
        west, {formatQuantity(-from, 'length', format)}
      </text>
      <text x={width} y={tall - 8} textAnchor="end">
        east, {formatQuantity(to, 'length', format)}
      </text>
    </Picture>
  )
}

const Picture = styled.svg`
  display: block;
  width: 100%;
  margin-top: 8px;
  font: 400 13px var(--sans);
  text {
    fill: var(--quiet);
  }
`
