import { shortest } from '../geometry/tolerance'
import { lineOf, ordinateTolerance } from './linearPieces'
import type { ShareLine } from './share'

/**
 * Joins neighbouring pieces, member by member along s: those that continue each other exactly, then those that one
 * straight ordinate meets within a part of the member's peak, or that are too short to be meant. Force and first moment
 * of every member are kept. None goes over a bend of its member, or from one stretch of a wall to the next.
 */
export function mergeLines(
  lines: readonly ShareLine[],
  bends: ReadonlyMap<string, readonly number[]> = new Map(),
): readonly ShareLine[] {
  const follows: Follows = (a, b) =>
    a.member === b.member &&
    Math.abs(a.s1 - b.s0) <= 1e-9 &&
    !(bends.get(a.member) ?? []).some((at) => Math.abs(at - a.s1) <= 1e-6)
  const sorted = lines
    .flatMap((line) => cutAt(line, bends.get(line.member) ?? []))
    .sort((p, q) => (p.member < q.member ? -1 : p.member > q.member ? 1 : 0) || p.s0 - q.s0 || p.s1 - q.s1)
  const exact: ShareLine[] = []
  for (const line of sorted) {
    const last = exact[exact.length - 1]
    if (last && follows(last, line) && continues(last, line)) exact[exact.length - 1] = asOne([last, line], 0, 2)
    else exact.push(line)
  }
  return straightened(exact, follows)
}

/** A piece in parts between the places that it goes over. */
function cutAt(line: ShareLine, places: readonly number[]): readonly ShareLine[] {
  const { member, s0, s1, q0, q1 } = line
  const inner = places.filter((s) => s > s0 + 1e-9 && s < s1 - 1e-9)
  if (inner.length === 0) return [line]
  const at = (s: number) => q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)
  const stops = [s0, ...[...inner].sort((p, q) => p - q), s1]
  return stops.slice(1).map((to, i) => {
    const from = stops[i] ?? s0
    return { member, s0: from, s1: to, q0: at(from), q1: at(to) }
  })
}

/** Whether a piece begins where the one before ends, on the same straight piece of the same member. */
type Follows = (a: ShareLine, b: ShareLine) => boolean

function continues(a: ShareLine, b: ShareLine): boolean {
  const scale = Math.max(Math.abs(a.q0), Math.abs(a.q1), Math.abs(b.q1), 1e-12)
  if (Math.abs(a.q1 - b.q0) > 1e-9 * scale) return false
  const slopeChange = (a.q1 - a.q0) / (a.s1 - a.s0) - (b.q1 - b.q0) / (b.s1 - b.s0)
  return Math.abs(slopeChange) * (b.s1 - a.s0) < 1e-7 * scale
}

/** Takes as many pieces after one another as one straight ordinate can stand for. */
function straightened(lines: readonly ShareLine[], follows: Follows): readonly ShareLine[] {
  const peaks = new Map<string, number>()
  for (const { member, q0, q1 } of lines)
    peaks.set(member, Math.max(peaks.get(member) ?? 0, Math.abs(q0), Math.abs(q1)))
  const out: ShareLine[] = []
  let from = 0
  while (from < lines.length) {
    const first = lines[from]
    if (!first) break
    const tolerance = ordinateTolerance * (peaks.get(first.member) ?? 0)
    let joined = first
    let to = from + 1
    for (let last = first, next = lines[to]; next && follows(last, next); last = next, next = lines[to]) {
      const whole = asOne(lines, from, to + 1)
      if (whole.s1 - whole.s0 > shortest && !meets(whole, lines, from, to + 1, tolerance)) break
      joined = whole
      to++
    }
    out.push(joined)
    from = to
  }
  return out
}

/** One straight ordinate with the force and first moment of the pieces from–to. */
function asOne(lines: readonly ShareLine[], from: number, to: number): ShareLine {
  const [first, last] = [lines[from], lines[to - 1]]
  if (!first || !last) throw new Error('No pieces to join')
  let [force, moment] = [0, 0]
  for (let i = from; i < to; i++) {
    const { s0, s1, q0, q1 } = lines[i] ?? first
    const h = s1 - s0
    const part = (h * (q0 + q1)) / 2
    force += part
    moment += part * (s0 - first.s0) + (h * h * (q0 + 2 * q1)) / 6
  }
  return { member: first.member, s0: first.s0, s1: last.s1, ...lineOf(last.s1 - first.s0, force, moment) }
}

function meets(
  { s0, s1, q0, q1 }: ShareLine,
  lines: readonly ShareLine[],
  from: number,
  to: number,
  tolerance: number,
) {
  const at = (s: number) => q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)
  for (let i = from; i < to; i++) {
    const piece = lines[i]
    if (!piece) return false
    if (Math.abs(at(piece.s0) - piece.q0) > tolerance || Math.abs(at(piece.s1) - piece.q1) > tolerance) return false
  }
  return true
}
