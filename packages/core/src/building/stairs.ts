import type { StairShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { WallSegment } from './wallSegments'

/** Length of a flight in plan, m. */
export const goingOf = ({ path: [foot, head] }: Pick<StairShape, 'path'>): number =>
  foot && head ? distance(foot, head) : 0

/** A flight has whole steps: as many as come nearest to the step that was typed, and how high each then is, m. */
export function stepsOf({ rise, riser }: { readonly rise: number; readonly riser: number }): {
  readonly count: number
  readonly height: number
} {
  if (riser <= 0) return { count: 0, height: 0 }
  // a flight that does not rise weighs the steps that were typed
  if (rise === 0) return { count: 1, height: riser }
  const count = Math.max(1, Math.round(Math.abs(rise) / riser))
  return { count, height: Math.abs(rise) / count }
}

/** The edges across which a flight stands on what is at its lower and its upper end; none where it has no length. */
export function stairEnds({ path, width }: Pick<StairShape, 'path' | 'width'>): readonly WallSegment[] {
  const across = acrossOf({ path, width })
  if (!across) return []
  const [dx, dy] = across
  return path.slice(0, 2).map(([x, y], index) => ({
    index,
    a: [x - dx, y - dy],
    b: [x + dx, y + dy],
    length: width,
    drawn: width,
  }))
}

/** Its rectangle in plan, round from the lower end; empty where it has no length. */
export function stairOutline(stair: Pick<StairShape, 'path' | 'width'>): readonly Point[] {
  const [foot, head] = stairEnds(stair)
  return foot && head ? [foot.a, foot.b, head.b, head.a] : []
}

/** Half of the width, square to the way up. */
function acrossOf({ path, width }: Pick<StairShape, 'path' | 'width'>): Point | null {
  const [foot, head] = path
  const going = goingOf({ path })
  if (!foot || !head || going <= onLine) return null
  const half = width / 2 / going
  return [-(head[1] - foot[1]) * half, (head[0] - foot[0]) * half]
}
