import type { Point } from './point'
import { along, distance, footOn } from './segment'
import { samePoint } from './tolerance'

/** One straight piece of a line through points: from how far along the whole line it goes, and how long it is. */
export interface Leg {
  readonly a: Point
  readonly b: Point
  readonly from: number
  readonly length: number
}

/** The straight pieces of a line through points; points that repeat make none, and its ends stay where they are. */
export function legsOf(points: readonly Point[]): readonly Leg[] {
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last || points.length < 2) return []
  const kept = [first]
  for (const point of points.slice(1, -1))
    if (distance(kept.at(-1) ?? first, point) > samePoint && distance(point, last) > samePoint) kept.push(point)
  let from = 0
  return [...kept.slice(1), last].flatMap((b, i): readonly Leg[] => {
    const a = kept[i] ?? first
    const leg = { a, b, from, length: distance(a, b) }
    from += leg.length
    return leg.length > samePoint ? [leg] : []
  })
}

export const lengthOfLegs = (legs: readonly Leg[]): number => legs.reduce((sum, { length }) => sum + length, 0)

/** The piece in which a place along the line lies; where two meet the earlier one. Beyond the ends it is the last or first. */
const legAt = (legs: readonly Leg[], s: number): Leg | undefined =>
  legs.find(({ from, length }) => s <= from + length) ?? legs.at(-1)

/** The point at a place along the line; beyond an end it goes straight on. */
export function pointAlong(legs: readonly Leg[], s: number): Point {
  const leg = legAt(legs, s)
  return leg ? along(leg.a, leg.b, s - leg.from) : [0, 0]
}

/** Where along the line a point lies that is within a tolerance of it; a line that bends back may pass it more than once. */
export function feetAlong(legs: readonly Leg[], p: Point, tolerance: number): readonly number[] {
  const feet: { readonly s: number; readonly gap: number }[] = []
  for (const { a, b, from } of legs) {
    const foot = footOn(a, b, p, tolerance)
    if (foot === undefined) continue
    const found = { s: from + foot, gap: distance(p, along(a, b, foot)) }
    // where two pieces meet they find it both: the nearer one counts
    const same = feet.findIndex(({ s }) => Math.abs(s - found.s) <= 2 * tolerance)
    const known = feet[same]
    if (!known) feet.push(found)
    else if (found.gap < known.gap) feet[same] = found
  }
  return feet.map(({ s }) => s)
}

/** The parts of an interval along the line that lie in one piece each. */
export const cutAtBends = (
  legs: readonly Leg[],
  s0: number,
  s1: number,
): readonly { readonly leg: Leg; readonly s0: number; readonly s1: number }[] =>
  legs.flatMap((leg, i) => {
    const from = i === 0 ? s0 : Math.max(s0, leg.from)
    const to = i === legs.length - 1 ? s1 : Math.min(s1, leg.from + leg.length)
    return to > from ? [{ leg, s0: from, s1: to }] : []
  })

/** Length of a line through points. */
export const lengthAlong = (points: readonly Point[]): number => lengthOfLegs(legsOf(points))

/** Half way along a line through points. */
export function middleAlong(points: readonly Point[]): Point {
  const legs = legsOf(points)
  return legs.length === 0 ? (points[0] ?? [0, 0]) : pointAlong(legs, lengthOfLegs(legs) / 2)
}
