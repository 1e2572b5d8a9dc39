import { pushAll } from '../outcome/lists'
import type { WallShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'

/** A straight stretch of a wall run. */
export interface WallSegment {
  /** Of the step of the path with which it begins, counted from 0. */
  readonly index: number
  readonly a: Point
  readonly b: Point
  /** From a to b, m. */
  readonly length: number
  /**
   * The length of the path that it stands for, m: more than its own where short steps of the path are joined to it, whose load acts
   * along it.
   */
  readonly drawn: number
}

/** A stretch without short steps beside it. */
export const segmentOf = (index: number, a: Point, b: Point): WallSegment => {
  const length = distance(a, b)
  return { index, a, b, length, drawn: length }
}

interface Step extends WallSegment {
  readonly isShort: boolean
}

/**
 * The straight stretches of a wall run; a closed run returns to its start. Steps of the path of 10 mm or less are joined: several after
 * one another become stretches of more than that, and what is left of them belongs to the stretch beside it. The lengths drawn add up
 * to the length of the path, however finely it is drawn.
 */
export function wallSegments(run: Pick<WallShape, 'path' | 'closed'>): readonly WallSegment[] {
  const points = run.closed && run.path.length > 2 ? [...run.path, ...run.path.slice(0, 1)] : run.path
  const steps = points.slice(1).flatMap((b, index): Step[] => {
    const a = points[index]
    if (!a) return []
    const step = segmentOf(index, a, b)
    return [{ ...step, isShort: step.length <= onLine }]
  })
  const found: WallSegment[] = []
  // length of short steps that no stretch has yet
  let waiting = 0
  for (const group of runsOf(steps)) {
    const [own, left] = group[0]?.isShort ? joined(group) : [group, 0]
    pushAll(
      found,
      own.map(({ index, a, b, length, drawn }, i) => ({
        index,
        a,
        b,
        length,
        drawn: i === 0 ? drawn + waiting : drawn,
      })),
    )
    waiting = own.length > 0 ? 0 : waiting
    const last = found.at(-1)
    if (last && left > 0) found[found.length - 1] = { ...last, drawn: last.drawn + left }
    else waiting += left
  }
  return found.length > 0 ? found : pointLike(points, waiting)
}

/** Steps in groups of short ones and long ones. */
function runsOf(steps: readonly Step[]): readonly (readonly Step[])[] {
  const groups: Step[][] = []
  for (const step of steps) {
    const last = groups.at(-1)
    if (last?.[0]?.isShort === step.isShort) last.push(step)
    else groups.push([step])
  }
  return groups
}

/** Short steps as stretches longer than 10 mm from end to end, and the length of those at the end that make none. */
function joined(steps: readonly Step[]): readonly [stretches: readonly WallSegment[], left: number] {
  const found: WallSegment[] = []
  let start: Step | undefined
  let drawn = 0
  for (const step of steps) {
    start ??= step
    drawn += step.length
    const length = distance(start.a, step.b)
    if (length <= onLine) continue
    found.push({ index: start.index, a: start.a, b: step.b, length, drawn })
    start = undefined
    drawn = 0
  }
  return [found, drawn]
}

/** A path that goes nowhere farther than 10 mm: a stretch of twice that about its middle, with the load of what is drawn. */
function pointLike(points: readonly Point[], drawn: number): readonly WallSegment[] {
  if (drawn === 0) return []
  const mean = (axis: 0 | 1) => points.reduce((sum, point) => sum + point[axis], 0) / points.length
  const [x, y] = [mean(0), mean(1)]
  const from = points[0] ?? [x, y]
  const away = points.reduce((far, point) => (distance(from, point) > distance(from, far) ? point : far), from)
  const size = distance(from, away)
  const [ux, uy] = size === 0 ? [1, 0] : [(away[0] - from[0]) / size, (away[1] - from[1]) / size]
  return [{ ...segmentOf(0, [x - onLine * ux, y - onLine * uy], [x + onLine * ux, y + onLine * uy]), drawn }]
}
