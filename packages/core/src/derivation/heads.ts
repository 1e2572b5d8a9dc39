import { largest } from '../outcome/lists'
import { pointsOfBeam } from '../building/frame'
import { polygonHull } from 'd3-polygon'
import { meanHeight } from '../building/slopes'
import { wallLoad, type WallHead } from '../actions/wallLoad'
import type { BuildUp, WallRun } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { contains, eachEdge, type Region, type Ring } from '../geometry/polygon'
import { along, distance, overlapOn, project } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { LayoutOperator } from '../rundown/operator'
import type { WallSource } from '../rundown/sources'
import type { Traced } from '../trace/traced'
import { stage } from './stage'

/** What stands over each stretch of wall of a floor, and the line load that follows; in the order of its wall sources. */
export interface WallLoads {
  readonly heads: readonly WallHead[]
  readonly loads: readonly (Traced | null)[]
}

/** Depth of each section-bearing beam and thickness of each slab of a layout, by id. */
export type Depths = readonly (readonly [id: string, depth: number])[]

export const wallSourcesOf = (operator: LayoutOperator): readonly WallSource[] =>
  operator.plan.sources.flatMap((source) => (source.kind === 'wall' ? [source] : []))

const nothing: WallHead = { storeyHeight: null, beamDepth: null, slabDepth: null }

/**
 * Heads and loads of the walls of one floor, seen from the floors above, the nearest first: the first that is over a stretch
 * counts for it (a low hall beside a block is not over the block's walls).
 */
export const wallLoadsStage = stage(
  'wallLoads',
  (
    operator: LayoutOperator,
    runs: readonly WallRun[],
    buildUps: readonly BuildUp[],
    above: readonly Ceiling[],
  ): WallLoads => {
    const buildUpOf = new Map(buildUps.map((buildUp) => [buildUp.id, buildUp]))
    const runOf = new Map(runs.map((run) => [run.id as string, run]))
    const sources = wallSourcesOf(operator)
    const lengthOf = new Map<string, number>()
    for (const { run, segment } of sources) lengthOf.set(run.id, (lengthOf.get(run.id) ?? 0) + segment.drawn)
    const heads = sources.map((source) => {
      const overhead = above.find((entry) => spans(entry, source)) ?? above[0]
      return overhead ? headOf(source, overhead) : nothing
    })
    const loads = sources.map(({ run }, i) => {
      const record = runOf.get(run.id)
      const buildUp = record?.buildUp ? buildUpOf.get(record.buildUp) : undefined
      return record ? wallLoad(record, heads[i] ?? nothing, buildUp, lengthOf.get(run.id) ?? 0) : null
    })
    return { heads, loads }
  },
)

/** A level above as walls below see it. */
export interface Ceiling {
  readonly plan: LayoutOperator['plan']
  /** Over the level of the walls, m. */
  readonly height: number
  /** The convex hull of all that it has; what lies beside it is not under it. */
  readonly hull: Ring | null
  readonly depthOf: ReadonlyMap<string, number>
  readonly thicknessOf: ReadonlyMap<string, number>
}

export const ceilingStage = stage(
  'ceiling',
  (operator: LayoutOperator, height: number, beamDepths: Depths, slabDepths: Depths): Ceiling => ({
    plan: operator.plan,
    height,
    hull: hullOf(operator.plan),
    depthOf: new Map(beamDepths),
    thicknessOf: new Map(slabDepths),
  }),
)

function hullOf({ frame, panels }: LayoutOperator['plan']): Ring | null {
  const points = [
    ...frame.beams.flatMap(pointsOfBeam),
    ...frame.columns.map(({ at }) => at),
    ...panels.flatMap(({ panel }) => panel.outline),
  ]
  return polygonHull(points.map(([x, y]) => [x, y]))
}

const middleOf = ({ segment: { a, b, length } }: WallSource): Point => along(a, b, length / 2)

/** A wall on the outer line of a level, or within a hand's width of it, is under it. */
const spans = ({ hull }: Ceiling, source: WallSource): boolean => hull !== null && near(hull, middleOf(source))

function near(hull: Ring, at: Point): boolean {
  if (contains([hull], at)) return true
  let found = false
  eachEdge(hull, (a, b) => {
    const { s, off } = project(a, b, at)
    if (Math.abs(off) <= 10 * onLine && s >= -10 * onLine && s <= distance(a, b) + 10 * onLine) found = true
  })
  return found
}

/** Whether walls of a layout lie beside all that a level above has, so that the next level up is over them. */
export const reachPast = (operator: LayoutOperator, ceiling: Ceiling): boolean =>
  wallSourcesOf(operator).some((source) => !spans(ceiling, source))

function headOf(source: WallSource, { plan, height: storeyHeight, depthOf, thicknessOf }: Ceiling): WallHead {
  const { segment } = source
  const middle = middleOf(source)
  // a beam counts as above the wall where it runs within a hand's width of it
  const depths = plan.frame.beams
    .filter((beam) => beam.legs.some(({ a, b }) => overlapOn(segment.a, segment.b, a, b, 10 * onLine)))
    .map(({ member }) => depthOf.get(member.id) ?? 0)
  const slabs = plan.panels
    .filter(({ outline }) => nearOrIn(outline, middle))
    .flatMap(({ panel }) => thicknessOf.get(panel.id) ?? [])
  // under a roof the wall goes up to it, by the mean of its stretch
  const roof = meanHeight(plan.slopes, segment.a, segment.b)
  return { storeyHeight: storeyHeight + roof, beamDepth: largestOf(depths), slabDepth: largestOf(slabs) }
}

const largestOf = (values: readonly number[]): number | null => (values.length > 0 ? largest(values) : null)

const nearOrIn = (outline: Region, [x, y]: readonly [number, number]): boolean =>
  (
    [
      [0, 0],
      [0.05, 0],
      [-0.05, 0],
      [0, 0.05],
      [0, -0.05],
    ] as const
  ).some(([dx, dy]) => contains(outline, [x + dx, y + dy]))
