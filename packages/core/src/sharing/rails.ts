import type { Beam } from '../building/frame'
import type { Point } from '../geometry/point'
import { boxesTouch, boxOf, type Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { alongSpan, onLine, sameLine, sameSupport } from '../geometry/tolerance'
import type { Overhang } from './lever'
import type { ShareLine } from './share'
import { edgeOf, turnTo, uAt, type Edge } from './strips'

/** A member that may carry a panel, or one straight piece of it: its axis in plan. */
export interface Carrier {
  readonly member: string
  readonly a: Point
  readonly b: Point
  /** Where along the member the piece begins; 0 for a straight member. */
  readonly from: number
  /** One of several pieces: what it cannot take, being along the span, would fall between its neighbours. */
  readonly bent: boolean
  /** Of a bearing wall: where its stretches begin, m along the member. */
  readonly stops?: readonly number[]
}

/** A beam as what can carry: each of its pieces. */
export const carriersOf = ({
  member,
  legs,
  stretches,
}: Pick<Beam, 'member' | 'legs' | 'stretches'>): readonly Carrier[] => {
  const pieces = legs.map(({ a, b, from }) => ({ member: member.id, a, b, from, bent: legs.length > 1 }))
  if (!stretches) return pieces
  const stops = stretches.slice(1).map(({ s0 }) => s0)
  return pieces.map((piece) => ({ ...piece, stops }))
}

/** What can carry among beams: those that take load. */
export const carriersAmong = (beams: readonly Beam[]): readonly Carrier[] =>
  beams.filter(({ member }) => member.takesLoad).flatMap(carriersOf)

/** Where the pieces of bent members and the stretches of walls begin, by member: no load goes over one as a single ordinate. */
export function bendsOf(carriers: readonly Carrier[]): ReadonlyMap<string, readonly number[]> {
  const bends = new Map<string, number[]>()
  for (const { member, from, stops } of carriers)
    if (stops) bends.set(member, [...stops])
    else if (from > 0) bends.set(member, [...(bends.get(member) ?? []), from])
  return bends
}

/** What counts as a support of a panel. */
export interface Limits {
  /** How far off the panel a member may lie, m. */
  readonly reach: number
  /** The angle to the span below which a member runs along it and carries none of it, rad. */
  readonly along: number
}

export const usualLimits: Limits = { reach: onLine, along: alongSpan }

/** Whether a carrier runs a way, from global X, within an angle. */
export const runsAlong = (carrier: Carrier, way: number, within: number): boolean =>
  Math.abs(acrossOf(carrier, way)) < Math.sin(within) * distance(carrier.a, carrier.b)

/** The angle of a carrier to a way, 0 to π/2. */
export const angleTo = (carrier: Carrier, way: number): number =>
  Math.asin(Math.min(1, Math.abs(acrossOf(carrier, way)) / distance(carrier.a, carrier.b)))

const acrossOf = ({ a, b }: Carrier, way: number): number =>
  (b[1] - a[1]) * Math.cos(way) - (b[0] - a[0]) * Math.sin(way)

/** A carrier seen across the span: its edge, and how its own length runs with v. */
export interface Rail {
  readonly member: string
  readonly edge: Edge
  /** s = s0 + slope · (v − edge.v0). */
  readonly s0: number
  readonly slope: number
  /** Places across the span at which stretches of a wall begin. */
  readonly stops: readonly number[]
}

/** The carriers that cross strips of this span; those along the span carry none and split none. */
export function railsOf(
  carriers: readonly Carrier[],
  spanAngle: number,
  outline: Region,
  { reach, along }: Limits,
): readonly Rail[] {
  const turn = turnTo(spanAngle)
  const box = boxOf(outline.flat())
  return carriers.flatMap(({ member, a, b, from, bent, stops = [] }): Rail[] => {
    if (!boxesTouch(boxOf([a, b]), box, reach)) return []
    const [p, q] = [turn.uv(a), turn.uv(b)]
    const length = distance(a, b)
    if (Math.abs(q[1] - p[1]) < (bent ? 1e-6 : Math.sin(along)) * length) return []
    const slope = length / (q[1] - p[1])
    const [edge, s0] = [edgeOf(p, q), from + (slope > 0 ? 0 : length)]
    return [{ member, edge, s0, slope, stops: stops.map((s) => edge.v0 + (s - s0) / slope) }]
  })
}

/** Rails that count as one support of a strip and share its reaction equally. */
export interface Cluster {
  readonly rails: readonly Rail[]
}

/** Pairs of members that were clustered, so that they can be named. */
export type Merged = Map<string, readonly [string, string]>

/** A piece of a strip at v, from one border of the panel to the next. */
export interface StripPlace {
  readonly v: number
  readonly from: number
  readonly to: number
}

/** How far off the piece a support may lie, m, and what happens beyond the last one. */
export interface MetBy {
  readonly reach: number
  readonly overhang: Overhang
}

/**
 * Supports that a piece of strip meets. Those at one place count as one. So do the last two where they are nearer than 50 mm and
 * the strip stands out beyond them by more than that: by lever over so short a span their forces would grow without bound. Elsewhere
 * each has what simply supported spans give it, however near the next one.
 */
export function clustersWithin(
  rails: readonly Rail[],
  { v, from, to }: StripPlace,
  { reach, overhang }: MetBy,
  merged: Merged,
): readonly Cluster[] {
  const met = rails
    .filter(({ edge }) => edge.v0 < v && v < edge.v1)
    .map((rail) => ({ rail, u: uAt(rail.edge, v) }))
    .filter(({ u }) => u >= from - reach && u <= to + reach)
    .sort((p, q) => p.u - q.u || (p.rail.member < q.rail.member ? -1 : 1))
  const clusters: Met[] = []
  for (const { rail, u } of met) {
    const last = clusters.at(-1)
    if (last && u - last.last < sameLine)
      clusters.splice(-1, 1, joined(last, { rails: [rail], first: u, last: u }, merged))
    else clusters.push({ rails: [rail], first: u, last: u })
  }
  if (overhang === 'tributary') return clusters
  for (let [end, next] = clusters; end && next && growsBeyond(end, next, end.first - from); [end, next] = clusters)
    clusters.splice(0, 2, joined(end, next, merged))
  for (
    let [next, end] = clusters.slice(-2);
    next && end && growsBeyond(next, end, to - end.last);
    [next, end] = clusters.slice(-2)
  )
    clusters.splice(-2, 2, joined(next, end, merged))
  return clusters
}

interface Met extends Cluster {
  /** Places of the first and the last of its rails along the strip. */
  readonly first: number
  readonly last: number
}

const growsBeyond = (a: Met, b: Met, beyond: number): boolean => {
  const gap = b.first - a.last
  return gap < sameSupport && beyond > gap
}

function joined(a: Met, b: Met, merged: Merged): Met {
  const [first, second] = [a.rails[0]?.member ?? '', b.rails[0]?.member ?? '']
  if (first !== second) merged.set(`${first},${second}`, [first, second])
  return { rails: [...a.rails, ...b.rails], first: a.first, last: b.last }
}

export const positionOf = ({ rails }: Cluster, v: number): number =>
  rails.reduce((sum, { edge }) => sum + uAt(edge, v), 0) / rails.length

/**
 * What of a moment along the strip turns a member about its axis: the part square to it, positive where its left side goes down. A
 * member that runs towards greater v has what lies further along the strip at its right.
 */
export const turnPart = ({ slope }: Rail): number => -Math.sign(slope) / Math.abs(slope)

/** From per unit of v to per unit of the member's own length: multiplied by the sine of the angle to the span. */
export function onRail({ member, edge, s0, slope }: Rail, va: number, vb: number, qa: number, qb: number): ShareLine {
  const sine = 1 / Math.abs(slope)
  const at = (v: number) => s0 + slope * (v - edge.v0)
  return slope > 0
    ? { member, s0: at(va), s1: at(vb), q0: qa * sine, q1: qb * sine }
    : { member, s0: at(vb), s1: at(va), q0: qb * sine, q1: qa * sine }
}
