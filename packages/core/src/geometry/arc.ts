import type { Point } from './point'
import { distance, project } from './segment'
import { onLine } from './tolerance'

/** A turn of at most so much to a chord where a curve is followed by straight pieces. */
export const chordTurn = Math.PI / 18

/** Points between two ends of an arc, for its bulge: the tangent of a quarter of its turn, positive where it turns left. */
export function arcBetween([ax, ay]: Point, [bx, by]: Point, bulge: number, least = 1): readonly Point[] {
  const turn = 4 * Math.atan(bulge)
  const parts = Math.max(least, Math.ceil(Math.abs(turn) / chordTurn - 1e-9))
  // the centre lies beside the middle of the chord
  const reach = (1 / bulge - bulge) / 4
  const [cx, cy] = [(ax + bx) / 2 - (by - ay) * reach, (ay + by) / 2 + (bx - ax) * reach]
  const [radius, from] = [Math.hypot(ax - cx, ay - cy), Math.atan2(ay - cy, ax - cx)]
  return Array.from({ length: parts - 1 }, (_, i): Point => {
    const angle = from + (turn * (i + 1)) / parts
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)]
  })
}

/** The part of the line between its ends that an arc may rise by: twice a half circle. */
export const mostRise = 1

/** Of an arc at most so many straight pieces. */
const mostParts = 40

/**
 * From end to end along an arc that rises so far to the left of the line between them, m; straight for 0. Its pieces turn by 10
 * degrees at most and keep within the tolerance on a line of the arc, as far as 40 of them do.
 */
export function arcPath(a: Point, b: Point, rise: number): readonly Point[] {
  const length = distance(a, b)
  if (rise === 0 || length === 0) return [a, b]
  // one of n pieces of a shallow arc rises by the n²th part of it
  const least = Math.min(mostParts, Math.ceil(Math.sqrt(Math.abs(rise) / onLine)))
  // an arc that lies at the left of its chord turns right
  return [a, ...arcBetween(a, b, (-2 * rise) / length, least), b]
}

/** How far a path rises to the left of the line between its ends where it is an arc or straight; null where it is neither, as with one corner between. */
export function riseOf(path: readonly Point[], tolerance: number): number | null {
  const [a, b] = [path[0], path.at(-1)]
  if (!a || !b || distance(a, b) <= tolerance) return null
  const offs = path.map((point) => project(a, b, point).off)
  if (offs.every((off) => Math.abs(off) <= tolerance)) return 0
  const length = distance(a, b)
  const rises = path.slice(1, -1).flatMap((point) => {
    const { s, off } = project(a, b, point)
    // the circle through both ends and a point beside the chord
    const up = (s * (s - length) + off * off) / (2 * off)
    const radius = Math.hypot(length / 2, up)
    return Math.abs(off) <= 1e-9 ? [] : [up + Math.sign(off) * radius]
  })
  if (rises.length === 1) return null
  const [first = 0] = rises
  return rises.every((rise) => Math.abs(rise - first) <= tolerance) ? first : null
}
