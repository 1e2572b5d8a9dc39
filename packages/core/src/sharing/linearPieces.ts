import { largest } from '../outcome/lists'
import { entry } from '../outcome/assert'
import { shortest } from '../geometry/tolerance'
import type { ShareLine } from './share'

// Gauss-Legendre, 4 points on [0, 1] (Abramowitz and Stegun, table 25.4): on intervals as straight as those below they
// integrate to rounding.
const nodes = [0.06943184420297371, 0.33000947820757187, 0.6699905217924281, 0.9305681557970263]
const weights = [0.17392742256872692, 0.32607257743127308, 0.32607257743127308, 0.17392742256872692]

/** An ordinate is followed by straight pieces to within this part of the peak; joining them may take as much again. */
export const ordinateTolerance = 5e-4

export type Piece = Pick<ShareLine, 's0' | 's1' | 'q0' | 'q1'>

/** Several ordinates over the same length, each by its index. */
export type Ordinates = (s: number) => readonly number[]

/**
 * Replaces smooth ordinates over [a, b] by straight pieces, all cut at the same places: what sums of them keep exactly
 * they go on keeping. Each piece keeps force and first moment of its interval (to the quadrature), and intervals are
 * halved until every ordinate is met within a part of the peak, or until they are so short that nobody means them.
 */
export function linearPieces(ordinates: Ordinates, a: number, b: number, peak: number): readonly (readonly Piece[])[] {
  const out: Piece[][] = []
  follow(ordinates, a, b, peak, out)
  return out
}

function follow(ordinates: Ordinates, a: number, b: number, peak: number, out: Piece[][]): void {
  const h = b - a
  if (h <= shortest) {
    const lines = integralsOver(ordinates, a, b, 0).map(([force, moment]) => lineOf(h, force, moment))
    return add(out, a, b, lines, largest(lines.flatMap(({ q0, q1 }) => [Math.abs(q0), Math.abs(q1)])))
  }
  const sampled = sample(ordinates, a, h)
  const lines = integralsOf(sampled, h).map(([force, moment]) => lineOf(h, force, moment))
  const ends = [0.01, 0.99].map((t) => [t, ordinates(a + t * h)] as const)
  if (isMet(lines, [...sampled, ...ends], ordinateTolerance * peak)) return add(out, a, b, lines, peak)
  const middle = a + h / 2
  follow(ordinates, a, middle, peak, out)
  follow(ordinates, middle, b, peak, out)
}

type Sampled = readonly (readonly [t: number, values: readonly number[]])[]

const sample = (ordinates: Ordinates, a: number, h: number): Sampled =>
  nodes.map((t) => [t, ordinates(a + t * h)] as const)

const isMet = (lines: readonly Pick<Piece, 'q0' | 'q1'>[], sampled: Sampled, tolerance: number): boolean =>
  lines.every(({ q0, q1 }, k) =>
    sampled.every(([t, values]) => Math.abs(entry(values, k) - q0 - t * (q1 - q0)) <= tolerance),
  )

type Integrals = readonly [force: number, moment: number]

/** Where hyperbolas are this near to straight, in parts of the peak, 4 points integrate them to 1e-8 of it. */
const nearlyStraight = 0.03
/** An ordinate of the unit load that differs by less than a nanometre of strip is rounding. */
const rounding = 1e-9
const deepest = 12

/** Force and moment about a of every ordinate, halved for the quadrature alone until all are nearly straight. */
function integralsOver(ordinates: Ordinates, a: number, b: number, depth: number): readonly Integrals[] {
  const h = b - a
  const sampled = sample(ordinates, a, h)
  const found = integralsOf(sampled, h)
  const lines = found.map(([force, moment]) => lineOf(h, force, moment))
  const peak = largest(sampled.flatMap(([, values]) => values.map(Math.abs)))
  if (depth >= deepest || isMet(lines, sampled, nearlyStraight * peak + rounding)) return found
  const left = integralsOver(ordinates, a, a + h / 2, depth + 1)
  const right = integralsOver(ordinates, a + h / 2, b, depth + 1)
  return left.map(([force, moment], k): Integrals => {
    const [more, about] = entry(right, k)
    return [force + more, moment + about + (more * h) / 2]
  })
}

function add(out: Piece[][], s0: number, s1: number, lines: readonly Pick<Piece, 'q0' | 'q1'>[], peak: number): void {
  lines.forEach(({ q0, q1 }, k) => (out[k] ??= []).push({ s0, s1, q0: snap(q0, peak), q1: snap(q1, peak) }))
}

/** The straight ordinate over a length h that has this force, and this moment about its start. */
export const lineOf = (h: number, force: number, moment: number): Pick<ShareLine, 'q0' | 'q1'> => ({
  q0: (4 * force) / h - (6 * moment) / (h * h),
  q1: (6 * moment) / (h * h) - (2 * force) / h,
})

/** Round-off beside zero is shown as zero. */
const snap = (value: number, peak: number): number => (Math.abs(value) < 1e-13 * peak ? 0 : value)

const integralsOf = (sampled: Sampled, h: number): readonly Integrals[] =>
  (sampled[0]?.[1] ?? []).map((_, k): Integrals => {
    let force = 0
    let moment = 0
    sampled.forEach(([t, values], i) => {
      const part = entry(values, k) * entry(weights, i) * h
      force += part
      moment += part * t * h
    })
    return [force, moment]
  })
