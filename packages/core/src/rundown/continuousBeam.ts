import { entry } from '../outcome/assert'

/** Whether an end of a beam that stands on its first or last station is held against turning. */
export interface HeldEnds {
  readonly start: boolean
  readonly end: boolean
}

/**
 * Reactions of a straight beam of even stiffness over rigid supports at x (rising, two or more) to a force at s, by the
 * three-moment equation (Clapeyron); beyond the outer supports by lever. Sum and moment are those of the force, where no end is
 * held. Adds to `out`.
 */
export function continuousReactions(
  x: readonly number[],
  held: HeldEnds,
  s: number,
  force: number,
  out: number[],
): void {
  const spans = x.slice(1).map((to, k) => to - entry(x, k))
  const last = x.length - 1
  const [first, end] = [entry(x, 0), entry(x, last)]
  // moments over the supports that a cantilever brings, and what the load turns the ends of its span by (6 A a / L)
  const known = x.map(() => 0)
  const turns = x.map(() => 0)
  if (s < first) {
    known[0] = -force * (first - s)
    add(out, 0, force)
  } else if (s > end) {
    known[last] = -force * (s - end)
    add(out, last, force)
  } else {
    const k = Math.max(0, x.findIndex((at, i) => i > 0 && s <= at) - 1)
    const length = entry(spans, k)
    const a = s - entry(x, k)
    const b = length - a
    add(out, k, (force * b) / length)
    add(out, k + 1, (force * a) / length)
    add(turns, k, (force * b * (length * length - b * b)) / length)
    add(turns, k + 1, (force * a * (length * length - a * a)) / length)
  }
  const moments = supportMoments(spans, held, known, turns)
  spans.forEach((length, k) => {
    const shear = (entry(moments, k + 1) - entry(moments, k)) / length
    add(out, k, shear)
    add(out, k + 1, -shear)
  })
}

const add = (list: number[], at: number, value: number): void => void (list[at] = entry(list, at) + value)

/** Moments over the supports, sagging positive: rows of the three-moment equation, an end that is free to turn has its own. */
function supportMoments(
  spans: readonly number[],
  { start, end }: HeldEnds,
  known: readonly number[],
  turns: readonly number[],
): readonly number[] {
  const last = spans.length
  const rows = known.map((moment, i): Row => {
    // beyond an end there is no span
    const before = i > 0 ? entry(spans, i - 1) : 0
    const after = i < last ? entry(spans, i) : 0
    const free = (i === 0 && !start) || (i === last && !end)
    return free
      ? { low: 0, middle: 1, high: 0, right: moment }
      : { low: before, middle: 2 * (before + after), high: after, right: -entry(turns, i) }
  })
  return solved(rows)
}

interface Row {
  readonly low: number
  readonly middle: number
  readonly high: number
  readonly right: number
}

/** A system whose rows have three neighbours, from above down and back (Thomas); rows with a heavy middle need no exchange. */
function solved(rows: readonly Row[]): readonly number[] {
  const [high, right]: readonly [number[], number[]] = [[], []]
  rows.forEach((row, i) => {
    const [above, of] = i > 0 ? [entry(high, i - 1), entry(right, i - 1)] : [0, 0]
    const pivot = row.middle - row.low * above
    high.push(row.high / pivot)
    right.push((row.right - row.low * of) / pivot)
  })
  for (let i = rows.length - 2; i >= 0; i--) right[i] = entry(right, i) - entry(high, i) * entry(right, i + 1)
  return right
}

/** Places and weights over 0 to 1 whose sums are exact for what rises with the fifth power (Gauss, three points). */
const gauss: readonly (readonly [place: number, weight: number])[] = [
  [0.5 - Math.sqrt(0.15), 5 / 18],
  [0.5, 4 / 9],
  [0.5 + Math.sqrt(0.15), 5 / 18],
]

/** The same for a line load from a to b, linear from qa to qb; it is cut at the supports, between which three forces stand for it exactly. */
export function continuousLineReactions(
  x: readonly number[],
  held: HeldEnds,
  line: { readonly s0: number; readonly s1: number; readonly q0: number; readonly q1: number },
  out: number[],
): void {
  const { s0, s1, q0, q1 } = line
  const stops = [s0, ...x.filter((at) => at > s0 && at < s1), s1]
  stops.slice(1).forEach((to, i) => {
    const from = stops[i] ?? s0
    for (const [place, weight] of gauss) {
      const s = from + place * (to - from)
      const q = q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)
      continuousReactions(x, held, s, q * weight * (to - from), out)
    }
  })
}
