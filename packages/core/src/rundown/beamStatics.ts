import { heldEnds, isBent, isContinuous, type Beam } from '../building/frame'
import { cutAtBends, pointAlong } from '../geometry/course'
import type { Point } from '../geometry/point'
import { leverReactions } from '../sharing/lever'
import type { ShareLine } from '../sharing/share'
import { continuousLineReactions, continuousReactions } from './continuousBeam'

/**
 * Reactions of a beam, in the order of its supports, to a point force at s: simple spans between stations, or continuous over
 * them (`continuousBeam`), overhangs by
 * lever. Supports of one station share equally. A beam with one station (held against turning) gives all to it. A bent beam hands
 * on by the lever along the chord of each span; the moment about the chord stays with its supports (`chordMoments`).
 */
export function pointReactions(beam: Beam, s: number, force: number): readonly number[] {
  const atStations = beam.stations.map(() => 0)
  if (beam.stable) addPoint(beam, s, force, atStations)
  return toSupports(beam, atStations)
}

/** The same for a trapezoid of line load; it is cut at the stations, since each span takes its own part. */
export function lineReactions(beam: Beam, line: Pick<ShareLine, 's0' | 's1' | 'q0' | 'q1'>): readonly number[] {
  const atStations = beam.stations.map(() => 0)
  if (!beam.stable) return toSupports(beam, atStations)
  if (isContinuous(beam)) {
    continuousLineReactions(positions(beam), heldEnds(beam), line, atStations)
    return toSupports(beam, atStations)
  }
  const inner = beam.stations
    .map(({ s }) => s)
    .filter((s, k) => k > 0 && k < beam.stations.length - 1 && s > line.s0 && s < line.s1)
  const stops = [line.s0, ...inner, line.s1]
  for (let i = 1; i < stops.length; i++)
    for (const { s0, s1 } of cutAtBends(beam.legs, stops[i - 1] ?? 0, stops[i] ?? 0))
      addTrapezoid(beam, line, s0, s1, atStations)
  return toSupports(beam, atStations)
}

function addPoint(beam: Beam, s: number, force: number, out: number[]): void {
  if (beam.stations.length === 1) out[0] = (out[0] ?? 0) + force
  else if (isContinuous(beam)) continuousReactions(positions(beam), heldEnds(beam), s, force, out)
  else if (isBent(beam)) addInSpan(beam, spanAt(beam, s), [[s, force]], out)
  else leverReactions(positions(beam), s, s, force, 'lever', out)
}

/** As two point forces at the ends of the interval that keep force and moment, so that no centre can run away. */
function addTrapezoid(
  beam: Beam,
  line: Pick<ShareLine, 's0' | 's1' | 'q0' | 'q1'>,
  a: number,
  b: number,
  out: number[],
): void {
  const slope = (line.q1 - line.q0) / (line.s1 - line.s0)
  const [qa, qb, h] = [line.q0 + slope * (a - line.s0), line.q0 + slope * (b - line.s0), b - a]
  const atB = (h * (qa + 2 * qb)) / 6
  const atA = (h * (2 * qa + qb)) / 6
  if (beam.stations.length === 1) out[0] = (out[0] ?? 0) + atA + atB
  else
    addInSpan(
      beam,
      spanAt(beam, (a + b) / 2),
      [
        [a, atA],
        [b, atB],
      ],
      out,
    )
}

/** The span that takes what is at s, by the station at its end; the first and last take overhangs as well. */
export function spanAt({ stations }: Beam, s: number): number {
  const found = stations.findIndex((station, k) => k > 0 && k < stations.length - 1 && s < station.s)
  return found === -1 ? stations.length - 1 : found
}

type Force = readonly [s: number, force: number]

/** Forces that belong to one span, also where one of them stands on its border. */
function addInSpan(beam: Beam, k: number, forces: readonly Force[], out: number[]): void {
  const lever = leverOf(beam, k)
  const onEnd = forces.reduce((sum, [s, force]) => sum + force * lever(s), 0)
  const all = forces.reduce((sum, [, force]) => sum + force, 0)
  out[k] = (out[k] ?? 0) + onEnd
  out[k - 1] = (out[k - 1] ?? 0) + all - onEnd
}

/** The part of a force at s that goes to the end of span k: along the beam, or along the chord where it is bent. */
function leverOf(beam: Beam, k: number): (s: number) => number {
  const [xa, xb] = [beam.stations[k - 1]?.s ?? 0, beam.stations[k]?.s ?? 1]
  if (!isBent(beam)) return (s) => (s - xa) / (xb - xa)
  const { at, u, length } = chordOf(beam, k)
  return (s) => {
    const [x, y] = pointAlong(beam.legs, s)
    return ((x - at[0]) * u[0] + (y - at[1]) * u[1]) / length
  }
}

/** From the station at the start of span k to the one at its end. */
export function chordOf(
  { legs, stations }: Beam,
  k: number,
): { readonly at: Point; readonly u: Point; readonly length: number } {
  const at = pointAlong(legs, stations[k - 1]?.s ?? 0)
  const to = pointAlong(legs, stations[k]?.s ?? 0)
  const length = Math.hypot(to[0] - at[0], to[1] - at[1])
  return { at, u: [(to[0] - at[0]) / length, (to[1] - at[1]) / length], length }
}

const positions = (beam: Beam): readonly number[] => beam.stations.map(({ s }) => s)

function toSupports(beam: Beam, atStations: readonly number[]): readonly number[] {
  const out = beam.supports.map(() => 0)
  beam.stations.forEach(({ supports }, k) => {
    for (const support of supports) out[support] = (atStations[k] ?? 0) / supports.length
  })
  return out
}
