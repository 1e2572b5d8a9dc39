import { floorAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import { limitsOf } from '../derivation/layouts'
import type { ProjectState } from '../derivation/project'
import type { Path } from '../sharing/dividing'
import { groundOf, sharerOf, type Ground } from '../sharing/ground'
import { carriersAmong } from '../sharing/rails'
import type { PanelPlan } from '../building/panelRegions'

export interface PanelGround {
  readonly plan: PanelPlan
  readonly ground: Ground
}

/** The panels of a floor as their rules see them. */
export function panelGrounds({ document }: ProjectState, { operator }: FloorState): readonly PanelGround[] {
  const { frame, panels } = operator.plan
  const [carriers, limits] = [carriersAmong(frame.beams), limitsOf(document)]
  return panels.map((plan) => ({ plan, ground: groundOf(plan, carriers, frame.columns, limits) }))
}

/** Lines on a level that part what goes to one member from what goes to another; none where no level is asked for. */
export function dividingLines(state: ProjectState, levelId: string | null): readonly Path[] {
  const floor = levelId === null ? undefined : floorAt(state, levelId)
  if (!floor) return []
  return panelGrounds(state, floor).flatMap(({ plan, ground }) => sharerOf(ground).dividing(plan.net))
}
