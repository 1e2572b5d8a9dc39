import { type Basis, largest, smallest } from '@hedrion/core'
import styled from 'styled-components'
import { useAnswer } from '../../compute/SessionContext'

/** Shared with the chart beside it, so that heights stand level. */
export const chartMargins = { top: 12, right: 24, bottom: 0, left: 0 } as const

const [width, tall] = [290, 400]
const foot = 40

/** How rough each terrain looks: spacing and height in m of what stands on it (EN 1991-1-4, annex A.1, in our picture). */
const rough: Readonly<Record<Basis['terrain'], { readonly spacing: number; readonly height: number }>> = {
  '0': { spacing: 0, height: 0 },
  I: { spacing: 60, height: 0.5 },
  II: { spacing: 44, height: 1.6 },
  III: { spacing: 22, height: 4 },
  IV: { spacing: 11, height: 8 },
}

interface TerrainSectionProps {
  readonly terrain: Basis['terrain']
  /** As the family in use calls it. */
  readonly said: string
  readonly height: number
}

/** The building on its terrain, to the same heights as the chart. */
export function TerrainSection({ terrain, said, height }: TerrainSectionProps) {
  const view = useAnswer({ kind: 'elevation', axis: 'x', caseId: '' })
  const scale = (tall - foot - chartMargins.top) / height
  const ground = tall - foot
  const y = (z: number) => ground - z * scale
  const { spacing, height: obstacle } = rough[terrain]
  const us = view?.columns.map(({ u }) => u) ?? []
  const span = us.length > 0 ? largest(us) - smallest(us) : 0
  const wide = Math.min(120, Math.max(30, span * scale))
  const left = (width - wide) / 2 + 20
  const levels = (view?.levels ?? [])
    .map((level) => ({ ...level, z: level.z - (view?.ground ?? 0) }))
    .filter(({ z, carrying }) => carrying && z > 0)
  const top = levels.length > 0 ? largest(levels.map(({ z }) => z)) : 0
  const tufts =
    spacing === 0 ? [] : Array.from({ length: Math.floor((left - 14) / spacing) }, (_, i) => 8 + i * spacing)
  return (
    <Picture viewBox={`0 0 ${width} ${tall}`} preserveAspectRatio="none" role="img" aria-label={`Terrain ${said}`}>
      {tufts.map((x, i) => (
        <Obstacle
          key={x}
          x={x}
          ground={ground}
          wide={Math.max(6, spacing * 0.55)}
          high={Math.max(2, obstacle * scale * (i % 2 ? 0.75 : 1))}
          solid={terrain === 'III' || terrain === 'IV'}
        />
      ))}
      {top > 0 && (
        <g stroke="var(--ink)" fill="none">
          <rect x={left} y={y(top)} width={wide} height={ground - y(top)} fill="var(--floor)" strokeWidth={1.6} />
          {levels.map(({ id, z }) => (
            <line key={id} x1={left} x2={left + wide} y1={y(z)} y2={y(z)} strokeWidth={1} />
          ))}
        </g>
      )}
      <line x1={0} x2={width} y1={ground} y2={ground} stroke="var(--border)" strokeWidth={1.6} />
      {Array.from({ length: 24 }, (_, i) => (
        <line key={i} x1={i * 12 + 8} x2={i * 12 + 2} y1={ground} y2={ground + 7} stroke="var(--border)" />
      ))}
      <g stroke="var(--wind)" fill="var(--wind)">
        {[0.25, 0.5, 0.75, 0.95].map((t) => {
          const length = 26 + 44 * t
          return (
            <g key={t}>
              <line x1={6} x2={6 + length} y1={y(height * t)} y2={y(height * t)} strokeWidth={2} />
              <path d={`M${12 + length} ${y(height * t)}l-9 -4v8z`} stroke="none" />
            </g>
          )
        })}
      </g>
      <text x={6} y={tall - 12}>
        terrain {said}
      </text>
    </Picture>
  )
}

interface ObstacleProps {
  readonly x: number
  readonly ground: number
  readonly wide: number
  readonly high: number
  /** A house; else a bush. */
  readonly solid: boolean
}

const Obstacle = ({ x, ground, wide, high, solid }: ObstacleProps) => (
  <path
    d={
      solid
        ? `M${x} ${ground}v${-high}h${wide}v${high}z`
        : `M${x} ${ground}c0 ${-high * 1.3} ${wide} ${-high * 1.3} ${wide} 0z`
    }
    fill="var(--hairline)"
    stroke="var(--border)"
    strokeWidth={0.8}
  />
)

const Picture = styled.svg`
  width: 100%;
  height: 100%;
  font: 400 13px var(--sans);
  text {
    fill: var(--quiet);
  }
`
