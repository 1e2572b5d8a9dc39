import { keyOfRegion } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'

/** What one load key puts on one level: its area (m², overlaps counted once for each) and its loads, N. */
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
    const areas = new Map<string, number>()
    for (const source of operator.plan.sources) {
      if (source.kind !== 'region') continue
      const key = keyOfRegion(state, source)
      if (key !== null) areas.set(key, (areas.get(key) ?? 0) + source.share.applied)
    }
    return [...areas].flatMap(([keyId, area]): KeySum[] => {
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
          permanent: area * loads.buildUp.value,
          imposed: counts ? area * (loads.imposed?.value ?? 0) : 0,
          partitions: counts ? area * (loads.partitions?.value ?? 0) : 0,
        },
      ]
    })
  })
}
