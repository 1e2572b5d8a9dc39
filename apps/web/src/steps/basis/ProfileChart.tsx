import { displayFactor, displayUnits, formatValue, type WindProfile, largest } from '@hedrion/core'
import {
  CartesianGrid,
  Label,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts'
import { useFormat } from '../../compute/SessionContext'
import { Later } from '../../ui/Later'
import { chartMargins } from './TerrainSection'

/** Wind pressure over height; the heights are those of the section beside it. */
export function ProfileChart({ profile }: { readonly profile: WindProfile }) {
  const format = useFormat()
  const { points, top, topPressure } = profile
  const scale = (value: number, quantity: 'pressure' | 'length') => value / displayFactor(quantity, format.system)
  const data = points.map(({ z, q }) => ({ z: scale(z, 'length'), q: scale(q, 'pressure') }))
  const units = displayUnits[format.system]
  const height = largest(data.map(({ z }) => z))
  const [q, z] = [scale(topPressure, 'pressure'), scale(top, 'length')]
  const most = largest(data.map((point) => point.q))
  return (
    <ResponsiveContainer width="100%" height="100%">
      <LineChart
        data={data}
        layout="vertical"
        margin={chartMargins}
        accessibilityLayer={false}
        aria-label="Wind pressure over height"
      >
        {/* the chart draws itself anew for each part: all parts at once would be one long task */}
        <Later>
          <XAxis
            type="number"
            dataKey="q"
            domain={[0, Math.ceil(most * 5) / 5]}
            stroke="var(--quiet)"
            fontSize={13}
            tickCount={5}
            height={40}
          >
            <Label
              value={units.pressure.symbol}
              position="insideBottomRight"
              offset={6}
              fill="var(--quiet)"
              fontSize={13}
            />
          </XAxis>
        </Later>
        <Later after={2}>
          <YAxis
            type="number"
            dataKey="z"
            domain={[0, height]}
            reversed
            tickCount={5}
            stroke="var(--quiet)"
            fontSize={13}
            unit={` ${units.length.symbol}`}
            width={52}
          />
        </Later>
        <Later after={3}>
          <CartesianGrid stroke="var(--hairline)" />
        </Later>
        <Later after={4}>
          <Line dataKey="q" stroke="var(--wind)" strokeWidth={2.4} dot={false} isAnimationActive={false} />
        </Later>
        <Later after={5}>
          <ReferenceLine y={z} stroke="var(--accent)" strokeDasharray="4 4" />
          <ReferenceDot x={q} y={z} r={5} fill="var(--accent)" stroke="none">
            <Label
              value={formatValue(topPressure, 'pressure', format)}
              position="top"
              fill="var(--ink)"
              fontSize={13}
              fontWeight={600}
            />
          </ReferenceDot>
        </Later>
      </LineChart>
    </ResponsiveContainer>
  )
}
