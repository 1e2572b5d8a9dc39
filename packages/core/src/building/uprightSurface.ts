import type { SlopeShape, WallSurfaceShape } from '../document/shapes'
import { difference, regionOf } from '../geometry/clip'
import type { Point } from '../geometry/point'
import { type Region, type Ring } from '../geometry/polygon'
import { along, distance } from '../geometry/segment'
import { samePoint } from '../geometry/tolerance'
import { heightOn, partsBySlope } from './slopes'
import type { WallSegment } from './wallSegments'

/**
 * One straight stretch of an upright surface in its own plane: u along it from its start, v upwards from its level, m. All
 * regions in that plane are drawn in these two.
 */
export interface UprightSurface {
  /** Its border with what rises past the level, openings not taken off. */
  readonly outline: Ring
  /** Less its openings. */
  readonly net: Region
  /** Height of its foot, less than 0. */
  readonly foot: number
  /** The line of its level, or of the roof over it, from its start to its end. */
  readonly edge: readonly UprightPiece[]
}

/** A straight line in the plane of a surface. */
export interface UprightPiece {
  readonly a: Point
  readonly b: Point
}

/** A straight line in plan over which a roof rises, as it lies in the plane over a–b: cut where it goes from slope to slope. */
export function edgeOver(slopes: readonly SlopeShape[], a: Point, b: Point): readonly UprightPiece[] {
  return partsBySlope(slopes, a, b).map(({ s0, s1, slope }): UprightPiece => {
    const high = (s: number) => (slope ? heightOn(slope, along(a, b, s)) : 0)
    return { a: [s0, high(s0)], b: [s1, high(s1)] }
  })
}

/**
 * @param foot - height of its foot from the level, less than 0
 * @param before - length of the path before the stretch, from which openings are measured
 */
export function uprightSurface(
  { above, openings }: WallSurfaceShape,
  { a, b }: WallSegment,
  slopes: readonly SlopeShape[],
  foot: number,
  before: number,
): UprightSurface {
  const length = distance(a, b)
  const edge = edgeOver(slopes, a, b)
  const top = edge.flatMap((piece) => [piece.a, piece.b]).map(([u, v]): Point => [u, Math.max(v + above, foot)])
  const outline = withoutRepeats([[0, foot], [length, foot], ...top.reverse()])
  const net = openings.reduce<Region>((rest, opening) => {
    const [from, to] = [opening.along - before, opening.along - before + opening.width]
    if (to <= 0 || from >= length) return rest
    const [low, high] = [foot + opening.sill, foot + opening.sill + opening.height]
    const rectangle: Ring = [
      [from, low],
      [to, low],
      [to, high],
      [from, high],
    ]
    return difference(rest, [rectangle])
  }, regionOf(outline))
  return { outline, net, foot, edge }
}

const withoutRepeats = (ring: Ring): Ring =>
  ring.filter((at, i) => {
    const next = ring[(i + 1) % ring.length]
    return next === undefined || distance(at, next) > samePoint
  })
