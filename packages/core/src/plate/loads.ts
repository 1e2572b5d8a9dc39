import { smallest } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { loadOver, type Density } from '../geometry/density'
import type { Region, Ring } from '../geometry/polygon'
import { along, distance } from '../geometry/segment'
import type { Mesh, Triangle } from './mesh'

/**
 * Loads at the points of a mesh by the linear functions of its triangles: force and both moments are kept. What lies a hair beside
 * all triangles is put on the one that is nearest.
 */
export function loadOfArea(far: Mesh, drawn: Region, density: Density): Float64Array {
  const { mesh, local } = nearOrigin(far)
  const region = drawn.map((ring) => ring.map(local))
  const own = { ...density, at: local(density.at) }
  const out = new Float64Array(mesh.points.length)
  const whole = loadOver(region, own)
  let [force, mx, my] = [whole.force, ...whole.moments]
  for (const triangle of mesh.triangles) {
    const corners = cornersOf(mesh, triangle)
    const inside = region.map((ring) => clippedTo(ring, corners))
    const { force: part, moments } = loadOver(inside, own)
    put(out, mesh, triangle, part, moments)
    force -= part
    mx -= moments[0]
    my -= moments[1]
  }
  putNearest(out, mesh, force, [mx, my])
  return out
}

/**
 * The same of a line load per length that runs straight from its value at one end to that at the other.
 * @param ends - at `from` and at `to`
 */
export function loadOfLine(far: Mesh, from: Point, to: Point, ends: readonly [number, number]): Float64Array {
  const { mesh, local } = nearOrigin(far)
  const [a, b] = [local(from), local(to)]
  const out = new Float64Array(mesh.points.length)
  const length = distance(a, b)
  /** Of the part from p to q of its length: what acts at these two places has the same force and moment. */
  const between = (p: number, q: number): readonly [force: number, moments: Point] => {
    const [first, last] = [p, q].map((t) => ends[0] + (ends[1] - ends[0]) * t) as [number, number]
    const h = length * (q - p)
    const [atP, atQ] = [(h * (2 * first + last)) / 6, (h * (first + 2 * last)) / 6]
    const [m, n] = [along(a, b, length * p), along(a, b, length * q)]
    return [atP + atQ, [atP * m[0] + atQ * n[0], atP * m[1] + atQ * n[1]]]
  }
  let covered: readonly (readonly [number, number])[] = [[0, 1]]
  for (const triangle of mesh.triangles) {
    const inside = within(cornersOf(mesh, triangle), a, b)
    if (!inside) continue
    // on a side of two triangles the first takes it
    covered = covered.flatMap(([first, last]) => {
      const [p, q] = [Math.max(first, inside[0]), Math.min(last, inside[1])]
      if (q - p <= 1e-12) return [[first, last] as const]
      put(out, mesh, triangle, ...between(p, q))
      return ([[first, p] as const, [q, last] as const] as const).filter(([start, end]) => end - start > 1e-12)
    })
  }
  for (const [p, q] of covered) putNearest(out, mesh, ...between(p, q))
  return out
}

export function loadOfPoint(far: Mesh, at: Point): Float64Array {
  const { mesh, local } = nearOrigin(far)
  const out = new Float64Array(mesh.points.length)
  putNearest(out, mesh, 1, local(at))
  return out
}

/** A mesh moved to the origin: far from it areas and moments would be differences of large numbers. */
function nearOrigin(mesh: Mesh): { readonly mesh: Mesh; readonly local: (p: Point) => Point } {
  const [x0, y0] = entry(mesh.points, 0)
  const local = ([x, y]: Point): Point => [x - x0, y - y0]
  return { mesh: { ...mesh, points: mesh.points.map(local) }, local }
}

const cornersOf = ({ points }: Mesh, [i, j, k]: Triangle): readonly [Point, Point, Point] => [
  entry(points, i),
  entry(points, j),
  entry(points, k),
]

/** A force with its moments on the corners of a triangle: three forces that have the same. */
function put(out: Float64Array, mesh: Mesh, triangle: Triangle, force: number, [mx, my]: Point): void {
  const [[x1, y1], [x2, y2], [x3, y3]] = cornersOf(mesh, triangle)
  const twice = (x2 - x1) * (y3 - y1) - (x3 - x1) * (y2 - y1)
  const [ex, ey] = [mx - force * x1, my - force * y1]
  const second = ((y3 - y1) * ex - (x3 - x1) * ey) / twice
  const third = ((x2 - x1) * ey - (y2 - y1) * ex) / twice
  const parts = [force - second - third, second, third]
  triangle.forEach((node, i) => (out[node] = entry(out, node) + entry(parts, i)))
}

function putNearest(out: Float64Array, mesh: Mesh, force: number, moments: Point): void {
  if (force === 0) return
  const at: Point = [moments[0] / force, moments[1] / force]
  let nearest: Triangle | undefined
  let most = -Infinity
  for (const triangle of mesh.triangles) {
    const depth = depthIn(cornersOf(mesh, triangle), at)
    if (depth > most) [nearest, most] = [triangle, depth]
  }
  if (nearest) put(out, mesh, nearest, force, moments)
}

/** How deep a point lies inside a triangle, m: from its nearest side, less than zero outside. */
function depthIn(corners: readonly [Point, Point, Point], at: Point): number {
  return smallest(
    corners.map((p, i) => {
      const q = corners[(i + 1) % 3] ?? p
      return sideOf(p, q, at) / distance(p, q)
    }),
  )
}

const sideOf = (p: Point, q: Point, at: Point): number =>
  (q[0] - p[0]) * (at[1] - p[1]) - (q[1] - p[1]) * (at[0] - p[0])

/** A ring cut to a triangle, side by side (Sutherland and Hodgman): what it goes over twice cancels in its signed area. */
function clippedTo(ring: Ring, corners: readonly [Point, Point, Point]): Ring {
  return corners.reduce<Ring>((rest, p, i) => {
    const q = corners[(i + 1) % 3] ?? p
    return rest.flatMap((a, k): Point[] => {
      const b = rest[(k + 1) % rest.length] ?? a
      const [da, db] = [sideOf(p, q, a), sideOf(p, q, b)]
      const kept: Point[] = da >= 0 ? [a] : []
      if (da >= 0 !== db >= 0)
        kept.push([a[0] + ((b[0] - a[0]) * da) / (da - db), a[1] + ((b[1] - a[1]) * da) / (da - db)])
      return kept
    })
  }, ring)
}

/** The part of a line within a triangle, from 0 to 1 along it. */
function within(corners: readonly [Point, Point, Point], a: Point, b: Point): readonly [number, number] | undefined {
  let [from, to] = [0, 1]
  for (const [i, p] of corners.entries()) {
    const q = corners[(i + 1) % 3] ?? p
    const slack = 1e-9 * distance(p, q)
    const [da, db] = [sideOf(p, q, a) + slack, sideOf(p, q, b) + slack]
    if (da < 0 && db < 0) return undefined
    if (da < 0) from = Math.max(from, da / (da - db))
    if (db < 0) to = Math.min(to, da / (da - db))
  }
  return to - from > 1e-12 ? [from, to] : undefined
}
