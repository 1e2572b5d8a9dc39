import { pointAlong, type Leg } from '../geometry/course'
import type { Point } from '../geometry/point'
import { crossing, footOn, overlapOn, project } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'

/** A bearing wall hands down in stretches no longer than this, each as an even line load (1 m). */
export const longestStretch = 1

/** One straight piece of a bearing wall that hands down what lands on it. */
export interface Stretch {
  /** Along the wall from its start, m. */
  readonly s0: number
  readonly s1: number
  readonly a: Point
  readonly b: Point
}

/** Equal stretches of every straight piece of a wall. */
export const stretchesOf = (legs: readonly Leg[]): readonly Stretch[] =>
  legs.flatMap(({ from, length }) => {
    // what turning and adding lengths leaves behind makes no further stretch
    const count = Math.max(1, Math.ceil(length / longestStretch - 1e-6))
    return Array.from({ length: count }, (_, k): Stretch => {
      const [s0, s1] = [from + (length * k) / count, from + (length * (k + 1)) / count]
      return { s0, s1, a: pointAlong(legs, s0), b: pointAlong(legs, s1) }
    })
  })

/** What of a trapezoid of line load lies on each stretch: each takes what stands on it, without a lever. */
export const stretchForces = (
  stretches: readonly Stretch[],
  { s0, s1, q0, q1 }: { readonly s0: number; readonly s1: number; readonly q0: number; readonly q1: number },
): readonly number[] => {
  const at = (s: number) => q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)
  return stretches.map((stretch, k) => {
    // what hangs past an end by the tolerance of a drawing belongs to the end
    const from = Math.max(s0, k === 0 ? -Infinity : stretch.s0)
    const to = Math.min(s1, k === stretches.length - 1 ? Infinity : stretch.s1)
    return to > from ? ((at(from) + at(to)) / 2) * (to - from) : 0
  })
}

/** A place between two stretches belongs to both by halves; m. */
const between = 1e-6

/** What each stretch takes of a force at s. */
export function stretchPoint(stretches: readonly Stretch[], s: number, force: number): readonly number[] {
  const end = stretches.at(-1)?.s1 ?? 0
  const held = Math.min(Math.max(s, 0), end)
  const takers = stretches.filter(({ s0, s1 }) => held >= s0 - between && held <= s1 + between)
  return stretches.map((stretch) => (takers.includes(stretch) ? force / takers.length : 0))
}

/** A place where a beam lies on a wall: along the beam, and along the wall. */
export interface PlaceOnWall {
  readonly s: number
  readonly at: number
}

/** Where a beam lies on a wall: where they cross or touch, or, along it, in the middle of each stretch. */
export function placesOnWall(
  legs: readonly Leg[],
  wall: { readonly legs: readonly Leg[]; readonly stretches: readonly Stretch[] },
): readonly PlaceOnWall[] {
  const found = legs.flatMap((leg) => wall.legs.flatMap((under) => meetings(leg, under, wall.stretches)))
  // a corner of the wall is met by both of its pieces, a place where it crosses itself twice; others that are near each other act as
  // one (`Station`)
  return groupsOf(
    [...found].sort((p, q) => p.s - q.s || p.at - q.at),
    ({ s }) => s,
    between,
  ).flatMap((there) =>
    groupsOf(
      [...there].sort((p, q) => p.at - q.at),
      ({ at }) => at,
      onLine,
    ).map(middleOf),
  )
}

/** Rising things, parted where the next is farther than a gap. */
export function groupsOf<T>(rising: readonly T[], of: (thing: T) => number, gap: number): readonly (readonly T[])[] {
  const groups: T[][] = []
  rising.forEach((thing, i) => {
    const before = rising[i - 1]
    if (before !== undefined && of(thing) - of(before) <= gap) groups.at(-1)?.push(thing)
    else groups.push([thing])
  })
  return groups
}

const middleOf = (places: readonly PlaceOnWall[]): PlaceOnWall => {
  const mean = (of: (place: PlaceOnWall) => number) => places.reduce((sum, place) => sum + of(place), 0) / places.length
  return { s: mean(({ s }) => s), at: mean(({ at }) => at) }
}

function meetings(leg: Leg, under: Leg, stretches: readonly Stretch[]): readonly PlaceOnWall[] {
  const overlap = overlapOn(under.a, under.b, leg.a, leg.b, onLine)
  if (overlap) {
    const [from, to] = [under.from + overlap.from, under.from + overlap.to]
    const middles = stretches.map(({ s0, s1 }) => (s0 + s1) / 2).filter((at) => at >= from && at <= to)
    return (middles.length > 0 ? middles : [(from + to) / 2]).map((at) => ({
      s: leg.from + project(leg.a, leg.b, pointAlong([under], at)).s,
      at,
    }))
  }
  const ways = [leg, under].map(({ a, b }): Point => [b[0] - a[0], b[1] - a[1]])
  const met = crossing(leg.a, ways[0] ?? [0, 0], under.a, ways[1] ?? [0, 0], 1e-9)
  const s = met && footOn(leg.a, leg.b, met, onLine)
  const at = met && footOn(under.a, under.b, met, onLine)
  return s === undefined || at === undefined ? [] : [{ s: leg.from + s, at: under.from + at }]
}
