import type { MemberShape } from '../document/shapes'
import type { Leg } from '../geometry/course'
import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import type { Stretch } from './bearingWalls'

/** What a beam stands on, at s along it from its start. */
export interface Support {
  readonly s: number
  readonly on: 'column' | 'beam'
  /** Index into the plan's columns or beams. */
  readonly index: number
  /** Where on the supporting beam, along it from its start; 0 for columns. */
  readonly at: number
}

/** Supports of a beam that act as one, since each stands within 50 mm of the next; they share equally. */
export interface Station {
  /** The mean of their places. */
  readonly s: number
  /** Indices into the beam's supports. */
  readonly supports: readonly number[]
}

export interface Beam {
  readonly member: MemberShape
  /** Its ends. */
  readonly a: Point
  readonly b: Point
  /** Its straight pieces: one, or more where it is bent or follows a curve. */
  readonly legs: readonly Leg[]
  /** Along its pieces. */
  readonly length: number
  readonly supports: readonly Support[]
  readonly stations: readonly Station[]
  /** Whether statics can hand its load on: two stations, or one at an end that is held against turning. */
  readonly stable: boolean
  /** Of a bearing wall, which hands down along its length: its stretches, each its own support. */
  readonly stretches?: readonly Stretch[]
}

/** Whether it has more than one piece. */
export const isBent = ({ legs }: Pick<Beam, 'legs'>): boolean => legs.length > 1

/** All points of a beam, from end to end. */
export const pointsOfBeam = ({ legs, a }: Pick<Beam, 'legs' | 'a'>): readonly Point[] => [a, ...legs.map(({ b }) => b)]

/**
 * Whether it is worked as continuous: straight, over three stations, or over two with an end that is held against turning. One
 * that is bent has single spans.
 */
export const isContinuous = (beam: Pick<Beam, 'member' | 'legs' | 'stations' | 'supports' | 'length'>): boolean => {
  if (beam.member.role === 'wall' || beam.member.spans === 'simple' || isBent(beam) || beam.stations.length < 2)
    return false
  const { start, end } = heldEnds(beam)
  return beam.stations.length > 2 || start || end
}

/** Which of its ends stand on a station and are held against turning there. */
export function heldEnds({
  member,
  stations,
  supports,
  length,
}: Pick<Beam, 'member' | 'stations' | 'supports' | 'length'>): {
  readonly start: boolean
  readonly end: boolean
} {
  const [first, last] = [supports[stations[0]?.supports[0] ?? -1], supports[stations.at(-1)?.supports.at(-1) ?? -1]]
  return {
    start: member.startRelease === 'fixed' && first !== undefined && first.s <= onLine,
    end: member.endRelease === 'fixed' && last !== undefined && last.s >= length - onLine,
  }
}

/**
 * A column; a stretch of a bearing wall, which goes down like one: its id is that of the wall with its number (`stretchId`); or a
 * hanger, which goes up.
 */
export interface Column {
  readonly member: MemberShape
  readonly at: Point
  /** Of one that rakes: where its other end is in plan, the foot of a column, the upper end of a hanger. */
  readonly far?: Point
  readonly stretch?: Stretch
}

/** Whether it holds its level up from above: its force is tension, and counts as what it bears. */
export const isHanger = ({ member }: Pick<Column, 'member'>): boolean => member.role === 'hanger'

/** Where its other end is in plan: right under it, or over it, unless it rakes. */
export const farEnd = ({ at, far }: Pick<Column, 'at' | 'far'>): Point => far ?? at

/** The members of one layout and what rests on what. */
export interface FramePlan {
  readonly beams: readonly Beam[]
  readonly columns: readonly Column[]
  /** Beams in the order in which they hand on: each after all that rest on it. */
  readonly order: readonly number[]
  /** Beams that carry each other in a ring; their load is not carried. */
  readonly loop: readonly number[]
}

/** Where the foot of a column stands on the floor below: on a column or a stretch of wall, or on a beam (a transfer) at s along it. */
export interface Landing {
  /** The column's index on its own floor. */
  readonly row: number
  readonly on: 'column' | 'beam'
  /** Index into the columns or beams of the floor below. */
  readonly index: number
  readonly s: number
  /** Of its force: all of it for a column, less for a stretch of wall that stands on several. */
  readonly part: number
}
