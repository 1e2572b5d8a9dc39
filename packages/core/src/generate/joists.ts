import { recordsOf, type Document, type Random } from '../document/document'
import type { Layout, Member, Panel } from '../document/recordKinds'
import { drawRecord } from '../editing/drawn'
import { labeller } from '../editing/shaped'
import { difference, regionOf, union } from '../geometry/clip'
import type { Point } from '../geometry/point'
import { eachEdge, type Region } from '../geometry/polygon'
import { distance, project } from '../geometry/segment'
import { onLine, sameSupport, tidyPoint } from '../geometry/tolerance'
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
  if (!read.ok) return { ok: false, problem: `${read.problem} Say “every 0.6 m” or “at most 0.6 m”.` }
  if (read.value < least || read.value > most) return { ok: false, problem: 'Joists are 0.1 to 20 m apart.' }
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
  if (count === 0) return { ok: false, problem: 'There is no room for a joist at this spacing.' }
  if (count > limit) return { ok: false, problem: `That would be ${count} joists; ${limit} at once is the most.` }
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
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const places = region.flat().map(([x, y]) => x * c + y * s)
  const [from, to] = [Math.min(...places), Math.max(...places)]
  const width = to - from
  const step = kind === 'exact' ? spacing : width / Math.ceil(width / spacing - 1e-9)
  // one on the far side would lie on its beam
  const count = Math.min(limit + 1, Math.ceil((width - sameSupport) / step) - 1)
  return Array.from({ length: Math.max(0, count) }, (_, i) => from + (i + 1) * step).flatMap((t) =>
    piecesAt(region, t, [c, s]),
  )
}

/** Where the line at `t` along a direction runs inside a region. */
function piecesAt(region: Region, t: number, [c, s]: Point): readonly Piece[] {
  const cuts: number[] = []
  for (const ring of region)
    eachEdge(ring, ([ax, ay], [bx, by]) => {
      const [ta, tb] = [ax * c + ay * s, bx * c + by * s]
      // half open: a corner on the line counts once
      if (ta <= t === tb <= t) return
      const part = (t - ta) / (tb - ta)
      cuts.push((ay + part * (by - ay)) * c - (ax + part * (bx - ax)) * s)
    })
  cuts.sort((a, b) => a - b)
  const at = (n: number): Point => tidyPoint([t * c - n * s, t * s + n * c])
  return cuts.flatMap((n, i): Piece[] => {
    const next = cuts[i + 1]
    return i % 2 === 0 && next !== undefined && next - n >= shortest ? [[at(n), at(next)]] : []
  })
}

/** Whether a straight beam lies along a line for all of it. */
function liesAlong([a, b]: Piece, path: readonly Point[]): boolean {
  const [p, q, more] = path
  if (!p || !q || more || distance(p, q) < onLine) return false
  const length = distance(p, q)
  return [a, b].every((point) => {
    const { s, off } = project(p, q, point)
    return Math.abs(off) <= onLine && s >= -onLine && s <= length + onLine
  })
}
