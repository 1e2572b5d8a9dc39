import { pointsOfBeam, type Column, type FramePlan } from './frame'
import type { PanelPlan } from './panelRegions'
import { nearby } from '../geometry/nearby'
import { touches } from '../geometry/polygon'
import { feetAlong } from '../geometry/course'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'

/** Where the foot of a column stands on the floor below: on a column, or on a beam (a transfer) at s along it. */
export interface Landing {
  /** The column's index on its own floor. */
  readonly row: number
  readonly on: 'column' | 'beam'
  /** Index into the columns or beams of the floor below. */
  readonly index: number
  readonly s: number
}

export interface FootPlan {
  readonly landings: readonly Landing[]
  /** Columns that stand on nothing. */
  readonly unsupported: readonly number[]
}

/** Columns stand on a column at the same point, else on a beam under it, else on nothing. */
export function standFeet(above: FramePlan, below: FramePlan): FootPlan {
  const columnsNear = nearby(below.columns.map(({ at }) => [at]))
  const beamsNear = nearby(below.beams.map(pointsOfBeam))
  const landings: Landing[] = []
  const unsupported: number[] = []
  above.columns.forEach((column, row) => {
    const found =
      onColumn(column, row, below, columnsNear([column.at])) ?? onBeam(column, row, below, beamsNear([column.at]))
    if (found) landings.push(found)
    else unsupported.push(row)
  })
  return { landings, unsupported }
}

/** Columns that find nothing under them and no floor either: they go on down through the level (a hall beside it, a void). */
export function passingColumns(
  above: FramePlan,
  { unsupported }: FootPlan,
  panels: readonly PanelPlan[],
): readonly Column[] {
  return unsupported.flatMap((row) => {
    const column = above.columns[row]
    return column && !panels.some(({ net }) => touches(net, column.at)) ? [column] : []
  })
}

function onColumn({ at }: Column, row: number, below: FramePlan, near: readonly number[]): Landing | undefined {
  const index = near.find((i) => distance(below.columns[i]?.at ?? [Infinity, 0], at) <= onLine)
  return index === undefined ? undefined : { row, on: 'column', index, s: 0 }
}

function onBeam({ at }: Column, row: number, below: FramePlan, near: readonly number[]): Landing | undefined {
  for (const index of near) {
    const beam = below.beams[index]
    if (!beam) continue
    const [s] = feetAlong(beam.legs, at, onLine)
    if (s !== undefined) return { row, on: 'beam', index, s }
  }
  return undefined
}
