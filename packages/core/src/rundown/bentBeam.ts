import { entry } from '../outcome/assert'
import { isBent, type Beam } from '../building/frame'
import { pointAlong } from '../geometry/course'
import { chordOf, spanAt, spanForces, type SpanForce } from './beamStatics'
import type { LoadLine, LoadPoint } from './memberLines'

export interface BentBalance {
  /**
   * What a bent beam leaves to its supports beside their forces: for each span the moment of its loads about its chord, which the
   * ends of the span have to hold against turning; positive from loads at the left of the chord, Nm.
   */
  readonly chordMoments: readonly number[]
  /** First moment of loads less that of the reactions and of the moments about the chords, over both axes, Nm. */
  readonly residualMoment: number
}

/** The balance of moments of a bent beam on two stations or more; null for others. */
export function bentBalance(
  beam: Beam,
  lines: readonly LoadLine[],
  points: readonly LoadPoint[],
  reactions: readonly LoadPoint[],
): BentBalance | null {
  if (beam.stretches || !isBent(beam) || !beam.stable || beam.stations.length < 2) return null
  const forces: readonly SpanForce[] = [
    ...lines.flatMap(([s0, s1, q0, q1]) => spanForces(beam, { s0, s1, q0, q1 })),
    ...points.map(({ s, force }) => ({ span: spanAt(beam, s), s, force })),
  ]
  const chords = beam.stations.slice(1).map((_, k) => chordOf(beam, k + 1))
  const chordMoments = chords.map(({ at, u }, k) =>
    forces.reduce((sum, { span, s, force }) => {
      if (span !== k + 1) return sum
      const [x, y] = pointAlong(beam.legs, s)
      return sum + force * ((y - at[1]) * u[0] - (x - at[0]) * u[1])
    }, 0),
  )
  const first = (axis: 0 | 1, list: readonly LoadPoint[]) =>
    list.reduce((sum, { s, force }) => sum + force * pointAlong(beam.legs, s)[axis], 0)
  // a moment m about a chord along u is a first moment m across it: of x by -u_y, of y by u_x
  const about = (axis: 0 | 1) =>
    chords.reduce((sum, { u }, k) => sum + entry(chordMoments, k) * (axis === 0 ? -u[1] : u[0]), 0)
  const left = ([0, 1] as const).map((axis) => first(axis, forces) - first(axis, reactions) - about(axis))
  return { chordMoments, residualMoment: Math.hypot(...left) }
}
