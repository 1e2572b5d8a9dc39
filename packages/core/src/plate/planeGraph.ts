import type { Point } from '../geometry/point'
import { eachEdge, type Region } from '../geometry/polygon'
import { along, crossing, distance, project } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'

export type Line = readonly [Point, Point]

/** A straight piece between two points of the graph, by their places in its list. */
export interface GraphEdge {
  readonly from: number
  readonly to: number
}

/** The same for a piece whichever way it is looked along. */
export const edgeKey = (from: number, to: number): string => (from < to ? `${from},${to}` : `${to},${from}`)

/** Points and straight pieces that meet in points only. */
export interface PlaneGraph {
  readonly points: readonly Point[]
  readonly edges: readonly GraphEdge[]
  /** For each of the lines: its points, from end to end. */
  readonly onLines: readonly (readonly number[])[]
  /** For each of the single points: where it is. */
  readonly onPoints: readonly number[]
}

/**
 * Sides of a region, lines and single points as a graph, cut where they meet. What is nearer than the tolerance of a drawing is one
 * point; corners of the region come first, so that they stay where they are.
 */
export function planeGraph(region: Region, lines: readonly Line[], singles: readonly Point[]): PlaneGraph {
  const points: Point[] = []
  const placeOf = (p: Point): number => {
    const there = points.findIndex((known) => distance(known, p) <= onLine)
    return there >= 0 ? there : points.push(p) - 1
  }
  for (const ring of region) ring.forEach(placeOf)
  const sides: Line[] = []
  for (const ring of region) eachEdge(ring, (a, b) => sides.push([a, b]))
  const all = [...sides, ...lines]
  const onPoints = singles.map(placeOf)
  for (const line of all) line.forEach(placeOf)
  all.forEach((line, i) => {
    for (const other of all.slice(i + 1)) {
      const met = meeting(line, other)
      if (met) placeOf(met)
    }
  })
  const chains = all.map(([a, b]) => chainAlong(points, a, b))
  const edges = new Map<string, GraphEdge>()
  for (const chain of chains)
    chain.slice(1).forEach((to, i) => {
      const from = chain[i] ?? to
      const key = edgeKey(from, to)
      edges.set(key, edges.get(key) ?? { from: Math.min(from, to), to: Math.max(from, to) })
    })
  return { points, edges: [...edges.values()], onLines: chains.slice(sides.length), onPoints }
}

/** Where two lines cross, or one ends on the other. */
function meeting([a, b]: Line, [p, q]: Line): Point | undefined {
  const at = crossing(a, [b[0] - a[0], b[1] - a[1]], p, [q[0] - p[0], q[1] - p[1]], 1e-9)
  return at && liesWithin(a, b, at) && liesWithin(p, q, at) ? at : undefined
}

function liesWithin(a: Point, b: Point, at: Point): boolean {
  const { s } = project(a, b, at)
  return s >= -onLine && s <= distance(a, b) + onLine
}

/** The points that lie on a line, in the order in which it meets them. */
function chainAlong(points: readonly Point[], a: Point, b: Point): readonly number[] {
  const length = distance(a, b)
  const on = points.flatMap((p, place) => {
    const { s, off } = project(a, b, p)
    return Math.abs(off) <= onLine && s >= -onLine && s <= length + onLine ? [{ place, s }] : []
  })
  return on.sort((p, q) => p.s - q.s).map(({ place }) => place)
}

/** Points of a graph near which it is parted more finely, and at which distances from them. */
export interface Graded {
  readonly at: ReadonlySet<number>
  readonly radii: readonly number[]
}

/** Places along a piece: lengths of no more than a size, and from an end that asks for it first the given distances, as far as half-way. */
function stopsOf(
  length: number,
  size: number,
  fromStart: readonly number[],
  fromEnd: readonly number[],
): readonly number[] {
  const [near, far] = [fromStart, fromEnd].map((radii) => radii.filter((r) => r < length / 2 - 1e-6)) as [
    number[],
    number[],
  ]
  const [from, to] = [near.at(-1) ?? 0, length - (far.at(-1) ?? 0)]
  const count = Math.max(1, Math.ceil((to - from) / size - 1e-6))
  const even = Array.from({ length: count - 1 }, (_, i) => from + ((to - from) * (i + 1)) / count)
  return [...near, ...even, ...far.map((r) => length - r).reverse()]
}

/**
 * The same graph with every piece parted into equal lengths of no more than a size; from the given points of it first at the given
 * distances.
 */
export function refined(
  { points, edges, onLines, onPoints }: PlaneGraph,
  size: number,
  { at, radii }: Graded = { at: new Set(), radii: [] },
): PlaneGraph {
  const all: Point[] = [...points]
  const between = new Map<string, readonly number[]>()
  const parts: GraphEdge[] = []
  for (const { from, to } of edges) {
    const [a, b] = [points[from], points[to]]
    if (!a || !b) continue
    const length = distance(a, b)
    const [start, end] = [from, to].map((place) => (at.has(place) ? radii : [])) as [
      readonly number[],
      readonly number[],
    ]
    const inner = stopsOf(length, size, start, end).map((s) => all.push(along(a, b, s)) - 1)
    between.set(`${from},${to}`, inner)
    const chain = [from, ...inner, to]
    chain.slice(1).forEach((next, i) => parts.push({ from: chain[i] ?? from, to: next }))
  }
  const innerOf = (from: number, to: number): readonly number[] =>
    between.get(`${from},${to}`) ?? [...(between.get(`${to},${from}`) ?? [])].reverse()
  const chains = onLines.map((chain) =>
    chain.flatMap((place, i) => {
      const next = chain[i + 1]
      return next === undefined ? [place] : [place, ...innerOf(place, next)]
    }),
  )
  return { points: all, edges: parts, onLines: chains, onPoints }
}
