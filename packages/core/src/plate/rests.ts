import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { addTo } from './entries'
import type { BeamPiece, ElasticBeam, Grillage, Place } from './grillage'
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

export type Row = ReadonlyMap<number, number>

/** One place at which the plate rests on something, and what the force there is made of. */
export interface Rest {
  readonly kind: 'beam' | 'column'
  readonly member: string
  /** Along the beam; 0 on a column. */
  readonly s: number
  readonly at: Point
  /** How far it is to its neighbours along one bearing; null where the bearing ends. */
  readonly spread: { readonly before: number; readonly after: number } | null
  /** Parts of the unknowns. */
  readonly row: Row
  /** The same for the couple that the plate's slope brings to a beam there: its first moments about the axes. */
  readonly couple: readonly [x: Row, y: Row]
  /** The point of the mesh whose load counts whole: where the plate cannot move. */
  readonly ownNode: number | null
  /** Of what is left there: columns that stand at one point share equally. */
  readonly part: number
}

const countOf = (list: readonly number[], value: number): number =>
  list.reduce((count, other) => count + (other === value ? 1 : 0), 0)

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
    const chain = entry(mesh.onLines, k)
    const away = (i: number, j: number) => distance(placeOf(mesh, entry(chain, i)), placeOf(mesh, entry(chain, j)))
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
function leftAt(node: number, elements: readonly PlateElement[]): Pick<Rest, 'row' | 'ownNode'> {
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

/** Everything at which a plate rests. */
export function restsOf(
  { columns, beams, bearings }: Under,
  mesh: Mesh,
  elements: readonly PlateElement[],
  grillage: Grillage,
  pieces: readonly BeamPiece[],
): readonly Rest[] {
  const rows = rowsOf(pieces)
  const at = placesByPoint(beams, grillage)
  const coupleAt = (node: number): Rest['couple'] => {
    const there = (at.get(grillage.root(node)) ?? []).flatMap(({ place }) => rows.get(place) ?? [])
    return [summed(there, 'x'), summed(there, 'y')]
  }
  const taken = new Set<number>()
  const nodes = columns.map((_, k) => entry(mesh.onPoints, k))
  const onColumns = columns.map(({ member, at: place }, k): Rest => {
    const node = entry(nodes, k)
    taken.add(node)
    const rest = { kind: 'column', member, s: 0, at: place, spread: null, part: 1 / countOf(nodes, node) } as const
    return { ...rest, couple: coupleAt(node), ...leftAt(node, elements) }
  })
  const spreads = spreadsOf(bearings, mesh)
  const onBeams = beams.flatMap(({ member }) =>
    (grillage.places.get(member) ?? []).flatMap((place): Rest[] => {
      const { node, s, point, on } = place
      if (node === null || on !== null || taken.has(node)) return []
      const rest = { kind: 'beam', member, s, at: placeOf(mesh, node), part: 1 } as const
      // on a column that is none of the panel's: what the plate leaves there
      if (grillage.fixed.has(grillage.root(point))) {
        taken.add(node)
        return [{ ...rest, spread: null, couple: coupleAt(node), ...leftAt(node, elements) }]
      }
      const ends = [place, ...carriedBy(member, at.get(grillage.root(point)) ?? [])].flatMap(
        (end) => rows.get(end) ?? [],
      )
      const spread = spreads.get(spreadKey(member, node)) ?? null
      const couple = [summed(ends, 'x'), summed(ends, 'y')] as const
      return [{ ...rest, row: summed(ends, 'force'), couple, ownNode: null, spread }]
    }),
  )
  return [...onColumns, ...onBeams]
}

interface Under {
  readonly columns: readonly ColumnUnder[]
  readonly beams: readonly ElasticBeam[]
  readonly bearings: readonly Bearing[]
}

interface PlaceOf {
  readonly place: Place
  readonly member: string
}

/** Places of beams by the point that they are. */
function placesByPoint(
  beams: readonly ElasticBeam[],
  { places, root }: Grillage,
): ReadonlyMap<number, readonly PlaceOf[]> {
  const found = new Map<number, PlaceOf[]>()
  for (const { member } of beams)
    for (const place of places.get(member) ?? []) {
      const point = root(place.point)
      found.set(point, [...(found.get(point) ?? []), { place, member }])
    }
  return found
}

/** Of the places at a point the ends of beams that stand on a beam there, and of those that stand on these. */
function carriedBy(member: string, here: readonly PlaceOf[]): readonly Place[] {
  const under = new Set([member])
  const found: Place[] = []
  // grows while it is walked; beams that stand on one another in a ring are met once
  for (const carrier of under)
    for (const { place, member: other } of here)
      if (place.on === carrier && !under.has(other)) {
        under.add(other)
        found.push(place)
      }
  return found
}

/** What bends a beam at one of its places, as parts of the unknowns: a force, and the first moments of a couple. */
interface Bending {
  readonly force: Map<number, number>
  readonly x: Map<number, number>
  readonly y: Map<number, number>
}

function summed(all: readonly Bending[], part: keyof Bending): Row {
  const sum = new Map<number, number>()
  for (const one of all) for (const [unknown, value] of one[part]) addTo(sum, unknown, value)
  return sum
}

function rowsOf(pieces: readonly BeamPiece[]): ReadonlyMap<object, Bending> {
  const rows = new Map<object, Bending>()
  const put = (row: Map<number, number>, { displacements, stiffness }: BeamPiece, i: number, factor: number) =>
    displacements.forEach((sum, j) => {
      for (const [unknown, part] of sum) addTo(row, unknown, factor * part * entry(entry(stiffness, i), j))
    })
  for (const piece of pieces)
    for (const [place, i] of [
      [piece.from, 0],
      [piece.to, 2],
    ] as const) {
      const row = rows.get(place) ?? { force: new Map(), x: new Map(), y: new Map() }
      put(row.force, piece, i, 1)
      if (piece.way && piece.withPlate[i / 2]) {
        put(row.x, piece, i + 1, piece.way[0])
        put(row.y, piece, i + 1, piece.way[1])
      }
      rows.set(place, row)
    }
  return rows
}
