import { bearingAmong, type Bearer } from '../building/bearers'
import type { Point } from '../geometry/point'
import { along, distance, footOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { present } from '../outcome/assert'
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

/**
 * Of those the members that bear a force there; several where nothing tells them apart.
 * @param bearers - one for each of the members wherever several meet
 */
export function feetBearing(at: Point, carriers: readonly Carrier[], bearers: readonly Bearer[]): readonly FootUnder[] {
  const feet = feetUnder(at, carriers)
  if (feet.length < 2) return feet
  const of = new Map(bearers.map((one) => [one.member, one]))
  return bearingAmong(
    feet.map((foot) => ({ ...foot, bearer: present(of.get(foot.member), `how ${foot.member} bears`) })),
  )
}
