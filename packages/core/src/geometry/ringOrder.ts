import type { Ring } from './polygon'

/**
 * An order of outlines by where they are, the same whatever ids their records have: corner by corner, x then y. Clipping rounds, so that
 * what is clipped one after the other must come in an order of its own.
 */
export function ringOrder(a: Ring, b: Ring): number {
  for (const [i, [x, y]] of a.entries()) {
    const other = b[i]
    if (!other) return 1
    const apart = x - other[0] || y - other[1]
    if (apart !== 0) return apart
  }
  return a.length - b.length
}
