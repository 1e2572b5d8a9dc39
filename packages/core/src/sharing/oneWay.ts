import type { Point } from '../geometry/point'
import { regionArea, regionMoments, type Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { sameSupport } from '../geometry/tolerance'
import { shareAlongStrip } from './alongStrip'
import type { Overhang } from './lever'
import { bendsOf, railsOf, type Carrier, type Limits } from './rails'
import { mergeLines } from './mergeLines'
import type { Share } from './share'
import { shareBand, type Loaded, type StripGround, type Tally } from './stripPieces'
import { distinct, edgeOf, edgesOf, meetings, turnTo } from './strips'

export interface OneWayPanel {
  /** What the strips run through: the outline, or the outline less openings where these interrupt the span. */
  readonly outline: Region
  readonly spanAngle: number
  readonly overhang: Overhang
  readonly carriers: readonly Carrier[]
  readonly limits: Limits
}

/** Shares one unit of pressure over a region of the panel (one-way; docs/methods/one-way.md). */
export function shareArea(panel: OneWayPanel, region: Region): Share {
  const load: Loaded = { kind: 'area', edges: edgesOf(region, turnTo(panel.spanAngle)) }
  return collect(panel, load, regionArea(region), regionMoments(region))
}

/** Shares one unit of line load along a–b, which lies inside the panel. */
export function shareLine(panel: OneWayPanel, a: Point, b: Point): Share {
  const turn = turnTo(panel.spanAngle)
  const length = distance(a, b)
  const moments: Point = [((a[0] + b[0]) / 2) * length, ((a[1] + b[1]) / 2) * length]
  const edge = edgeOf(turn.uv(a), turn.uv(b))
  const across = edge.v1 - edge.v0
  if (across > 1e-6 * length) return collect(panel, { kind: 'line', edge, perV: length / across }, length, moments)
  return shareAlongStrip(stripGround(panel), edge, length, moments)
}

/** Shares one unit of force at a point inside the panel. */
export function sharePoint(panel: OneWayPanel, at: Point): Share {
  const turned = turnTo(panel.spanAngle).uv(at)
  return shareAlongStrip(stripGround(panel), edgeOf(turned, turned), 1, at)
}

export const stripGround = ({ outline, spanAngle, overhang, carriers, limits }: OneWayPanel): StripGround => ({
  outline: edgesOf(outline, turnTo(spanAngle)),
  rails: railsOf(carriers, spanAngle, outline, limits),
  overhang,
  reach: limits.reach,
})

function collect(panel: OneWayPanel, load: Loaded, applied: number, appliedMoments: Point): Share {
  const ground = stripGround(panel)
  const tally: Tally = { lines: [], notCarried: 0, torque: 0, merged: new Map() }
  const stops = breakpoints(ground, load)
  for (let i = 1; i < stops.length; i++) shareBand(ground, load, stops[i - 1] ?? 0, stops[i] ?? 0, tally)
  return {
    lines: mergeLines(tally.lines, bendsOf(panel.carriers)),
    points: [],
    onColumns: [],
    applied,
    appliedMoments,
    notCarried: tally.notCarried,
    torque: tally.torque,
    merged: [...tally.merged.values()],
  }
}

/** Every v at which the make-up of the strips changes: vertices, crossings, and supports that come within 50 mm. */
function breakpoints({ outline, rails, reach }: StripGround, load: Loaded): readonly number[] {
  const loaded = load.kind === 'area' ? load.edges : [load.edge]
  const from = Math.min(...loaded.map(({ v0 }) => v0))
  const to = Math.max(...loaded.map(({ v1 }) => v1))
  const carried = rails.map(({ edge }) => edge)
  const stops: number[] = []
  for (const { v0, v1 } of [...loaded, ...outline, ...carried]) stops.push(v0, v1)
  // each stretch of a wall has its own load, however the whole is straightened
  for (const { edge, stops: own } of rails) stops.push(...own.filter((v) => v > edge.v0 && v < edge.v1))
  carried.forEach((rail, i) => {
    for (const edge of [...loaded, ...outline]) meetings(rail, edge, 0, stops)
    for (const edge of outline) meetings(rail, edge, reach, stops)
    for (const other of carried.slice(i + 1)) {
      meetings(rail, other, 0, stops)
      meetings(rail, other, sameSupport, stops)
    }
  })
  return distinct(stops.filter((v) => v >= from && v <= to))
}
