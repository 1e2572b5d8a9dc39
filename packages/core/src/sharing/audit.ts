import type { Point } from '../geometry/point'
import { along, distance } from '../geometry/segment'
import type { Carrier } from './rails'
import { shareTotals, type Share } from './share'

/** What a share leaves over per unit load: force, and first moments about the axes. */
export interface Audit {
  readonly force: number
  readonly moments: Point
  /** Sum of magnitudes that the residuals are measured against. */
  readonly scale: number
}

/**
 * Force in less force out, and both moments; what is not carried is not a residual of force, and leaves its moment.
 * For the one-way rule by lever with two supports or more all three are nought to rounding.
 */
export function auditShare(share: Share, carriers: readonly Carrier[]): Audit {
  const { force, moments } = shareTotals(share, placesOn(carriers))
  const magnitudes = share.lines.reduce(
    (sum, { s0, s1, q0, q1 }) => sum + ((s1 - s0) * (Math.abs(q0) + Math.abs(q1))) / 2,
    0,
  )
  const points = [...share.points, ...share.onColumns].reduce((sum, { force: f }) => sum + Math.abs(f), 0)
  return {
    force: share.applied - share.notCarried - force,
    moments: [share.appliedMoments[0] - moments[0], share.appliedMoments[1] - moments[1]],
    scale: Math.max(share.applied, magnitudes + points),
  }
}

/** The point of the plan at a place along a member. */
export function placesOn(carriers: readonly Carrier[]): (member: string, s: number) => Point {
  const piecesOf = new Map<string, Carrier[]>()
  for (const carrier of carriers) piecesOf.set(carrier.member, [...(piecesOf.get(carrier.member) ?? []), carrier])
  return (member, s) => {
    const pieces = piecesOf.get(member) ?? []
    const carrier = pieces.findLast(({ from }) => from <= s) ?? pieces[0]
    if (!carrier) throw new Error(`No carrier ${member}`)
    return distance(carrier.a, carrier.b) === 0 ? carrier.a : along(carrier.a, carrier.b, s - carrier.from)
  }
}
