import { isOnGridLine } from '../building/grid'
import { newGridLine } from '../document/blanks'
import { recordsOf, type Document, type Random } from '../document/document'
import { gridLetter } from '../document/labels'
import { isUpright } from '../document/roles'
import type { GridLine, Layout, Rec } from '../document/recordKinds'
import type { DxfLayer } from './dxfPlan'
import type { Point } from '../geometry/point'
import { crossesItself, meanOf, signedArea } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine, sliverArea } from '../geometry/tolerance'
import { drawRecord, type Tool } from '../editing/drawn'
import { labeller } from '../editing/shaped'

/** What the shapes of a layer become. */
export const layerUses = {
  none: 'skipped',
  beam: 'beams',
  girder: 'girders',
  column: 'columns',
  hanger: 'hangers',
  wall: 'bearing walls',
  gridLine: 'grid lines',
  panel: 'panels',
  opening: 'openings',
  wallRun: 'wall runs',
} as const
export type LayerUse = keyof typeof layerUses

/** Words by which layers of plans are usually named, in English and German (common practice); the first that fits counts. */
const usualNames: readonly (readonly [RegExp, LayerUse])[] = [
  [/dim|text|note|hatch|title|anno|bem(aß|ass)/i, 'none'],
  [/grid|axis|axes|achs|raster/i, 'gridLine'],
  [/open|void|hole|shaft|öffnung|oeffnung|schacht/i, 'opening'],
  [/hanger|abh(ä|ae)ng/i, 'hanger'],
  [/col(umn)?s?\b|col[-_]|colu|st(ü|ue)tze/i, 'column'],
  [/girder|primary|haupttr/i, 'girder'],
  [/beam|joist|secondary|tr(ä|ae)ger|unterz(u|ü|ue)g/i, 'beam'],
  [/partition|facade|fassade|cladding|parapet/i, 'wallRun'],
  [/wall|wand|w(ä|ae)nde/i, 'wall'],
  [/slab|floor|deck|panel|decke/i, 'panel'],
]

/** What a layer is proposed to become by its name; skipped where its name says nothing, or where it has no shape of that sort. */
export function proposedUse({ name, paths, rings, points }: DxfLayer): LayerUse {
  const use = usualNames.find(([words]) => words.test(name))?.[1] ?? 'none'
  const isOutline = use === 'panel' || use === 'opening'
  const isPoint = use === 'column' || use === 'hanger'
  if (isOutline) return rings.length > 0 ? use : 'none'
  if (isPoint) return points.length + rings.length > 0 ? use : 'none'
  return paths.length + rings.length > 0 ? use : 'none'
}

interface Import {
  readonly document: Document
  readonly layout: Layout
  readonly random: Random
  /** Metres to a unit of the drawing. */
  readonly unit: number
  /** Point of the drawing that comes to the origin, in its units. */
  readonly origin: Point
}

export interface Imported {
  readonly records: readonly Rec[]
  /** “12 beams, 1 panel”, and what was not taken over. */
  readonly words: string
  readonly leftOut: readonly string[]
  readonly problem: string | null
}

/** Each is compared with all others; a layer with more of them is no grid. */
const mostGridLines = 1000

/** Records from layers, each for its use: all of them or none, with what could not be made. */
export function importedPlan(
  layers: readonly (readonly [layer: DxfLayer, use: LayerUse])[],
  { document, layout, random, unit, origin }: Import,
): Imported {
  const place = ([x, y]: Point): Point => [tidy((x - origin[0]) * unit), tidy((y - origin[1]) * unit)]
  const made: Rec[] = []
  const leftOut = new Map<string, number>()
  const leave = (why: string) => leftOut.set(why, (leftOut.get(why) ?? 0) + 1)
  const label = labeller(document, layout)
  let lines = 0
  for (const [layer, use] of layers)
    for (const shape of shapesFor(layer, use, leave)) {
      const points = shape.points.map(place)
      const reason = reasonAgainst(points, use)
      if (reason) leave(reason)
      else if (use === 'gridLine' && lines >= mostGridLines) leave(`grid lines beyond the first ${mostGridLines}`)
      else if (use === 'gridLine') {
        const line = gridLineOf(points, made, document, random)
        lines++
        if (line) made.push(line)
        else leave('grid lines that exist already')
      } else if (use !== 'none') {
        const drawn = drawRecord(use satisfies Tool, points, { document, layout, random, closed: shape.closed })
        if (!drawn.ok) return { records: [], words: '', leftOut: [], problem: drawn.problem }
        made.push({ ...drawn.record, label: label(drawn.record) })
      }
    }
  return {
    records: made,
    words: wordsOf(made),
    leftOut: [...leftOut].map(([why, count]) => `${count} ${why}`),
    problem: null,
  }
}

const tidy = (value: number): number => Math.round(value * 1e6) / 1e6

interface ImportShape {
  readonly points: readonly Point[]
  readonly closed: boolean
}

/** The shapes of a layer that a use can be made of; lines and polylines give a member for each of their sides and arcs. */
function shapesFor(layer: DxfLayer, use: LayerUse, leave: (why: string) => unknown): readonly ImportShape[] {
  const open = (points: readonly Point[]): ImportShape => ({ points, closed: false })
  switch (use) {
    case 'none':
      return []
    case 'column':
    case 'hanger':
      return [...layer.points, ...layer.rings.map(meanOf)].map((point) => open([point]))
    case 'beam':
    case 'girder':
      return layer.sides.map(open)
    case 'gridLine':
      return straightSides(layer, leave).map(open)
    case 'wall':
    case 'wallRun':
      return [...layer.paths.map(open), ...layer.rings.map((points) => ({ points, closed: true }))]
    case 'panel':
    case 'opening':
      for (let i = 0; i < layer.paths.length; i++) leave('lines that do not close an outline')
      return layer.rings.map((points) => ({ points, closed: true }))
  }
}

function straightSides({ sides }: DxfLayer, leave: (why: string) => unknown): DxfLayer['sides'] {
  const straight = sides.filter((side) => side.length === 2)
  for (let i = straight.length; i < sides.length; i++) leave('arcs, which cannot be grid lines')
  return straight
}

function reasonAgainst(points: readonly Point[], use: LayerUse): string | null {
  if (points.some((point) => point.some((value) => Math.abs(value) > 1e5)))
    return 'shapes further than 100 km from the origin'
  if (isUpright(use)) return null
  return use === 'panel' || use === 'opening' ? reasonAgainstRing(points) : reasonAgainstLine(points, use)
}

function reasonAgainstRing(points: readonly Point[]): string | null {
  if (points.length > 500) return 'outlines of more than 500 corners'
  if (crossesItself(points)) return 'outlines that cross themselves'
  return Math.abs(signedArea(points)) < sliverArea ? 'outlines without area' : null
}

/** A line needs a length; a member also has ends apart and not too many points. */
function reasonAgainstLine(points: readonly Point[], use: LayerUse): string | null {
  const [first, last] = [points[0], points.at(-1)]
  const returns = first !== undefined && last !== undefined && distance(first, last) <= onLine
  if (points.length === 2) return returns ? 'lines without length' : null
  // a wall that closes has its first point twice
  if (use === 'wall') return points.length > 59 ? 'walls of more than 59 points' : null
  if (use !== 'beam' && use !== 'girder') return null
  if (returns) return 'closed arcs'
  return points.length > 60 ? 'arcs of more than 60 points' : null
}

/** Upright or level within a hundredth, else skew; one at the same place is not made again. */
function gridLineOf(
  points: readonly Point[],
  made: readonly Rec[],
  document: Document,
  random: Random,
): GridLine | undefined {
  const [a = [0, 0], b = [0, 0]] = points
  const [dx, dy] = [Math.abs(b[0] - a[0]), Math.abs(b[1] - a[1])]
  const there = [...recordsOf(document, 'gridLine'), ...made.filter((record) => record.kind === 'gridLine')]
  if (dx > 0.01 * dy && dy > 0.01 * dx) return skewLine(a, b, there, random)
  const axis = dx < dy ? 'x' : 'y'
  const at = tidy(axis === 'x' ? (a[0] + b[0]) / 2 : (a[1] + b[1]) / 2)
  const alike = there.filter((line) => line.axis === axis)
  if (alike.some((line) => Math.abs(line.at - at) <= onLine)) return undefined
  const label = axis === 'x' ? String(alike.length + 1) : gridLetter(alike.length)
  return newGridLine(axis, label, at, random)
}

function skewLine(a: Point, b: Point, there: readonly GridLine[], random: Random): GridLine | undefined {
  const skew = there.filter(({ axis }) => axis === 'line')
  if (skew.some((line) => [a, b].every((point) => isOnGridLine(line, point, onLine)))) return undefined
  return newGridLine('line', `S${skew.length + 1}`, 0, random, [a, b])
}

const nameOf = (record: Rec): string =>
  record.kind === 'member'
    ? record.role === 'wall'
      ? 'bearing wall'
      : record.role
    : record.kind === 'gridLine'
      ? 'grid line'
      : record.kind === 'wallRun'
        ? 'wall run'
        : record.kind

function wordsOf(made: readonly Rec[]): string {
  const counts = new Map<string, number>()
  for (const record of made) counts.set(nameOf(record), (counts.get(nameOf(record)) ?? 0) + 1)
  return [...counts].map(([name, count]) => `${count} ${name}${count === 1 ? '' : 's'}`).join(', ')
}
