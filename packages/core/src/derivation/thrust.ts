import { farEnd, isHanger } from '../building/frame'
import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import { alongAxis, thrust } from '../rundown/raking'
import { readCase } from './cells'
import { extentOfColumn } from './columnExtents'
import { hangsAt, hungOn, orderOf, type Place } from './floorQueries'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'
import { squareTo } from './sideways'
import { surfacePushes } from './surfaceLoads'

/** How a raking column or hanger stands, and what it does sideways in one case. */
export interface Raking {
  /** Between its ends, upwards and in plan, m. */
  readonly rise: number
  readonly run: number
  /** Vertical force at its own level and at its other end, N. */
  readonly own: number
  readonly far: number
  /** At each end, N, and its direction where it acts on its own level; the other end gets the opposite. */
  readonly thrust: number
  readonly direction: Point
  /** Along it at its other end, N: compression of a column, tension of a hanger. */
  readonly axial: number
}

/** Null for what goes straight up or down. */
export function rakingAt(state: ProjectState, { floor, row }: Place, caseId: string): Raking | null {
  const read = readCase(state, caseId)
  return rakingUnder(floor, row, read(floor.rundown.tops, row), read(floor.rundown.feet, row))
}

/** The same for vertical forces at its own level and at its other end, N. */
export function rakingUnder(floor: FloorState, row: number, own: number, far: number): Raking | null {
  const column = floor.operator.plan.frame.columns[row]
  if (!column?.far) return null
  const { rise, run } = extentOfColumn(floor, row)
  // a hanger with nothing over it has no rise, and hands on nothing
  if (rise < onLine) return null
  // a column pushes away from its foot, a hanger pulls towards its upper end
  const [from, to] = isHanger(column) ? [column.at, column.far] : [column.far, column.at]
  const direction: Point = [(to[0] - from[0]) / run, (to[1] - from[1]) / run]
  const H = thrust.evaluate({ V_1: own, V_2: far, a: run, h: rise })
  const axial = alongAxis.evaluate({ V_2: far, H, a: run, h: rise })
  return { rise, run, own, far, thrust: H, direction, axial }
}

/** What one end of a raking column or hanger does to a level; -1 is the base. N in global axes. */
export interface Push {
  readonly level: number
  readonly place: Place
  readonly at: Point
  readonly force: Point
}

/** Both ends of all that rakes, in one case. */
export const pushesIn = (state: ProjectState, caseId: string): readonly Push[] =>
  state.floors.flatMap((floor, level) =>
    floor.operator.plan.frame.columns.flatMap((column, row): readonly Push[] => {
      const place = { floor, row }
      const raking = rakingAt(state, place, caseId)
      if (!raking) return []
      const [x, y] = raking.direction
      const force: Point = [x * raking.thrust, y * raking.thrust]
      const other = otherLevel(state, level, place)
      const own: Push = { level, place, at: column.at, force }
      if (other === null) return [own]
      return [own, { level: other, place, at: farEnd(column), force: [-force[0], -force[1]] }]
    }),
  )

/** About the origin, Nm. */
export const turningOf = ({ at: [x, y], force: [fx, fy] }: Push): number => x * fy - y * fx

/** A horizontal force on a level, N in global axes, and its moment about the origin, Nm. */
export interface LevelThrust {
  readonly x: number
  readonly y: number
  readonly moment: number
}

/** What raking columns and hangers, loads square to slopes, and wall surfaces do to every carrying level, bottom first, and to the base under them. */
export function thrusts(
  state: ProjectState,
  caseId: string,
): { readonly levels: readonly LevelThrust[]; readonly base: LevelThrust } {
  const sums = [-1, ...state.floors.keys()].map(() => ({ x: 0, y: 0, moment: 0 }))
  for (const push of pushesIn(state, caseId)) {
    const sum = sums[push.level + 1]
    if (!sum) continue
    sum.x += push.force[0]
    sum.y += push.force[1]
    sum.moment += turningOf(push)
  }
  state.floors.forEach((floor, level) => {
    const sum = sums[level + 1]
    if (!sum) return
    for (const { force, moment } of squareTo(state, floor, caseId)) {
      sum.x += force[0]
      sum.y += force[1]
      sum.moment += moment
    }
  })
  for (const { order, force, moment } of surfacePushes(state, caseId)) {
    const sum = sums[order + 1]
    if (!sum) continue
    sum.x += force[0]
    sum.y += force[1]
    sum.moment += moment
  }
  const [base = { x: 0, y: 0, moment: 0 }, ...levels] = sums
  return { levels, base }
}

/** The level at the other end of a column or hanger; -1 is the base; null where it ends on nothing. */
function otherLevel(state: ProjectState, level: number, place: Place): number | null {
  if (hangsAt(place)) {
    const [held] = hungOn(state, place)
    return held ? orderOf(state, held.place.floor) : null
  }
  return state.floors[level - 1]?.feetAbove?.unsupported.includes(place.row) ? null : level - 1
}
