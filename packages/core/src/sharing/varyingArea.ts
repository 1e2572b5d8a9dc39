import { lyingIn, type PanelPlan } from '../building/panelRegions'
import { areaStretch } from '../building/slopes'
import type { AreaLoadShape, SlopeShape } from '../document/shapes'
import { difference, intersection, regionOf } from '../geometry/clip'
import type { Point } from '../geometry/point'
import { regionArea, regionMoments, type Region } from '../geometry/polygon'
import { addLines } from './addLines'
import { groundOf, sharerOf, type Standing } from './ground'
import { emptyShare, sumOfShares, type Share } from './share'

/** A load that varies is followed in so many bands, each even at its own mean: force exact, moments to a thousandth. */
const bandCount = 24

/** Areas below this are what clipping leaves, m². */
const rounding = 1e-9

/** Of a load square to a slope: what the slope turns sideways. */
export interface Sideways {
  /** Horizontal force per vertical force, in global axes: uphill, as steep as the slope. */
  readonly push: Point
  /** The vertical force on the slope, which members take as they take what is sideways. */
  readonly share: Share
}

export interface AreaShare {
  readonly share: Share
  readonly sideways: readonly Sideways[]
}

interface Piece {
  readonly region: Region
  readonly slope: SlopeShape | null
  readonly area: number
  readonly moments: Point
  /** Mean of the part of the way that lies behind it: 0 where the outline begins, 1 where it ends. */
  readonly t: number
  /** Vertical force per area of plan and unit of pressure. */
  readonly down: number
}

/**
 * What one unit of pressure at the beginning of an area load puts on members, falling to nothing at its end; then one that rises
 * from nothing to one unit. Each panel under it shares its part by its own rule. Square to a slope a pressure on its true area brings as
 * much vertical force per area of plan, and its tangent of that uphill.
 */
export const shareVaryingArea = (
  { outline, angle, measured }: AreaLoadShape,
  plans: readonly PanelPlan[],
  standing: Standing,
  slopes: readonly SlopeShape[],
): readonly [falling: AreaShare, rising: AreaShare] =>
  shareVaryingRegion({ region: regionOf(outline), angle, measured }, plans, standing, slopes)

/** What a load that varies lies on: it begins and ends with the region along the angle. */
export interface VaryingRegion extends Pick<AreaLoadShape, 'angle' | 'measured'> {
  readonly region: Region
}

/** The same for a region that may have holes. */
export function shareVaryingRegion(
  load: VaryingRegion,
  plans: readonly PanelPlan[],
  standing: Standing,
  slopes: readonly SlopeShape[],
): readonly [falling: AreaShare, rising: AreaShare] {
  const bands = bandsOf(load, slopes)
  const sharers = plans.map((plan) => [plan, sharerOf(groundOf(plan, standing))] as const)
  const shared = bands.flatMap((band) => {
    // where panels overlap, which is a concern of its own, the first of them takes it
    let rest = band.region
    return sharers.flatMap(([plan, sharer]): readonly Shared[] => {
      const piece = band.of(intersection(rest, plan.net))
      if (piece.area <= rounding) return []
      rest = difference(rest, plan.net)
      return [{ ...piece, share: sharer.area(piece.region) }]
    })
  })
  const weighed = (weight: (t: number) => number): AreaShare => ({
    share: sumOf(bands, shared, weight, standing),
    sideways: (load.measured === 'square' ? slopes : []).flatMap((slope): readonly Sideways[] => {
      const on = <P extends Piece>(pieces: readonly P[]) => pieces.filter((piece) => piece.slope === slope)
      const share = sumOf(on(bands), on(shared), weight, standing)
      const steep = Math.tan(slope.pitch)
      const push: Point = [steep * Math.cos(slope.uphill), steep * Math.sin(slope.uphill)]
      return share.applied <= rounding ? [] : [{ push, share }]
    }),
  })
  return [weighed((t) => 1 - t), weighed((t) => t)]
}

interface Band extends Piece {
  /** The same of a part of its region. */
  readonly of: (region: Region) => Piece
}

type Shared = Piece & { readonly share: Share }

/** Bands across the way of a load, each cut where it goes from slope to slope. */
function bandsOf({ region: all, angle, measured }: VaryingRegion, slopes: readonly SlopeShape[]): readonly Band[] {
  const way: Point = [Math.cos(angle), Math.sin(angle)]
  const along = ([x, y]: Point) => x * way[0] + y * way[1]
  const points = all.flat()
  const places = points.map(along)
  const [from, to] = [Math.min(...places), Math.max(...places)]
  return Array.from({ length: bandCount }, (_, i) => intersection(all, regionOf(bandAcross(points, way, from, to, i))))
    .flatMap((region) => lyingIn(region, slopes))
    .map(({ region: whole, slope }) => {
      const down = measured === 'slope' && slope ? areaStretch(slope) : 1
      const of = (region: Region): Piece => {
        const [area, moments] = [regionArea(region), regionMoments(region)]
        const t = area <= rounding ? 0 : (along(moments) / area - from) / (to - from)
        return { region, slope, area, moments, t, down }
      }
      return { ...of(whole), of }
    })
}

/** Pieces as one load, each by its weight. */
function sumOf(
  bands: readonly Piece[],
  shared: readonly Shared[],
  weight: (t: number) => number,
  { carriers }: Standing,
): Share {
  let [applied, mx, my] = [0, 0, 0]
  for (const { area, moments, t, down } of bands) {
    applied += weight(t) * down * area
    mx += weight(t) * down * moments[0]
    my += weight(t) * down * moments[1]
  }
  const onPanels = shared.reduce((total, { t, down, area }) => total + weight(t) * down * area, 0)
  // clipping rounds corners: pieces may come to a hair more than the whole
  const part = Math.min(1, applied / Math.max(onPanels, Number.MIN_VALUE))
  const sum = sumOfShares(
    { ...emptyShare, applied, appliedMoments: [mx, my] },
    shared.map(({ t, down, share }) => [share, weight(t) * down * part] as const),
  )
  const beside = Math.max(0, applied - onPanels)
  return {
    ...sum,
    lines: addLines(sum.lines, carriers),
    notCarried: sum.notCarried + (beside > 1e-12 * applied ? beside : 0),
  }
}

/** A band of equal width across the way, wider than the outline. */
function bandAcross(outline: readonly Point[], [ux, uy]: Point, from: number, to: number, i: number): readonly Point[] {
  const across = outline.map(([x, y]) => y * ux - x * uy)
  const [left, right] = [Math.min(...across) - 1, Math.max(...across) + 1]
  const [a, b] = [i, i + 1].map((k) => from + ((to - from) * k) / bandCount) as [number, number]
  const at = (s: number, n: number): Point => [s * ux - n * uy, s * uy + n * ux]
  return [at(a, left), at(b, left), at(b, right), at(a, right)]
}
