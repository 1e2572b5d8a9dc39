import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import { leverReactions } from './lever'
import { clustersWithin, positionOf, type Cluster, type Merged } from './rails'
import type { Share, SharePoint } from './share'
import type { StripGround } from './stripPieces'
import { crossing, uAt, type Edge } from './strips'

/** A line along the span lies in one strip: it hands point loads to the supports of that strip. */
export function shareAlongStrip(ground: StripGround, edge: Edge, length: number, appliedMoments: Point): Share {
  const [c, d] = [Math.min(edge.u0, edge.u1), Math.max(edge.u0, edge.u1)]
  const merged: Merged = new Map()
  // on the very border of the outline, or where supports end on each other, the strip is looked at a micrometre beside it:
  // where it has the most supports
  const v = (edge.v0 + edge.v1) / 2
  const count = (t: number) => supportsAt(ground, t, (c + d) / 2, new Map()).length
  const near = [v + 1e-6, v - 1e-6].reduce((best, t) => (count(t) > count(best) ? t : best), v)
  const clusters = supportsAt(ground, near, (c + d) / 2, merged)
  const out = clusters.map(() => 0)
  if (clusters.length === 1) out[0] = length
  if (clusters.length > 1)
    leverReactions(
      clusters.map((cluster) => positionOf(cluster, near)),
      c,
      d,
      length,
      ground.overhang,
      out,
    )
  const only = clusters.length === 1 ? clusters[0] : undefined
  return {
    lines: [],
    points: clusters.flatMap((cluster, k) => pointsOn(cluster, near, out[k] ?? 0)),
    applied: length,
    appliedMoments,
    notCarried: clusters.length === 0 ? length : 0,
    torque: only ? length * Math.abs((c + d) / 2 - positionOf(only, near)) : 0,
    merged: [...merged.values()],
  }
}

/** The supports of the piece of strip at v in which u lies. */
function supportsAt(ground: StripGround, v: number, u: number, merged: Merged): readonly Cluster[] {
  const piece = pieceAround(crossing(ground.outline, v), v, u)
  return piece ? clustersWithin(ground.rails, v, piece[0], piece[1], merged) : []
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
