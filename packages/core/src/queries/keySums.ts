import { keyOfRegion } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'

/** What one load key puts on one level: its area in plan (m², overlaps counted once for each) and its loads, N. */
export interface KeySum {
  readonly levelId: string
  readonly levelName: string
  readonly keyId: string
  readonly keyName: string
  readonly area: number
  readonly permanent: number
  readonly imposed: number
  readonly partitions: number
}

/** Sums per load key and level, from the top; what lies on no panel is in none. */
export function keySums(state: ProjectState): readonly KeySum[] {
  return [...state.floors].reverse().flatMap(({ level, operator }) => {
    const areas = new Map<string, { plan: number; lying: number }>()
    for (const source of operator.plan.sources) {
      if (source.kind !== 'region') continue
      const key = keyOfRegion(state, source)
      if (key === null) continue
      const { plan, lying } = areas.get(key) ?? { plan: 0, lying: 0 }
      const area = source.share.applied
      areas.set(key, { plan: plan + area, lying: lying + area * source.region.stretch })
    }
    return [...areas].flatMap(([keyId, { plan: area, lying }]): KeySum[] => {
      const loads = state.keys.get(keyId)
      if (!loads) return []
      const counts = loads.cases !== null
      return [
        {
          levelId: level.id,
          levelName: level.name,
          keyId,
          keyName: labelOf(state.document, keyId),
          area,
          permanent: lying * loads.buildUp.value,
          imposed: counts ? area * (loads.imposed?.value ?? 0) : 0,
          partitions: counts ? area * (loads.partitions?.value ?? 0) : 0,
        },
      ]
    })
  })
}
