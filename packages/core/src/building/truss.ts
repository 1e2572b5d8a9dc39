import type { SlopeShape, TrussShape } from '../document/shapes'
import { along, distance } from '../geometry/segment'
import { heightAt, stretchesOf } from './slopes'

/** A part of a truss in its own plane: s along it in plan, z over the level, m. */
export interface TrussPart {
  readonly part: 'top' | 'bottom' | 'web'
  readonly from: readonly [s: number, z: number]
  readonly to: readonly [s: number, z: number]
}

/** True lengths of a truss by part, m. */
export interface TrussLengths {
  readonly top: number
  readonly bottom: number
  readonly web: number
}

/** Chords and web of a truss under the slopes of its layout; none where the member is no truss. */
export function trussParts({ path: [a, b], truss }: TrussShape, slopes: readonly SlopeShape[]): readonly TrussPart[] {
  if (!truss || !a || !b) return []
  const length = distance(a, b)
  const topAt = (s: number) => heightAt(slopes, along(a, b, s))
  const [zStart, zEnd] = [topAt(0) - truss.depth, topAt(length) - truss.depth]
  const bottomAt = (s: number) =>
    truss.bottom === 'alongTop' ? topAt(s) - truss.depth : zStart + ((zEnd - zStart) * s) / length
  const breaks = [0, ...stretchesOf(slopes, a, b).map(({ s1 }) => s1)]
  const chord = (part: 'top' | 'bottom', stops: readonly number[], zAt: (s: number) => number): readonly TrussPart[] =>
    stops.slice(1).map((s, i) => ({ part, from: [stops[i] ?? 0, zAt(stops[i] ?? 0)], to: [s, zAt(s)] }))
  return [
    ...chord('top', breaks, topAt),
    ...chord('bottom', truss.bottom === 'alongTop' ? breaks : [0, length], bottomAt),
    ...webOf(truss, length, topAt, bottomAt),
  ]
}

type HeightAt = (s: number) => number

function webOf(
  { bays, posts }: NonNullable<TrussShape['truss']>,
  length: number,
  topAt: HeightAt,
  bottomAt: HeightAt,
): readonly TrussPart[] {
  const node = (i: number) => (length * i) / bays
  const web = (from: TrussPart['from'], to: TrussPart['to']): TrussPart => ({ part: 'web', from, to })
  const bottom = (i: number): TrussPart['from'] => [node(i), bottomAt(node(i))]
  const top = (i: number): TrussPart['from'] => [node(i), topAt(node(i))]
  const diagonals = Array.from({ length: bays }, (_, i) => {
    // with posts the diagonals rise towards the middle, without them they go up and down in turn
    const rises = posts ? i + 0.5 < bays / 2 : i % 2 === 0
    return rises ? web(bottom(i), top(i + 1)) : web(top(i), bottom(i + 1))
  })
  return posts ? [...diagonals, ...Array.from({ length: bays + 1 }, (_, i) => web(bottom(i), top(i)))] : diagonals
}

export function trussLengths(parts: readonly TrussPart[]): TrussLengths {
  const sums = { top: 0, bottom: 0, web: 0 }
  for (const { part, from, to } of parts) sums[part] += Math.hypot(to[0] - from[0], to[1] - from[1])
  return sums
}
