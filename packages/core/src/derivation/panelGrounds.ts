import type { FloorState } from './floorStates'
import { elasticUnder, stockOf } from './elastic'
import { limitsOf } from './layouts'
import type { ProjectState } from './project'
import { boxesTouch, boxOf } from '../geometry/polygon'
import type { Plate } from '../plate/plate'
import { plateOf } from '../sharing/byStiffness'
import type { PlateLack } from '../sharing/share'
import { groundOf } from '../sharing/ground'
import type { Ground } from '../sharing/sharer'
import { carriersAmong } from '../sharing/rails'
import { bearersOf } from '../building/bearers'
import type { PanelPlan } from '../building/panelRegions'

export interface PanelGround {
  readonly plan: PanelPlan
  readonly ground: Ground
}

/** The panels of a floor as their rules see them. */
export function panelGrounds({ document }: ProjectState, { operator }: FloorState): readonly PanelGround[] {
  const { frame, panels } = operator.plan
  const [carriers, limits] = [carriersAmong(frame.beams), limitsOf(document)]
  const { columns } = frame
  return panels.map((plan) => {
    // a panel that is no plate is solved as one when the rule is tried
    const solve = (): Plate | PlateLack => {
      const stock = stockOf(document, plan.panel.layout)
      const near = carriers.filter(({ a, b }) => boxesTouch(boxOf([a, b]), boxOf(plan.panel.outline), limits.reach))
      return plateOf(plan, ground, elasticUnder(stock, frame, plan.panel.id, near))
    }
    const ground = groundOf(plan, { carriers, columns, bearers: bearersOf(frame), limits, plateOf: solve })
    return { plan, ground }
  })
}
