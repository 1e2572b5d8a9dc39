import { wallLoad, type WallHead } from '../actions/wallLoad'
import type { BuildUp, WallRun } from '../document/recordKinds'
import { contains, type Region } from '../geometry/polygon'
import { along, overlapOn } from '../geometry/segment'
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

/** Heads and loads of the walls of one floor, seen from the floor above. */
export const wallLoadsStage = stage(
  'wallLoads',
  (
    operator: LayoutOperator,
    runs: readonly WallRun[],
    buildUps: readonly BuildUp[],
    above: LayoutOperator | null,
    storeyHeight: number | null,
    beamDepths: Depths,
    slabDepths: Depths,
  ): WallLoads => {
    const buildUpOf = new Map(buildUps.map((buildUp) => [buildUp.id, buildUp]))
    const runOf = new Map(runs.map((run) => [run.id as string, run]))
    const [depthOf, thicknessOf] = [new Map(beamDepths), new Map(slabDepths)]
    const sources = wallSourcesOf(operator)
    const heads = sources.map((source) =>
      above && storeyHeight !== null ? headOf(source, above, storeyHeight, depthOf, thicknessOf) : nothing,
    )
    const loads = sources.map(({ run }, i) => {
      const record = runOf.get(run.id)
      const buildUp = record?.buildUp ? buildUpOf.get(record.buildUp) : undefined
      return record ? wallLoad(record, heads[i] ?? nothing, buildUp) : null
    })
    return { heads, loads }
  },
)

function headOf(
  { segment }: WallSource,
  { plan }: LayoutOperator,
  storeyHeight: number,
  depthOf: ReadonlyMap<string, number>,
  thicknessOf: ReadonlyMap<string, number>,
): WallHead {
  const middle = along(segment.a, segment.b, segment.length / 2)
  // a beam counts as above the wall where it runs within a hand's width of it
  const depths = plan.frame.beams
    .filter((beam) => overlapOn(segment.a, segment.b, beam.a, beam.b, 10 * onLine))
    .map(({ member }) => depthOf.get(member.id) ?? 0)
  const slabs = plan.panels
    .filter(({ outline }) => nearOrIn(outline, middle))
    .flatMap(({ panel }) => thicknessOf.get(panel.id) ?? [])
  return { storeyHeight, beamDepth: largest(depths), slabDepth: largest(slabs) }
}

const largest = (values: readonly number[]): number | null => (values.length > 0 ? Math.max(...values) : null)

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
