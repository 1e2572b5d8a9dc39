import { barrierLoad, type BarrierLoad } from '../actions/barriers'
import { wallSegments, type WallSegment } from '../building/wallSegments'
import { recordsOf } from '../document/document'
import type { Barrier } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { contains } from '../geometry/polygon'
import { along } from '../geometry/segment'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

/** One straight stretch of a barrier on a level, with the load on it. */
export interface BarrierStretch extends WallSegment {
  readonly barrier: Barrier
  /** Away from the floor, in plan. */
  readonly outward: Point
  /** Null where nothing says how much. */
  readonly load: BarrierLoad | null
}

/** The barriers of a floor, stretch by stretch. */
export function barriersOn({ document, standard }: ProjectState, floor: FloorState): readonly BarrierStretch[] {
  return recordsOf(document, 'barrier')
    .filter(({ layout }) => layout === floor.floor.layoutId)
    .flatMap((barrier) => {
      const load = barrierLoad(barrier, standard)
      return wallSegments(barrier).map((stretch) => ({
        ...stretch,
        barrier,
        load,
        outward: outwardOf(floor, stretch),
      }))
    })
}

/** A hand's width beside the middle there is floor on one side only; between floors, or beside none, right of the path counts. */
function outwardOf({ operator }: FloorState, { a, b, length }: WallSegment): Point {
  const [x, y] = along(a, b, length / 2)
  const right: Point = [(b[1] - a[1]) / length, -(b[0] - a[0]) / length]
  const hand = 0.1
  const floorAt = (side: number) =>
    operator.plan.panels.some(({ outline }) =>
      contains(outline, [x + side * hand * right[0], y + side * hand * right[1]]),
    )
  return floorAt(1) && !floorAt(-1) ? [-right[0], -right[1]] : right
}

/** All that presses on the barriers of the building, N; in no common direction. */
export const pressedOnBarriers = (state: ProjectState): number =>
  state.floors.reduce((sum, floor) => sum + pressedOnFloor(state, floor), 0)

/** The same of one floor. */
export const pressedOnFloor = (state: ProjectState, floor: FloorState): number =>
  barriersOn(state, floor).reduce((sum, { load, drawn }) => sum + drawn * (load?.load.value ?? 0), 0)
