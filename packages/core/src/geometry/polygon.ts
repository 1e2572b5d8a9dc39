import type { Point } from './point'
import { along, distance, project } from './segment'
import { onLine } from './tolerance'

export type Ring = readonly Point[]

/** An area with holes as a flat set of rings: the even-odd rule says what is inside. */
export type Region = readonly Ring[]

/** Shoelace formula; positive for counter-clockwise rings. */
export function signedArea(ring: Ring): number {
  let twice = 0
  eachEdge(ring, ([ax, ay], [bx, by]) => {
    twice += ax * by - bx * ay
  })
  return twice / 2
}

export function eachEdge(ring: Ring, visit: (a: Point, b: Point, index: number) => void): void {
  for (let i = 0; i < ring.length; i++) {
    const a = ring[i]
    const b = ring[(i + 1) % ring.length]
    if (a && b) visit(a, b, i)
  }
}

/** Rings as clipping leaves them: outer rings counter-clockwise, holes clockwise, so that signed areas add up. */
export const regionArea = (region: Region): number => region.reduce((sum, ring) => sum + signedArea(ring), 0)

/** First moments of area about the axes: [∫x dA, ∫y dA]. */
export function regionMoments(region: Region): Point {
  let mx = 0
  let my = 0
  for (const ring of region)
    eachEdge(ring, ([ax, ay], [bx, by]) => {
      const cross = ax * by - bx * ay
      mx += ((ax + bx) * cross) / 6
      my += ((ay + by) * cross) / 6
    })
  return [mx, my]
}

export const counterClockwise = (ring: Ring): Ring => (signedArea(ring) < 0 ? [...ring].reverse() : ring)

/** The ring without points at which it goes straight on (within a micrometre). */
export const corners = (ring: Ring): Ring =>
  ring.filter((p, i) => {
    const [before, after] = [ring[(i + ring.length - 1) % ring.length] ?? p, ring[(i + 1) % ring.length] ?? p]
    const off = Math.abs(side(before, after, p))
    return off > 1e-6 * Math.hypot(after[0] - before[0], after[1] - before[1])
  })

export interface Box {
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

export function boxOf(points: Iterable<Point>): Box {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity]
  // taking points apart by their iterator would be most of the work
  for (const point of points) {
    const x = point[0]
    const y = point[1]
    if (x < x0) x0 = x
    if (y < y0) y0 = y
    if (x > x1) x1 = x
    if (y > y1) y1 = y
  }
  return { x0, y0, x1, y1 }
}

export const boxesTouch = (a: Box, b: Box, by = 0): boolean =>
  a.x0 <= b.x1 + by && b.x0 <= a.x1 + by && a.y0 <= b.y1 + by && b.y0 <= a.y1 + by

/** Whether a point lies inside (even-odd rule); points on the edge may go either way. */
export function contains(region: Region, [x, y]: Point): boolean {
  let inside = false
  for (const ring of region)
    eachEdge(ring, ([ax, ay], [bx, by]) => {
      if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside
    })
  return inside
}

/** Whether a point lies inside or on the border, within the tolerance of a setting-out. */
export const touches = (region: Region, [x, y]: Point): boolean =>
  [0, onLine, -onLine].some((dx) => [0, onLine, -onLine].some((dy) => contains(region, [x + dx, y + dy])))

/** The point of the border that is nearest to a point, and how far off it is. */
export function nearestOnBorder(region: Region, p: Point): { readonly at: Point; readonly off: number } {
  let nearest = { at: p, off: Infinity }
  for (const ring of region)
    eachEdge(ring, (a, b) => {
      const length = distance(a, b)
      const at = along(a, b, Math.min(Math.max(project(a, b, p).s, 0), length))
      const off = distance(at, p)
      if (off < nearest.off) nearest = { at, off }
    })
  return nearest
}

/** The mean of points, such as the corners of an outline; not its centroid. */
export const meanOf = (points: readonly Point[]): Point => [
  points.reduce((sum, [x]) => sum + x, 0) / points.length,
  points.reduce((sum, [, y]) => sum + y, 0) / points.length,
]

export function centroid(region: Region): Point {
  const area = regionArea(region)
  const [mx, my] = regionMoments(region)
  return Math.abs(area) < 1e-12 ? (region[0]?.[0] ?? [0, 0]) : [mx / area, my / area]
}

/** Whether two sides of a ring cross, which makes inside and outside doubtful. */
export function crossesItself(ring: Ring): boolean {
  const n = ring.length
  for (let i = 0; i < n; i++)
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue
      const [a, b, c, d] = [ring[i], ring[(i + 1) % n], ring[j], ring[(j + 1) % n]]
      if (a && b && c && d && properCross(a, b, c, d)) return true
    }
  return false
}

const side = (a: Point, b: Point, p: Point): number => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])

const properCross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
