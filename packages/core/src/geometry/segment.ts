import type { Point } from './point'

export const distance = (a: Point, b: Point): number => Math.hypot(b[0] - a[0], b[1] - a[1])

export const along = (a: Point, b: Point, s: number): Point => {
  const length = distance(a, b)
  const t = length === 0 ? 0 : s / length
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
}

/**
 * Where the line through p along u meets the line through q along v; undefined where their vectors span less than `least`, so that
 * they run side by side.
 */
export function crossing(p: Point, u: Point, q: Point, v: Point, least: number): Point | undefined {
  const across = u[0] * v[1] - u[1] * v[0]
  if (Math.abs(across) < least) return undefined
  const t = ((q[0] - p[0]) * v[1] - (q[1] - p[1]) * v[0]) / across
  return [p[0] + t * u[0], p[1] + t * u[1]]
}

/** Where a point lies relative to a line: along it, and beside it (left positive). */
export interface Beside {
  readonly s: number
  readonly off: number
}

/** Where along a line one passes over it on the way between two points: nowhere where both are on one side. */
export const passing = (from: Beside, to: Beside): readonly number[] =>
  from.off > 0 !== to.off > 0 ? [from.s + ((to.s - from.s) * from.off) / (from.off - to.off)] : []

/** Where a point lies relative to the line through a and b: s along it from a, off beside it (left positive). */
export function project(a: Point, b: Point, p: Point): Beside {
  const length = distance(a, b)
  const [ux, uy] = length === 0 ? [1, 0] : [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
  const [dx, dy] = [p[0] - a[0], p[1] - a[1]]
  return { s: dx * ux + dy * uy, off: dy * ux - dx * uy }
}

/** Where along the segment a–b a point lies that is within a tolerance of it, held between its ends; undefined beside it. */
export function footOn(a: Point, b: Point, p: Point, tolerance: number): number | undefined {
  const length = distance(a, b)
  const { s, off } = project(a, b, p)
  const meets = Math.abs(off) <= tolerance && s >= -tolerance && s <= length + tolerance
  return meets ? Math.min(Math.max(s, 0), length) : undefined
}

/** The part of segment p–q that lies on the line a–b within a tolerance, as an interval along a–b. */
export function overlapOn(
  a: Point,
  b: Point,
  p: Point,
  q: Point,
  tolerance: number,
): { readonly from: number; readonly to: number } | undefined {
  const length = distance(a, b)
  const first = project(a, b, p)
  const second = project(a, b, q)
  if (Math.abs(first.off) > tolerance || Math.abs(second.off) > tolerance) return undefined
  const from = Math.max(0, Math.min(first.s, second.s))
  const to = Math.min(length, Math.max(first.s, second.s))
  return to - from > tolerance ? { from, to } : undefined
}
