import Flatbush from 'flatbush'
import type { Point } from './point'
import { boxOf } from './polygon'
import { onLine } from './tolerance'

/** Indices, in rising order, of the things whose box touches that of the given points within a tolerance. */
export type Near = (points: readonly Point[]) => readonly number[]

/** A spatial index over things given by their points (one for a point, two for a line, more for a ring). */
export function nearby(things: readonly (readonly Point[])[], tolerance = onLine): Near {
  if (things.length === 0) return () => []
  const index = new Flatbush(things.length)
  for (const points of things) {
    const { x0, y0, x1, y1 } = boxOf(points)
    index.add(x0, y0, x1, y1)
  }
  index.finish()
  return (points) => {
    const { x0, y0, x1, y1 } = boxOf(points)
    return index.search(x0 - tolerance, y0 - tolerance, x1 + tolerance, y1 + tolerance).sort((p, q) => p - q)
  }
}
