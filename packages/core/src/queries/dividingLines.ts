import { floorSeen } from '../derivation/floorQueries'
import { panelGrounds } from '../derivation/panelGrounds'
import type { ProjectState } from '../derivation/project'
import type { Path } from '../sharing/dividing'
import { sharerOf } from '../sharing/ground'

/** Lines on a level that part what goes to one member from what goes to another; none where no level is asked for. */
export function dividingLines(state: ProjectState, levelId: string | null, caseId: string): readonly Path[] {
  const floor = levelId === null ? undefined : floorSeen(state, levelId, caseId)
  if (!floor) return []
  return panelGrounds(state, floor).flatMap(({ plan, ground }) => sharerOf(ground).dividing(plan.net))
}
