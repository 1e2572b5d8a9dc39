import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import { leverReactions } from './lever'
import { clustersWithin, positionOf, type Cluster, type Merged } from './rails'
import type { Share, SharePoint } from './share'
import type { StripGround } from './stripPieces'
import { crossing, uAt, type Edge } from './strips'

/**
 * A line along the span lies in one strip: it hands point loads to the supports of that strip. On the very border of the outline,
 * or where supports end on each other, the strip is looked at a micrometre beside it: on the side that has more supports,
 * on both by halves where they have as many.
 */
export function shareAlongStrip(ground: StripGround, edge: Edge, length: number, appliedMoments: Point): Share {
  const v = (edge.v0 + edge.v1) / 2
  const merged: Merged = new Map()
  const middle = (edge.u0 + edge.u1) / 2
  const supports = (at: number) => supportsAt(ground, at, middle, new Map()).length
  const most = Math.max(...[v, v + beside, v - beside].map(supports))
  const strips = supports(v) === most ? [v] : [v + beside, v - beside].filter((at) => supports(at) === most)
  const parts = strips.map((at) => alongOne(ground, edge, at, length / strips.length, merged))
  return {
    lines: [],
    points: parts.flatMap(({ points }) => points),
    onColumns: [],
    applied: length,
    appliedMoments,
    notCarried: parts.reduce((sum, part) => sum + part.notCarried, 0),
    torque: parts.reduce((sum, part) => sum + part.torque, 0),
    merged: [...merged.values()],
  }
}

const beside = 1e-6

/** A load of so much along a strip at v. */
function alongOne(ground: StripGround, edge: Edge, v: number, load: number, merged: Merged) {
  const [c, d] = [Math.min(edge.u0, edge.u1), Math.max(edge.u0, edge.u1)]
  const clusters = supportsAt(ground, v, (c + d) / 2, merged)
  const out = clusters.map(() => 0)
  const positions = clusters.map((cluster) => positionOf(cluster, v))
  if (clusters.length === 1) out[0] = load
  if (clusters.length > 1) leverReactions(positions, c, d, load, ground.overhang, out)
  return {
    points: clusters.flatMap((cluster, k) => pointsOn(cluster, v, out[k] ?? 0)),
    notCarried: clusters.length === 0 ? load : 0,
    torque: clusters.length === 1 ? load * Math.abs((c + d) / 2 - (positions[0] ?? 0)) : 0,
  }
}

/** The supports of the piece of strip at v in which u lies. */
function supportsAt(ground: StripGround, v: number, u: number, merged: Merged): readonly Cluster[] {
  const piece = pieceAround(crossing(ground.outline, v), v, u)
  return piece ? clustersWithin(ground.rails, v, piece[0], piece[1], ground.reach, merged) : []
}

const pointsOn = ({ rails }: Cluster, v: number, force: number): readonly SharePoint[] =>
  rails.map(({ member, edge, s0, slope }) => ({ member, s: s0 + slope * (v - edge.v0), force: force / rails.length }))

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
