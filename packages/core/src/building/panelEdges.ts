import { intersection, regionOf, union } from '../geometry/clip'
import { corners, counterClockwise, regionArea, signedArea, type Ring } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { samePoint } from '../geometry/tolerance'

/** A ring is a panel's where the panel covers at least this much of it. */
export const most = 0.5

/** The part of a ring that an outline covers. */
export const coverOf = (ring: Ring, outline: Ring): number =>
  regionArea(intersection([ring], regionOf(outline))) / Math.max(signedArea(ring), Number.MIN_VALUE)

/** The part of a ring that outlines, which do not overlap, cover together. */
export const coverOfAll = (ring: Ring, outlines: readonly Ring[]): number =>
  outlines.reduce((sum, outline) => sum + coverOf(ring, outline), 0)

/** The one border round rings; null where they do not hang together. Voids among them are covered. */
export function borderOf(rings: readonly Ring[]): Ring | null {
  if (rings.length === 1) return rings[0] ?? null
  const outer = union(rings).filter((ring) => signedArea(ring) > 0)
  const [border] = outer
  return border && outer.length === 1 ? corners(border) : null
}

/** Whether two outlines have the same corners to a millimetre, from whichever they begin and whichever way they go. */
export function sameOutline(a: Ring, b: Ring): boolean {
  const [p, q] = [corners(counterClockwise(a)), corners(counterClockwise(b))]
  const [first] = p
  if (!first || p.length !== q.length) return false
  return q.some(
    (_, from) =>
      distance(first, q[from] ?? first) <= samePoint &&
      p.every((point, i) => distance(point, q[(from + i) % q.length] ?? [Infinity, 0]) <= samePoint),
  )
}
