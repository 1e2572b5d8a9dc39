import { isHanger } from '../building/frame'
import { readCase } from '../derivation/cells'
import { expandedAt } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { footKey, reducedFeet } from '../derivation/reductions'
import { rowLabel } from '../derivation/namesOnFloor'

/** One column at the base, in a case of imposed load: its force whole, and reduced for area or storeys, N. */
export interface ReducedColumn {
  readonly expandedId: string
  readonly label: string
  readonly whole: number
  readonly reduced: number
}

/** With and without reduction, for the building: the columns at the base that take any of it; none where nothing of the case may be reduced. */
export function reducedBase(state: ProjectState, caseId: string): readonly ReducedColumn[] {
  const [floor] = state.floors
  if (!floor) return []
  const at = readCase(state, caseId)
  const feet = reducedFeet(state)
  const rows = floor.operator.plan.frame.columns.flatMap(({ member }, row): readonly ReducedColumn[] => {
    if (isHanger({ member })) return []
    const expandedId = expandedAt(floor, member.id)
    const whole = at(floor.rundown.feet, row)
    const reduced = feet.get(footKey(expandedId, caseId)) ?? whole
    return [{ expandedId, label: rowLabel(state, floor, member.id), whole, reduced }]
  })
  return rows.some(({ whole, reduced }) => whole !== reduced) ? rows.filter(({ whole }) => whole !== 0) : []
}
