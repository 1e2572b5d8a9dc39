import type { MemberShape } from '../document/shapes'
import { legsOf, lengthOfLegs } from '../geometry/course'
import { onLine, sameSupport } from '../geometry/tolerance'
import type { Beam, Column, FramePlan, Station, Support } from './frame'
import { findSupports, isStable, type Draft } from './supports'
import { supportOrder } from './supportOrder'

/** Finds what every beam of a layout rests on, from geometry alone; members come in the order of their ids. */
export function framePlan(members: readonly MemberShape[]): FramePlan {
  const columns = members.flatMap((member): Column[] => {
    const at = member.path[0]
    return member.role === 'column' && at ? [{ member, at }] : []
  })
  const drafts = members.flatMap((member): Draft[] => {
    const [a, b] = [member.path[0], member.path.at(-1)]
    const legs = legsOf(member.path)
    const length = lengthOfLegs(legs)
    if (member.role === 'column' || !a || !b || length < onLine) return []
    return [{ member, a, b, legs, length, supports: [] }]
  })
  findSupports(drafts, columns)
  const beams = drafts.map(finish)
  return { beams, columns, ...supportOrder(beams) }
}

function finish(draft: Draft): Beam {
  const { member, a, b, legs, length } = draft
  const supports = [...draft.supports].sort((p, q) => p.s - q.s || (p.on < q.on ? 1 : -1) || p.index - q.index)
  return { member, a, b, legs, length, supports, stations: stationsOf(supports), stable: isStable(draft) }
}

function stationsOf(supports: readonly Support[]): readonly Station[] {
  const stations: { s: number; supports: number[] }[] = []
  supports.forEach(({ s }, k) => {
    const last = stations.at(-1)
    if (last && s - last.s < sameSupport) last.supports.push(k)
    else stations.push({ s, supports: [k] })
  })
  return stations
}
