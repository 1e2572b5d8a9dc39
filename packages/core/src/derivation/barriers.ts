import { barrierCase } from '../actions/cases'
import { barrierLoad, type BarrierLoad } from '../actions/barriers'
import { wallSegments } from '../building/wallSegments'
import { recordsOf } from '../document/document'
import type { Barrier } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { contains } from '../geometry/polygon'
import { along } from '../geometry/segment'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

/** One straight stretch of a barrier on a level, with the load on it. */
export interface BarrierStretch {
  readonly barrier: Barrier
  readonly index: number
  readonly a: Point
  readonly b: Point
  readonly length: number
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
        outward: outwardOf(floor, stretch.a, stretch.b),
      }))
    })
}

/** A hand's width beside the middle there is floor on one side only; between floors, or beside none, right of the path counts. */
function outwardOf({ operator }: FloorState, a: Point, b: Point): Point {
  const [x, y] = along(a, b, Math.hypot(b[0] - a[0], b[1] - a[1]) / 2)
  const length = Math.hypot(b[0] - a[0], b[1] - a[1])
  const right: Point = [(b[1] - a[1]) / length, -(b[0] - a[0]) / length]
  const hand = 0.1
  const floorAt = (side: number) =>
    operator.plan.panels.some(({ outline }) =>
      contains(outline, [x + side * hand * right[0], y + side * hand * right[1]]),
    )
  return floorAt(1) && !floorAt(-1) ? [-right[0], -right[1]] : right
}

/** All that presses on barriers of a floor, N; in no common direction. */
export const pressedOn = (state: ProjectState, floor: FloorState): number =>
  barriersOn(state, floor).reduce((sum, { load, length }) => sum + length * (load?.load.value ?? 0), 0)

/** Of the whole building in a case, N: nothing in any case but that of barriers. */
export const pressedInCase = (state: ProjectState, caseId: string): number =>
  caseId === barrierCase ? state.floors.reduce((sum, floor) => sum + pressedOn(state, floor), 0) : 0
