import type { OpeningShape, PanelShape, PatchShape } from '../document/shapes'
import { difference, intersection, isEmpty, regionOf } from '../geometry/clip'
import { boxesTouch, boxOf, type Region } from '../geometry/polygon'

/** Part of a panel that carries one load key. `base` parts cover the panel once; others lie on top of them. */
export interface LoadRegion {
  readonly patchId: string | null
  readonly region: Region
  readonly base: boolean
}

export interface PanelPlan {
  readonly panel: PanelShape
  readonly outline: Region
  /** The outline less its openings. */
  readonly net: Region
  readonly regions: readonly LoadRegion[]
}

/** Patches clipped to the panel, in their order: *instead of* removes what is below, *on top of* adds to it. */
export function planPanel(
  panel: PanelShape,
  openings: readonly OpeningShape[],
  patches: readonly PatchShape[],
): PanelPlan {
  const outline = regionOf(panel.outline)
  const box = boxOf(panel.outline)
  const holes = openings.filter((opening) => boxesTouch(boxOf(opening.outline), box))
  const net = holes.reduce<Region>((rest, hole) => difference(rest, regionOf(hole.outline)), outline)
  const touching = patches
    .filter((patch) => boxesTouch(boxOf(patch.outline), box))
    .sort((p, q) => p.order - q.order || (p.id < q.id ? -1 : 1))
  let regions: readonly LoadRegion[] = [{ patchId: null, region: net, base: true }]
  for (const patch of touching) {
    const drawn = regionOf(patch.outline)
    const inside = intersection(net, drawn)
    if (isEmpty(inside)) continue
    const replaces = patch.mode === 'insteadOf'
    const below = replaces ? regions.map((entry) => ({ ...entry, region: difference(entry.region, drawn) })) : regions
    regions = [...below.filter(({ region }) => !isEmpty(region)), { patchId: patch.id, region: inside, base: replaces }]
  }
  return { panel, outline, net, regions: regions.filter(({ region }) => !isEmpty(region)) }
}

/** What strips of the panel run through: the outline, or the outline less openings where these interrupt the span. */
export const stripOutline = ({ panel, outline, net }: PanelPlan): Region =>
  panel.openings === 'interrupting' ? net : outline
