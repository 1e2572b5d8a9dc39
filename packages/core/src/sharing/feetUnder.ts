import type { Point } from '../geometry/point'
import { along, distance, footOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Carrier } from './rails'

export interface FootUnder {
  readonly member: string
  readonly s: number
  readonly at: Point
  readonly gap: number
}

/** Where a point stands on members, once on each: of several pieces of one on the nearest. */
export function feetUnder(at: Point, carriers: readonly Carrier[]): readonly FootUnder[] {
  const feet = new Map<string, FootUnder>()
  for (const { member, a, b, from } of carriers) {
    const s = footOn(a, b, at, onLine)
    if (s === undefined) continue
    const foot = along(a, b, s)
    const gap = distance(at, foot)
    const known = feet.get(member)
    if (!known || gap < known.gap) feet.set(member, { member, s: from + s, at: foot, gap })
  }
  return [...feet.values()]
}
