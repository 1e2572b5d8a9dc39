import { largest } from '@hedrion/core'
import type { Point, Point3 } from '@hedrion/core'
import type { Plane } from './viewport'

/** How the building is seen in space at the moment: from places to pixels (from the upper left corner of the picture) and back. */
export interface Sight {
  /** Null behind the viewer. */
  readonly seen: (at: Point3) => Point | null
  /** How far a point is from the viewer, m. */
  readonly away: (at: Point3) => number
  /** The place at an elevation under the pixels; null where one looks past it. */
  readonly atElevation: (pixels: Point, z: number) => Point | null
  /** The way of the plan, along x or y, that comes nearest to one on the screen (y upwards). */
  readonly onPlan: (direction: Point) => Point
}

/** A level as it is seen; near a place of it, so many pixels are a metre at most. */
export function levelPlane(sight: Sight, z: number, [x0, y0]: Point): Plane {
  const here = sight.seen([x0, y0, z])
  const ahead = [sight.seen([x0 + 1, y0, z]), sight.seen([x0, y0 + 1, z])]
  const lengths = ahead.map((there) => (here && there ? Math.hypot(there[0] - here[0], there[1] - here[1]) : 0))
  return {
    seen: ([x, y], over = 0) => sight.seen([x, y, z + over]),
    under: (pixels) => sight.atElevation(pixels, z),
    pixelsPerMetre: Math.max(1, largest(lengths)),
  }
}
