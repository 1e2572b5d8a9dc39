import { largest } from '../outcome/lists'
import { entry } from '../outcome/assert'
import { even } from '../geometry/density'
import type { Point } from '../geometry/point'
import { eachEdge, nearestOnBorder, regionArea, type Region, type Ring } from '../geometry/polygon'
import { along, distance } from '../geometry/segment'
import { sliverArea } from '../geometry/tolerance'
import { bendingTriangle } from './bendingTriangle'
import { addElement, addPiece, grillageOf, piecesOf, type Contact, type ElasticBeam } from './grillage'
import { loadOfArea } from './loads'
import { meshOf, placeOf, type Mesh } from './mesh'
import { gathered } from './reentrant'
import { restsOf, type Bearing, type ColumnUnder, type Rest, type Row } from './rests'
import { planeGraph, type Line, type PlaneGraph } from './planeGraph'
import { factorise, Symmetric, type Factor } from './symmetric'

export interface PlateInput {
  /** The panel less its openings. */
  readonly region: Region
  /** Flexural stiffness D = E t³ / 12 (1 - nu²), Nm. */
  readonly stiffness: number
  /** Of the slab, m: within it of a corner that turns in, forces are not told apart. */
  readonly thickness: number
  readonly bearings: readonly Bearing[]
  readonly beams: readonly ElasticBeam[]
  /** Columns under the panel. */
  readonly columns: readonly ColumnUnder[]
  /** How far off the border a bearing may lie and still be on it, m. */
  readonly reach: number
}

/** A force, and the first moments about the axes of a couple that comes with it (which members are not handed). */
export interface Taken {
  readonly force: number
  readonly couple: Point
}

/** A panel solved as a plate: its equations are worked out once, and serve every load. */
export interface Plate {
  readonly mesh: Mesh
  readonly rests: readonly Rest[]
  /** What each rest takes under forces at the points of the mesh. */
  readonly takenUnder: (load: Float64Array) => readonly Taken[]
  /** Numbers that are kept for this. */
  readonly kept: number
  /** Longest side meant of its triangles, m. */
  readonly size: number
  /** The greatest change of a member's force against a mesh of twice that size, as a part of the load (see `converged`). */
  readonly change: number
  /** The same as a part of the panel's load, however many members it has. */
  readonly largest: number
}

/** A member's force is done when it changes by less than this part of the panel's load at half the size. */
export const converged = 0.02
/** Where a member's force still changes by more than this part of the panel's load, it is not known. */
export const unsettled = 0.05
/** Of a panel on many members the reference is what so many of them take in the mean. */
const countedMembers = 8
/** A mesh of more points is not made: what is reached by then is said. */
const mostPoints = 3000

/**
 * Solves a panel as a thin plate on beams that bend and columns that do not give, with finer and finer meshes until the forces on
 * members settle. Undefined where it cannot stand.
 */
export function solvePlate(input: PlateInput): Plate | undefined {
  const [first] = input.region.flat()
  if (!first || !(Math.abs(regionArea(input.region)) > sliverArea)) return undefined
  // of a place on a national grid half of the digits are gone: meshes and elements are made about the panel's own corner
  const origin: Point = [Math.round(first[0]), Math.round(first[1])]
  const found = solveNear(shifted(input, origin))
  if (!found) return undefined
  const back = ([x, y]: Point): Point => [x + origin[0], y + origin[1]]
  return {
    ...found,
    mesh: { ...found.mesh, points: found.mesh.points.map(back) },
    rests: found.rests.map((rest) => ({ ...rest, at: back(rest.at) })),
  }
}

function shifted(input: PlateInput, [x0, y0]: Point): PlateInput {
  const local = ([x, y]: Point): Point => [x - x0, y - y0]
  return {
    ...input,
    region: input.region.map((ring) => ring.map(local)),
    bearings: input.bearings.map((bearing) => ({ ...bearing, a: local(bearing.a), b: local(bearing.b) })),
    columns: input.columns.map((column) => ({ ...column, at: local(column.at) })),
  }
}

function solveNear(input: PlateInput): Plate | undefined {
  const graph = graphOf(input)
  let size = firstSize(input)
  let before = solveAt(input, graph, size)
  if (!before) return undefined
  for (;;) {
    const finer = solveAt(input, graph, size / 2)
    if (!finer) return undefined
    size /= 2
    const { largest: most, change } = changeOf(before, finer)
    const next = 4 * finer.mesh.points.length
    if (change < converged || next > mostPoints)
      return {
        mesh: finer.mesh,
        rests: finer.rests,
        takenUnder: (load) => takenUnder(finer, load),
        kept: finer.factor.kept,
        size,
        change,
        largest: most,
      }
    before = finer
  }
}

/** A sixth of a square, a third of the width of a strip; finer where members or columns stand closer. */
function firstSize({ region, bearings, columns }: PlateInput): number {
  const area = Math.abs(regionArea(region))
  const length = bearings.reduce((sum, { a, b }) => sum + distance(a, b), 0)
  const byLines = (2 * area) / Math.max(length, 2 * Math.sqrt(area)) / 3
  const meant = Math.min(byLines, Math.sqrt(area / Math.max(1, columns.length)) / 3)
  const border = region.reduce((sum, ring) => sum + perimeter(ring), 0)
  // half of it is tried in any case: points of the area, and of lines and borders
  return Math.max(meant, 2.4 * Math.sqrt(area / mostPoints), (4 * (length + border)) / mostPoints)
}

const perimeter = (ring: Ring): number => {
  let sum = 0
  eachEdge(ring, (a, b) => (sum += distance(a, b)))
  return sum
}

function graphOf({ region, bearings, columns, reach }: PlateInput): PlaneGraph {
  const lines = bearings.map(({ a, b }): Line => ontoBorder(region, a, b, reach))
  return planeGraph(
    region,
    lines,
    columns.map(({ at }) => (nearestOnBorder(region, at).off <= reach ? nearestOnBorder(region, at).at : at)),
  )
}

/** A bearing that runs beside a border within the reach lies on it. */
function ontoBorder(region: Region, a: Point, b: Point, reach: number): Line {
  const places = [a, b, along(a, b, distance(a, b) / 2)].map((p) => nearestOnBorder(region, p))
  const [start, end] = places
  return start && end && places.every(({ off }) => off <= reach) ? [start.at, end.at] : [a, b]
}

interface Equations {
  readonly mesh: Mesh
  readonly factor: Factor
  readonly rests: readonly Rest[]
  /** The unknown deflection of each point of the mesh; null where it is held. */
  readonly nodes: readonly (number | null)[]
  readonly unknowns: number
}

interface Solved extends Equations {
  /** Forces of members under a unit of pressure. */
  readonly totals: ReadonlyMap<string, number>
}

function solveAt(input: PlateInput, graph: PlaneGraph, size: number): Solved | undefined {
  const mesh = meshOf(input.region, graph, size, input.thickness)
  if (mesh.triangles.length === 0) return undefined
  const contacts = contactsOf(input.bearings, mesh)
  const grillage = grillageOf(input.beams, contacts, mesh.points.length, mesh.onPoints)
  const numbering = { next: 0 }
  const numbers = new Map<number, number>()
  const deflectionOf = (root: number): number | null => {
    if (grillage.fixed.has(root)) return null
    const known = numbers.get(root) ?? numbering.next++
    numbers.set(root, known)
    return known
  }
  const used = new Set(mesh.triangles.flat())
  const nodes = mesh.points.map((_, i) => (used.has(i) ? deflectionOf(grillage.root(i)) : null))
  const turns = mesh.points.map((_, i) => (used.has(i) ? ([numbering.next++, numbering.next++] as const) : null))
  const pieces = piecesOf(input.beams, grillage, mesh.points, {
    deflectionOf,
    turnsOf: (node) => turns[node] ?? null,
    add: () => numbering.next++,
  })
  const whole = new Symmetric(numbering.next)
  const elements = mesh.triangles.map((triangle) => ({
    triangle,
    unknowns: triangle.flatMap((i) => [nodes[i] ?? null, turns[i]?.[0] ?? null, turns[i]?.[1] ?? null]),
    stiffness: bendingTriangle(
      triangle.map((i) => entry(mesh.points, i)) as unknown as readonly [Point, Point, Point],
      input.stiffness,
    ),
  }))
  for (const { unknowns, stiffness } of elements) addElement(whole, unknowns, (i, j) => entry(stiffness, 9 * i + j))
  for (const piece of pieces) addPiece(whole, piece)
  const factor = factorise(whole)
  if (!factor) return undefined
  const rests = gathered(restsOf(input, mesh, elements, grillage, pieces), input.region, input.thickness)
  const equations: Equations = { mesh, factor, rests, nodes, unknowns: numbering.next }
  const totals = new Map<string, number>()
  takenUnder(equations, loadOfArea(mesh, input.region, even)).forEach(({ force }, i) => {
    const member = rests[i]?.member ?? ''
    totals.set(member, (totals.get(member) ?? 0) + force)
  })
  return { ...equations, totals }
}

function takenUnder({ factor, nodes, unknowns, rests }: Equations, load: Float64Array): readonly Taken[] {
  const right = new Float64Array(unknowns)
  nodes.forEach((unknown, node) => {
    if (unknown !== null) right[unknown] = entry(right, unknown) + entry(load, node)
  })
  const bent = factor.solve(right)
  const sum = (row: Row): number => {
    let total = 0
    for (const [unknown, value] of row) total += value * entry(bent, unknown)
    return total
  }
  return rests.map(({ row, couple: [x, y], ownNode, part }) => ({
    force: part * ((ownNode === null ? 0 : entry(load, ownNode)) + sum(row)),
    couple: [part * sum(x), part * sum(y)],
  }))
}

function changeOf(coarse: Solved, fine: Solved): Pick<Plate, 'change' | 'largest'> {
  const whole = [...fine.totals.values()].reduce((sum, force) => sum + force, 0)
  const members = new Set([...coarse.totals.keys(), ...fine.totals.keys()])
  const changes = [...members].map((id) => Math.abs((fine.totals.get(id) ?? 0) - (coarse.totals.get(id) ?? 0)))
  const most = Math.max(0, largest(changes)) / Math.abs(whole)
  return { largest: most, change: most * Math.max(1, members.size / countedMembers) }
}

function contactsOf(bearings: readonly Bearing[], mesh: Mesh): ReadonlyMap<string, readonly Contact[]> {
  const contacts = new Map<string, Contact[]>()
  bearings.forEach(({ a, b, owners }, k) => {
    const length = distance(a, b)
    for (const node of entry(mesh.onLines, k))
      for (const { member, from, way } of owners) {
        const s = from + way * distance(a, placeOf(mesh, node))
        const along: Point = [(way * (b[0] - a[0])) / length, (way * (b[1] - a[1])) / length]
        contacts.set(member, [...(contacts.get(member) ?? []), { node, s, along }])
      }
  })
  return contacts
}
