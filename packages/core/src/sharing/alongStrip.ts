import { largest } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import { leverReactions } from './lever'
import type { Ends } from './lineEnds'
import { clustersWithin, positionOf, turnPart, type Cluster, type Merged } from './rails'
import type { Share, SharePoint } from './share'
import type { StripGround } from './stripPieces'
import { crossing, uAt, type Edge } from './strips'

/**
 * A line along the span lies in one strip: it hands point loads to the supports of that strip. On the very border of the outline,
 * or where supports end on each other, the strip is looked at a micrometre beside it: on the side that has more supports,
 * on both by halves where they have as many.
 */
export function shareAlongStrip(
  ground: StripGround,
  { edge, load }: AlongStrip,
  applied: number,
  appliedMoments: Point,
): Share {
  const v = (edge.v0 + edge.v1) / 2
  const merged: Merged = new Map()
  const middle = (edge.u0 + edge.u1) / 2
  const supports = (at: number) => supportsAt(ground, at, middle, new Map()).length
  const most = largest([v, v + beside, v - beside].map(supports))
  const strips = supports(v) === most ? [v] : [v + beside, v - beside].filter((at) => supports(at) === most)
  const [c, d] = [Math.min(edge.u0, edge.u1), Math.max(edge.u0, edge.u1)]
  const force = { c, d, w: applied / strips.length, skew: load ? skewOf(load) / strips.length : 0 }
  const parts = strips.map((at) => alongOne(ground, at, force, merged))
  return {
    lines: [],
    points: parts.flatMap(({ points }) => points),
    onColumns: [],
    applied,
    appliedMoments,
    notCarried: parts.reduce((sum, part) => sum + part.notCarried, 0),
    torque: parts.reduce((sum, part) => sum + Math.abs(part.moment), 0),
    turns: [],
    turnPoints: parts.flatMap(({ turnPoints }) => turnPoints),
    merged: [...merged.values()],
  }
}

const beside = 1e-6

/** A line along a strip with its load at both ends, or a point of force 1 without. */
export interface AlongStrip {
  readonly edge: Edge
  readonly load: { readonly from: number; readonly to: number; readonly ends: Ends } | null
}

/** How unevenly it is spread (`leverReactions`): half of what the ends differ by, times the length, towards greater u. */
const skewOf = ({ from, to, ends: [start, end] }: NonNullable<AlongStrip['load']>): number =>
  ((end - start) * (to - from)) / 2

interface StripForce {
  readonly c: number
  readonly d: number
  readonly w: number
  readonly skew: number
}

/** A load along a strip at v. */
function alongOne(ground: StripGround, v: number, { c, d, w, skew }: StripForce, merged: Merged) {
  const clusters = supportsAt(ground, v, (c + d) / 2, merged)
  const out = clusters.map(() => 0)
  const positions = clusters.map((cluster) => positionOf(cluster, v))
  if (clusters.length === 1) out[0] = w
  if (clusters.length > 1) leverReactions(positions, c, d, w, ground.overhang, out, skew)
  const [only] = clusters
  // about the one support
  const moment = only && clusters.length === 1 ? w * ((c + d) / 2 - entry(positions, 0)) + (skew * (d - c)) / 6 : 0
  return {
    moment,
    turnPoints: only && moment !== 0 ? turnsOn(only, v, moment) : [],
    points: clusters.flatMap((cluster, k) => pointsOn(cluster, v, entry(out, k))),
    notCarried: clusters.length === 0 ? w : 0,
  }
}

/** The supports of the piece of strip at v in which u lies. */
function supportsAt(ground: StripGround, v: number, u: number, merged: Merged): readonly Cluster[] {
  const piece = pieceAround(crossing(ground.outline, v), v, u)
  return piece ? clustersWithin(ground.rails, { v, from: piece[0], to: piece[1] }, ground, merged) : []
}

const pointsOn = ({ rails }: Cluster, v: number, force: number): readonly SharePoint[] =>
  rails.map(({ member, edge, s0, slope }) => ({ member, s: s0 + slope * (v - edge.v0), force: force / rails.length }))

const turnsOn = ({ rails }: Cluster, v: number, moment: number): readonly SharePoint[] =>
  rails.map((rail) => ({
    member: rail.member,
    s: rail.s0 + rail.slope * (v - rail.edge.v0),
    force: (turnPart(rail) * moment) / rails.length,
  }))

/** The piece of the strip on which the load lies, where the outline is concave. */
function pieceAround(borders: readonly Edge[], v: number, at: number): readonly [number, number] | undefined {
  for (let k = 0; k + 1 < borders.length; k += 2) {
    const [start, end] = [borders[k], borders[k + 1]]
    if (!start || !end) continue
    const [from, to] = [uAt(start, v), uAt(end, v)]
    if (at >= from - onLine && at <= to + onLine) return [from, to]
  }
  return undefined
}
