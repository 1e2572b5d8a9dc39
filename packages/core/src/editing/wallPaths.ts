import { pushAll } from '../outcome/lists'
import type { Document } from '../document/document'
import type { Member, WallRun } from '../document/recordKinds'
import { union } from '../geometry/clip'
import type { Point } from '../geometry/point'
import { corners, counterClockwise, eachEdge, signedArea, touches, type Ring } from '../geometry/polygon'
import { crossing, distance, project } from '../geometry/segment'
import { alongSpan, onLine, tidyPoint } from '../geometry/tolerance'
import { layoutOutline } from './outline'

/** A path that a wall run follows. */
export interface WallPath {
  readonly path: readonly Point[]
  readonly closed: boolean
}

/**
 * The path moved aside: a closed one outwards (inwards where less than zero), an open one to its left as it was drawn. Its
 * corners stay corners.
 */
export function movedAside({ path, closed }: WallPath, by: number): WallPath {
  const points = closed ? counterClockwise(path) : path
  // the left of a ring that runs counter-clockwise is inside
  return shiftedSides(points, closed, () => (closed ? -by : by))
}

/** Every side moved to its left by its own distance; they meet again at the corners. */
function shiftedSides(points: readonly Point[], closed: boolean, shiftOf: (side: Side) => number): WallPath {
  const sides = sidesOf(points, closed).map(([a, b]): Side => {
    const length = distance(a, b)
    const shift = shiftOf([a, b])
    const [dx, dy] = [((a[1] - b[1]) / length) * shift, ((b[0] - a[0]) / length) * shift]
    return [
      [a[0] + dx, a[1] + dy],
      [b[0] + dx, b[1] + dy],
    ]
  })
  const last = sides.at(-1)
  const moved = sides.map((side, i) => {
    const before = i > 0 ? sides[i - 1] : closed ? last : undefined
    return before ? meet(before, side) : side[0]
  })
  return { path: [...moved, ...(closed || !last ? [] : [last[1]])].map(tidyPoint), closed }
}

type Side = readonly [Point, Point]

function sidesOf(points: readonly Point[], closed: boolean): readonly Side[] {
  const round = closed ? [...points, ...points.slice(0, 1)] : points
  return round.slice(1).flatMap((b, i): Side[] => {
    const a = round[i]
    return a && distance(a, b) > onLine ? [[a, b]] : []
  })
}

/** Where the lines of two sides meet; the start of the second where they run on. */
function meet([a, b]: Side, [c, d]: Side): Point {
  return crossing(a, [b[0] - a[0], b[1] - a[1]], c, [d[0] - c[0], d[1] - c[1]], 1e-9) ?? c
}

/**
 * The run on the slab edge: a closed one all round, an open one side by side onto the nearest edge that runs along it (sides
 * without such an edge stay); null where there is no slab.
 */
export function onSlabEdge(document: Document, run: Pick<WallRun, 'layout' | 'path' | 'closed'>): WallPath | null {
  const rings = layoutOutline(document, run.layout)
  const [first] = run.path
  if (rings.length === 0 || !first) return null
  if (run.closed) {
    const round = rings.find((ring) => touches([ring], first)) ?? rings[0]
    return round ? { path: round.map(tidyPoint), closed: true } : null
  }
  const edges: Side[] = []
  for (const ring of rings) eachEdge(ring, (a, b) => edges.push([a, b]))
  return shiftedSides(run.path, false, (side) => offsetOf(side, edges))
}

/** Edges further off than this are not the edge that is meant, m. */
const reach = 5

/** How far the nearest edge that runs along a side (within 5 degrees, over half of it) lies to its left; 0 without one. */
function offsetOf([a, b]: Side, edges: readonly Side[]): number {
  const length = distance(a, b)
  const offs = edges.flatMap(([p, q]) => {
    const [from, to] = [project(a, b, p), project(a, b, q)]
    const run = Math.abs(to.s - from.s)
    const overlap = Math.min(length, Math.max(from.s, to.s)) - Math.max(0, Math.min(from.s, to.s))
    const alongIt = run > 0 && Math.abs(to.off - from.off) <= Math.tan(alongSpan) * run
    const off = (from.off + to.off) / 2
    return alongIt && overlap >= length / 2 && Math.abs(off) <= reach ? [off] : []
  })
  return offs.sort((p, q) => Math.abs(p) - Math.abs(q))[0] ?? 0
}

/** Round everything that is outlined together, openings or panels: one path for each outer ring. */
export const pathsRound = (outlines: readonly Ring[]): readonly WallPath[] =>
  union(outlines.map(counterClockwise))
    .filter((ring) => signedArea(ring) > 0)
    .map((ring) => ({ path: corners(ring).map(tidyPoint), closed: true }))

/** Along beams: those that end on each other make one path, however they were drawn. */
export function pathsAlong(beams: readonly Pick<Member, 'path'>[]): readonly WallPath[] {
  const rest = beams.flatMap(({ path }) => (path.length > 1 ? [[...path]] : []))
  const found: WallPath[] = []
  for (let chain = rest.shift(); chain; chain = rest.shift()) {
    for (let grown = true; grown;) grown = [true, false].some((atEnd) => grow(chain ?? [], rest, atEnd))
    const [first, last] = [chain[0], chain.at(-1)]
    const closed = chain.length > 3 && first !== undefined && last !== undefined && distance(first, last) <= onLine
    found.push({ path: (closed ? chain.slice(0, -1) : chain).map(tidyPoint), closed })
  }
  return found
}

/** Takes a beam that goes on from an end of the chain out of the rest; where several do, the chain ends there. */
function grow(chain: Point[], rest: Point[][], atEnd: boolean): boolean {
  const end = atEnd ? chain.at(-1) : chain[0]
  if (!end) return false
  const isAtEnd = (point: Point | undefined) => point !== undefined && distance(point, end) <= onLine
  const meets = rest.filter((beam) => isAtEnd(beam[0]) || isAtEnd(beam.at(-1)))
  const [next] = meets
  if (!next || meets.length > 1) return false
  rest.splice(rest.indexOf(next), 1)
  const onwards = (isAtEnd(next[0]) ? next : [...next].reverse()).slice(1)
  if (atEnd) pushAll(chain, onwards)
  else pushAll(chain, [...onwards.reverse(), ...chain.splice(0)])
  return true
}
