import type { Point } from '../geometry/point'
import { nearestOnBorder, regionArea, type Region } from '../geometry/polygon'
import { along, distance } from '../geometry/segment'
import { bendingTriangle } from './bendingTriangle'
import { addElement, grillageOf, piecesOf, type Contact, type ElasticBeam } from './grillage'
import { loadOfArea } from './loads'
import { meshOf, type Mesh } from './mesh'
import { beamRests, columnRests, spreadsOf, type Bearing, type ColumnUnder, type Draft, type Rest } from './rests'
import { planeGraph, type Line, type PlaneGraph } from './planeGraph'
import { factorise, Symmetric, type Factor } from './symmetric'

export interface PlateInput {
  /** The panel less its openings. */
  readonly region: Region
  /** Flexural stiffness D = E t³ / 12 (1 - nu²), Nm. */
  readonly stiffness: number
  readonly bearings: readonly Bearing[]
  readonly beams: readonly ElasticBeam[]
  /** Columns under the panel. */
  readonly columns: readonly ColumnUnder[]
  /** How far off the border a bearing may lie and still be on it, m. */
  readonly reach: number
}

/** A panel solved as a plate: what each point of its mesh hands to each of its rests. */
export interface Plate {
  readonly mesh: Mesh
  readonly rests: readonly Rest[]
  /** Longest side meant of its triangles, m. */
  readonly size: number
  /** The greatest change of a member's force against a mesh of twice that size, as a part of the load (see `converged`). */
  readonly change: number
}

/** A member's force is done when it changes by less than this part of the panel's load at half the size. */
export const converged = 0.02
/** Of a panel on many members the reference is what so many of them take in the mean. */
const countedMembers = 8
/** A mesh of more points is not made: what is reached by then is said. */
const mostPoints = 3000

/**
 * Solves a panel as a thin plate on beams that bend and columns that do not give, with finer and finer meshes until the forces on
 * members settle. Undefined where it cannot stand.
 */
export function solvePlate(input: PlateInput): Plate | undefined {
  const graph = graphOf(input)
  let size = firstSize(input)
  let before = solveAt(input, graph, size)
  if (!before) return undefined
  for (;;) {
    const finer = solveAt(input, graph, size / 2)
    if (!finer) return undefined
    size /= 2
    const change = changeOf(before, finer)
    const next = 4 * finer.mesh.points.length
    if (change < converged || next > mostPoints)
      return { mesh: finer.mesh, rests: finer.rests.map((rest) => influenceOf(finer, rest)), size, change }
    before = finer
  }
}

/** A sixth of a square, a third of the width of a strip; finer where members or columns stand closer. */
function firstSize({ region, bearings, columns }: PlateInput): number {
  const area = Math.abs(regionArea(region))
  const length = bearings.reduce((sum, { a, b }) => sum + distance(a, b), 0)
  const byLines = (2 * area) / Math.max(length, 2 * Math.sqrt(area)) / 3
  const meant = Math.min(byLines, Math.sqrt(area / Math.max(1, columns.length)) / 3)
  // half of it is tried in any case
  return Math.max(meant, 2.4 * Math.sqrt(area / mostPoints))
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

interface Solved {
  readonly mesh: Mesh
  readonly factor: Factor
  readonly rests: readonly Draft[]
  /** Forces of members under a unit of pressure. */
  readonly totals: ReadonlyMap<string, number>
  readonly deflections: readonly (number | null)[]
  readonly unknowns: number
}

function solveAt(input: PlateInput, graph: PlaneGraph, size: number): Solved | undefined {
  const mesh = meshOf(input.region, graph, size)
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
  const turns = mesh.points.map((_, i) => (used.has(i) ? [numbering.next++, numbering.next++] : []))
  const pieces = piecesOf(input.beams, grillage, deflectionOf, numbering)
  const whole = new Symmetric(numbering.next)
  const elements = mesh.triangles.map((triangle) => ({
    triangle,
    unknowns: triangle.flatMap((i) => [nodes[i] ?? null, turns[i]?.[0] ?? null, turns[i]?.[1] ?? null]),
    stiffness: bendingTriangle(
      triangle.map((i) => mesh.points[i] ?? [0, 0]) as unknown as readonly [Point, Point, Point],
      input.stiffness,
    ),
  }))
  for (const { unknowns, stiffness } of elements) addElement(whole, unknowns, (i, j) => stiffness[9 * i + j] ?? 0)
  for (const { unknowns, stiffness } of pieces) addElement(whole, unknowns, (i, j) => stiffness[i]?.[j] ?? 0)
  const factor = factorise(whole)
  if (!factor) return undefined
  const rests = [
    ...columnRests(input.columns, mesh, elements),
    ...beamRests(input.beams, mesh, elements, grillage, pieces, spreadsOf(input.bearings, mesh)),
  ]
  const load = loadOfArea(mesh, input.region)
  const right = new Float64Array(numbering.next)
  nodes.forEach((at, i) => at !== null && (right[at] = (right[at] ?? 0) + (load[i] ?? 0)))
  const u = factor.solve(right)
  const totals = new Map<string, number>()
  for (const rest of rests) totals.set(rest.member, (totals.get(rest.member) ?? 0) + forceAt(rest, u, load))
  return { mesh, factor, rests, totals, deflections: nodes, unknowns: numbering.next }
}

const forceAt = ({ row, ownNode }: Draft, u: Float64Array, load: Float64Array): number => {
  let force = ownNode === null ? 0 : (load[ownNode] ?? 0)
  for (const [at, value] of row) force += value * (u[at] ?? 0)
  return force
}

/** By reciprocity: what unit forces everywhere give to one rest is how the plate bends under that rest's own row. */
function influenceOf({ factor, deflections, unknowns }: Solved, { row, ownNode, ...rest }: Draft): Rest {
  const right = new Float64Array(unknowns)
  for (const [at, value] of row) right[at] = value
  const bent = factor.solve(right)
  const influence = Float64Array.from(deflections, (at) => (at === null ? 0 : (bent[at] ?? 0)))
  if (ownNode !== null) influence[ownNode] = (influence[ownNode] ?? 0) + 1
  return { ...rest, influence }
}

function changeOf(coarse: Solved, fine: Solved): number {
  const whole = [...fine.totals.values()].reduce((sum, force) => sum + force, 0)
  const members = new Set([...coarse.totals.keys(), ...fine.totals.keys()])
  const changes = [...members].map((id) => Math.abs((fine.totals.get(id) ?? 0) - (coarse.totals.get(id) ?? 0)))
  return (Math.max(0, ...changes) / Math.abs(whole)) * Math.max(1, members.size / countedMembers)
}

function contactsOf(bearings: readonly Bearing[], mesh: Mesh): ReadonlyMap<string, readonly Contact[]> {
  const contacts = new Map<string, Contact[]>()
  bearings.forEach(({ a, owners }, k) => {
    for (const node of mesh.onLines[k] ?? [])
      for (const { member, from, way } of owners) {
        const s = from + way * distance(a, mesh.points[node] ?? a)
        contacts.set(member, [...(contacts.get(member) ?? []), { node, s }])
      }
  })
  return contacts
}
