import type { Point } from '../geometry/point'
import { regionArea, regionMoments, type Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import type { Carrier } from './rails'
import type { Share, ShareLine } from './share'

/**
 * What a pressure that grows downwards, from nothing at the top of a region to one unit at its foot, brings to members where strips run level: on
 * every strip it is one value, so a member takes its part of an even pressure times that value. Of each piece force and moment are exact.
 * @param even - of one unit all over
 * @param appliedMoments - of the growing pressure
 */
export function growingUp(even: Share, appliedMoments: Point, carriers: readonly Carrier[], net: Region): Share {
  const heights = net.flat().map(([, v]) => v)
  const [foot, top] = [Math.min(...heights), Math.max(...heights)]
  const applied = (top * regionArea(net) - regionMoments(net)[1]) / (top - foot)
  const part = (v: number) => Math.min(1, Math.max(0, (top - v) / (top - foot)))
  const axes = new Map(carriers.map((carrier) => [carrier.member, carrier]))
  const heightOn = (member: string, s: number): number => {
    const axis = axes.get(member)
    return axis ? heightAlong(axis, s) : top
  }
  const lines = even.lines.map((line) => ({
    ...line,
    ...timesLine(line, part(heightOn(line.member, line.s0)), part(heightOn(line.member, line.s1))),
  }))
  const points = even.points.map((point) => ({ ...point, force: point.force * part(heightOn(point.member, point.s)) }))
  const carried =
    lines.reduce((sum, { s0, s1, q0, q1 }) => sum + ((s1 - s0) * (q0 + q1)) / 2, 0) +
    points.reduce((sum, { force }) => sum + force, 0)
  const lost = even.notCarried > 0 ? Math.max(0, applied - carried) : 0
  return { ...even, lines, points, applied, appliedMoments, notCarried: lost, torque: 0 }
}

const heightAlong = ({ a, b }: Pick<Carrier, 'a' | 'b'>, s: number): Point[1] =>
  a[1] + ((b[1] - a[1]) * s) / distance(a, b)

/** A line times a value that goes straight from p0 to p1, as the line with the same force and moment. */
function timesLine({ q0, q1 }: ShareLine, p0: number, p1: number): Pick<ShareLine, 'q0' | 'q1'> {
  // over a unit of length: force and first moment of the product of two straight lines
  const force = (2 * q0 * p0 + q0 * p1 + q1 * p0 + 2 * q1 * p1) / 6
  const moment = (q0 * p0 + q0 * p1 + q1 * p0 + 3 * q1 * p1) / 12
  return { q0: 4 * force - 6 * moment, q1: 6 * moment - 2 * force }
}
