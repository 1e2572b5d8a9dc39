import type { KeyLoads } from '../actions/keyLoads'
import type { Floor } from '../building/floors'
import type { Document } from '../document/document'
import type { Standard } from '../standards/layer'
import { layoutLoads } from './layoutLoads'
import type { SolvedLayout } from './layouts'
import type { Memo } from './memo'
import { rundowns, type Rundown } from './rundowns'
import { standingFloor, type StandingFloor } from './standing'

/** One carrying level with its loads and results. */
export interface FloorState extends Omit<StandingFloor, 'loads' | 'layout'>, Rundown {
  /** Row by source, column by case, then floor area. */
  readonly intensities: Float64Array
}

/** Every carrying floor, since each stands on what is below or hangs from what is above; answered bottom first. */
export function deriveFloors(
  memo: Memo,
  document: Document,
  levels: readonly Floor[],
  solved: ReadonlyMap<string, SolvedLayout>,
  keys: ReadonlyMap<string, KeyLoads>,
  caseIds: readonly string[],
  standard: Standard,
): readonly FloorState[] {
  const loads = layoutLoads(memo, document, solved, keys, standard)
  const standing: StandingFloor[] = []
  for (const floor of [...levels].reverse()) {
    const layout = loads.get(floor.layoutId ?? '')
    if (!layout) continue
    const below = loads.get(levels[floor.below ?? -1]?.layoutId ?? '')
    standing.unshift(standingFloor(memo, floor, layout, standing, below?.operator.plan.slopes ?? [], caseIds))
  }
  const found = rundowns(memo, standing, caseIds)
  return standing.flatMap(({ loads: { values }, layout: _, ...floor }, i): FloorState[] => {
    const rundown = found[i]
    return rundown ? [{ ...floor, intensities: values, ...rundown }] : []
  })
}
