import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { addTo, at as entry } from './entries'
import type { BeamPiece, ElasticBeam, Grillage } from './grillage'
import { placeOf, type Mesh } from './mesh'

/** A stretch of a panel that lies on beams: s on a beam is from + way · (distance from a). */
export interface Bearing {
  readonly a: Point
  readonly b: Point
  readonly owners: readonly { readonly member: string; readonly from: number; readonly way: 1 | -1 }[]
}

export interface ColumnUnder {
  readonly member: string
  readonly at: Point
}

/** One place at which the plate rests: the force there for a unit force at each point of the mesh. */
export interface Rest {
  readonly kind: 'beam' | 'column'
  readonly member: string
  /** Along the beam; 0 on a column. */
  readonly s: number
  readonly at: Point
  readonly influence: Float64Array
  /** How far it is to its neighbours along one bearing; null where the bearing ends. */
  readonly spread: { readonly before: number; readonly after: number } | null
}

/** A rest before its influence is solved: what its force is made of. */
export interface Draft extends Omit<Rest, 'influence'> {
  /** Of the unknowns; a unit force at its own point counts whole on a column. */
  readonly row: ReadonlyMap<number, number>
  readonly ownNode: number | null
}

export interface PlateElement {
  readonly triangle: readonly number[]
  readonly unknowns: readonly (number | null)[]
  readonly stiffness: Float64Array
}

type Spreads = ReadonlyMap<string, Rest['spread']>

const spreadKey = (member: string, node: number): string => `${member}/${node}`

/** How far the force at each point of a bearing spreads along it. */
export function spreadsOf(bearings: readonly Bearing[], mesh: Mesh): Spreads {
  const spreads = new Map<string, Rest['spread']>()
  bearings.forEach(({ owners }, k) => {
    const chain = mesh.onLines[k] ?? []
    const away = (i: number, j: number) => distance(placeOf(mesh, chain[i] ?? 0), placeOf(mesh, chain[j] ?? 0))
    chain.forEach((node, i) => {
      const inner = i > 0 && i < chain.length - 1
      for (const { member, way } of owners) {
        const [before, after] = inner ? [away(i - 1, i), away(i, i + 1)] : [0, 0]
        const spread = way > 0 ? { before, after } : { before: after, after: before }
        const key = spreadKey(member, node)
        spreads.set(key, inner && !spreads.has(key) ? spread : null)
      }
    })
  })
  return spreads
}

/** What a plate leaves at a point that cannot move: the load there less what bends it. */
function leftAt(node: number, elements: readonly PlateElement[]): Pick<Draft, 'row' | 'ownNode'> {
  const row = new Map<number, number>()
  for (const { triangle, unknowns, stiffness } of elements) {
    const corner = triangle.indexOf(node)
    if (corner < 0) continue
    unknowns.forEach((unknown, j) => {
      if (unknown !== null) addTo(row, unknown, -entry(stiffness, 27 * corner + j))
    })
  }
  return { row, ownNode: node }
}

export function columnRests(
  columns: readonly ColumnUnder[],
  mesh: Mesh,
  elements: readonly PlateElement[],
): readonly Draft[] {
  return columns.flatMap(({ member, at }, k): Draft[] => {
    const node = mesh.onPoints[k]
    // two columns on one point: the first bears
    if (node === undefined || mesh.onPoints.indexOf(node) < k) return []
    return [{ kind: 'column', member, s: 0, at, spread: null, ...leftAt(node, elements) }]
  })
}

/**
 * What bends each beam at a point of the plate came from the plate; a beam that ends on another there brings it to that one. Where
 * the beam stands on a column that is none of the panel's, it is what the plate leaves there.
 */
export function beamRests(
  beams: readonly ElasticBeam[],
  mesh: Mesh,
  elements: readonly PlateElement[],
  grillage: Grillage,
  pieces: readonly BeamPiece[],
  spreads: Spreads,
): readonly Draft[] {
  const taken = new Set(mesh.onPoints)
  const rows = rowsOf(pieces)
  const out: Draft[] = []
  for (const { member } of beams)
    for (const place of grillage.places.get(member) ?? []) {
      const { node, s, point, on } = place
      if (node === null || on !== null || taken.has(node)) continue
      const rest = { kind: 'beam', member, s, at: placeOf(mesh, node) } as const
      if (grillage.fixed.has(grillage.root(point))) {
        taken.add(node)
        out.push({ ...rest, spread: null, ...leftAt(node, elements) })
        continue
      }
      const row = new Map<number, number>()
      for (const end of [place, ...carriedAt(beams, grillage, member, point)])
        for (const [unknown, value] of rows.get(end) ?? []) addTo(row, unknown, value)
      out.push({ ...rest, row, ownNode: null, spread: spreads.get(spreadKey(member, node)) ?? null })
    }
  return out
}

/** Ends of other beams that stand on a beam at a point. */
const carriedAt = (beams: readonly ElasticBeam[], { places, root }: Grillage, member: string, point: number) =>
  beams.flatMap((other) =>
    (places.get(other.member) ?? []).filter(({ on, point: end }) => on === member && root(end) === root(point)),
  )

/** The forces that bend a beam at each of its places, as parts of the unknowns. */
function rowsOf(pieces: readonly BeamPiece[]): ReadonlyMap<object, ReadonlyMap<number, number>> {
  const rows = new Map<object, Map<number, number>>()
  for (const { from, to, unknowns, stiffness } of pieces)
    for (const [place, i] of [
      [from, 0],
      [to, 2],
    ] as const) {
      const row = rows.get(place) ?? new Map<number, number>()
      unknowns.forEach((unknown, j) => {
        if (unknown !== null) addTo(row, unknown, stiffness[i]?.[j] ?? 0)
      })
      rows.set(place, row)
    }
  return rows
}
