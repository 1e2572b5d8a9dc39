import {
  contains,
  signedArea,
  type Point,
  type Point3,
  type SpaceFace,
  type SpaceLoad,
  type SpaceMember,
  type SpaceSurface,
  type SpaceView,
  pushAll,
  smallest,
} from '@hedrion/core'
import earcut from 'earcut'

/** A straight bar in space with its box; `member` is its place in the list it came from. */
export interface Bar {
  readonly member: number
  readonly a: Point3
  readonly b: Point3
  readonly depth: number
  readonly width: number
}

/** Every straight part of every member. */
export const barsOf = (members: readonly SpaceMember[]): readonly Bar[] =>
  members.flatMap(({ path, depth, width }, member) =>
    path.slice(1).flatMap((b, i): Bar[] => {
      const a = path[i]
      return a ? [{ member, a, b, depth, width }] : []
    }),
  )

/** Two points for each bar, x y z in turn. */
export function linesOf(bars: readonly Bar[]): Float32Array {
  const positions = new Float32Array(bars.length * 6)
  bars.forEach(({ a, b }, i) => positions.set([...a, ...b], i * 6))
  return positions
}

export interface Triangles {
  /** Corners of triangles, x y z in turn. */
  readonly positions: Float32Array
  /** Face of each triangle. */
  readonly faces: Uint32Array
}

/** Faces as triangles; rings run counter-clockwise in plan where they are outer ones, clockwise where they are holes. */
export function trianglesOf(faces: readonly SpaceFace[]): Triangles {
  const positions: number[] = []
  const owners: number[] = []
  faces.forEach(({ rings }, face) => {
    for (const { outer, holes } of shapesOf(rings)) {
      const flat = [outer, ...holes].flat()
      const starts = holes.map((_, i) => outer.length + holes.slice(0, i).reduce((sum, { length }) => sum + length, 0))
      const corners = earcut(
        flat.flatMap(([x, y]) => [x, y]),
        starts,
      )
      for (const corner of corners) pushAll(positions, flat[corner] ?? [0, 0, 0])
      for (let i = 0; i < corners.length; i += 3) owners.push(face)
    }
  })
  return { positions: Float32Array.from(positions), faces: Uint32Array.from(owners) }
}

/** Upright or sloping surfaces of four corners, each as two triangles. */
export function quadsOf(surfaces: readonly SpaceSurface[]): Triangles {
  const positions = surfaces.flatMap(({ corners: [a, b, c, d] }) => [a, b, c, a, c, d].flat())
  return {
    positions: Float32Array.from(positions),
    faces: Uint32Array.from(surfaces.flatMap((_, i) => [i, i])),
  }
}

/** For each corner of the triangles of surfaces how far it is along the foot and up from it, m: what a hatch follows. */
export const quadPlaces = (surfaces: readonly SpaceSurface[]): Float32Array =>
  Float32Array.from(
    surfaces.flatMap(({ corners: [a, b, , d] }) => {
      const [along, up] = [apart(a, b), apart(a, d)]
      return [0, 0, along, 0, along, up, 0, 0, along, up, 0, up]
    }),
  )

const apart = (a: Point3, b: Point3): number => Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2])

interface FlatShape {
  readonly outer: readonly Point3[]
  readonly holes: readonly (readonly Point3[])[]
}

function shapesOf(rings: readonly (readonly Point3[])[]): readonly FlatShape[] {
  const plans = rings.map((ring) => ({ ring, plan: ring.map(([x, y]): Point => [x, y]) }))
  const outers = plans.filter(({ plan }) => signedArea(plan) > 0)
  const holes = plans.filter(({ plan }) => signedArea(plan) < 0)
  return outers.map(({ ring, plan: outer }) => ({
    outer: ring,
    holes: holes
      .filter(({ plan: [first] }) => outers.length === 1 || (first !== undefined && contains([outer], first)))
      .map((hole) => hole.ring),
  }))
}

/** The largest line load of a case, N/m, and the largest force, N. */
export function largestOf(loads: readonly SpaceLoad[]): { readonly line: number; readonly point: number } {
  let [line, point] = [0, 0]
  for (const { from, to, q0, q1 } of loads)
    if (isPoint(from, to)) point = Math.max(point, Math.abs(q0))
    else line = Math.max(line, Math.abs(q0), Math.abs(q1))
  return { line, point }
}

const isPoint = (a: Point3, b: Point3): boolean => a[0] === b[0] && a[1] === b[1] && a[2] === b[2]

/** Arrows no further apart than this along a member, m. */
const spacing = 1

/**
 * Loads as lines: ordinates stand on the member with an arrow head at their foot, downwards; a load that lifts has its heads
 * at the top. `tallest` is the height of the largest, m.
 */
export function loadLines(loads: readonly SpaceLoad[], tallest: number): Float32Array {
  const { line, point } = largestOf(loads)
  const lines: number[] = []
  const put = (a: Point3, b: Point3) => void pushAll(lines, [...a, ...b])
  const arrow = ([x, y, z]: Point3, height: number) => {
    const up = Math.abs(height)
    const head = Math.min(up, 0.12 * tallest)
    const [tip, back] = height > 0 ? [z, z + head] : [z + up, z + up - head]
    put([x, y, z], [x, y, z + up])
    put([x - head / 2, y, back], [x, y, tip])
    put([x + head / 2, y, back], [x, y, tip])
  }
  for (const { from, to, q0, q1 } of loads) {
    if (isPoint(from, to)) {
      arrow(from, (q0 / point) * tallest)
      continue
    }
    const parts = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / spacing))
    const at = (i: number): Point3 => mix(from, to, i / parts)
    const height = (i: number) => ((q0 + ((q1 - q0) * i) / parts) / line) * tallest
    for (let i = 0; i <= parts; i++) arrow(at(i), height(i))
    put(lifted(from, Math.abs(height(0))), lifted(to, Math.abs(height(parts))))
  }
  return Float32Array.from(lines)
}

const mix = (a: Point3, b: Point3, t: number): Point3 => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
]

const lifted = ([x, y, z]: Point3, by: number): Point3 => [x, y, z + by]

interface Named {
  readonly name: string
  readonly z: number
}

/** Levels whose names are told apart: from below, each at least so far over the last one that is named. */
export function namedLevels(levels: readonly Named[], apart: number): readonly Named[] {
  const named: Named[] = []
  for (const level of [...levels].sort((a, b) => a.z - b.z))
    if (level.z - (named.at(-1)?.z ?? -Infinity) >= apart) named.push(level)
  return named
}

/** How tall the largest ordinate is drawn, m: a part of the building, and never more than half of a storey. */
export function ordinateHeight(levels: readonly Named[], radius: number): number {
  const zs = levels.map(({ z }) => z).sort((a, b) => a - b)
  const storeys = zs.slice(1).map((z, i) => z - (zs[i] ?? z))
  // what is less than two metres is no storey: a base just below the ground
  return Math.min(0.09 * radius, smallest(storeys.filter((height) => height >= 2).map((height) => height / 2)))
}

/** The middle of something that can be picked. */
export interface Middle {
  readonly id: string
  readonly kind: 'member' | 'face' | 'surface'
  readonly at: Point3
}

/** Of members by their pieces, of floors by their outline, of surfaces by their corners. */
export const middlesOf = ({ members, faces, surfaces }: SpaceView, bars: readonly Bar[]): readonly Middle[] => [
  ...bars.flatMap(({ member, a, b }): Middle[] => {
    const id = members[member]?.expandedId
    return id === undefined ? [] : [{ id, kind: 'member', at: middleOf([a, b]) }]
  }),
  ...faces.map(({ expandedId, rings }): Middle => ({ id: expandedId, kind: 'face', at: middleOf(rings[0] ?? []) })),
  ...surfaces.map(({ expandedId, corners }): Middle => ({ id: expandedId, kind: 'surface', at: middleOf(corners) })),
]

function middleOf(points: readonly Point3[]): Point3 {
  const mean = (i: 0 | 1 | 2) => points.reduce((sum, point) => sum + point[i], 0) / Math.max(1, points.length)
  return [mean(0), mean(1), mean(2)]
}
