import { largest } from '../outcome/lists'
import { once } from '../outcome/once'
import { feetAlong } from '../geometry/course'
import type { Near } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import type { FramePlan } from './frame'

/** What decides which of several beams that meet at a point bears a force there. */
export interface Bearer {
  readonly member: string
  /** Along its pieces, m. */
  readonly length: number
  /** Statics can transfer its load: it is stable and in no ring. */
  readonly sound: boolean
  /** Columns, or stretches of bearing wall, that it rests on itself. */
  readonly columns: number
}

/** By the order of the beams. */
export const bearersOf = once(({ beams, loop }: FramePlan): readonly Bearer[] => {
  const stuck = new Set(loop)
  return beams.map(({ member, length, stable, supports }, i) => ({
    member: member.id,
    length,
    sound: stable && !stuck.has(i),
    columns: new Set(supports.flatMap(({ on, index }) => (on === 'column' ? [index] : []))).size,
  }))
})

/** A place on a beam: s along it. */
export interface PlaceOnBeam {
  readonly s: number
  readonly bearer: Bearer
}

type Score = (place: PlaceOnBeam) => number

/** First what is sound, then what passes the point over what ends there, then what rests on most columns. */
const scores: readonly Score[] = [
  ({ bearer }) => Number(bearer.sound),
  ({ s, bearer }) => Number(s > onLine && s < bearer.length - onLine),
  ({ bearer }) => bearer.columns,
]

/**
 * Of the places at which beams meet a point those that bear a force there; several where nothing tells them apart: they share it
 * equally. Ids count for nothing.
 */
export const bearingAmong = <P extends PlaceOnBeam>(places: readonly P[]): readonly P[] =>
  places.length < 2 ? places : scores.reduce<readonly P[]>(best, places)

function best<P extends PlaceOnBeam>(places: readonly P[], score: Score): readonly P[] {
  const most = largest(places.map(score))
  return places.filter((place) => score(place) === most)
}

/** The beams of a frame that bear a force at a point, by their index, with where on each. */
export function beamsAt(
  at: Point,
  frame: FramePlan,
  near: Near,
): readonly (PlaceOnBeam & { readonly index: number })[] {
  const bearers = bearersOf(frame)
  return bearingAmong(
    near([at]).flatMap((index) => {
      const [beam, own] = [frame.beams[index], bearers[index]]
      return beam && own ? feetAlong(beam.legs, at, onLine).map((s) => ({ index, s, bearer: own })) : []
    }),
  )
}
