import { largest, pushAll, smallest } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { loadOver, type Density } from '../geometry/density'
import type { Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { sameLine, sameSupport } from '../geometry/tolerance'
import { shareAlongStrip } from './alongStrip'
import type { Overhang } from './lever'
import { loadAlong, type Ends } from './lineEnds'
import { bendsOf, railsOf, type Carrier, type Limits } from './rails'
import { mergeLines } from './mergeLines'
import type { Share } from './share'
import { shareBand, type Loaded, type StripGround, type Tally } from './stripPieces'
import { distinct, edgeOf, edgesOf, meetings, turnTo, uAt, type Edge } from './strips'

export interface OneWayPanel {
  /** What the strips run through: the outline, or the outline less openings where these interrupt the span. */
  readonly outline: Region
  readonly spanAngle: number
  readonly overhang: Overhang
  readonly carriers: readonly Carrier[]
  readonly limits: Limits
}

/** Shares a load over a region of the panel (one-way; docs/methods/one-way.md). */
export function shareArea(panel: OneWayPanel, region: Region, density: Density): Share {
  const turn = turnTo(panel.spanAngle)
  const { at, value, grows } = density
  const [alongU, alongV] = turn.uv(grows)
  const load: Loaded = {
    kind: 'area',
    edges: edgesOf(region, turn),
    density: { at: turn.uv(at), value, alongU, alongV },
  }
  const { force, moments } = loadOver(region, density)
  return collect(panel, load, force, moments)
}

/** Shares a line load along a–b, which lies inside the panel. */
export function shareLine(panel: OneWayPanel, a: Point, b: Point, ends: Ends): Share {
  const turn = turnTo(panel.spanAngle)
  const { force, moments } = loadAlong(a, b, ends)
  const [from, to] = [turn.uv(a), turn.uv(b)]
  const edge = edgeOf(from, to)
  const across = edge.v1 - edge.v0
  const length = distance(a, b)
  if (across <= 1e-6 * length)
    return shareAlongStrip(stripGround(panel), { edge, load: { from: from[0], to: to[0], ends } }, force, moments)
  const [first, last] = from[1] <= to[1] ? ends : [ends[1], ends[0]]
  const perV = [(first * length) / across, (last * length) / across] as const
  return collect(panel, { kind: 'line', edge, perV }, force, moments)
}

/** Shares one unit of force at a point inside the panel. */
export function sharePoint(panel: OneWayPanel, at: Point): Share {
  const turned = turnTo(panel.spanAngle).uv(at)
  return shareAlongStrip(stripGround(panel), { edge: edgeOf(turned, turned), load: null }, 1, at)
}

export const stripGround = ({ outline, spanAngle, overhang, carriers, limits }: OneWayPanel): StripGround => ({
  outline: edgesOf(outline, turnTo(spanAngle)),
  rails: railsOf(carriers, spanAngle, outline, limits),
  overhang,
  reach: limits.reach,
})

function collect(panel: OneWayPanel, load: Loaded, applied: number, appliedMoments: Point): Share {
  const ground = stripGround(panel)
  const tally: Tally = { lines: [], notCarried: 0, torque: 0, turns: [], merged: new Map() }
  const stops = breakpoints(ground, load)
  for (let i = 1; i < stops.length; i++) shareBand(ground, load, entry(stops, i - 1), entry(stops, i), tally)
  return {
    lines: mergeLines(tally.lines, bendsOf(panel.carriers)),
    points: [],
    onColumns: [],
    applied,
    appliedMoments,
    notCarried: tally.notCarried,
    torque: tally.torque,
    turns: tally.turns,
    turnPoints: [],
    merged: [...tally.merged.values()],
  }
}

/** Where a strip stands out beyond two supports near each other by as much as they are apart: there they begin to count as one. */
function standOut(a: Edge, b: Edge, outline: readonly Edge[], stops: number[]): void {
  const [v0, v1] = [Math.max(a.v0, b.v0), Math.min(a.v1, b.v1)]
  if (v1 - v0 <= 1e-9) return
  const [start, end] = [v0, v1].map((v) => [uAt(a, v), uAt(b, v)] as const) as [Pair, Pair]
  const [from, to] = [start[0] - start[1], end[0] - end[1]]
  if (Math.min(Math.abs(from), Math.abs(to)) > sameSupport && from * to > 0) return
  for (const [p, q] of [
    [0, 1],
    [1, 0],
  ] as const) {
    const mirrored: Edge = { v0, v1, u0: 2 * start[p] - start[q], u1: 2 * end[p] - end[q] }
    for (const edge of outline) meetings(mirrored, edge, 0, stops)
  }
}

type Pair = readonly [number, number]

/** Every v at which the make-up of the strips changes: vertices, crossings, and supports that come within 50 mm. */
function breakpoints({ outline, rails, reach }: StripGround, load: Loaded): readonly number[] {
  const loaded = load.kind === 'area' ? load.edges : [load.edge]
  const from = smallest(loaded.map(({ v0 }) => v0))
  const to = largest(loaded.map(({ v1 }) => v1))
  const carried = rails.map(({ edge }) => edge)
  const stops: number[] = []
  for (const { v0, v1 } of [...loaded, ...outline, ...carried]) stops.push(v0, v1)
  // each stretch of a wall has its own load, however the whole is straightened
  for (const { edge, stops: own } of rails)
    pushAll(
      stops,
      own.filter((v) => v > edge.v0 && v < edge.v1),
    )
  carried.forEach((rail, i) => {
    for (const edge of [...loaded, ...outline]) meetings(rail, edge, 0, stops)
    for (const edge of outline) meetings(rail, edge, reach, stops)
    for (const other of carried.slice(i + 1)) {
      for (const gap of [0, sameLine, sameSupport]) meetings(rail, other, gap, stops)
      standOut(rail, other, outline, stops)
    }
  })
  return distinct(stops.filter((v) => v >= from && v <= to))
}
