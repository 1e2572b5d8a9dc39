import type { SlopeShape } from '../document/shapes'
import { distance } from '../geometry/segment'
import { farEnd, type Column } from './frame'
import { columnRise } from './slopes'

/** What a column goes down through. */
export interface Storey {
  readonly storeyHeight: number
  readonly slopes: readonly SlopeShape[]
  readonly slopesBelow: readonly SlopeShape[]
}

/**
 * How far a column or hanger rises, and how far its ends are apart in plan, m.
 * @param hung - how far it rises where it is a hanger
 */
export function uprightExtent(
  column: Column,
  hung: number | null,
  { storeyHeight, slopes, slopesBelow }: Storey,
): { readonly rise: number; readonly run: number } {
  const [at, far] = [column.at, farEnd(column)]
  return { rise: hung ?? columnRise(storeyHeight, slopes, slopesBelow, at, far), run: distance(at, far) }
}
