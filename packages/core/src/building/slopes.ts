import { pushAll, smallest } from '../outcome/lists'
import type { SlopeShape } from '../document/shapes'
import type { Leg } from '../geometry/course'
import type { Point } from '../geometry/point'
import { eachEdge, touches } from '../geometry/polygon'
import { along, distance, passing, project } from '../geometry/segment'
import { onLine, samePoint } from '../geometry/tolerance'

/** Distance of a point uphill, m. */
const uphillOf = ({ uphill }: SlopeShape, [x, y]: Point): number => x * Math.cos(uphill) + y * Math.sin(uphill)

/** Height of the plane of a slope over its level at a point of the plan, m. */
export function heightOn(slope: SlopeShape, at: Point): number {
  const lowest = smallest(slope.outline.map((corner) => uphillOf(slope, corner)))
  return slope.eaves + Math.tan(slope.pitch) * (uphillOf(slope, at) - lowest)
}

/** The slope in which a point lies, its border counted in: the highest there. Of two of one height the first: their planes meet there. */
export function slopeAt(slopes: readonly SlopeShape[], at: Point): SlopeShape | null {
  let found: SlopeShape | null = null
  for (const slope of slopes)
    if (touches([slope.outline], at) && (found === null || heightOn(slope, at) > heightOn(found, at) + samePoint))
      found = slope
  return found
}

/** Height of the roof over its level at a point of the plan, m; 0 where no slope is. */
export function heightAt(slopes: readonly SlopeShape[], at: Point): number {
  const slope = slopeAt(slopes, at)
  return slope ? heightOn(slope, at) : 0
}

/** True area of a slope per area in plan. */
export const areaStretch = ({ pitch }: SlopeShape): number => 1 / Math.cos(pitch)

/** How a plane lies: the way uphill, from global X, and true length uphill per length in plan. */
export interface RoofPlane {
  readonly uphill: number
  readonly stretch: number
}

export const planeOf = (slope: SlopeShape): RoofPlane => ({ uphill: slope.uphill, stretch: areaStretch(slope) })

/** Part of a line in plan that lies in one slope, or in none; `stretch` is true length per length in plan. */
export interface Stretch {
  readonly s0: number
  readonly s1: number
  readonly stretch: number
}

/** A line in plan, cut where it goes from slope to slope. */
export function stretchesOf(slopes: readonly SlopeShape[], a: Point, b: Point): readonly Stretch[] {
  const bearing = Math.atan2(b[1] - a[1], b[0] - a[0])
  return partsBySlope(slopes, a, b).map(({ s0, s1, slope }) => {
    const rise = slope ? Math.tan(slope.pitch) * Math.cos(bearing - slope.uphill) : 0
    return { s0, s1, stretch: Math.hypot(1, rise) }
  })
}

/** The same along a line of several pieces, cut at its bends as well. */
export const stretchesAlong = (slopes: readonly SlopeShape[], legs: readonly Leg[]): readonly Stretch[] =>
  legs.flatMap(({ a, b, from }) =>
    stretchesOf(slopes, a, b).map(({ s0, s1, stretch }) => ({ s0: from + s0, s1: from + s1, stretch })),
  )

/** Part of a line in plan with the slope that it lies in; null on the level. */
export interface LinePart {
  readonly s0: number
  readonly s1: number
  readonly middle: Point
  readonly slope: SlopeShape | null
}

/** The parts of a line in plan with the slope that each lies in: that of its middle, so that a step falls to neither by chance. */
export function partsBySlope(slopes: readonly SlopeShape[], a: Point, b: Point): readonly LinePart[] {
  const length = distance(a, b)
  const stops = [0, ...bordersOn(slopes, a, b, length), length].sort((p, q) => p - q)
  return stops.slice(1).flatMap((s1, i): LinePart[] => {
    const s0 = stops[i] ?? 0
    // without slopes a line is one part, however short
    if (slopes.length > 0 && s1 - s0 < 1e-9) return []
    const middle = along(a, b, (s0 + s1) / 2)
    return [{ s0, s1, middle, slope: slopeAt(slopes, middle) }]
  })
}

function bordersOn(slopes: readonly SlopeShape[], a: Point, b: Point, length: number): readonly number[] {
  const found: number[] = []
  for (const { outline } of slopes)
    eachEdge(outline, (p, q) => {
      const [from, to] = [project(a, b, p), project(a, b, q)]
      // a line along a verge meets the ridge at a corner
      if (Math.abs(from.off) <= onLine) found.push(from.s)
      pushAll(found, passing(from, to))
    })
  return found.filter((s) => s > samePoint && s < length - samePoint)
}

/** True length of a line in plan, m. */
export const trueLength = (stretches: readonly Stretch[]): number =>
  stretches.reduce((sum, { s0, s1, stretch }) => sum + (s1 - s0) * stretch, 0)

/** How far along its true length a member is at s in plan, m. */
export const trueAlong = (stretches: readonly Stretch[], s: number): number =>
  stretches.reduce((sum, { s0, s1, stretch }) => sum + Math.max(0, Math.min(s, s1) - s0) * stretch, 0)

/** Mean height of the roof over a line in plan, m: along each slope it rises evenly. */
export function meanHeight(slopes: readonly SlopeShape[], a: Point, b: Point): number {
  const length = distance(a, b)
  if (slopes.length === 0 || length === 0) return heightAt(slopes, a)
  return partsBySlope(slopes, a, b).reduce(
    (sum, { s0, s1, middle, slope }) => (slope ? sum + (heightOn(slope, middle) * (s1 - s0)) / length : sum),
    0,
  )
}

/** How far a column rises: its storey, with what the roof climbs over it less what it climbs where it stands, m; never below 0. */
export const columnRise = (
  storeyHeight: number,
  slopes: readonly SlopeShape[],
  slopesBelow: readonly SlopeShape[],
  top: Point,
  foot: Point,
): number => Math.max(0, storeyHeight + heightAt(slopes, top) - heightAt(slopesBelow, foot))
