import { largest, smallest } from '../outcome/lists'
import { recordsOf, type Document, type Random } from '../document/document'
import type { Layout, Member, Panel } from '../document/recordKinds'
import { drawRecord } from '../editing/drawn'
import { labeller } from '../editing/shaped'
import { difference, regionOf, union } from '../geometry/clip'
import type { Point } from '../geometry/point'
import type { Region } from '../geometry/polygon'
import { distance, overlapOn } from '../geometry/segment'
import { onLine, sameSupport, tidyPoint } from '../geometry/tolerance'
import { edgesOf, turnTo, uAt, type Edge } from '../sharing/strips'
import type { NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'

/** How far joists are apart: just so from the side where the span begins, or evenly and at most so far. */
export interface JoistSpacing {
  readonly kind: 'exact' | 'even'
  /** m */
  readonly spacing: number
}

export type ReadJoists =
  { readonly ok: true; readonly joists: JoistSpacing } | { readonly ok: false; readonly problem: string }

const [least, most] = [0.1, 20]

/** Reads `every 0.6 m` or `at most 0.6 m`; a length alone is every so far. */
export function readJoists(text: string, format: NumberFormat): ReadJoists {
  const [, word = 'every', length = ''] = /^(?:(every|at most)\s+)?(.+)$/i.exec(text.trim()) ?? []
  const read = parseQuantity(length, 'length', format)
  if (!read.ok) return { ok: false, problem: `${read.problem} Enter “every 0.6 m” or “at most 0.6 m”.` }
  if (read.value < least || read.value > most) return { ok: false, problem: 'The joist spacing must be 0.1 to 20 m.' }
  return { ok: true, joists: { kind: word.toLowerCase() === 'every' ? 'exact' : 'even', spacing: read.value } }
}

/** Shorter pieces than this carry nothing that counts, m. */
const shortest = 0.1
/** Joists on one panel, at most. */
const limit = 1000

export type MadeJoists =
  { readonly ok: true; readonly joists: readonly Member[] } | { readonly ok: false; readonly problem: string }

/**
 * Joists across the span of panels, so that the deck, spanning as it does, rests on them. They end at the outline and at openings; where a beam lies already
 * there is none.
 */
export function joistsOn(
  panels: readonly Panel[],
  spacing: JoistSpacing,
  document: Document,
  random: Random,
): MadeJoists {
  const layouts = [...new Set(panels.map(({ layout }) => layout))].flatMap((id) => {
    const layout = document.records.get(id)
    return layout?.kind === 'layout' ? [layout] : []
  })
  const lines = layouts.map((layout) => ({ layout, free: freeLines(panels, layout, spacing, document) }))
  const count = lines.reduce((sum, { free }) => sum + free.length, 0)
  if (count === 0) return { ok: false, problem: 'No joist fits at this spacing.' }
  if (count > limit) return { ok: false, problem: `This gives ${count} joists; ${limit} at once is the limit.` }
  const joists: Member[] = []
  for (const { layout, free } of lines) {
    const label = labeller(document, layout)
    for (const line of free) {
      const drawn = drawRecord('joist', line, { document, layout, random })
      if (!drawn.ok) return drawn
      if (drawn.record.kind === 'member') joists.push({ ...drawn.record, label: label(drawn.record) })
    }
  }
  return { ok: true, joists }
}

function freeLines(
  panels: readonly Panel[],
  { id }: Layout,
  spacing: JoistSpacing,
  document: Document,
): readonly Piece[] {
  const on = <R extends { readonly layout: string }>(records: readonly R[]) =>
    records.filter(({ layout }) => layout === id)
  const holes = union(on(recordsOf(document, 'opening')).map(({ outline }) => outline))
  const there = on(recordsOf(document, 'member')).filter(({ path }) => path.length > 1)
  return on(panels)
    .flatMap(({ outline, spanAngle }) => linesAcross(difference(regionOf(outline), holes), spanAngle, spacing))
    .filter((line) => !there.some(({ path }) => liesAlong(line, path)))
}

type Piece = readonly [Point, Point]

/** Pieces inside a region of lines across a direction, from its lowest side along it. */
function linesAcross(region: Region, angle: number, { kind, spacing }: JoistSpacing): readonly Piece[] {
  // u along the joists, so that what the span measures runs against v
  const edges = edgesOf(region, turnTo(angle + Math.PI / 2))
  const from = largest(edges.map(({ v1 }) => v1))
  const width = from - smallest(edges.map(({ v0 }) => v0))
  const step = kind === 'exact' ? spacing : width / Math.ceil(width / spacing - 1e-9)
  // one on the far side would lie on its beam
  const count = Math.min(limit + 1, Math.ceil((width - sameSupport) / step) - 1)
  const [c, s] = [-Math.sin(angle), Math.cos(angle)]
  return Array.from({ length: Math.max(0, count) }, (_, i) => from - (i + 1) * step).flatMap((v) => {
    const at = (u: number): Point => tidyPoint([u * c - v * s, u * s + v * c])
    return piecesAt(edges, v).map(([a, b]): Piece => [at(a), at(b)])
  })
}

/** Where the line at `v` runs inside. A corner on it counts once: an edge has its lower end and not its upper one. */
function piecesAt(edges: readonly Edge[], v: number): readonly (readonly [from: number, to: number])[] {
  const cuts = edges
    .filter(({ v0, v1 }) => v0 <= v && v < v1)
    .map((edge) => uAt(edge, v))
    .sort((a, b) => a - b)
  return cuts.flatMap((from, i) => {
    const to = cuts[i + 1]
    return i % 2 === 0 && to !== undefined && to - from >= shortest ? [[from, to] as const] : []
  })
}

/** Whether a straight beam lies along a line for all of it. */
function liesAlong([a, b]: Piece, path: readonly Point[]): boolean {
  const [p, q, more] = path
  const on = p && q && !more ? overlapOn(p, q, a, b, onLine) : undefined
  return on !== undefined && on.to - on.from >= distance(a, b) - 2 * onLine
}
