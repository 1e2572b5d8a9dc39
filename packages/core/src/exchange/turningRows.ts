import { readCase } from '../derivation/cells'
import { expandedAt, floorIn } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { rowLabel } from '../derivation/namesOnFloor'

/**
 * What turns beams about their axes, case by case: moments per true length in plan (Nm/m, from < to), and single ones (Nm, from = to),
 * positive where the left side goes down, looking from the start to the end. They go to no other member.
 */
export function turningRows(state: ProjectState) {
  return state.floors.flatMap((floor) =>
    state.caseIds.flatMap((caseId) => {
      const at = readCase(state, caseId)
      return floorIn(floor, caseId).operator.plan.sources.flatMap(({ share }, source) => {
        const q = at(floor.intensities, source)
        if (q === 0) return []
        const row = (id: string, from: number, to: number) => ({
          case: caseId,
          id: expandedAt(floor, id),
          label: rowLabel(state, floor, id),
          level: floor.level.name,
          from,
          to,
        })
        return [
          ...share.turns.map(({ member, s0, s1, q0, q1 }) => ({
            ...row(member, s0, s1),
            m0: q * q0,
            m1: q * q1,
            moment: null,
          })),
          ...share.turnPoints.map(({ member, s, force }) => ({
            ...row(member, s, s),
            m0: null,
            m1: null,
            moment: q * force,
          })),
        ]
      })
    }),
  )
}
