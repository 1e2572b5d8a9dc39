import type { Point } from '../geometry/point'
import type { MemberLoad } from '../rundown/memberLines'
import { addLines } from '../sharing/addLines'
import { placesOn } from '../sharing/audit'
import { carriersAmong } from '../sharing/rails'
import { emptyShare, shareTotals, sumOfShares, type Share } from '../sharing/share'
import { readCase } from './cells'
import { floorIn } from './floorQueries'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

/** What one load that is square to a slope does sideways: its vertical forces, and what is horizontal per unit of them. */
interface Pushed {
  readonly loadId: string
  /** Horizontal per vertical force, in global axes. */
  readonly push: Point
  /** Vertical forces on members and columns, N. */
  readonly share: Share
}

/** Loads square to slopes of a floor, slope by slope, as they act in a case. */
function pushedOn(state: ProjectState, floor: FloorState, caseId: string): readonly Pushed[] {
  const at = readCase(state, caseId)
  return floorIn(floor, caseId).operator.plan.sources.flatMap((source, row): readonly Pushed[] => {
    if (source.kind !== 'area' || source.sideways.length === 0) return []
    const pressure = at(floor.intensities, row)
    if (pressure === 0) return []
    return source.sideways.map(({ push, share }) => ({
      loadId: source.load.id,
      push,
      share: sumOfShares({ ...emptyShare, applied: share.applied * pressure }, [[share, pressure]]),
    }))
  })
}

/** A horizontal force, N in global axes, and its moment about the origin, Nm. */
export interface Turning {
  readonly force: Point
  readonly moment: number
}

/** What arrives of each load that is square to a slope of a floor on its members and columns. */
export function squareTo(
  state: ProjectState,
  floor: FloorState,
  caseId: string,
): readonly (Turning & { readonly loadId: string })[] {
  const pushed = pushedOn(state, floor, caseId)
  if (pushed.length === 0) return []
  const placeOn = placesOn(carriersAmong(floor.operator.plan.frame.beams))
  const sums = new Map<string, { x: number; y: number; moment: number }>()
  for (const { loadId, push, share } of pushed) {
    const { force, moments } = shareTotals(share, placeOn)
    const sum = sums.get(loadId) ?? { x: 0, y: 0, moment: 0 }
    sum.x += force * push[0]
    sum.y += force * push[1]
    sum.moment += push[1] * moments[0] - push[0] * moments[1]
    sums.set(loadId, sum)
  }
  return [...sums].map(([loadId, { x, y, moment }]) => ({ loadId, force: [x, y], moment }))
}

/** Horizontal loads on one member that go one way: their vertical counterparts along its length in plan, and the way per unit of these. */
export interface SidewaysLoad extends MemberLoad {
  readonly memberId: string
  readonly push: Point
}

/** What members and columns of a floor take sideways in a case, by their ids; what goes to a column without a beam stands at its top. */
export function sidewaysOn(state: ProjectState, floor: FloorState, caseId: string): readonly SidewaysLoad[] {
  const carriers = carriersAmong(floor.operator.plan.frame.beams)
  const byPush = new Map<string, Pushed[]>()
  for (const pushed of pushedOn(state, floor, caseId)) {
    const key = pushed.push.join()
    byPush.set(key, [...(byPush.get(key) ?? []), pushed])
  }
  return [...byPush.values()]
    .flatMap((same) => sidewaysOf(same, carriers))
    .sort((a, b) => (a.memberId < b.memberId ? -1 : a.memberId > b.memberId ? 1 : 0))
}

/** Loads that go the same way, member by member. */
function sidewaysOf(same: readonly Pushed[], carriers: Parameters<typeof addLines>[1]): readonly SidewaysLoad[] {
  const push = same[0]?.push ?? [0, 0]
  const shares = same.map(({ share }) => share)
  const lines = addLines(
    shares.flatMap((share) => share.lines),
    carriers,
  )
  const points = shares.flatMap((share) => [
    ...share.points,
    ...share.onColumns.map(({ member, force }) => ({ member, s: 0, force })),
  ])
  return [...new Set([...lines, ...points].map(({ member }) => member))].map((memberId) => ({
    memberId,
    push,
    lines: lines.flatMap(({ member, s0, s1, q0, q1 }) => (member === memberId ? [[s0, s1, q0, q1] as const] : [])),
    points: points.flatMap(({ member, s, force }) => (member === memberId ? [{ s, force }] : [])),
  }))
}
