import type { Beam } from '../building/frame'
import { leverReactions } from '../sharing/lever'
import type { ShareLine } from '../sharing/share'

/**
 * Reactions of a beam, in the order of its supports, to a point force at s: simple spans between stations, overhangs by
 * lever. Supports of one station share equally. A beam with one station (held against turning) gives all to it.
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
  const inner = beam.stations
    .map(({ s }) => s)
    .filter((s, k) => k > 0 && k < beam.stations.length - 1 && s > line.s0 && s < line.s1)
  const stops = [line.s0, ...inner, line.s1]
  for (let i = 1; i < stops.length; i++) addTrapezoid(beam, line, stops[i - 1] ?? 0, stops[i] ?? 0, atStations)
  return toSupports(beam, atStations)
}

function addPoint(beam: Beam, s: number, force: number, out: number[]): void {
  if (beam.stations.length === 1) out[0] = (out[0] ?? 0) + force
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
  else addWithinSpan(positions(beam), a, b, atA, atB, out)
}

/** Both forces belong to the span in which the interval lies, also where one of them stands on its border. */
function addWithinSpan(x: readonly number[], a: number, b: number, atA: number, atB: number, out: number[]): void {
  const middle = (a + b) / 2
  const found = x.findIndex((position, k) => k > 0 && k < x.length - 1 && middle < position)
  const k = found === -1 ? x.length - 1 : found
  const [xa = 0, xb = 1] = [x[k - 1], x[k]]
  const onB = (atA * (a - xa) + atB * (b - xa)) / (xb - xa)
  out[k] = (out[k] ?? 0) + onB
  out[k - 1] = (out[k - 1] ?? 0) + atA + atB - onB
}

const positions = (beam: Beam): readonly number[] => beam.stations.map(({ s }) => s)

function toSupports(beam: Beam, atStations: readonly number[]): readonly number[] {
  const out = beam.supports.map(() => 0)
  beam.stations.forEach(({ supports }, k) => {
    for (const support of supports) out[support] = (atStations[k] ?? 0) / supports.length
  })
  return out
}
