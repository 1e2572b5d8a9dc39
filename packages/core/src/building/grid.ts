import type { GridLine } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { crossing, distance } from '../geometry/segment'

/** A straight grid line as a point on it and its direction, of unit length. */
interface Straight {
  readonly at: Point
  readonly along: Point
  /** Where a line that is drawn from its start begins; those across the whole grid have none. */
  readonly from: boolean
}

function straightOf({ axis, at, path }: GridLine): Straight | null {
  if (axis === 'x') return { at: [at, 0], along: [0, 1], from: false }
  if (axis === 'y') return { at: [0, at], along: [1, 0], from: false }
  const [a, b] = path
  const length = axis === 'line' && a && b ? distance(a, b) : 0
  return a && b && length > 0 ? { at: a, along: [(b[0] - a[0]) / length, (b[1] - a[1]) / length], from: true } : null
}

/** Where two grid lines cross: one point, two where a line across the grid cuts a ring, or none. */
export function crossingsOf(first: GridLine, second: GridLine): readonly Point[] {
  const [a, b] = [straightOf(first), straightOf(second)]
  if (a && b) return crossingOfLines(a, b)
  if (a && second.axis === 'ring') return crossingsOfRing(a, second)
  if (b && first.axis === 'ring') return crossingsOfRing(b, first)
  return []
}

/** Nearly parallel lines (a thousandth) meet too far away to be meant. */
function crossingOfLines(a: Straight, b: Straight): readonly Point[] {
  const point = crossing(a.at, a.along, b.at, b.along, 1e-3)
  return point ? [point] : []
}

/** A line that is drawn from its start meets a ring ahead of it; one across the whole grid may meet it twice. */
function crossingsOfRing({ at, along, from }: Straight, { at: radius, path: [centre] }: GridLine): readonly Point[] {
  if (!centre) return []
  const [dx, dy] = [at[0] - centre[0], at[1] - centre[1]]
  const half = dx * along[0] + dy * along[1]
  const under = half * half - (dx * dx + dy * dy - radius * radius)
  if (under < 0) return []
  const root = Math.sqrt(under)
  const places = root === 0 ? [-half] : [-half + root, -half - root]
  return (from ? places.filter((s) => s >= 0).slice(0, 1) : places).map((s): Point => [
    at[0] + s * along[0],
    at[1] + s * along[1],
  ])
}

/** Every crossing of a grid. */
export const gridCrossings = (lines: readonly GridLine[]): readonly Point[] =>
  lines.flatMap((line, i) => lines.slice(i + 1).flatMap((other) => crossingsOf(line, other)))

/** Whether a point lies on a line of the grid, within a distance in m. */
export function isOnGridLine(line: GridLine, point: Point, within: number): boolean {
  const straight = straightOf(line)
  if (straight) {
    const [dx, dy] = [point[0] - straight.at[0], point[1] - straight.at[1]]
    return Math.abs(dx * straight.along[1] - dy * straight.along[0]) <= within
  }
  const [centre] = line.path
  return centre !== undefined && Math.abs(distance(centre, point) - line.at) <= within
}
