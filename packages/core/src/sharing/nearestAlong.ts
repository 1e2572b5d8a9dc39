import { pushAll } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { rootsOf } from '../geometry/quadratic'
import { distance } from '../geometry/segment'
import { cornersOf } from './nearest'
import type { Site } from './sites'

/** The square of a distance along a line: c0 + c1 t + c2 t². */
type Square = readonly [c0: number, c1: number, c2: number]

/** Rising places along a–b, m, between which the nearest foot stays on one site or at one end of one. */
export function breaksAlong(sites: readonly Site[], a: Point, b: Point): readonly number[] {
  const length = distance(a, b)
  const w: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
  const stops = [0, length]
  const squares: Square[] = []
  for (const { a: from, u, length: long } of sites) {
    const [dx, dy] = [a[0] - from[0], a[1] - from[1]]
    const [along, run] = [dx * u[0] + dy * u[1], w[0] * u[0] + w[1] * u[1]]
    const [off, rise] = [dy * u[0] - dx * u[1], w[1] * u[0] - w[0] * u[1]]
    stops.push(-along / run, (long - along) / run, -off / rise)
    squares.push([off * off, 2 * off * rise, rise * rise])
  }
  const corners = cornersOf(sites)
  for (const { at, ends } of corners) {
    const [dx, dy] = [a[0] - at[0], a[1] - at[1]]
    squares.push([dx * dx + dy * dy, 2 * (dx * w[0] + dy * w[1]), 1])
    // where a corner passes from one of its sites to another
    ends.forEach(({ inward: p }, i) => {
      for (const { inward: q } of ends.slice(i + 1)) {
        const [ex, ey] = [p[0] - q[0], p[1] - q[1]]
        stops.push(-(dx * ex + dy * ey) / (w[0] * ex + w[1] * ey))
      }
    })
  }
  squares.forEach((p, i) => {
    for (const q of squares.slice(i + 1)) pushAll(stops, rootsOf(p[0] - q[0], p[1] - q[1], p[2] - q[2]))
  })
  const within = stops.filter((t) => t >= 0 && t <= length).sort((p, q) => p - q)
  return within.filter((t, i) => i === 0 || t - entry(within, i - 1) > 1e-12)
}
