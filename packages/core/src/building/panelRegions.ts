import type { OpeningShape, PanelShape, PatchShape, SlopeShape } from '../document/shapes'
import { difference, intersection, isEmpty, regionOf } from '../geometry/clip'
import {
  boxesTouch,
  boxOf,
  centroid,
  regionArea,
  signedArea,
  type Box,
  type Region,
  type Ring,
} from '../geometry/polygon'
import { nearby } from '../geometry/nearby'
import { onLine } from '../geometry/tolerance'
import { entry } from '../outcome/assert'
import { ringOrder } from '../geometry/ringOrder'
import { patchOrder } from './patchOverlaps'
import { areaStretch, heightOn, planeOf, type RoofPlane } from './slopes'

/** Part of a panel that carries one load key and lies in one plane. `base` parts cover the panel once; others lie on top of them. */
export interface LoadRegion {
  readonly patchId: string | null
  readonly region: Region
  readonly base: boolean
  /** The slope that it lies in; null on the level. */
  readonly slopeId: string | null
  /** True area per area in plan. */
  readonly stretch: number
}

export interface PanelPlan {
  readonly panel: PanelShape
  readonly outline: Region
  /** The outline less its openings. */
  readonly net: Region
  readonly regions: readonly LoadRegion[]
  /** The plane that all of it lies in; null on the level, and over several planes. */
  readonly plane: RoofPlane | null
  /** The slopes that parts of it lie in. */
  readonly slopes: readonly SlopeShape[]
}

/**
 * Panels of a layout that lie wholly within another one: that one leaves them out as it does an opening, so that no floor counts
 * twice. Of two with one outline neither is an island.
 */
export const islandsOf = (panel: PanelShape, others: readonly PanelShape[]): readonly PanelShape[] => {
  const area = Math.abs(signedArea(panel.outline))
  const box = boxOf(panel.outline)
  return others.filter(({ id, outline }) => {
    const own = Math.abs(signedArea(outline))
    if (id === panel.id || !(own < island * area) || !boxWithin(boxOf(outline), box)) return false
    return regionArea(intersection(regionOf(outline), regionOf(panel.outline))) > island * own
  })
}

/** Of an island at least this part lies in the panel round it, which is larger by as much. */
const island = 0.999

const boxWithin = (inner: Box, outer: Box): boolean =>
  inner.x0 >= outer.x0 - onLine &&
  inner.x1 <= outer.x1 + onLine &&
  inner.y0 >= outer.y0 - onLine &&
  inner.y1 <= outer.y1 + onLine

/**
 * Patches clipped to the panel, in their order: *instead of* removes what is below, *on top of* adds to it. Each part is
 * then cut by the slopes of the roof; where these overlap the one that is higher in its middle takes it.
 */
export function planPanel(
  panel: PanelShape,
  openings: readonly Pick<OpeningShape, 'outline'>[],
  patches: readonly PatchShape[],
  slopes: readonly SlopeShape[] = [],
): PanelPlan {
  const outline = regionOf(panel.outline)
  const box = boxOf(panel.outline)
  const holes = openings.filter((opening) => boxesTouch(boxOf(opening.outline), box)).sort(byPlace)
  const net = without(outline, holes.flatMap(regionsOf))
  const touching = patches.filter((patch) => boxesTouch(boxOf(patch.outline), box)).sort(patchOrder)
  const regions = levelsOf(outline, net, holes, touching)
  const lying = regions.flatMap((region) => bySlope(region, slopes)).filter(({ region }) => !isEmpty(region))
  const under = slopes.filter(({ id }) => lying.some(({ slopeId }) => slopeId === id))
  return { panel, outline, net, regions: lying, plane: planeUnder(lying, slopes), slopes: under }
}

const regionsOf = ({ outline }: { readonly outline: Ring }): Region => regionOf(outline)

/**
 * What of a panel and of each patch on it stays under the patches that come later and take its place. Each is cut once, by those alone
 * that touch it: one after the other a floor with many would be cut again and again.
 */
function levelsOf(
  outline: Region,
  net: Region,
  holes: readonly { readonly outline: Ring }[],
  patches: readonly PatchShape[],
): readonly Level[] {
  const holesNear = nearby(holes.map((hole) => hole.outline))
  const inside = patches.flatMap((patch) => {
    const drawn = regionOf(patch.outline)
    const cut = holesNear(patch.outline).flatMap((i) => regionsOf(entry(holes, i)))
    const region = without(intersection(outline, drawn), cut)
    return isEmpty(region) ? [] : [{ patch, drawn, region }]
  })
  const near = nearby(inside.map(({ patch }) => patch.outline))
  const laterOn = (ring: Ring, after: number): Region =>
    near(ring).flatMap((i) => {
      const { patch, drawn } = entry(inside, i)
      return i > after && patch.mode === 'insteadOf' ? drawn : []
    })
  const base = without(
    net,
    outline.flatMap((ring) => laterOn(ring, -1)),
  )
  return [
    { patchId: null, region: base, base: true },
    ...inside.map(({ patch, region }, i): Level => ({
      patchId: patch.id,
      region: without(region, laterOn(patch.outline, i)),
      base: patch.mode === 'insteadOf',
    })),
  ].filter(({ region }) => !isEmpty(region))
}

const without = (region: Region, cut: Region): Region => (cut.length === 0 ? region : difference(region, cut))

const byPlace = (a: { readonly outline: Ring }, b: { readonly outline: Ring }): number =>
  ringOrder(a.outline, b.outline)

function planeUnder(regions: readonly LoadRegion[], slopes: readonly SlopeShape[]): RoofPlane | null {
  const [first, ...others] = new Set(regions.map(({ slopeId }) => slopeId))
  const slope = others.length === 0 ? slopes.find(({ id }) => id === first) : undefined
  return slope ? planeOf(slope) : null
}

type Level = Pick<LoadRegion, 'patchId' | 'region' | 'base'>

const bySlope = (whole: Level, slopes: readonly SlopeShape[]): readonly LoadRegion[] =>
  lyingIn(whole.region, slopes).map(({ region, slope }) => ({
    ...whole,
    region,
    slopeId: slope?.id ?? null,
    stretch: slope ? areaStretch(slope) : 1,
  }))

/** What of a region is left on the level, then what lies in each slope. */
export function lyingIn(
  whole: Region,
  slopes: readonly SlopeShape[],
): readonly { readonly region: Region; readonly slope: SlopeShape | null }[] {
  let rest = whole
  const box = boxOf(rest.flat())
  const lying = slopes
    .filter(({ outline }) => boxesTouch(boxOf(outline), box))
    .sort((p, q) => middleHeight(q) - middleHeight(p) || byPlace(p, q))
    .map((slope) => {
      const plane = regionOf(slope.outline)
      const region = intersection(rest, plane)
      if (!isEmpty(region)) rest = difference(rest, plane)
      return { region, slope }
    })
  return [{ region: rest, slope: null }, ...lying]
}

const middleHeight = (slope: SlopeShape): number => heightOn(slope, centroid([slope.outline]))

/** What strips of the panel run through: the outline, or the outline less openings where these interrupt the span; no plate bridges one. */
export const stripOutline = ({ panel, outline, net }: PanelPlan): Region =>
  panel.openings === 'interrupting' || panel.sharing === 'stiffness' ? net : outline
