import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { contains, corners, signedArea, type Ring } from '../geometry/polygon'
import { along, distance, project } from '../geometry/segment'
import { onLine, sliverArea } from '../geometry/tolerance'

export interface Line {
  readonly a: Point
  readonly b: Point
}

/**
 * The rings that lines close between them, counter-clockwise, each without a line inside: lines that cross or end on each
 * other (within 10 mm) meet there. Ends that hang in the air close nothing; a ring that lies wholly inside another is not cut
 * out of it.
 */
export function ringsOf(lines: readonly Line[]): readonly Ring[] {
  const graph = graphOf(lines)
  prune(graph)
  return facesOf(graph)
    .map((ring) => corners(ring))
    .filter((ring) => ring.length >= 3 && signedArea(ring) > sliverArea)
}

/** The smallest ring round a point, or undefined. */
export const ringRound = (rings: readonly Ring[], at: Point): Ring | undefined =>
  rings.filter((ring) => contains([ring], at)).sort((p, q) => signedArea(p) - signedArea(q))[0]

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
  /** Neighbours of each node. */
  readonly links: Set<number>[]
}

function graphOf(lines: readonly Line[]): Graph {
  const near = nearby(lines.map(({ a, b }) => [a, b]))
  const { nodes, nodeAt } = nodeFinder()
  const links: Set<number>[] = []
  for (const line of lines) {
    const length = distance(line.a, line.b)
    const others = near([line.a, line.b]).flatMap((i) => lines[i] ?? [])
    const stops = [0, ...others.flatMap((other) => meetings(line, other)), length].sort((p, q) => p - q)
    const path = stops.map((s) => nodeAt(along(line.a, line.b, s)))
    path.slice(1).forEach((to, i) => {
      const from = path[i] ?? to
      if (from === to) return
      ;(links[from] ??= new Set()).add(to)
      ;(links[to] ??= new Set()).add(from)
    })
  }
  return { nodes, links: nodes.map((_, i) => links[i] ?? new Set()) }
}

/** Points within the tolerance of each other are one node; they are looked up by cells of that size. */
function nodeFinder() {
  const nodes: Point[] = []
  const cells = new Map<string, number>()
  const cellOf = (value: number, by = 0) => Math.floor(value / onLine) + by
  const nodeAt = (point: Point): number => {
    const [x, y] = point
    for (const dx of [0, -1, 1])
      for (const dy of [0, -1, 1]) {
        const known = cells.get(`${cellOf(x, dx)} ${cellOf(y, dy)}`)
        if (known !== undefined && distance(nodes[known] ?? [Infinity, 0], point) <= onLine) return known
      }
    cells.set(`${cellOf(x)} ${cellOf(y)}`, nodes.length)
    return nodes.push(point) - 1
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
    for (const other of links[at] ?? []) {
      links[at]?.delete(other)
      links[other]?.delete(at)
      if (links[other]?.size === 1) waiting.push(other)
    }
}

/** Walks round every face, always turning to the next link clockwise: inner faces come out counter-clockwise. */
function facesOf({ nodes, links }: Graph): readonly Ring[] {
  const bearing = (from: number, to: number): number => {
    const [a = [0, 0], b = [0, 0]] = [nodes[from], nodes[to]]
    return Math.atan2(b[1] - a[1], b[0] - a[0])
  }
  const turns = links.map((own, from) => [...own].sort((p, q) => bearing(from, p) - bearing(from, q)))
  const walked = new Set<string>()
  const faces: Ring[] = []
  links.forEach((own, start) => {
    for (const first of own) {
      const face: Point[] = []
      let [from, to] = [start, first]
      while (!walked.has(`${from} ${to}`)) {
        walked.add(`${from} ${to}`)
        face.push(nodes[from] ?? [0, 0])
        const round = turns[to] ?? []
        const next = round[(round.indexOf(from) + round.length - 1) % round.length] ?? from
        ;[from, to] = [to, next]
      }
      if (face.length >= 3) faces.push(face)
    }
  })
  return faces
}
