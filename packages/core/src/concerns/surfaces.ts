import { negligible } from '../derivation/negligible'
import { expandedAt } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { pressedIn, reachesOf } from '../derivation/surfaceLoads'
import type { Concern } from '../outcome/outcome'

/** Pressure on wall surfaces that reaches no level, by the case in which it is most. */
export function lostPressure(state: ProjectState): readonly Concern[] {
  if (state.surfaces.length === 0) return []
  const most = new Map<string, { readonly concern: Concern; readonly force: number }>()
  for (const caseId of state.caseIds) {
    const lost = new Map<string, { force: number; of: number; label: string; level: string }>()
    for (const pressed of pressedIn(state, caseId)) {
      const { surface, order } = pressed.stretch
      const floor = state.floors[order]
      if (!floor) continue
      const id = expandedAt(floor, surface.id)
      const sum = lost.get(id) ?? { force: 0, of: 0, label: surface.label, level: floor.level.name }
      sum.force += reachesOf(pressed).notCarried
      sum.of += pressed.share.applied
      lost.set(id, sum)
    }
    for (const [id, { force, ...data }] of lost) {
      if (Math.abs(force) < negligible || Math.abs(force) <= Math.abs(most.get(id)?.force ?? 0)) continue
      const concern = {
        code: 'surface.not-carried',
        about: [id],
        data: { ...data, force },
      } as const
      most.set(id, { concern, force })
    }
  }
  return [...most.values()].map(({ concern }) => concern)
}
