// Types for a package that has none
// oxlint-disable-next-line typescript/triple-slash-reference
/// <reference path="./cdt2d.d.ts" />
import { entry } from '../outcome/assert'
import cdt2d from 'cdt2d'
import Delaunator from 'delaunator'
import type { Point } from '../geometry/point'
import { boxOf, contains, eachEdge, regionArea, type Region } from '../geometry/polygon'
import { distance, project } from '../geometry/segment'
import { tidyPoint } from '../geometry/tolerance'
import { edgeKey, refined, type GraphEdge, type PlaneGraph } from './planeGraph'

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
export function meshOf(region: Region, graph: PlaneGraph, size: number): Mesh {
  const { points: onEdges, edges, onLines, onPoints } = refined(graph, size)
  const points = [...onEdges, ...lattice(region, onEdges, edges, size)]
  return {
    points,
    triangles: joined(points, edges).flatMap((triangle) => turned(points, triangle, region)),
    onLines,
    onPoints,
  }
}

/** Delaunay's triangles; where they cross an edge, those that do not (which take many times as long to find). */
function joined(points: readonly Point[], edges: readonly GraphEdge[]): readonly Triangle[] {
  const { triangles, halfedges } = new Delaunator(points.flat())
  const sides = new Set<string>()
  triangles.forEach((from, i) => {
    const to = triangles[i % 3 === 2 ? i - 2 : i + 1] ?? from
    if (halfedges[i] === -1 || from < to) sides.add(edgeKey(from, to))
  })
  if (edges.every(({ from, to }) => sides.has(edgeKey(from, to))))
    return Array.from({ length: triangles.length / 3 }, (_, i): Triangle => [
      entry(triangles, 3 * i),
      entry(triangles, 3 * i + 1),
      entry(triangles, 3 * i + 2),
    ])
  // what turning leaves behind beside nought underflows there, and it falls over
  return cdt2d(
    points.map(tidyPoint),
    edges.map(({ from, to }) => [from, to] as const),
    { delaunay: true, exterior: true, infinity: false },
  )
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
  onEdges: readonly Point[],
  edges: readonly GraphEdge[],
  size: number,
): readonly Point[] {
  const turn = longestSide(region)
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const box = boxOf(region.flat().map(([x, y]): Point => [x * c + y * s, y * c - x * s]))
  const [mu, mv] = [(box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2]
  const row = (size * Math.sqrt(3)) / 2
  const [rows, places] = [Math.ceil((box.y1 - mv) / row), Math.ceil((box.x1 - mu) / size) + 1]
  const sides = edges.flatMap(({ from, to }) => {
    const [a, b] = [onEdges[from], onEdges[to]]
    return a && b ? [[a, b] as const] : []
  })
  const out: Point[] = []
  for (let j = -rows; j <= rows; j++)
    for (let i = -places; i <= places; i++) {
      const [u, v] = [mu + (i + (j % 2 === 0 ? 0 : 0.5)) * size, mv + j * row]
      const p: Point = [u * c - v * s, u * s + v * c]
      if (contains(region, p) && sides.every(([a, b]) => isClear(a, b, p, 0.6 * size))) out.push(p)
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
