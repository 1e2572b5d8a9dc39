// oxlint-disable-next-line typescript/triple-slash-reference -- the package's own types ask for those of Node
/// <reference path="./dxfParser.d.ts" />
import DxfParser from 'dxf-parser'
import { arcBetween, chordTurn } from '../geometry/arc'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { samePoint } from '../geometry/tolerance'
import { largest, pushAll } from '../outcome/lists'
import { own } from '../outcome/own'
import { withPlainCorners } from './dxfGroups'
import { dxfDamage } from './dxfStructure'

export const dxfLimits = { characters: 20_000_000, shapes: 50_000 } as const

/** What one layer of a drawing holds, in units of the drawing. */
export interface DxfLayer {
  readonly name: string
  /** Lines and open polylines, point by point. */
  readonly paths: readonly (readonly Point[])[]
  /** Each straight side or arc of its lines and polylines by itself, as members are made of them. */
  readonly sides: readonly (readonly Point[])[]
  /** Closed polylines. */
  readonly rings: readonly (readonly Point[])[]
  /** Points, centres of circles, places of blocks. */
  readonly points: readonly Point[]
}

export interface DxfPlan {
  readonly layers: readonly DxfLayer[]
  /** Metres to a unit of the drawing, as it says itself; null where it does not. */
  readonly unit: number | null
  /** What is not taken over, by its kind: texts, dimensions, hatches. */
  readonly leftOut: Readonly<Record<string, number>>
}

export type ReadDxf = { readonly ok: true; readonly plan: DxfPlan } | { readonly ok: false; readonly problem: string }

const refused = (problem: string): ReadDxf => ({ ok: false, problem })

/** Metres to a unit by the header variable $INSUNITS (DXF reference, header section). */
const insUnits: Readonly<Record<number, number>> = { 1: 0.0254, 2: 0.3048, 4: 1e-3, 5: 1e-2, 6: 1, 10: 0.9144, 14: 0.1 }

/** Reads the shapes of a DXF drawing (text form) by their layers; only what lies in model space counts. */
export function readDxf(written: string): ReadDxf {
  const text = written.replace(/\r\n?/g, '\n')
  if (text.length > dxfLimits.characters) return refused('The drawing is larger than 20 MB.')
  // the head of the binary form ends with these two, which no text has
  if (text.slice(0, 40).includes('\u001a\u0000'))
    return refused('This is a binary DXF file. Save it as a text (ASCII) DXF.')
  if (!/^\s*(0|999)\s*\n/.test(text) || !/\bENTITIES\b/.test(text)) return refused('Not a DXF file.')
  if (!/\bEOF\s*$/.test(text)) return refused('The file is truncated.')
  const damage = dxfDamage(text)
  if (damage !== null) return refused(damage)
  let parsed: unknown
  try {
    parsed = new DxfParser().parseSync(withPlainCorners(text))
  } catch {
    return refused('The drawing could not be read; it is damaged.')
  }
  const entities = listOf(fieldOf(parsed, 'entities'))
  if (entities.length > dxfLimits.shapes) return refused('The drawing has more than 50 000 shapes.')
  const plan = planOf(entities, fieldOf(fieldOf(parsed, 'header'), '$INSUNITS'))
  return plan.layers.length === 0 ? refused('The drawing has no lines, outlines or points.') : { ok: true, plan }
}

/** What the parser answers is not trusted to have any shape. */
const fieldOf = (value: unknown, name: string): unknown =>
  typeof value === 'object' && value !== null ? own(value as Readonly<Record<string, unknown>>, name) : undefined
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? (value as readonly unknown[]) : [])
const numberOf = (value: unknown): number | null =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) < 1e9 ? value : null
const textOf = (value: unknown): string => (typeof value === 'string' ? value : '')

function pointOf(value: unknown): Point | null {
  const [x, y] = [numberOf(fieldOf(value, 'x')), numberOf(fieldOf(value, 'y'))]
  return x === null || y === null ? null : [x, y]
}

interface Shapes {
  readonly paths?: readonly (readonly Point[])[]
  readonly sides?: readonly (readonly Point[])[]
  readonly rings?: readonly (readonly Point[])[]
  readonly points?: readonly Point[]
}

interface Gathering {
  readonly paths: (readonly Point[])[]
  readonly sides: (readonly Point[])[]
  readonly rings: (readonly Point[])[]
  readonly points: Point[]
}
type Gathered = Map<string, Gathering>

function put(layers: Gathered, name: string, { paths = [], sides = [], rings = [], points = [] }: Shapes): void {
  const layer = layers.get(name) ?? { paths: [], sides: [], rings: [], points: [] }
  pushAll(layer.paths, paths)
  pushAll(layer.sides, sides)
  pushAll(layer.rings, rings)
  pushAll(layer.points, points)
  layers.set(name, layer)
}

function planOf(entities: readonly unknown[], insUnit: unknown): DxfPlan {
  const layers: Gathered = new Map()
  const leftOut = new Map<string, number>()
  for (const entity of entities) {
    if (fieldOf(entity, 'inPaperSpace') === true || fieldOf(entity, 'visible') === false) continue
    const type = textOf(fieldOf(entity, 'type'))
    const shapes = own(readers, type)?.(entity)
    if (!shapes) {
      leftOut.set(type, (leftOut.get(type) ?? 0) + 1)
      continue
    }
    put(layers, textOf(fieldOf(entity, 'layer')).slice(0, 60), shapes)
  }
  return {
    layers: [...layers].map(([name, shapes]) => ({ name, ...shapes })).sort((a, b) => (a.name < b.name ? -1 : 1)),
    unit: insUnits[numberOf(insUnit) ?? 0] ?? null,
    leftOut: Object.fromEntries([...leftOut].sort(([a], [b]) => (a < b ? -1 : 1))),
  }
}

const readers: Readonly<Record<string, (entity: unknown) => Shapes | undefined>> = {
  LINE: (entity) => asPath([pointsOf(entity)], false),
  LWPOLYLINE: (entity) => asPath(sidesOf(entity), fieldOf(entity, 'shape') === true),
  POLYLINE: (entity) => asPath(sidesOf(entity), fieldOf(entity, 'shape') === true),
  ARC: arcPath,
  CIRCLE: (entity) => asPoint(fieldOf(entity, 'center')),
  POINT: (entity) => asPoint(fieldOf(entity, 'position')),
  INSERT: (entity) => asPoint(fieldOf(entity, 'position')),
}

function asPoint(value: unknown): Shapes | undefined {
  const point = pointOf(value)
  return point ? { points: [point] } : undefined
}

const pointsOf = (entity: unknown): readonly Point[] =>
  listOf(fieldOf(entity, 'vertices')).flatMap((vertex) => {
    const point = pointOf(vertex)
    return point ? [point] : []
  })

/** A polyline that ends where it began is a ring, whatever it says of itself. */
function asPath(sides: readonly (readonly Point[])[], closed: boolean): Shapes | undefined {
  const points = sides.flatMap((side, i) => (i === 0 ? side : side.slice(1)))
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last || points.length < 2) return undefined
  const size = largest(points.map((point) => distance(point, first)))
  const returns = points.length > 3 && distance(first, last) <= 1e-6 * size
  const ring = returns ? points.slice(0, -1) : points
  return (closed || returns) && ring.length >= 3 ? { rings: [ring], sides } : { paths: [points], sides }
}

/** The sides of a polyline, its bulges followed by chords (bulge: tangent of a quarter of the angle of the arc). */
function sidesOf(entity: unknown): readonly (readonly Point[])[] {
  const vertices = listOf(fieldOf(entity, 'vertices')).flatMap((vertex) => {
    const at = pointOf(vertex)
    return at ? [{ at, bulge: numberOf(fieldOf(vertex, 'bulge')) ?? 0 }] : []
  })
  // two points without a curve between them go there and not back
  const closed = fieldOf(entity, 'shape') === true && (vertices.length > 2 || vertices.some(({ bulge }) => bulge !== 0))
  return vertices.flatMap(({ at: from, bulge }, i): readonly (readonly Point[])[] => {
    const to = (vertices[i + 1] ?? (closed ? vertices[0] : undefined))?.at
    if (!to || distance(from, to) === 0) return []
    return [bulge === 0 ? [from, to] : [from, ...arcBetween(from, to, bulge), to]]
  })
}

function arcPath(entity: unknown): Shapes | undefined {
  const centre = pointOf(fieldOf(entity, 'center'))
  const number = (name: string) => numberOf(fieldOf(entity, name))
  const [radius, start, end] = [number('radius'), number('startAngle'), number('endAngle')]
  if (!centre || radius === null || start === null || end === null || radius <= samePoint) return undefined
  // counter-clockwise from start to end
  const turn = (((end - start) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)
  const parts = Math.max(1, Math.ceil(turn / chordTurn))
  const path = Array.from({ length: parts + 1 }, (_, i): Point => {
    const angle = start + (turn * i) / parts
    return [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)]
  })
  return { paths: [path], sides: [path] }
}
