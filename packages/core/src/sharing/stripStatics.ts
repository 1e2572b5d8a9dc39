import { largest, smallest } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import type { Region } from '../geometry/polygon'
import type { Overhang } from './lever'
import { clustersWithin, positionOf } from './rails'
import type { StripGround } from './stripPieces'
import { crossing, edgesOf, turnTo, uAt } from './strips'

/** An even load on a strip of unit width, from c to d along it: force per area. */
export interface StripLoad {
  readonly c: number
  readonly d: number
  readonly q: number
}

/** A support of a strip: members that share it equally, and the force per metre of strip. */
export interface StripSupport {
  readonly u: number
  readonly members: readonly string[]
  readonly force: number
  /** Of the angle between each member and the span, by which the force is its ordinate: force per length of the member. */
  readonly sines: readonly number[]
}

/** One load within one span, or beyond the last support where that takes all: how it parts, force per metre of strip. */
export interface StripStep {
  readonly force: number
  /** Where it lies. */
  readonly middle: number
  /** Places of the supports among those of the piece; the same twice where one takes all. */
  readonly first: number
  readonly second: number
  readonly toFirst: number
  readonly toSecond: number
}

/** A piece of a strip within the outline. */
export interface StripPiece {
  readonly from: number
  readonly to: number
  readonly loads: readonly StripLoad[]
  readonly supports: readonly StripSupport[]
  readonly steps: readonly StripStep[]
  /** What meets no support, per metre of strip. */
  readonly notCarried: number
}

/** Between which v strips of an outline lie. */
export function stripRange({ outline }: Pick<StripGround, 'outline'>): readonly [number, number] {
  return [smallest(outline.map(({ v0 }) => v0)), largest(outline.map(({ v1 }) => v1))]
}

/** The two ends of a strip as points of the plan. */
export function stripEnds(spanAngle: number, v: number, from: number, to: number): readonly [Point, Point] {
  const [c, s] = [Math.cos(spanAngle), Math.sin(spanAngle)]
  const at = (u: number): Point => [u * c - v * s, u * s + v * c]
  return [at(from), at(to)]
}

/**
 * The statics of one strip, written out as by hand: simply supported between neighbouring supports; beyond the last by lever on the
 * end span or all to it. `loads` are regions with a force per area.
 */
export function stripStatics(
  ground: StripGround,
  spanAngle: number,
  v: number,
  loads: readonly { readonly region: Region; readonly q: number }[],
): readonly StripPiece[] {
  const borders = crossing(ground.outline, v)
  const onStrip = loads.flatMap(({ region, q }) => {
    const edges = crossing(edgesOf(region, turnTo(spanAngle)), v)
    return pairs(edges).map(([a, b]): StripLoad => ({ c: uAt(a, v), d: uAt(b, v), q }))
  })
  return pairs(borders).map(([start, end]): StripPiece => {
    const [from, to] = [uAt(start, v), uAt(end, v)]
    const own = onStrip.filter(({ c, d }) => (c + d) / 2 > from && (c + d) / 2 < to)
    const clusters = clustersWithin(ground.rails, { v, from, to }, ground, new Map())
    const places = clusters.map((cluster) => positionOf(cluster, v))
    const steps = own.flatMap((load) => stepsOf(places, load, ground.overhang))
    return {
      from,
      to,
      loads: own,
      steps,
      supports: clusters.map(({ rails }, k) => ({
        u: entry(places, k),
        members: rails.map(({ member }) => member),
        sines: rails.map(({ slope }) => 1 / Math.abs(slope)),
        force: steps.reduce(
          (sum, step) => sum + (step.first === k ? step.toFirst : 0) + (step.second === k ? step.toSecond : 0),
          0,
        ),
      })),
      notCarried: places.length === 0 ? own.reduce((sum, { c, d, q }) => sum + q * (d - c), 0) : 0,
    }
  })
}

const pairs = <T>(list: readonly T[]): readonly (readonly [T, T])[] =>
  list.flatMap((first, i): (readonly [T, T])[] => {
    const second = list[i + 1]
    return i % 2 === 0 && second !== undefined ? [[first, second]] : []
  })

function stepsOf(places: readonly number[], { c, d, q }: StripLoad, overhang: Overhang): readonly StripStep[] {
  const last = places.length - 1
  const [lowest, highest] = [places[0], places[last]]
  if (lowest === undefined || highest === undefined) return []
  const whole = (k: number, from: number, to: number): readonly StripStep[] =>
    to > from
      ? [
          {
            force: q * (to - from),
            middle: (from + to) / 2,
            first: k,
            second: k,
            toFirst: q * (to - from),
            toSecond: 0,
          },
        ]
      : []
  if (last === 0) return whole(0, c, d)
  // beyond the last support: all to it, or with the span beside it
  const beyond =
    overhang === 'tributary' ? [...whole(0, c, Math.min(d, lowest)), ...whole(last, Math.max(c, highest), d)] : []
  const spans = places.slice(1).flatMap((second, k): readonly StripStep[] => {
    const first = places[k] ?? second
    const isOpen = overhang === 'lever'
    const from = Math.max(c, k === 0 && isOpen ? -Infinity : first)
    const to = Math.min(d, k === last - 1 && isOpen ? Infinity : second)
    if (to <= from) return []
    const [force, middle] = [q * (to - from), (from + to) / 2]
    const toSecond = (force * (middle - first)) / (second - first)
    return [{ force, middle, first: k, second: k + 1, toFirst: force - toSecond, toSecond }]
  })
  return [...beyond, ...spans]
}
