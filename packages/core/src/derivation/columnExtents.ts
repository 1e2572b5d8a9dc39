import { isHanger } from '../building/frame'
import { heightAt } from '../building/slopes'
import { uprightExtent } from '../building/upright'
import type { FloorState } from './floorStates'

/** How far the column or hanger in a row of its floor rises, and how far its ends are apart in plan, m. */
export function extentOfColumn({ floor, operator, slopesBelow, hung }: FloorState, row: number) {
  const column = operator.plan.frame.columns[row]
  const storey = { storeyHeight: floor.storeyHeight, slopes: operator.plan.slopes, slopesBelow }
  return column ? uprightExtent(column, hung.rises[row] ?? null, storey) : { rise: 0, run: 0 }
}

/** True length of the column or hanger in a row of its floor, m. */
export function lengthOfColumn(floor: FloorState, row: number): number {
  const { rise, run } = extentOfColumn(floor, row)
  return Math.hypot(rise, run)
}

/** Heights of the lower and of the upper end of the column or hanger in a row of its floor, m. */
export function heightsOfColumn(floor: FloorState, row: number): readonly [low: number, high: number] {
  const column = floor.operator.plan.frame.columns[row]
  const own = floor.level.elevation + heightAt(floor.operator.plan.slopes, column?.at ?? [0, 0])
  const { rise } = extentOfColumn(floor, row)
  return column && isHanger(column) ? [own, own + rise] : [own - rise, own]
}
