import type { Traced } from '../../trace/traced'

/** A carrying level above ground, or the ground itself at z = 0. */
export interface WindLevel {
  readonly levelId: string
  readonly z: number
}

/** A band of the windward wall with one reference height (EN 1991-1-4, 7.2.2(1)). */
export interface WindStrip {
  readonly from: number
  readonly to: number
  readonly q_p: Traced<'pressure'>
}

/** Figure 7.4: one strip up to h = b; two up to h = 2b; above, middle strips that here end at the levels. */
export function windwardStrips(
  h: number,
  b: number,
  levels: readonly WindLevel[],
  q_p: (z_e: number) => Traced<'pressure'>,
): readonly WindStrip[] {
  const strip = (from: number, to: number): WindStrip => ({ from, to, q_p: q_p(to) })
  if (h <= b) return [strip(0, h)]
  if (h <= 2 * b) return [strip(0, b), strip(b, h)]
  const between = levels.map(({ z }) => z).filter((z) => z > b + 0.01 && z < h - b - 0.01)
  const stops = [0, b, ...between.sort((p, q) => p - q), h - b, h]
  return stops.slice(1).map((to, i) => strip(stops[i] ?? 0, to))
}

export interface Tributary extends WindLevel {
  readonly from: number
  readonly to: number
}

/** Half a storey each way (common practice); the ground takes the lowest half, the top its half and the parapet. */
export function tributaryHeights(levels: readonly WindLevel[], top: number): readonly Tributary[] {
  const sorted = levels.filter(({ z }) => z >= 0).sort((p, q) => p.z - q.z)
  return sorted.map((level, i) => {
    const [below, above] = [sorted[i - 1], sorted[i + 1]]
    return { ...level, from: below ? (below.z + level.z) / 2 : 0, to: above ? (level.z + above.z) / 2 : top }
  })
}
