import { nearestOnLine, type HorizontalForce } from '../actions/lateral/diaphragm'
import type { StoreyForce } from '../actions/wind/windLoads'
import { once } from '../outcome/once'
import type { Level } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { boxOf, type Box } from '../geometry/polygon'
import { tidyPoint } from '../geometry/tolerance'
import { tracedSum, type Traced } from '../trace/traced'
import { negligible } from './negligible'
import type { ProjectState } from './project'
import type { StoreyForcesOfCase } from './storeyForcesOfCase'
import { isInDerivedWind, pressedIn, reachesOf } from './surfaceLoads'
import { thrusts, type LevelThrust } from './thrust'

/** Whether anything on the plan can push a level sideways. */
const mayPush = once((state: ProjectState) => ({
  any:
    state.surfaces.length > 0 ||
    state.floors.some(
      ({ operator: { plan } }) =>
        plan.frame.columns.some(({ far }) => far !== undefined) ||
        plan.sources.some((source) => source.kind === 'area' && source.sideways.length > 0),
    ),
}))

export const canPush = (state: ProjectState): boolean => mayPush(state).any

/**
 * What pushes levels sideways in a case, as forces at levels, bottom first: of raking members, loads square to slopes, and wall surfaces. Null where
 * nothing does.
 * @param along - unit vector that counts as the push; null: the way in which the most pushed level is
 */
export function pushesAsForces(state: ProjectState, caseId: string, along: Point | null): StoreyForcesOfCase | null {
  if (!canPush(state)) return null
  const { base, levels } = thrusts(state, caseId)
  const all = [
    { level: state.levels[0]?.level, sum: base, name: 'base' },
    ...levels.map((sum, i) => ({ level: state.floors[i]?.level, sum, name: state.floors[i]?.level.id ?? '' })),
  ]
  const pushed = all.filter(
    ({ sum: { x, y, moment } }) => Math.hypot(x, y) >= negligible || Math.abs(moment) >= negligible,
  )
  const [most] = [...pushed].sort((p, q) => Math.hypot(q.sum.x, q.sum.y) - Math.hypot(p.sum.x, p.sum.y))
  const lost = along ? lostAlong(state, caseId, along) : 0
  if (!most && Math.abs(lost) < negligible) return null
  const way = along ?? unit(most?.sum ?? { x: 1, y: 0 })
  const ground = state.basis?.ground ?? 0
  const storeys = pushed.flatMap(({ level, sum, name }) =>
    level
      ? forcesOn(level, level.elevation - ground, sum, way, middleOf(state, name), `thrusts:${name}:${caseId}`)
      : [],
  )
  const total = storeys.reduce((sum, { trace }) => sum + trace.value, 0)
  return { caseId, way, storeys, total, lost }
}

/** The middle of what a level has in plan, else of the rectangle in the wind: where its force is shown on its line. */
function middleOf({ floors, extent }: ProjectState, levelId: string): Point {
  const { panels, frame } = floors.find(({ level }) => level.id === levelId)?.operator.plan ?? noPlan
  const points = [...panels.flatMap(({ panel }) => panel.outline), ...frame.beams.flatMap(({ a, b }) => [a, b])]
  const { x0, x1, y0, y1 } = points.length > 0 ? boxOf(points) : (extent ?? noBox)
  return [(x0 + x1) / 2, (y0 + y1) / 2]
}

const noPlan = { panels: [], frame: { beams: [] } }
const noBox: Box = { x0: 0, x1: 0, y0: 0, y1: 0 }

const unit = ({ x, y }: Pick<LevelThrust, 'x' | 'y'>): Point => {
  const size = Math.hypot(x, y)
  return size < negligible ? [1, 0] : [x / size, y / size]
}

const lostAlong = (state: ProjectState, caseId: string, [x, y]: Point): number =>
  pressedIn(state, caseId)
    .filter(({ stretch }) => !isInDerivedWind(state, caseId, stretch))
    .reduce((sum, pressed) => sum + reachesOf(pressed).notCarried * (pressed.inward[0] * x + pressed.inward[1] * y), 0)

type ForceOnLevel = StoreyForcesOfCase['storeys'][number]

/** A force on its line of action; a moment without one as a couple of forces a metre apart. */
function forcesOn(
  level: Level,
  z: number,
  { moment, ...thrust }: LevelThrust,
  way: Point,
  middle: Point,
  address: string,
): readonly ForceOnLevel[] {
  const along = (force: Pick<StoreyForce, 'fx' | 'fy'>): Traced<'force'> =>
    tracedSum('H', 'force', 'horizontal force on this level, along its direction', [
      { label: 'to the east', value: force.fx * way[0], address: `${address}:x` },
      { label: 'to the north', value: force.fy * way[1], address: `${address}:y` },
    ])
  const made = (force: Pick<StoreyForce, 'fx' | 'fy' | 'x' | 'y'>): ForceOnLevel => ({
    force: { levelId: level.id, z, ...force },
    trace: along(force),
  })
  const { fx, fy } = withoutRounding(thrust)
  const square = fx * fx + fy * fy
  if (square < negligible * negligible)
    return [made({ fx: 0, fy: moment, x: 1, y: 0 }), made({ fx: 0, fy: -moment, x: 0, y: 0 })]
  // of its line of action the point that is nearest to the middle of the building
  return [made({ fx, fy, ...placeOf({ fx, fy, moment }, middle) })]
}

/** What is across the way of a force by rounding alone is nothing: it would turn floors by as little, and by another little in another engine. */
function withoutRounding({ x, y }: Pick<LevelThrust, 'x' | 'y'>): Pick<StoreyForce, 'fx' | 'fy'> {
  const least = 1e-12 * Math.hypot(x, y)
  return { fx: Math.abs(x) <= least ? 0 : x, fy: Math.abs(y) <= least ? 0 : y }
}

/** To a nanometre, so that a force through the centre of stiffness goes through it. */
function placeOf(force: HorizontalForce, near: Point): Pick<StoreyForce, 'x' | 'y'> {
  const [x, y] = tidyPoint(nearestOnLine(force, near))
  return { x, y }
}

/** Forces of several origins as one at each level, bottom first; where they come to no more than a couple each stays. */
export function addedByLevel(forces: readonly ForceOnLevel[]): readonly ForceOnLevel[] {
  const byLevel = new Map<string, ForceOnLevel[]>()
  for (const one of forces) {
    const there = byLevel.get(one.force.levelId)
    if (there) there.push(one)
    else byLevel.set(one.force.levelId, [one])
  }
  return [...byLevel.values()]
    .flatMap((list): readonly ForceOnLevel[] => (list.length < 2 ? list : resultant(list)))
    .sort((p, q) => p.force.z - q.force.z)
}

function resultant(list: readonly ForceOnLevel[]): readonly ForceOnLevel[] {
  const [first] = list
  const sum = (of: (force: StoreyForce) => number) => list.reduce((total, { force }) => total + of(force), 0)
  const [fx, fy] = [sum((force) => force.fx), sum((force) => force.fy)]
  const square = fx * fx + fy * fy
  if (!first || square < negligible * negligible) return list
  const moment = sum((force) => force.x * force.fy - force.y * force.fx)
  const place = placeOf({ fx, fy, moment }, [first.force.x, first.force.y])
  const terms = list.map(({ trace }, i) => ({
    label: i === 0 ? 'on the wind rectangle' : 'on pressure surfaces outside it',
    value: trace.value,
    traced: trace,
  }))
  return [
    {
      force: { ...first.force, fx, fy, ...place },
      trace: tracedSum('F_w', 'force', 'at this level', terms),
    },
  ]
}
