import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'

/** A line load per length at the two ends of the line, straight between them. */
export type Ends = readonly [start: number, end: number]

export const evenEnds: Ends = [1, 1]

/** At a part of the length, 0 to 1. */
export const endsAt = ([start, end]: Ends, t: number): number => start + (end - start) * t

/** Of the line between two parts of its length. */
export const endsBetween = (ends: Ends, from: number, to: number): Ends => [endsAt(ends, from), endsAt(ends, to)]

/** Force of a line load along a–b, and its first moments about the axes. */
export function loadAlong(a: Point, b: Point, ends: Ends): { readonly force: number; readonly moments: Point } {
  const length = distance(a, b)
  const [atA, atB] = [(length * (2 * ends[0] + ends[1])) / 6, (length * (ends[0] + 2 * ends[1])) / 6]
  return { force: atA + atB, moments: [atA * a[0] + atB * b[0], atA * a[1] + atB * b[1]] }
}
