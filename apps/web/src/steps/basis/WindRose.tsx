import { formatQuantity, windDirections } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'

const reach = 62

/** The directions that wind is derived for, with the basic velocity of each. */
export function WindRose({ velocity }: { readonly velocity: number }) {
  const format = useFormat()
  return (
    <Picture
      viewBox="0 0 420 170"
      role="img"
      aria-label={`Wind from four directions, ${formatQuantity(velocity, 'velocity', format)} each`}
    >
      <circle cx={210} cy={85} r={reach} fill="none" stroke="var(--hairline)" strokeWidth={1.5} />
      {windDirections.map(({ id, x, y }) => {
        const [fx, fy] = [210 - x * reach, 85 + y * reach]
        return (
          <g key={id} stroke="var(--wind)" fill="var(--wind)">
            <line x1={fx} y1={fy} x2={210 - x * 24} y2={85 + y * 24} strokeWidth={3} />
            <path
              d="M0 0l-10 -5v10z"
              stroke="none"
              transform={`translate(${210 - x * 16} ${85 + y * 16}) rotate(${(Math.atan2(-y, x) * 180) / Math.PI})`}
            />
            <text
              x={fx - x * 12}
              y={fy + y * 14 + 4}
              textAnchor={x > 0 ? 'end' : x < 0 ? 'start' : 'middle'}
              stroke="none"
            >
              {id} {formatQuantity(velocity, 'velocity', format)}
            </text>
          </g>
        )
      })}
    </Picture>
  )
}

const Picture = styled.svg`
  display: block;
  width: 100%;
  max-height: 190px;
  margin-top: 12px;
  font: 400 13px var(--sans);
  text {
    fill: var(--ink);
  }
`
