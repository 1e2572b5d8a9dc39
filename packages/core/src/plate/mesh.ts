import { entry } from '../outcome/assert'
import Constrainautor from '@kninnug/constrainautor'
import Delaunator from 'delaunator'
import type { Point } from '../geometry/point'
import { boxOf, contains, eachEdge, regionArea, type Region } from '../geometry/polygon'
import { distance, project } from '../geometry/segment'
import { onLine, tidyPoint } from '../geometry/tolerance'
import { reentrant } from './reentrant'
import { refined, type GraphEdge, type PlaneGraph } from './planeGraph'

export type Triangle = readonly [number, number, number]

/** A region in triangles, their corners counter-clockwise; sides follow every line of the graph. */
export interface Mesh {
  readonly points: readonly Point[]
  readonly triangles: readonly Triangle[]
  /** See `PlaneGraph`. */
  readonly onLines: readonly (readonly number[])[]
  readonly onPoints: readonly number[]
}

export const placeOf = ({ points }: Mesh, node: number): Point => entry(points, node)

/** Triangles below this are none (1 mm²). */
const leastArea = 1e-6

/** Triangles with sides of about a size: points of an even lattice inside, joined by Delaunay's rule without crossing a line. */
export function meshOf(region: Region, graph: PlaneGraph, size: number, thickness: number): Mesh {
  const held = new Set([...graph.onLines.flat(), ...graph.onPoints])
  const corners = reentrant(region)
  const at = new Set(
    [...held].filter((i) => corners.some((corner) => distance(entry(graph.points, i), corner) <= onLine)),
  )
  const radii = at.size === 0 ? [] : gradedRadii(size, thickness)
  const { points: onEdges, edges, onLines, onPoints } = refined(graph, size, { at, radii })
  const sides = sidesOf(onEdges, edges)
  const centres = [...at].map((i) => entry(graph.points, i))
  const rings = centres.flatMap((centre) => around(region, centre, sides, radii))
  const clear = radii.at(-1) ?? 0
  const points = [
    ...onEdges,
    ...rings,
    ...lattice(region, sides, size, (p) => centres.every((centre) => distance(centre, p) > clear + size / 2)),
  ]
  return {
    points,
    triangles: joined(points, edges).flatMap((triangle) => turned(points, triangle, region)),
    onLines,
    onPoints,
  }
}

/** How many thicknesses of the plate round a corner that turns in it is parted more finely. */
const gradedWithin = 4

/** Distances from such a corner, from half of the thickness on: the nearer to it, the closer to each other. */
function gradedRadii(size: number, thickness: number): readonly number[] {
  const outer = gradedWithin * thickness
  const radii: number[] = []
  for (let r = thickness / 2; r < outer; r += Math.min(size, (size * r) / outer)) radii.push(r)
  return radii
}

/** Rings of points round a corner, as far apart as along each of them. */
function around(region: Region, [x, y]: Point, sides: readonly Side[], radii: readonly number[]): readonly Point[] {
  const outer = radii.at(-1) ?? 0
  const near = sides.filter(([a, b]) => Math.min(distance(a, [x, y]), distance(b, [x, y])) <= 2 * outer)
  return radii.flatMap((radius, k) => {
    const step = (radii[k + 1] ?? 2 * radius - (radii[k - 1] ?? radius / 2)) - radius
    const count = Math.max(6, Math.round((2 * Math.PI * radius) / step))
    return Array.from({ length: count }, (_, i): Point => {
      const angle = ((i + (k % 2) / 2) * 2 * Math.PI) / count
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
    }).filter((p) => contains(region, p) && near.every(([a, b]) => isClear(a, b, p, 0.5 * step)))
  })
}

type Side = readonly [Point, Point]

const sidesOf = (points: readonly Point[], edges: readonly GraphEdge[]): readonly Side[] =>
  edges.map(({ from, to }) => [entry(points, from), entry(points, to)])

/**
 * Delaunay's triangles with every edge a side of them; what crosses an edge is turned until it does not. Corners far outside keep the
 * edges off the hull, where an edge that is straight but for rounding would leave it; triangles with them are none of the region.
 */
function joined(points: readonly Point[], edges: readonly GraphEdge[]): readonly Triangle[] {
  const { x0, y0, x1, y1 } = boxOf(points)
  const size = Math.max(x1 - x0, y1 - y0)
  const corners: readonly Point[] = [
    [x0 - size, y0 - size],
    [x1 + size, y0 - size],
    [x1 + size, y1 + size],
    [x0 - size, y1 + size],
  ]
  const delaunay = new Delaunator([...points, ...corners].map(tidyPoint).flat())
  const triangulation = new Constrainautor(delaunay)
  for (const { from, to } of edges) {
    try {
      triangulation.constrainOne(from, to)
    } catch {
      // a point that is on the edge but for rounding parts it already, or an edge that crosses by as little: it is no side there
    }
  }
  const { triangles } = delaunay
  return Array.from({ length: triangles.length / 3 }, (_, i): Triangle => [
    entry(triangles, 3 * i),
    entry(triangles, 3 * i + 1),
    entry(triangles, 3 * i + 2),
  ])
}

function turned(points: readonly Point[], [i, j, k]: Triangle, region: Region): readonly Triangle[] {
  const [a, b, c] = [points[i], points[j], points[k]]
  if (!a || !b || !c) return []
  const area = regionArea([[a, b, c]])
  const middle: Point = [(a[0] + b[0] + c[0]) / 3, (a[1] + b[1] + c[1]) / 3]
  if (Math.abs(area) < leastArea || !contains(region, middle)) return []
  return [area > 0 ? [i, j, k] : [i, k, j]]
}

/** Points of equilateral triangles along the longest side, about the middle of the region, not too near to what is there. */
function lattice(
  region: Region,
  sides: readonly Side[],
  size: number,
  isFree: (p: Point) => boolean,
): readonly Point[] {
  const turn = longestSide(region)
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const box = boxOf(region.flat().map(([x, y]): Point => [x * c + y * s, y * c - x * s]))
  const [mu, mv] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2]
  const row = (size * Math.sqrt(3)) / 2
  const [rows, places] = [Math.ceil((box.y1 - mv) / row), Math.ceil((box.x1 - mu) / size) + 1]
  const out: Point[] = []
  for (let j = -rows; j <= rows; j++)
    for (let i = -places; i <= places; i++) {
      const [u, v] = [mu + (i + (j % 2 === 0 ? 0 : 0.5)) * size, mv + j * row]
      const p: Point = [u * c - v * s, u * s + v * c]
      if (contains(region, p) && isFree(p) && sides.every(([a, b]) => isClear(a, b, p, 0.6 * size))) out.push(p)
    }
  return out
}

function isClear(a: Point, b: Point, p: Point, least: number): boolean {
  if (Math.abs(a[0] - p[0]) > 3 * least || Math.abs(a[1] - p[1]) > 3 * least) return true
  const { s, off } = project(a, b, p)
  const beside = s >= 0 && s <= distance(a, b)
  return beside ? Math.abs(off) >= least : Math.min(distance(a, p), distance(b, p)) >= least
}

function longestSide(region: Region): number {
  let [length, angle] = [0, 0]
  for (const ring of region)
    eachEdge(ring, (a, b) => {
      const here = distance(a, b)
      if (here > length + 1e-9) [length, angle] = [here, Math.atan2(b[1] - a[1], b[0] - a[0])]
    })
  return angle
}
