import type { Point } from '../geometry/point'
import { along, distance, footOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Carrier } from './rails'

export interface FootUnder {
  readonly member: string
  readonly s: number
  readonly gap: number
}

/** Where a point stands on members, once on each: of several pieces of one on the nearest. */
export function feetUnder(at: Point, carriers: readonly Carrier[]): readonly FootUnder[] {
  const feet = new Map<string, FootUnder>()
  for (const { member, a, b, from } of carriers) {
    const s = footOn(a, b, at, onLine)
    if (s === undefined) continue
    const gap = distance(at, along(a, b, s))
    const known = feet.get(member)
    if (!known || gap < known.gap) feet.set(member, { member, s: from + s, gap })
  }
  return [...feet.values()]
}
