import type { Column } from '../src/building/frame'
import type { Point } from '../src/geometry/point'
import type { Ring } from '../src/geometry/polygon'

export const rectangle = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]

export const turned =
  (angle: number, [cx, cy]: Point = [0, 0]) =>
  ([x, y]: Point): Point => {
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    return [cx + (x - cx) * c - (y - cy) * s, cy + (x - cx) * s + (y - cy) * c]
  }

/** A column alone, as a frame has it. */
export const columnAt = (name: string, at: Point): Column => ({
  at,
  member: {
    id: `member:${name}`,
    role: 'column',
    path: [at],
    startRelease: 'pinned',
    endRelease: 'pinned',
    spans: 'simple',
    takesLoad: true,
    sparedActions: [],
  },
})
