import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { once } from '../outcome/once'
import { intersection, regionOf } from '../geometry/clip'
import { nearby } from '../geometry/nearby'
import { regionArea, type Region, type Ring } from '../geometry/polygon'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'
import type { LayoutPlan } from '../rundown/sources'

/** Overlaps below this come from drawing by hand (10 mm along a side of 10 m). */
const meant = 0.1

/** Panels of one layout that lie over each other: what they carry counts twice there. */
export const overlappingPanels = (state: ProjectState): readonly Concern[] =>
  overlapsIn(state, 'panel.overlap', panelOverlaps)

/** Roof slopes that lie over each other: it is doubtful which of them is the roof there. */
export const overlappingSlopes = (state: ProjectState): readonly Concern[] =>
  overlapsIn(state, 'slope.overlap', slopeOverlaps)

// a plan is looked through once: an edit of a load keeps it
const panelOverlaps = once(({ panels }: LayoutPlan) =>
  // where one leaves out what is open, or another panel, nothing counts twice
  overlapsOf(panels.map(({ panel, net }) => ({ id: panel.id, ring: panel.outline, outline: net }))),
)
const slopeOverlaps = once(({ slopes }: LayoutPlan) =>
  overlapsOf(slopes.map(({ id, outline }) => ({ id, ring: outline, outline: regionOf(outline) }))),
)

interface Outlined {
  readonly id: string
  readonly ring: Ring
  readonly outline: Region
}

type Overlap = readonly [Outlined, Outlined, number]

function overlapsIn(
  { document, floors }: ProjectState,
  code: Concern['code'],
  of: (plan: LayoutPlan) => readonly Overlap[],
): readonly Concern[] {
  const layouts = new Map(floors.map(({ floor, operator }) => [floor.layoutId, operator.plan]))
  return [...layouts.values()].flatMap((plan) =>
    of(plan).map(([a, b, area]): Concern => {
      const about = [a.id, b.id]
      const [first = '', second = ''] = about.map((id) => labelOf(document, id))
      return { code, about, data: { a: first, b: second, area } }
    }),
  )
}

function overlapsOf(list: readonly Outlined[]): readonly Overlap[] {
  // a box less the tolerance: neighbours that share an edge do not meet
  const near = nearby(
    list.map(({ ring }) => ring),
    -onLine,
  )
  return list.flatMap((a, i) =>
    near(a.ring).flatMap((k): readonly Overlap[] => {
      const b = list[k]
      if (!b || k <= i) return []
      const area = regionArea(intersection(a.outline, b.outline))
      return area > meant ? [[a, b, area]] : []
    }),
  )
}
