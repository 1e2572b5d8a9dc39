import { entry } from '../outcome/assert'
import { trueAlong, type Stretch } from '../building/slopes'
import { cutAtBends, type Leg } from '../geometry/course'
import type { LayoutOperator } from './operator'

/** Line load on a member, linear from q0 at s0 to q1 at s1 (N/m over m), downwards positive. */
export type LoadLine = readonly [s0: number, s1: number, q0: number, q1: number]

export interface LoadPoint {
  readonly s: number
  readonly force: number
}

export interface MemberLoad {
  readonly lines: readonly LoadLine[]
  /** Walls along the span reach beams as points. Reactions of members that rest on this one are not among them. */
  readonly points: readonly LoadPoint[]
}

/** What lands on every beam of a layout directly, in the order of its beams; `intensity` gives the load of each source. */
export function memberLoads(operator: LayoutOperator, intensity: (source: number) => number): readonly MemberLoad[] {
  const { frame, sources } = operator.plan
  const lines = new Map<string, LoadLine[]>()
  const points = new Map<string, LoadPoint[]>()
  sources.forEach(({ share }, i) => {
    const q = intensity(i)
    if (q === 0) return
    for (const { member, s0, s1, q0, q1 } of share.lines) listAt(lines, member).push([s0, s1, q0 * q, q1 * q])
    for (const { member, s, force } of share.points) listAt(points, member).push({ s, force: force * q })
  })
  return frame.beams.map(({ member: { id } }) => ({
    lines: sumLines(lines.get(id) ?? []),
    points: (points.get(id) ?? []).sort((a, b) => a.s - b.s),
  }))
}

/** What lands at the top of every column without a beam, N, in the order of the columns. */
export function loadsOnColumns(operator: LayoutOperator, intensity: (source: number) => number): Float64Array {
  const { start, index, value } = operator.toColumns
  const forces = new Float64Array(operator.plan.frame.columns.length)
  operator.plan.sources.forEach((_, i) => {
    for (let e = entry(start, i); e < entry(start, i + 1); e++)
      forces[entry(index, e)] = entry(forces, entry(index, e)) + intensity(i) * entry(value, e)
  })
  return forces
}

/** Loads given along the plan, as force per true length at places along the true length. */
export function alongTrueLength({ lines, points }: MemberLoad, stretches: readonly Stretch[]): MemberLoad {
  if (stretches.every(({ stretch }) => stretch === 1)) return { lines, points }
  return {
    lines: lines.flatMap(([s0, s1, q0, q1]) =>
      stretches.flatMap(({ s0: from, s1: to, stretch }): LoadLine[] => {
        const [a, b] = [Math.max(s0, from), Math.min(s1, to)]
        const at = (s: number) => (q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)) / stretch
        return b - a > sameStop ? [[trueAlong(stretches, a), trueAlong(stretches, b), at(a), at(b)]] : []
      }),
    ),
    points: points.map(({ s, force }) => ({ s: trueAlong(stretches, s), force })),
  }
}

/** A part of a line load with the straight piece of its member that it lies on. */
export interface LoadOnLeg {
  readonly leg: Leg
  readonly line: LoadLine
}

/** A line load in parts that go over no bend of its member. */
export const atBends = (legs: readonly Leg[], [s0, s1, q0, q1]: LoadLine): readonly LoadOnLeg[] => {
  const at = (s: number) => q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)
  return cutAtBends(legs, s0, s1).map((part) => ({
    leg: part.leg,
    line: [part.s0, part.s1, at(part.s0), at(part.s1)],
  }))
}

function listAt<T>(lists: Map<string, T[]>, key: string): T[] {
  const known = lists.get(key)
  if (known) return known
  const fresh: T[] = []
  lists.set(key, fresh)
  return fresh
}

/** Ends nearer than this are one stop: a tenth of a micrometre. */
const sameStop = 1e-7

/** Adds overlapping linear pieces; exact, since each stays linear between the ends of all. */
export function sumLines(lines: readonly LoadLine[]): readonly LoadLine[] {
  const pieces = lines.flatMap(asLongAsAStop)
  const stops = distinctStops(pieces.flatMap(([s0, s1]) => [s0, s1]))
  const summed: LoadLine[] = []
  for (let i = 1; i < stops.length; i++) {
    const [from = 0, to = 0] = [stops[i - 1], stops[i]]
    const line = sumBetween(pieces, from, to)
    if (line[2] === 0 && line[3] === 0) continue
    const last = summed.at(-1)
    if (last && continues(last, line)) summed[summed.length - 1] = [last[0], to, last[2], line[3]]
    else summed.push(line)
  }
  return summed
}

/** A line that is shorter than two stops keeps its force over such a length; one that is less than a millionth of a newton is left out. */
function asLongAsAStop(line: LoadLine): readonly LoadLine[] {
  const [s0, s1, q0, q1] = line
  if (s1 - s0 >= 2 * sameStop) return [line]
  const [force, middle] = [((s1 - s0) * (q0 + q1)) / 2, (s0 + s1) / 2]
  const q = force / (2 * sameStop)
  return Math.abs(force) < leastForce ? [] : [[middle - sameStop, middle + sameStop, q, q]]
}

const leastForce = 1e-6

function distinctStops(values: readonly number[]): readonly number[] {
  const stops: number[] = []
  for (const value of [...values].sort((a, b) => a - b)) {
    const last = stops.at(-1)
    if (last === undefined || value - last > sameStop) stops.push(value)
  }
  return stops
}

function sumBetween(pieces: readonly LoadLine[], from: number, to: number): LoadLine {
  const middle = (from + to) / 2
  let [q0, q1] = [0, 0]
  for (const [s0, s1, p0, p1] of pieces) {
    if (s0 > middle || s1 < middle) continue
    const slope = (p1 - p0) / (s1 - s0)
    q0 += p0 + slope * (from - s0)
    q1 += p0 + slope * (to - s0)
  }
  return [from, to, q0, q1]
}

/** Whether the second line goes on from the first in place, value and slope (a millionth of the value over its length). */
function continues(a: LoadLine, b: LoadLine): boolean {
  if (a[1] !== b[0]) return false
  const scale = 1e-6 * Math.max(Math.abs(a[2]), Math.abs(a[3]), Math.abs(b[3]))
  const slopeChange = Math.abs((a[3] - a[2]) / (a[1] - a[0]) - (b[3] - b[2]) / (b[1] - b[0]))
  return Math.abs(a[3] - b[2]) <= scale && slopeChange * (b[1] - a[0]) <= scale
}

/** Total force of what lands directly. */
export const loadTotal = ({ lines, points }: MemberLoad): number =>
  lines.reduce((sum, [s0, s1, q0, q1]) => sum + ((s1 - s0) * (q0 + q1)) / 2, 0) +
  points.reduce((sum, { force }) => sum + force, 0)
