import type { PanelPlan } from '../building/panelRegions'
import type { AreaLoadShape } from '../document/shapes'
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

interface Piece {
  readonly region: Region
  readonly area: number
  readonly moments: Point
  /** Mean of the part of the way that lies behind it: 0 where the outline begins, 1 where it ends. */
  readonly t: number
}

/**
 * What one unit of pressure at the beginning of an area load puts on members, falling to nothing at its end; then one that rises
 * from nothing to one unit. Each panel under it shares its part by its own rule.
 */
export function shareVaryingArea(
  { outline, angle }: AreaLoadShape,
  plans: readonly PanelPlan[],
  standing: Standing,
): readonly [falling: Share, rising: Share] {
  const way: Point = [Math.cos(angle), Math.sin(angle)]
  const along = ([x, y]: Point) => x * way[0] + y * way[1]
  const places = outline.map(along)
  const [from, to] = [Math.min(...places), Math.max(...places)]
  const pieceOf = (region: Region): Piece => {
    const [area, moments] = [regionArea(region), regionMoments(region)]
    return { region, area, moments, t: area <= rounding ? 0 : (along(moments) / area - from) / (to - from) }
  }
  const bands = Array.from({ length: bandCount }, (_, i) =>
    pieceOf(intersection(regionOf(outline), regionOf(bandAcross(outline, way, from, to, i)))),
  )
  const sharers = plans.map((plan) => [plan, sharerOf(groundOf(plan, standing))] as const)
  const shared = bands.flatMap((band) => {
    // where panels overlap, which is a concern of its own, the first of them takes it
    let rest = band.region
    return sharers.flatMap(([plan, sharer]) => {
      const piece = pieceOf(intersection(rest, plan.net))
      if (piece.area <= rounding) return []
      rest = difference(rest, plan.net)
      return [[piece, sharer.area(piece.region)] as const]
    })
  })
  const weighed = (weight: (t: number) => number): Share => {
    let [applied, mx, my] = [0, 0, 0]
    for (const { area, moments, t } of bands) {
      applied += weight(t) * area
      mx += weight(t) * moments[0]
      my += weight(t) * moments[1]
    }
    const whole: Share = { ...emptyShare, applied, appliedMoments: [mx, my] }
    const sum = sumOfShares(
      whole,
      shared.map(([{ t }, share]) => [share, weight(t)] as const),
    )
    const onPanels = shared.reduce((total, [{ t, area }]) => total + weight(t) * area, 0)
    const beside = Math.max(0, applied - onPanels)
    return {
      ...sum,
      lines: addLines(sum.lines, standing.carriers),
      notCarried: sum.notCarried + (beside > rounding ? beside : 0),
    }
  }
  return [weighed((t) => 1 - t), weighed((t) => t)]
}

/** A band of equal width across the way, wider than the outline. */
function bandAcross(outline: readonly Point[], [ux, uy]: Point, from: number, to: number, i: number): readonly Point[] {
  const across = outline.map(([x, y]) => y * ux - x * uy)
  const [left, right] = [Math.min(...across) - 1, Math.max(...across) + 1]
  const [a, b] = [i, i + 1].map((k) => from + ((to - from) * k) / bandCount) as [number, number]
  const at = (s: number, n: number): Point => [s * ux - n * uy, s * uy + n * ux]
  return [at(a, left), at(b, left), at(b, right), at(a, right)]
}
