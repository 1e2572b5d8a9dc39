import { pushAll } from '../outcome/lists'
import { once } from '../outcome/once'
import type { SlopeShape } from '../document/shapes'
import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { touches } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { beamsAt } from './bearers'
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
 * the beam that bears there (`bearers`). Over a level with neither member nor floor at its place it goes on up, as a column goes on down; one that rakes ends at its
 * upper end.
 * @param aboves - the carrying floors over it, the next one first
 */
export function hungPlan(own: FloorOver, aboves: readonly FloorOver[]): HungPlan {
  const landings: HungLanding[] = []
  const unsupported: number[] = []
  const rises = own.frame.columns.map((column, row): number | null => {
    if (!isHanger(column)) return null
    const found = hangFrom(farEnd(column), column.far !== undefined, aboves)
    const top = aboves[(found[0]?.up ?? 1) - 1]
    pushAll(
      landings,
      found.map((held) => ({ row, ...held })),
    )
    if (found.length === 0) unsupported.push(row)
    return top ? Math.max(0, heightOf(top, farEnd(column)) - heightOf(own, column.at)) : 0
  })
  return { landings, unsupported, rises }
}

const heightOf = ({ elevation, slopes }: FloorOver, at: Point): number => elevation + heightAt(slopes, at)

type Held = Pick<HungLanding, 'on' | 'index' | 's' | 'part'>

/** Where columns and beams of a frame are looked up. */
const placesIn = once((frame: FramePlan) => ({
  columnsNear: nearby(frame.columns.map(({ at }) => [at])),
  beamsNear: nearby(frame.beams.map(pointsOfBeam)),
}))

/** Hangers at the point, else the beams that bear there; by equal parts where nothing tells them apart. */
function heldBy({ frame }: FloorOver, at: Point): readonly Held[] {
  const { columnsNear, beamsNear } = placesIn(frame)
  const hangers = columnsNear([at]).filter((i) => {
    const column = frame.columns[i]
    return column && isHanger(column) && distance(column.at, at) <= onLine
  })
  if (hangers.length > 0) return hangers.map((index) => ({ on: 'column', index, s: 0, part: 1 / hangers.length }))
  const beams = beamsAt(at, frame, beamsNear)
  return beams.map(({ index, s }) => ({ on: 'beam', index, s, part: 1 / beams.length }))
}

function hangFrom(at: Point, rakes: boolean, aboves: readonly FloorOver[]): readonly Omit<HungLanding, 'row'>[] {
  for (const [i, over] of aboves.entries()) {
    const found = heldBy(over, at)
    if (found.length > 0) return found.map((held) => ({ ...held, up: i + 1 }))
    if (rakes || over.panels.some(({ net }) => touches(net, at))) return []
  }
  return []
}
