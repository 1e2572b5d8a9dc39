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

/** Parts into which a slanting line is cut for a look, at most, and how wide the box of one may be. */
const [mostParts, wide] = [32, 0.5]

/** The same for lines: a slanting one is looked at part by part, since its box holds much that is far from it. */
export function nearLine(things: readonly (readonly Point[])[], tolerance = onLine): Near {
  const near = nearby(things, tolerance)
  return (path) => {
    const parts = path.slice(1).flatMap((b, i) => partsOf(path[i] ?? b, b))
    if (parts.length <= 1) return near(path)
    return [...new Set(parts.flatMap(near))].sort((p, q) => p - q)
  }
}

function partsOf(a: Point, b: Point): readonly (readonly Point[])[] {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const parts = Math.min(mostParts, Math.max(1, Math.ceil(Math.min(Math.abs(dx), Math.abs(dy)) / wide)))
  const at = (i: number): Point => [a[0] + (dx * i) / parts, a[1] + (dy * i) / parts]
  return Array.from({ length: parts }, (_, i) => [i === 0 ? a : at(i), i === parts - 1 ? b : at(i + 1)])
}
