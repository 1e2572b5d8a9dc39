import { once } from '../document/once'
import type { SlopeShape } from '../document/shapes'
import { feetAlong } from '../geometry/course'
import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { touches } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { farEnd, isHanger, pointsOfBeam, type FramePlan, type Landing } from './frame'
import type { PanelPlan } from './panelRegions'
import { heightAt } from './slopes'

/** What a hanger hangs from: a hanger or a beam so many carrying floors further up. */
export interface HungLanding extends Landing {
  readonly up: number
}

/** Where the hangers of a floor hang, by their rows among its columns. */
export interface HungPlan {
  readonly landings: readonly HungLanding[]
  /** Hangers over which there is nothing that they could hang from. */
  readonly unsupported: readonly number[]
  /** How far each hanger rises, by its row, m; up to the next floor for those that hang from nothing; null for columns. */
  readonly rises: readonly (number | null)[]
}

/** A floor as hangers see it. */
export interface FloorOver {
  readonly elevation: number
  readonly frame: FramePlan
  readonly panels: readonly PanelPlan[]
  readonly slopes: readonly SlopeShape[]
}

export const nothingHung: HungPlan = { landings: [], unsupported: [], rises: [] }

/**
 * A hanger holds up what rests on it at its own level, and hangs from the hanger at the same place of the floor over it, else from
 * a beam there. Over a level with neither member nor floor at its place it goes on up, as a column goes on down; one that rakes ends at its
 * upper end.
 * @param aboves - the carrying floors over it, the next one first
 */
export function hungPlan(own: FloorOver, aboves: readonly FloorOver[]): HungPlan {
  const landings: HungLanding[] = []
  const unsupported: number[] = []
  const rises = own.frame.columns.map((column, row): number | null => {
    if (!isHanger(column)) return null
    const found = hangFrom(farEnd(column), column.far !== undefined, aboves)
    const top = aboves[found ? found.up - 1 : 0]
    if (found) landings.push({ row, part: 1, ...found })
    else unsupported.push(row)
    return top ? Math.max(0, heightOf(top, farEnd(column)) - heightOf(own, column.at)) : 0
  })
  return { landings, unsupported, rises }
}

const heightOf = ({ elevation, slopes }: FloorOver, at: Point): number => elevation + heightAt(slopes, at)

type Held = Pick<HungLanding, 'on' | 'index' | 's'>

/** Where columns and beams of a frame are looked up. */
const placesIn = once((frame: FramePlan) => ({
  columnsNear: nearby(frame.columns.map(({ at }) => [at])),
  beamsNear: nearby(frame.beams.map(pointsOfBeam)),
}))

function heldBy({ frame }: FloorOver, at: Point): Held | null {
  const { columnsNear, beamsNear } = placesIn(frame)
  const index = columnsNear([at]).find((i) => {
    const column = frame.columns[i]
    return column && isHanger(column) && distance(column.at, at) <= onLine
  })
  if (index !== undefined) return { on: 'column', index, s: 0 }
  for (const i of beamsNear([at])) {
    const [s] = feetAlong(frame.beams[i]?.legs ?? [], at, onLine)
    if (s !== undefined) return { on: 'beam', index: i, s }
  }
  return null
}

function hangFrom(at: Point, rakes: boolean, aboves: readonly FloorOver[]): Omit<HungLanding, 'row' | 'part'> | null {
  for (const [i, over] of aboves.entries()) {
    const found = heldBy(over, at)
    if (found) return { ...found, up: i + 1 }
    if (rakes || over.panels.some(({ net }) => touches(net, at))) return null
  }
  return null
}
