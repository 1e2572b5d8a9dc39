import { entry } from '../outcome/assert'
import { lineOf } from '../sharing/linearPieces'
import type { LoadLine } from './memberLines'

/** How line loads are handed on: as they are, in so many straight pieces at most, or as one value over the whole length. */
export type Merging =
  { readonly kind: 'exact' } | { readonly kind: 'pieces'; readonly most: number } | { readonly kind: 'even' }

/**
 * Line loads of a straight member of a length, m, as they are handed on. Pieces keep force and centroid, each of what it stands
 * for and so in all; one even value keeps force alone.
 */
export function merged(lines: readonly LoadLine[], length: number, merging: Merging): readonly LoadLine[] {
  if (merging.kind === 'exact' || lines.length === 0) return lines
  if (merging.kind === 'pieces') return inPieces(lines, merging.most)
  const q = lines.reduce((sum, line) => sum + forceOf(line), 0) / length
  return [[0, length, q, q]]
}

/** Neighbours become one, those first whose joining changes the load least, until there are few enough. */
function inPieces(lines: readonly LoadLine[], most: number): readonly LoadLine[] {
  const pieces = lines.map((line): readonly LoadLine[] => [line])
  while (pieces.length > Math.max(1, most)) {
    let best = { at: 0, cost: Infinity }
    for (let i = 0; i + 1 < pieces.length; i++) {
      const both = [...entry(pieces, i), ...entry(pieces, i + 1)]
      const cost = changeOf(both, asOne(both))
      if (cost < best.cost) best = { at: i, cost }
    }
    pieces.splice(best.at, 2, [...entry(pieces, best.at), ...entry(pieces, best.at + 1)])
  }
  return pieces.map(asOne)
}

const forceOf = ([s0, s1, q0, q1]: LoadLine): number => ((s1 - s0) * (q0 + q1)) / 2

/** The straight piece from the start of the first to the end of the last that has their force and centroid. */
function asOne(lines: readonly LoadLine[]): LoadLine {
  const [first, last] = [lines[0], lines.at(-1)]
  if (!first || !last) throw new Error('no lines')
  if (lines.length === 1) return first
  const h = last[1] - first[0]
  const force = lines.reduce((sum, line) => sum + forceOf(line), 0)
  const moment = lines.reduce((sum, line) => sum + over(line, (s, q) => q * (s - first[0])), 0)
  const { q0, q1 } = lineOf(h, force, moment)
  return [first[0], last[1], q0, q1]
}

/** The square of the difference, along both: what lies between the lines has none of them. */
function changeOf(lines: readonly LoadLine[], [s0, s1, q0, q1]: LoadLine): number {
  const at = (s: number) => q0 + ((q1 - q0) * (s - s0)) / (s1 - s0)
  let [sum, end] = [0, s0]
  for (const line of lines) {
    sum += over([end, line[0], 0, 0], (s) => at(s) ** 2) + over(line, (s, q) => (q - at(s)) ** 2)
    end = line[1]
  }
  return sum
}

// Gauss-Legendre, 3 points on [0, 1] (Abramowitz and Stegun, table 25.4): exact to the fifth degree
const nodes = [0.1127016653792583, 0.5, 0.8872983346207417]
const weights = [5 / 18, 8 / 18, 5 / 18]

const over = ([s0, s1, q0, q1]: LoadLine, f: (s: number, q: number) => number): number =>
  nodes.reduce((sum, t, i) => sum + entry(weights, i) * f(s0 + t * (s1 - s0), q0 + t * (q1 - q0)), 0) * (s1 - s0)

/** Moments at both ends of a member of a length that is held there, under line loads, Nm (common practice, beam tables). */
export function heldMoments(
  lines: readonly LoadLine[],
  length: number,
): { readonly start: number; readonly end: number } {
  const sum = (f: (s: number, q: number) => number) => lines.reduce((total, line) => total + over(line, f), 0)
  return {
    start: sum((s, q) => (q * s * (length - s) ** 2) / length ** 2),
    end: sum((s, q) => (q * s * s * (length - s)) / length ** 2),
  }
}
