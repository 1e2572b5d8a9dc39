import { farEnd, isHanger, type Beam } from '../building/frame'
import { heightAt, heightOn, partsBySlope } from '../building/slopes'
import { edgeOver, type UprightPiece } from '../building/uprightSurface'
import type { WallSegment } from '../building/wallSegments'
import type { Strut } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { along, distance, overlapOn, project } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { panelsUnderStretch, stopsAt } from '../sharing/panelsAt'
import { extentOfColumn } from './columnExtents'
import type { FloorState } from './floorStates'

/**
 * What an upright surface can hand its pressure to, as a straight piece in the plane of one of its stretches: u along the stretch, v
 * upwards from the level of the surface, m.
 */
export interface Rest extends UprightPiece {
  /** Unique among those of a stretch, and alike on levels that are alike. */
  readonly key: string
  readonly on: RestOn
}

/** Members with places along them at both ends of the piece: of beams in plan, of columns and struts along their true length. */
export type RestOn =
  | { readonly kind: 'beam'; readonly order: number; readonly row: number; readonly s0: number; readonly s1: number }
  | { readonly kind: 'column'; readonly column: WholeColumn; readonly s0: number; readonly s1: number }
  | { readonly kind: 'strut'; readonly strut: Strut; readonly s0: number; readonly s1: number }
  /** The edge of a floor without a beam in it, or the ground: −1 is the base. */
  | { readonly kind: 'edge'; readonly order: number }

/** A column from the floor that it belongs to down to what it stands on, whatever levels it passes. */
export interface WholeColumn {
  readonly memberId: string
  /** Of the floor at its top, among the carrying ones. */
  readonly order: number
  readonly row: number
  /** Of what it stands on: −1 is the base, null nothing. */
  readonly under: number | null
  readonly top: Point
  readonly foot: Point
  /** Heights of its ends, m. */
  readonly low: number
  readonly high: number
}

/** The plane of a stretch, seen from the level of its surface. */
export interface Plane extends Pick<WallSegment, 'a' | 'b' | 'length'> {
  /** Elevation of the level, m. */
  readonly level: number
  /** How far off the plane what rests in it may lie, m. */
  readonly reach: number
}

const inPlane = ({ a, b, reach }: Plane, at: Point): boolean => Math.abs(project(a, b, at).off) <= reach

/** Whether some of a piece lies over the stretch, and not beside its ends only. */
const within = ({ length, reach }: Plane, u0: number, u1: number): boolean =>
  Math.max(u0, u1) >= -reach && Math.min(u0, u1) <= length + reach

const isPassing = ({ operator, passing }: FloorState, row: number): boolean =>
  row >= operator.plan.frame.columns.length - passing

interface Length {
  /** Of its floor among the carrying ones. */
  readonly order: number
  readonly row: number
}

/** From a length that passes a floor up to the one at the top of the column; null where none is over it. */
function upperOf(floors: readonly FloorState[], { order, row }: Length): Length | null {
  const floor = floors[order]
  if (!floor || !isPassing(floor, row)) return { order, row }
  const landing = floor.feetAbove?.landings.find(({ on, index }) => on === 'column' && index === row)
  return landing && floors[order + 1] ? upperOf(floors, { order: order + 1, row: landing.row }) : null
}

/** How far a column rises with all that it passes, and what it stands on: −1 is the base, null nothing. */
function downFrom(
  floors: readonly FloorState[],
  { order, row }: Length,
): Pick<WholeColumn, 'under'> & { rise: number } {
  const [floor, below] = [floors[order], floors[order - 1]]
  const rise = floor ? extentOfColumn(floor, row).rise : 0
  if (!below) return { rise, under: -1 }
  const landing = below.feetAbove?.landings.find((one) => one.row === row && one.part > 0.5)
  if (!landing) return { rise, under: null }
  if (landing.on !== 'column' || !isPassing(below, landing.index)) return { rise, under: order - 1 }
  const rest = downFrom(floors, { order: order - 1, row: landing.index })
  return { rise: rise + rest.rise, under: rest.under }
}

/** All of a column that goes through the storey under a floor. */
export function wholeColumn(floors: readonly FloorState[], order: number, row: number): WholeColumn | null {
  const upper = upperOf(floors, { order, row })
  const floor = upper && floors[upper.order]
  const column = upper && floor?.operator.plan.frame.columns[upper.row]
  if (!upper || !floor || !column) return null
  const { rise, under } = downFrom(floors, upper)
  const high = floor.level.elevation + heightAt(floor.operator.plan.slopes, column.at)
  return {
    memberId: column.member.id,
    ...upper,
    under,
    top: column.at,
    foot: farEnd(column),
    low: high - rise,
    high,
  }
}

/** Columns in the plane, each once, those that pass from above among them. */
export function columnRests(floors: readonly FloorState[], order: number, plane: Plane): readonly Rest[] {
  const columns = floors[order]?.operator.plan.frame.columns ?? []
  return columns.flatMap((column, row): readonly Rest[] => {
    const { member, at, stretch } = column
    if (stretch || isHanger(column) || !member.takesLoad || !inPlane(plane, at) || !inPlane(plane, farEnd(column)))
      return []
    const whole = wholeColumn(floors, order, row)
    if (!whole || whole.high - whole.low < onLine) return []
    const [u0, u1] = [project(plane.a, plane.b, whole.foot).s, project(plane.a, plane.b, whole.top).s]
    if (!within(plane, u0, u1)) return []
    const [a, b]: [Point, Point] = [
      [u0, whole.low - plane.level],
      [u1, whole.high - plane.level],
    ]
    return [{ key: `column/${member.id}`, a, b, on: { kind: 'column', column: whole, s0: 0, s1: distance(a, b) } }]
  })
}

/** Girts and posts in the plane; braces and ties take none. */
export const strutRests = (struts: readonly Strut[], plane: Plane): readonly Rest[] =>
  struts.flatMap((strut): readonly Rest[] => {
    const [p, q] = strut.path
    if (!p || !q || (strut.role !== 'girt' && strut.role !== 'post') || !inPlane(plane, p) || !inPlane(plane, q))
      return []
    const a: Point = [project(plane.a, plane.b, p).s, strut.startHeight]
    const b: Point = [project(plane.a, plane.b, q).s, strut.endHeight]
    if (!within(plane, a[0], b[0]) || distance(a, b) < onLine) return []
    return [{ key: `strut/${strut.id}`, a, b, on: { kind: 'strut', strut, s0: 0, s1: distance(a, b) } }]
  })

/** What of a floor lies in the plane: its beams, and between them the edges of its slabs. */
export function floorRests(floors: readonly FloorState[], order: number, plane: Plane): readonly Rest[] {
  const floor = floors[order]
  if (!floor) return []
  const { frame, slopes } = floor.operator.plan
  const beams = frame.beams.flatMap((beam, row) => beamRests(beam, row, order, floor, plane))
  const taken = beams.map(({ a: [u0], b: [u1] }): Interval => ({ from: Math.min(u0, u1), to: Math.max(u0, u1) }))
  const raised = floor.level.elevation - plane.level
  const edges = outside(coveredBy(floor, plane), taken).flatMap(({ from, to }, i) => {
    const [p, q] = [along(plane.a, plane.b, from), along(plane.a, plane.b, to)]
    return edgeOver(slopes, p, q).map(({ a, b }, k): Rest => ({
      key: `edge/${raised === 0 ? 'top' : 'foot'}/${i}/${k}`,
      a: [a[0] + from, a[1] + raised],
      b: [b[0] + from, b[1] + raised],
      on: { kind: 'edge', order },
    }))
  })
  return [...beams, ...edges]
}

/** The ground along the whole foot. */
export const groundRest = (foot: number, { length }: Plane): Rest => ({
  key: 'edge/ground',
  a: [0, foot],
  b: [length, foot],
  on: { kind: 'edge', order: -1 },
})

function beamRests(
  { member, legs }: Beam,
  row: number,
  order: number,
  floor: FloorState,
  plane: Plane,
): readonly Rest[] {
  if (!member.takesLoad) return []
  const raised = floor.level.elevation - plane.level
  return legs.flatMap((leg, k) => {
    if (!overlapOn(plane.a, plane.b, leg.a, leg.b, plane.reach)) return []
    return partsBySlope(floor.operator.plan.slopes, leg.a, leg.b).map(({ s0, s1, slope }, i): Rest => {
      const end = (s: number): Point => {
        const at = along(leg.a, leg.b, s)
        return [project(plane.a, plane.b, at).s, raised + (slope ? heightOn(slope, at) : 0)]
      }
      const on = { kind: 'beam', order, row, s0: leg.from + s0, s1: leg.from + s1 } as const
      return { key: `beam/${raised === 0 ? 'top' : 'foot'}/${member.id}/${k}/${i}`, a: end(s0), b: end(s1), on }
    })
  })
}

interface Interval {
  readonly from: number
  readonly to: number
}

/** Where along the stretch the floor has a slab. */
function coveredBy({ operator }: FloorState, { a, b, length }: Plane): readonly Interval[] {
  const { panels } = operator.plan
  const stops = [0, ...panels.flatMap(({ outline }) => stopsAt(a, b, outline)), length].sort((p, q) => p - q)
  return stops.slice(1).flatMap((to, i): readonly Interval[] => {
    const from = stops[i] ?? 0
    if (to - from < onLine) return []
    return panelsUnderStretch(along(a, b, from), along(a, b, to), panels).length > 0 ? [{ from, to }] : []
  })
}

/** Whether a floor is there at the place of a stretch: with a slab, a beam in its plane, or a column that ends there. */
export function isThere(floor: FloorState, plane: Plane): boolean {
  const { frame } = floor.operator.plan
  if (coveredBy(floor, plane).length > 0) return true
  if (frame.beams.some(({ legs }) => legs.some(({ a, b }) => overlapOn(plane.a, plane.b, a, b, plane.reach))))
    return true
  return frame.columns.some(({ at }, row) => {
    const { s } = project(plane.a, plane.b, at)
    return !isPassing(floor, row) && inPlane(plane, at) && within(plane, s, s)
  })
}

/** What is left of intervals without others. */
function outside(intervals: readonly Interval[], others: readonly Interval[]): readonly Interval[] {
  return others.reduce<readonly Interval[]>(
    (rest, { from, to }) =>
      rest.flatMap((one) =>
        [
          { from: one.from, to: Math.min(one.to, from) },
          { from: Math.max(one.from, to), to: one.to },
        ].filter((part) => part.to - part.from > onLine),
      ),
    intervals,
  )
}
