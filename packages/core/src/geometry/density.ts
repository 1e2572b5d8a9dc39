import { largest, smallest } from '../outcome/lists'
import type { Point } from './point'
import { eachEdge, type Region } from './polygon'

/** A load per area that varies linearly over the plan: value at a point, and how it grows along X and Y per metre. */
export interface Density {
  /** Near the load: far from it values would be differences of large numbers. */
  readonly at: Point
  readonly value: number
  readonly grows: Point
}

/** One unit everywhere. */
export const even: Density = { at: [0, 0], value: 1, grows: [0, 0] }

export const isEven = ({ grows }: Density): boolean => grows[0] === 0 && grows[1] === 0

export const densityAt = ({ at, value, grows }: Density, [x, y]: Point): number =>
  value + grows[0] * (x - at[0]) + grows[1] * (y - at[1])

/** The density that runs from one value to another between two places along a direction (angle from X). */
export function densityAlong(
  region: Region,
  angle: number,
  [start, end]: readonly [start: number, end: number],
): Density {
  const way: Point = [Math.cos(angle), Math.sin(angle)]
  const corners = region.flat()
  const places = corners.map(([x, y]) => x * way[0] + y * way[1])
  const [from, to] = [smallest(places), largest(places)]
  const first = corners[places.indexOf(from)] ?? [0, 0]
  if (!(to > from) || start === end) return { at: first, value: start, grows: [0, 0] }
  const slope = (end - start) / (to - from)
  return { at: first, value: start, grows: [slope * way[0], slope * way[1]] }
}

/** Force of a load over a region and its first moments about the axes: exact, by the sides of the region. */
export function loadOver(region: Region, density: Density): { readonly force: number; readonly moments: Point } {
  // about a corner of its own: about a point far away all of it would be differences of large numbers
  const about = region[0]?.[0] ?? density.at
  const [x0, y0] = about
  let [area, sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0, 0]
  for (const ring of region)
    eachEdge(ring, (p, q) => {
      const [ax, ay, bx, by] = [p[0] - x0, p[1] - y0, q[0] - x0, q[1] - y0]
      const cross = ax * by - bx * ay
      area += cross / 2
      sx += ((ax + bx) * cross) / 6
      sy += ((ay + by) * cross) / 6
      sxx += ((ax * ax + ax * bx + bx * bx) * cross) / 12
      sxy += ((ax * by + 2 * ax * ay + 2 * bx * by + bx * ay) * cross) / 24
      syy += ((ay * ay + ay * by + by * by) * cross) / 12
    })
  const value = densityAt(density, about)
  const [gx, gy] = density.grows
  const force = value * area + gx * sx + gy * sy
  return {
    force,
    moments: [force * x0 + value * sx + gx * sxx + gy * sxy, force * y0 + value * sy + gx * sxy + gy * syy],
  }
}
