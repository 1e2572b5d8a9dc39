import type { WallShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'

/** A straight stretch of a wall run. */
export interface WallSegment {
  /** Counted along the path from 0. */
  readonly index: number
  readonly a: Point
  readonly b: Point
  readonly length: number
}

/** The straight stretches of a wall run; a closed run returns to its start. */
export function wallSegments(run: Pick<WallShape, 'path' | 'closed'>): readonly WallSegment[] {
  const points = run.closed && run.path.length > 2 ? [...run.path, ...run.path.slice(0, 1)] : run.path
  return points.slice(1).flatMap((b, index): WallSegment[] => {
    const a = points[index]
    return a && distance(a, b) > onLine ? [{ index, a, b, length: distance(a, b) }] : []
  })
}
