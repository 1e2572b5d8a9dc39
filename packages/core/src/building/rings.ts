import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { contains, corners, signedArea, type Ring } from '../geometry/polygon'
import { along, distance, project } from '../geometry/segment'
import { onLine, sliverArea } from '../geometry/tolerance'

export interface Line {
  readonly a: Point
  readonly b: Point
}

/** A ring, and the lines that bound it, as indices. */
export interface Closed {
  readonly ring: Ring
  readonly bounding: readonly number[]
}

/**
 * The rings that lines close between them, counter-clockwise, each without a line inside: lines that cross or end on each
 * other (within 10 mm) meet there. Ends that hang in the air close nothing; a ring that lies wholly inside another is not cut
 * out of it.
 */
export function closedBy(lines: readonly Line[]): readonly Closed[] {
  const graph = graphOf(lines)
  prune(graph)
  return facesOf(graph)
    .map(({ face, bounding }) => ({ ring: corners(face), bounding: [...bounding].sort((p, q) => p - q) }))
    .filter(({ ring }) => ring.length >= 3 && signedArea(ring) > sliverArea)
}

export const ringsOf = (lines: readonly Line[]): readonly Ring[] => closedBy(lines).map(({ ring }) => ring)

/** The smallest ring round a point, or undefined. */
export const ringRound = (rings: readonly Ring[], at: Point): Ring | undefined =>
  rings.filter((ring) => contains([ring], at)).sort((p, q) => signedArea(p) - signedArea(q))[0]

/** Ends further apart than this are not meant to meet, m. */
export const likelyGap = 2

/** Two ends that hang in the air nearest to each other: where a ring is most likely open. */
export function nearestGap(
  lines: readonly Line[],
): { readonly from: Point; readonly to: Point; readonly length: number } | null {
  const { nodes, links } = graphOf(lines)
  const free = nodes.filter((_, i) => links[i]?.size === 1)
  let best: { from: Point; to: Point; length: number } | null = null
  free.forEach((from, i) =>
    free.slice(i + 1).forEach((to) => {
      const length = distance(from, to)
      if (best === null || length < best.length) best = { from, to, length }
    }),
  )
  return best
}

interface Graph {
  readonly nodes: readonly Point[]
  /** Of each node its neighbours, each with the lines that lie between the two. */
  readonly links: Map<number, number[]>[]
}

function graphOf(lines: readonly Line[]): Graph {
  const near = nearby(lines.map(({ a, b }) => [a, b]))
  const { nodes, nodeAt } = nodeFinder()
  const links: Map<number, number[]>[] = []
  const link = (from: number, to: number, i: number) => {
    const own = (links[from] ??= new Map<number, number[]>())
    const there = own.get(to)
    if (there) there.push(i)
    else own.set(to, [i])
  }
  lines.forEach((line, i) => {
    const length = distance(line.a, line.b)
    const others = near([line.a, line.b]).flatMap((k) => lines[k] ?? [])
    const stops = [0, ...others.flatMap((other) => meetings(line, other)), length].sort((p, q) => p - q)
    // most stops are said by several others: each place once
    const places = stops.filter((s, k) => k === 0 || s !== stops[k - 1])
    const path = places.map((s) => nodeAt(along(line.a, line.b, s)))
    path.slice(1).forEach((to, k) => {
      const from = path[k] ?? to
      if (from === to) return
      link(from, to, i)
      link(to, from, i)
    })
  })
  return { nodes, links: nodes.map((_, i) => links[i] ?? new Map<number, number[]>()) }
}

/** Side of the cells in which nodes are looked up, m: most nodes are in one, those at a border in all that they are near. */
const cellSide = 8 * onLine

/** Points within the tolerance of each other are one node, the first that was made; cells may share a number. */
function nodeFinder() {
  const nodes: Point[] = []
  const cells = new Map<number, number[]>()
  const cellOf = (value: number) => Math.floor(value / cellSide)
  const numberOf = (x: number, y: number) => Math.imul(x, 73_856_093) ^ Math.imul(y, 19_349_663)
  const isNear = (node: number, [x, y]: Point) => {
    const [nx, ny] = nodes[node] ?? [Infinity, 0]
    return (nx - x) ** 2 + (ny - y) ** 2 <= onLine ** 2
  }
  const nodeAt = (point: Point): number => {
    const [x, y] = point
    const known = cells.get(numberOf(cellOf(x), cellOf(y)))?.find((node) => isNear(node, point))
    if (known !== undefined) return known
    const node = nodes.push(point) - 1
    for (const cx of new Set([cellOf(x - onLine), cellOf(x + onLine)]))
      for (const cy of new Set([cellOf(y - onLine), cellOf(y + onLine)])) {
        const cell = numberOf(cx, cy)
        const there = cells.get(cell)
        if (there) there.push(node)
        else cells.set(cell, [node])
      }
    return node
  }
  return { nodes, nodeAt }
}

/** Where another line crosses this one, or ends on it. */
function meetings({ a, b }: Line, other: Line): readonly number[] {
  const length = distance(a, b)
  const [from, to] = [project(a, b, other.a), project(a, b, other.b)]
  const inside = (s: number) => s > -onLine && s < length + onLine
  const ends = [from, to].filter(({ s, off }) => Math.abs(off) <= onLine && inside(s)).map(({ s }) => s)
  const crosses = from.off * to.off < 0
  const s = crosses ? from.s + ((to.s - from.s) * from.off) / (from.off - to.off) : NaN
  return [...ends, ...(crosses && inside(s) ? [s] : [])].map((at) => Math.min(Math.max(at, 0), length))
}

/** Takes away ends that hang in the air, again and again. */
function prune({ links }: Graph): void {
  const waiting = links.flatMap((own, i) => (own.size === 1 ? [i] : []))
  for (const at of waiting)
    for (const other of links[at]?.keys() ?? []) {
      links[at]?.delete(other)
      links[other]?.delete(at)
      if (links[other]?.size === 1) waiting.push(other)
    }
}

/** Walks round every face, always turning to the next link clockwise: inner faces come out counter-clockwise. */
function facesOf({ nodes, links }: Graph): readonly { readonly face: Ring; readonly bounding: ReadonlySet<number> }[] {
  const turns = links.map((own, from) => turnsAt(nodes, from, [...own.keys()]))
  const walked = links.map(() => new Set<number>())
  const faces: { face: Point[]; bounding: Set<number> }[] = []
  links.forEach((own, start) => {
    for (const first of own.keys()) {
      const face: Point[] = []
      const bounding = new Set<number>()
      let [from, to] = [start, first]
      while (!walked[from]?.has(to)) {
        walked[from]?.add(to)
        face.push(nodes[from] ?? [0, 0])
        for (const line of links[from]?.get(to) ?? []) bounding.add(line)
        const next = turns[to]?.get(from) ?? from
        ;[from, to] = [to, next]
      }
      if (face.length >= 3) faces.push({ face, bounding })
    }
  })
  return faces
}

/** At a node: coming from a neighbour, the one that is next clockwise. */
function turnsAt(nodes: readonly Point[], at: number, neighbours: readonly number[]): ReadonlyMap<number, number> {
  const [x, y] = nodes[at] ?? [0, 0]
  const bearings = neighbours.map((to) => {
    const [tx, ty] = nodes[to] ?? [0, 0]
    return { to, bearing: Math.atan2(ty - y, tx - x) }
  })
  const round = bearings.sort((p, q) => p.bearing - q.bearing).map(({ to }) => to)
  return new Map(round.map((to, i) => [to, round[(i + round.length - 1) % round.length] ?? to]))
}
