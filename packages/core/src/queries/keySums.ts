import { imposedOn } from '../actions/keyLoads'
import { keyShareOf } from '../derivation/floorQueries'
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

/** Sums per load key and level, from the top; what lies on no panel is in none, but flights of stairs are. */
export function keySums(state: ProjectState): readonly KeySum[] {
  return [...state.floors].reverse().flatMap(({ level, operator }) => {
    const areas = new Map<string, { plan: number; lying: number; imposed: number }>()
    for (const source of operator.plan.sources) {
      const share = keyShareOf(state, source)
      if (share === null) continue
      const { plan, lying, imposed } = areas.get(share.keyId) ?? { plan: 0, lying: 0, imposed: 0 }
      const { applied } = source.share
      const key = state.keys.get(share.keyId)
      const q = key ? (imposedOn(key, share.plan === 0 ? 1 : share.lying / share.plan)?.value ?? 0) : 0
      areas.set(share.keyId, {
        plan: plan + applied * share.plan,
        lying: lying + applied * share.lying,
        imposed: imposed + applied * share.plan * q,
      })
    }
    return [...areas].flatMap(([keyId, { plan: area, lying, imposed }]): KeySum[] => {
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
          imposed: counts ? imposed : 0,
          partitions: counts ? area * (loads.partitions?.value ?? 0) : 0,
        },
      ]
    })
  })
}
