import { entry } from '../outcome/assert'
import { stretchForces, stretchPoint } from '../building/bearingWalls'
import { heldEnds, isBent, isContinuous, type Beam } from '../building/frame'
import { cutAtBends, pointAlong } from '../geometry/course'
import type { Point } from '../geometry/point'
import { leverReactions } from '../sharing/lever'
import type { ShareLine } from '../sharing/share'
import { continuousLineReactions, continuousReactions } from './continuousBeam'

/**
 * Reactions of a beam, in the order of its supports, to a point force at s: simple spans between stations, or continuous over
 * them (`continuousBeam`), overhangs by lever. Supports of one station share equally. A beam with one station (held against turning) gives all to it. A bent beam hands
 * on by the lever along the chord of each span; the moment about the chord stays with its supports (`bentBalance`). A bearing wall
 * hands down what stands on each stretch.
 */
export function pointReactions(beam: Beam, s: number, force: number): readonly number[] {
  if (beam.stretches) return stretchPoint(beam.stretches, s, force)
  const atStations = beam.stations.map(() => 0)
  if (beam.stable) addPoint(beam, s, force, atStations)
  return toSupports(beam, atStations)
}

/** The same for a trapezoid of line load; it is cut at the stations, since each span takes its own part. */
export function lineReactions(beam: Beam, line: Pick<ShareLine, 's0' | 's1' | 'q0' | 'q1'>): readonly number[] {
  if (beam.stretches) return stretchForces(beam.stretches, line)
  const atStations = beam.stations.map(() => 0)
  if (!beam.stable) return toSupports(beam, atStations)
  if (isContinuous(beam)) {
    continuousLineReactions(positions(beam), heldEnds(beam), line, atStations)
    return toSupports(beam, atStations)
  }
  for (const force of spanForces(beam, line)) addInSpan(beam, force, atStations)
  return toSupports(beam, atStations)
}

function addPoint(beam: Beam, s: number, force: number, out: number[]): void {
  if (beam.stations.length === 1) out[0] = entry(out, 0) + force
  else if (isContinuous(beam)) continuousReactions(positions(beam), heldEnds(beam), s, force, out)
  else if (isBent(beam)) addInSpan(beam, { span: spanAt(beam, s), s, force }, out)
  else leverReactions(positions(beam), s, s, force, 'lever', out)
}

/** A force at s along a beam, in one of its spans (by the station at the end of the span). */
export interface SpanForce {
  readonly span: number
  readonly s: number
  readonly force: number
}

/**
 * A trapezoid of line load as forces, each in one span and on one straight piece: two at the ends of every interval, which keep force
 * and moment, so that no centre can run away. They belong to the span in which the interval lies, also where one of them stands
 * on its border.
 */
export function spanForces(beam: Beam, line: Pick<ShareLine, 's0' | 's1' | 'q0' | 'q1'>): readonly SpanForce[] {
  const slope = (line.q1 - line.q0) / (line.s1 - line.s0)
  const inner = beam.stations
    .map(({ s }) => s)
    .filter((s, k) => k > 0 && k < beam.stations.length - 1 && s > line.s0 && s < line.s1)
  const stops = [line.s0, ...inner, line.s1]
  return stops.slice(1).flatMap((to, i) =>
    cutAtBends(beam.legs, stops[i] ?? line.s0, to).flatMap(({ s0: a, s1: b }): readonly SpanForce[] => {
      const [qa, qb, h] = [line.q0 + slope * (a - line.s0), line.q0 + slope * (b - line.s0), b - a]
      const span = spanAt(beam, (a + b) / 2)
      return [
        { span, s: a, force: (h * (2 * qa + qb)) / 6 },
        { span, s: b, force: (h * (qa + 2 * qb)) / 6 },
      ]
    }),
  )
}

/** The span that takes what is at s, by the station at its end; the first and last take overhangs as well. */
export function spanAt({ stations }: Beam, s: number): number {
  const found = stations.findIndex((station, k) => k > 0 && k < stations.length - 1 && s < station.s)
  return found === -1 ? stations.length - 1 : found
}

function addInSpan(beam: Beam, { span, s, force }: SpanForce, out: number[]): void {
  if (beam.stations.length === 1) {
    out[0] = entry(out, 0) + force
    return
  }
  const onEnd = force * leverOf(beam, span, s)
  out[span] = entry(out, span) + onEnd
  out[span - 1] = entry(out, span - 1) + force - onEnd
}

/** The part of a force at s that goes to the end of span k: along the beam, or along the chord where it is bent. */
function leverOf(beam: Beam, k: number, s: number): number {
  const [xa, xb] = [entry(beam.stations, k - 1).s, entry(beam.stations, k).s]
  if (!isBent(beam)) return (s - xa) / (xb - xa)
  const { at, u, length } = chordOf(beam, k)
  const [x, y] = pointAlong(beam.legs, s)
  return ((x - at[0]) * u[0] + (y - at[1]) * u[1]) / length
}

/** From the station at the start of span k to the one at its end. */
export function chordOf(
  { legs, stations }: Beam,
  k: number,
): { readonly at: Point; readonly u: Point; readonly length: number } {
  const at = pointAlong(legs, entry(stations, k - 1).s)
  const to = pointAlong(legs, entry(stations, k).s)
  const length = Math.hypot(to[0] - at[0], to[1] - at[1])
  return { at, u: [(to[0] - at[0]) / length, (to[1] - at[1]) / length], length }
}

const positions = (beam: Beam): readonly number[] => beam.stations.map(({ s }) => s)

function toSupports(beam: Beam, atStations: readonly number[]): readonly number[] {
  const out = beam.supports.map(() => 0)
  beam.stations.forEach(({ supports }, k) => {
    for (const support of supports) out[support] = entry(atStations, k) / supports.length
  })
  return out
}
