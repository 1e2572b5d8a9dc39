import { pressureIn } from '../actions/surfacePressures'
import type { Point } from '../geometry/point'
import { boxesTouch, boxOf, contains } from '../geometry/polygon'
import { along, distance } from '../geometry/segment'
import { loadTotal, type LoadLine, type LoadPoint } from '../rundown/memberLines'
import { addLines } from '../sharing/addLines'
import { emptyShare, sumOfShares, type Share } from '../sharing/share'
import { once } from '../outcome/once'
import { windResultOf } from './climate'
import { expandedAt } from './floorQueries'
import type { ProjectState } from './project'
import type { Rest } from './surfaceRests'
import { handedDown, type AtLevel } from './surfaceStatics'
import { carrierOf, type SurfaceStretch } from './surfaces'

/** One stretch of a wall surface in a case: pressure towards its face, and what of it members take, N/m and N inwards. */
export interface PressedStretch {
  readonly stretch: SurfaceStretch
  /** Unit vector in plan, from outside inwards. */
  readonly inward: Point
  /** Pa. */
  readonly top: number
  readonly foot: number
  readonly share: Share
}

const knownIn = once<ProjectState, Map<string, readonly PressedStretch[]>>(() => new Map())

/** Every stretch that a case presses on. */
export function pressedIn(state: ProjectState, caseId: string): readonly PressedStretch[] {
  const known = knownIn(state)
  const pressed = known.get(caseId) ?? pressedBy(state, caseId)
  known.set(caseId, pressed)
  return pressed
}

function pressedBy(state: ProjectState, caseId: string): readonly PressedStretch[] {
  return state.surfaces.flatMap((stretch): readonly PressedStretch[] => {
    const { top, foot } = pressureIn(stretch.surface, caseId, state.standard)
    if (top === 0 && foot === 0) return []
    const { even, growing } = stretch.shares
    const more = foot - top
    const applied = even.applied * top + (growing?.applied ?? 0) * more
    const [x, y] = [0, 1].map((i) => (even.appliedMoments[i] ?? 0) * top + (growing?.appliedMoments[i] ?? 0) * more)
    const parts = [[even, top] as const, ...(more === 0 || !growing ? [] : [[growing, more] as const])]
    const sum = sumOfShares({ ...emptyShare, applied, appliedMoments: [x ?? 0, y ?? 0] }, parts)
    const share = { ...sum, lines: addLines(sum.lines, [...stretch.rests.values()].map(carrierOf)) }
    return [{ stretch, inward: inwardOf(state, stretch), top, foot, share }]
  })
}

/**
 * Inwards is where the floor of its level lies on one side only, or the floor at its foot; else, as where there is none, left of the way in
 * which it was drawn.
 */
const inwards = once((state: ProjectState): ReadonlyMap<SurfaceStretch, Point> => {
  const hand = 0.1
  const find = ({ a, b, order, under }: SurfaceStretch): Point => {
    const length = distance(a, b)
    const [x, y] = along(a, b, length / 2)
    const left: Point = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length]
    const sides = [order, under ?? order].map((i) => {
      const panels = state.floors[i]?.operator.plan.panels ?? []
      const floorAt = (side: number) =>
        panels.some(({ outline }) => contains(outline, [x + side * hand * left[0], y + side * hand * left[1]]))
      return Number(floorAt(1)) - Number(floorAt(-1))
    })
    return (sides.find((side) => side !== 0) ?? 1) > 0 ? left : [-left[0], -left[1]]
  }
  return new Map(state.surfaces.map((stretch) => [stretch, find(stretch)]))
})

/** Which way a stretch is pressed by what is more than nothing: a unit vector in plan. */
export const inwardOf = (state: ProjectState, stretch: SurfaceStretch): Point => inwards(state).get(stretch) ?? [0, 0]

/** The stretches on a level, each with what presses on it in a case, if anything does. */
export function stretchesOn(
  state: ProjectState,
  levelId: string,
  caseId: string,
): readonly { readonly stretch: SurfaceStretch; readonly on: PressedStretch | undefined }[] {
  const own = state.surfaces.filter(({ order }) => state.floors[order]?.level.id === levelId)
  const pressed = own.length > 0 ? pressedIn(state, caseId) : []
  return own.map((stretch) => ({ stretch, on: pressed.find((one) => one.stretch === stretch) }))
}

/** The name of a level by its place among the carrying ones; of the base for −1. */
export const levelNameOf = ({ floors, levels }: ProjectState, order: number): string =>
  (floors[order]?.level ?? levels[0]?.level)?.name ?? ''

/** What of a stretch reaches levels, and what nothing holds, N inwards. */
export function reachesOf({ stretch, top, foot, share }: PressedStretch): {
  readonly atLevels: readonly AtLevel[]
  readonly notCarried: number
} {
  const { even, growing } = handedDown(stretch)
  const more = foot - top
  const scaled = (list: readonly AtLevel[], by: number) => list.map((one) => ({ ...one, force: one.force * by }))
  return {
    atLevels: [...scaled(even.atLevels, top), ...(growing && more !== 0 ? scaled(growing.atLevels, more) : [])],
    notCarried: share.notCarried + even.loose * top + (growing?.loose ?? 0) * more,
  }
}

/** A horizontal force on a level by one stretch, N in global axes, and its moment about the origin, Nm. */
export interface SurfacePush {
  readonly pressed: PressedStretch
  /** −1 is the base. */
  readonly order: number
  readonly force: Point
  readonly moment: number
}

/** How far a facade may stand before the columns round which the rectangle in the wind goes, m (common practice). */
const beforeColumns = 0.5

/**
 * Whether the derived wind of a case holds what presses on a stretch: it stands for all of the rectangle in the wind, and for nothing
 * beside it.
 */
export function isInDerivedWind(state: ProjectState, caseId: string, { a, b }: SurfaceStretch): boolean {
  if (!state.extent || !windResultOf(state, caseId)) return false
  return boxesTouch(state.extent, boxOf([along(a, b, distance(a, b) / 2)]), beforeColumns)
}

/** What wall surfaces do to levels in a case, but for what the derived wind of the case holds already. */
export function surfacePushes(state: ProjectState, caseId: string): readonly SurfacePush[] {
  return pressedIn(state, caseId).flatMap((pressed) => {
    const { inward, stretch } = pressed
    if (isInDerivedWind(state, caseId, stretch)) return []
    const sums = new Map<number, { force: number; turning: number }>()
    for (const { order, at, force } of reachesOf(pressed).atLevels) {
      const sum = sums.get(order) ?? { force: 0, turning: 0 }
      sum.force += force
      sum.turning += force * (at[0] * inward[1] - at[1] * inward[0])
      sums.set(order, sum)
    }
    return [...sums].map(([order, { force, turning }]): SurfacePush => ({
      pressed,
      order,
      force: [force * inward[0], force * inward[1]],
      moment: turning,
    }))
  })
}

/** What one member, or the edge of a floor, takes of a stretch: along its own length, N/m and N inwards. */
export interface RestLoad {
  readonly rest: Rest
  readonly lines: readonly LoadLine[]
  readonly points: readonly LoadPoint[]
}

/** Of a beam places along it in plan and force per length in plan; of columns and struts from their lower or first end, along true length. */
export function restLoads({ stretch, share }: PressedStretch): readonly RestLoad[] {
  return [...stretch.rests.values()].flatMap((rest): readonly RestLoad[] => {
    const lines = share.lines.filter(({ member }) => member === rest.key)
    const points = share.points.filter(({ member }) => member === rest.key)
    if (lines.length + points.length === 0) return []
    const laid = distance(rest.a, rest.b)
    const { on } = rest
    const [s0, s1] = on.kind === 'edge' ? edgePlaces(rest) : [on.s0, on.s1]
    const stretched = (s1 - s0) / laid
    const place = (s: number) => s0 + s * stretched
    return [
      {
        rest,
        lines: lines.map((line) => [place(line.s0), place(line.s1), line.q0 / stretched, line.q1 / stretched]),
        points: points.map(({ s, force }) => ({ s: place(s), force })),
      },
    ]
  })
}

/** Of an edge: along the stretch. */
const edgePlaces = ({ a, b }: Rest): readonly [number, number] => [a[0], b[0]]

/** The record that rests there, and the level that it belongs to; none for edges of floors and for the ground. */
export function recordOfRest(
  state: ProjectState,
  { order }: SurfaceStretch,
  { on }: Rest,
): readonly [recordId: string | null, order: number] {
  switch (on.kind) {
    case 'beam':
      return [state.floors[on.order]?.operator.plan.frame.beams[on.row]?.member.id ?? null, on.order]
    case 'column':
      return [on.column.memberId, on.column.order]
    case 'strut':
      return [on.strut.id, order]
    case 'edge':
      return [null, on.order]
  }
}

/** What a beam or column takes of wall surfaces in a case, N in global axes. */
export function pressureOn(state: ProjectState, expandedId: string, caseId: string): Point {
  let [x, y] = [0, 0]
  for (const pressed of pressedIn(state, caseId))
    for (const { rest, ...load } of restLoads(pressed)) {
      const [recordId, order] = recordOfRest(state, pressed.stretch, rest)
      const floor = state.floors[order]
      if (recordId === null || !floor || expandedAt(floor, recordId) !== expandedId) continue
      const force = loadTotal(load)
      x += force * pressed.inward[0]
      y += force * pressed.inward[1]
    }
  return [x, y]
}
