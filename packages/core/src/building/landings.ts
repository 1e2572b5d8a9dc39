import { pushAll } from '../outcome/lists'
import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { touches } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { beamsAt } from './bearers'
import { farEnd, isHanger, pointsOfBeam, type Column, type FramePlan, type Landing } from './frame'
import type { PanelPlan } from './panelRegions'
import { wallFeet, type Ground } from './wallFeet'

export interface FootPlan {
  readonly landings: readonly Landing[]
  /** Columns that stand on nothing. */
  readonly unsupported: readonly number[]
}

/**
 * Columns stand on a column at the same point, else on the beam or wall that bears there (`bearers`), else on nothing. Stretches of a wall stand on
 * what is under each; over a gap they go to both sides of it (`wallFeet`). Hangers have no feet and bear none.
 */
export function standFeet(above: FramePlan, below: FramePlan): FootPlan {
  const ground: Ground = {
    frame: below,
    columnsNear: nearby(below.columns.map(placesOf)),
    beamsNear: nearby(below.beams.map(pointsOfBeam)),
  }
  const landings: Landing[] = []
  const unsupported: number[] = []
  const walls = wallFeet(above.columns, ground)
  above.columns.forEach((column, row) => {
    if (isHanger(column)) return
    const found = column.stretch ? (walls.get(row) ?? []) : columnFeet(column, row, ground)
    if (found.length > 0) pushAll(landings, found)
    else unsupported.push(row)
  })
  return { landings, unsupported }
}

const placesOf = ({ at, stretch }: Column): readonly Point[] => (stretch ? [stretch.a, stretch.b] : [at])

/** Stretches of walls that find no member under them, but a slab: it takes them. */
export const stretchesOnSlab = (
  above: FramePlan,
  { unsupported }: FootPlan,
  panels: readonly PanelPlan[],
): readonly number[] =>
  unsupported.filter((row) => above.columns[row]?.stretch && overFloor(above.columns[row], panels))

/** Columns that find nothing under them and no floor either: they go on down through the level (a hall beside it, a void). */
export const passingColumns = (
  above: FramePlan,
  { unsupported }: FootPlan,
  panels: readonly PanelPlan[],
): readonly Column[] =>
  unsupported.flatMap((row) => {
    const column = above.columns[row]
    // what rakes ends at its own foot
    return column && !column.far && !overFloor(column, panels) ? [column] : []
  })

const overFloor = ({ at }: Column, panels: readonly PanelPlan[]): boolean => panels.some(({ net }) => touches(net, at))

/** Columns at the point, else the beams that bear there; by equal parts where nothing tells them apart. */
function columnFeet(column: Column, row: number, { frame, columnsNear, beamsNear }: Ground): readonly Landing[] {
  const at = farEnd(column)
  const under = columnsNear([at]).filter((i) => stands(frame.columns[i], at))
  if (under.length > 0) return under.map((index) => ({ row, on: 'column', index, s: 0, part: 1 / under.length }))
  const beams = beamsAt(at, frame, beamsNear)
  return beams.map(({ index, s }) => ({ row, on: 'beam', index, s, part: 1 / beams.length }))
}

const stands = (column: Column | undefined, at: Point): boolean =>
  column !== undefined && !column.stretch && !isHanger(column) && distance(column.at, at) <= onLine
