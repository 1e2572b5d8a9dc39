import { largest, pushAll } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { onLine, shortest } from '../geometry/tolerance'
import { leverReactions, type Overhang } from './lever'
import { linearPieces } from './linearPieces'
import { clustersWithin, onRail, turnPart, positionOf, type Cluster, type Merged, type Rail } from './rails'
import type { ShareLine } from './share'
import { crossing, uAt, type Edge } from './strips'

/** A load on the strips: an area between edges with its density over u and v, or a line that crosses them with a force per unit of v at its ends. */
export type Loaded =
  | { readonly kind: 'area'; readonly edges: readonly Edge[]; readonly density: StripDensity }
  | { readonly kind: 'line'; readonly edge: Edge; readonly perV: readonly [number, number] }

/** A load per area that varies linearly along and across the strips: value at u = v = 0 of a place, and growth per metre. */
export interface StripDensity {
  readonly at: Point
  readonly value: number
  readonly alongU: number
  readonly alongV: number
}

/** What the strips of a panel run through and rest on. */
export interface StripGround {
  readonly outline: readonly Edge[]
  readonly rails: readonly Rail[]
  readonly overhang: Overhang
  /** How far off the outline a support may lie, m. */
  readonly reach: number
}

/** What a band of strips adds to. */
export interface Tally {
  readonly lines: ShareLine[]
  notCarried: number
  torque: number
  readonly turns: ShareLine[]
  readonly merged: Merged
}

/**
 * One band of strips between two breakpoints, in which nothing changes but lengths; each piece stands for itself. Load
 * that lies on no piece (a hair outside the outline, as clipping leaves it) meets no support.
 */
export function shareBand(ground: StripGround, load: Loaded, v0: number, v1: number, tally: Tally): void {
  const middle = (v0 + v1) / 2
  const borders = crossing(ground.outline, middle)
  const waiting = new Set(loadsAt(load, middle))
  for (let k = 0; k + 1 < borders.length; k += 2) {
    const [start, end] = [borders[k], borders[k + 1]]
    if (!start || !end) continue
    const [from, to] = [uAt(start, middle), uAt(end, middle)]
    const loads = [...waiting].filter(({ middle: u }) => u > from - onLine && u < to + onLine)
    if (loads.length === 0) continue
    for (const taken of loads) waiting.delete(taken)
    sharePiece(
      ground.overhang,
      loads,
      clustersWithin(ground.rails, { v: middle, from, to }, ground, tally.merged),
      v0,
      v1,
      tally,
    )
  }
  if (waiting.size > 0) sharePiece(ground.overhang, [...waiting], [], v0, v1, tally)
}

/** Force of one strip of unit width and where it lies: [c, d] with weight w, spread unevenly by skew (`leverReactions`), as functions of v. */
interface StripLoad {
  readonly c: (v: number) => number
  readonly d: (v: number) => number
  readonly w: (v: number) => number
  readonly skew: (v: number) => number
  /** Half-way between its ends, at the middle of the band. */
  readonly middle: number
}

const none = () => 0

function loadsAt(load: Loaded, v: number): readonly StripLoad[] {
  if (load.kind === 'line') {
    const { edge, perV } = load
    const [first, last] = perV
    const at = (t: number) => uAt(edge, t)
    const w =
      first === last ? () => first : (t: number) => first + ((last - first) * (t - edge.v0)) / (edge.v1 - edge.v0)
    return edge.v0 < v && v < edge.v1 ? [{ c: at, d: at, w, skew: none, middle: at(v) }] : []
  }
  const { at, value, alongU, alongV } = load.density
  const isEven = alongU === 0 && alongV === 0
  const borders = crossing(load.edges, v)
  const loads: StripLoad[] = []
  for (let k = 0; k + 1 < borders.length; k += 2) {
    const [a, b] = [borders[k], borders[k + 1]]
    if (!a || !b) continue
    const middle = (uAt(a, v) + uAt(b, v)) / 2
    const [c, d] = [(t: number) => uAt(a, t), (t: number) => uAt(b, t)]
    const densityAt = (u: number, t: number) => value + alongU * (u - at[0]) + alongV * (t - at[1])
    loads.push({
      c,
      d,
      middle,
      w: isEven ? (t) => value * (d(t) - c(t)) : (t) => (d(t) - c(t)) * densityAt((c(t) + d(t)) / 2, t),
      skew: alongU === 0 ? none : (t) => (alongU * (d(t) - c(t)) ** 2) / 2,
    })
  }
  return loads
}

function sharePiece(
  overhang: Overhang,
  loads: readonly StripLoad[],
  clusters: readonly Cluster[],
  v0: number,
  v1: number,
  tally: Tally,
): void {
  const total = (v: number) => loads.reduce((sum, { w }) => sum + w(v), 0)
  const [only, second] = clusters
  if (!only) {
    // Simpson's rule: what varies over what widens is a parabola
    tally.notCarried += ((v1 - v0) * (total(v0) + 4 * total((v0 + v1) / 2) + total(v1))) / 6
    return
  }
  if (!second) {
    tally.torque += torqueOf(loads, only, v0, v1)
    pushAll(tally.turns, turnsOf(loads, only, v0, v1))
  }
  const reactionsAt = (v: number): readonly number[] => {
    if (!second) return [total(v)]
    const x = clusters.map((cluster) => positionOf(cluster, v))
    const out = clusters.map(() => 0)
    for (const { c, d, w, skew } of loads) leverReactions(x, c(v), d(v), w(v), overhang, out, skew(v))
    return out
  }
  ontoRails(clusters, reactionsAt, v0, v1, tally)
}

function ontoRails(
  clusters: readonly Cluster[],
  reactionsAt: (v: number) => readonly number[],
  v0: number,
  v1: number,
  tally: Tally,
): void {
  // the peak says how closely an ordinate is followed: a short band is not followed at all
  const places = v1 - v0 > shortest ? [0.05, 0.5, 0.95] : []
  const peak = Math.max(1e-12, largest(places.flatMap((t) => reactionsAt(v0 + t * (v1 - v0)).map(Math.abs))))
  const pieces = linearPieces(reactionsAt, v0, v1, peak)
  clusters.forEach(({ rails }, k) => {
    for (const rail of rails)
      for (const { s0, s1, q0, q1 } of entry(pieces, k))
        if (q0 !== 0 || q1 !== 0) tally.lines.push(onRail(rail, s0, s1, q0 / rails.length, q1 / rails.length))
  })
}

/** The moment of loads about their one support, per unit of v: positive where they lie further along the strip. */
const momentAbout =
  (loads: readonly StripLoad[], cluster: Cluster) =>
  (v: number): number =>
    loads.reduce((sum, { c, d, w, skew }) => {
      const [from, to] = [c(v), d(v)]
      return sum + w(v) * ((from + to) / 2 - positionOf(cluster, v)) + (skew(v) * (to - from)) / 6
    }, 0)

/** The same about the axes of the members, along their length. */
function turnsOf(loads: readonly StripLoad[], cluster: Cluster, v0: number, v1: number): readonly ShareLine[] {
  const at = momentAbout(loads, cluster)
  const peak = Math.max(1e-12, largest([0.05, 0.5, 0.95].map((t) => Math.abs(at(v0 + t * (v1 - v0))))))
  const [pieces = []] = linearPieces((v) => [at(v)], v0, v1, peak)
  return cluster.rails.flatMap((rail) =>
    pieces.map(({ s0, s1, q0, q1 }) => {
      const part = turnPart(rail) / cluster.rails.length
      return onRail(rail, s0, s1, q0 * part, q1 * part)
    }),
  )
}

/** Sum of force × lever where one support takes all, by Simpson's rule. */
function torqueOf(loads: readonly StripLoad[], cluster: Cluster, v0: number, v1: number): number {
  const at = (v: number) =>
    loads.reduce((sum, { c, d, w, skew }) => {
      const [from, to] = [c(v), d(v)]
      const moment = w(v) * ((from + to) / 2 - positionOf(cluster, v)) + (skew(v) * (to - from)) / 6
      return sum + Math.abs(moment)
    }, 0)
  return ((v1 - v0) * (at(v0) + 4 * at((v0 + v1) / 2) + at(v1))) / 6
}
