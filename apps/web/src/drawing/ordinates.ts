import {
  displayFactor,
  distance,
  formatQuantity,
  largest,
  project,
  type NumberFormat,
  smallest,
  type Point,
} from '@hedrion/core'
import { acrossOf } from './paintOrdinates'
import { said } from './said'
import type { Label, Scene } from './scene'
import { roundBelow } from './viewport'

/** Pixels of the largest ordinate where there is room for it. */
export const tallest = 26

export interface OrdinateScale {
  /** The largest ordinate, N/m. */
  readonly top: number
  /** Pixels per N/m. */
  readonly scale: number
  /** What is said of it beside the scale bar. */
  readonly said: NonNullable<Scene['ordinateScale']> | null
}

/** How tall ordinates stand: the largest as tall as there is room. */
export function ordinateScaleOf(
  values: readonly number[],
  room: number,
  { system, ...format }: NumberFormat,
): OrdinateScale {
  const top = Math.max(0, largest(values.map(Math.abs)))
  if (top === 0) return { top, scale: 0, said: null }
  const scale = tallest / top
  const unit = displayFactor('lineLoad', system)
  const round = roundBelow(top / unit) * unit
  return {
    top,
    scale,
    said: { pixels: round * scale, text: formatQuantity(round, 'lineLoad', { ...format, system }), room },
  }
}

type Line = readonly [a: Point, b: Point]

/** Metres between parallel lines beside one another, in the mean: the median of what each has to its nearest. */
export function roomBetween(lines: readonly Line[]): number {
  const nearest = lines.flatMap((line) => {
    const least = smallest(lines.map((other) => (other === line ? Infinity : gapTo(line, other))))
    return Number.isFinite(least) ? [least] : []
  })
  return nearest.sort((p, q) => p - q)[Math.floor(nearest.length / 2)] ?? Infinity
}

/** Infinity where they are not parallel, in one line, or not beside one another. */
function gapTo([a, b]: Line, [c, d]: Line): number {
  const length = distance(a, b)
  const [from, to] = [project(a, b, c), project(a, b, d)]
  const isParallel = Math.abs(from.off - to.off) < 0.1 * length
  const isBeside = Math.max(from.s, to.s) > 0.05 * length && Math.min(from.s, to.s) < 0.95 * length
  const gap = Math.abs((from.off + to.off) / 2)
  return isParallel && isBeside && gap > nextTo ? gap : Infinity
}

/** Members nearer than this lie in one line for the eye, metres. */
const nextTo = 0.1

/** By how much ordinates are lower than their scale says, so that they do not reach the next member. */
export const shrinkOf = (room: number, pixelsPerMetre: number): number =>
  Math.min(1, Math.max(0.2, (0.8 * room * pixelsPerMetre) / tallest))

/** Beside an ordinate, on its outer side; along the member it may move. */
export function ordinateLabel(
  q: number,
  at: Point,
  [a, b]: Line,
  scale: number,
  format: NumberFormat,
  words?: (number: string) => string,
): Omit<Label, 'priority'> {
  const [nx, ny] = acrossOf(a, b)
  const length = distance(a, b) || 1
  const beyond = Math.abs(q) * scale
  return {
    ...said(q, 'lineLoad', format, words),
    at,
    dx: nx * 17,
    dy: -ny * 9,
    over: [nx * beyond, -ny * beyond],
    slides: {
      way: [(b[0] - a[0]) / length, (a[1] - b[1]) / length],
      reach: Math.min(distance(a, at), distance(at, b)),
    },
  }
}
