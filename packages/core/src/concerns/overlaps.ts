import type { PanelPlan } from '../building/panelRegions'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { intersection } from '../geometry/clip'
import { nearby } from '../geometry/nearby'
import { regionArea } from '../geometry/polygon'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'

/** Overlaps below this come from drawing by hand (10 mm along a side of 10 m). */
const meant = 0.1

/** Panels of one layout that lie over each other: what they carry counts twice there. */
export function overlappingPanels({ document, floors }: ProjectState): readonly Concern[] {
  const layouts = new Map(floors.map(({ floor, operator }) => [floor.layoutId, operator.plan.panels]))
  return [...layouts.values()].flatMap((panels) =>
    overlapsOf(panels).map(([a, b, area]): Concern => {
      const about = [a.panel.id, b.panel.id]
      const [first = '', second = ''] = about.map((id) => labelOf(document, id))
      return { code: 'panel.overlap', severity: 'caution', about, data: { a: first, b: second, area } }
    }),
  )
}

function overlapsOf(panels: readonly PanelPlan[]): readonly (readonly [PanelPlan, PanelPlan, number])[] {
  // a box less the tolerance: neighbours that share an edge do not meet
  const near = nearby(
    panels.map(({ panel }) => panel.outline),
    -onLine,
  )
  return panels.flatMap((a, i) =>
    near(a.panel.outline).flatMap((k): readonly (readonly [PanelPlan, PanelPlan, number])[] => {
      const b = panels[k]
      if (!b || k <= i) return []
      const area = regionArea(intersection(a.outline, b.outline))
      return area > meant ? [[a, b, area]] : []
    }),
  )
}
