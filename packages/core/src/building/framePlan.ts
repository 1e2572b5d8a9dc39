import { stretchId } from '../document/labels'
import type { MemberShape } from '../document/shapes'
import { legsOf, lengthOfLegs } from '../geometry/course'
import { onLine, sameSupport } from '../geometry/tolerance'
import { middleOf, stretchesOf } from './bearingWalls'
import type { Beam, Column, FramePlan, Station, Support } from './frame'
import { findSupports, isStable, type Draft } from './supports'
import { supportOrder } from './supportOrder'

/** Finds what every beam of a layout rests on, from geometry alone; members come in the order of their ids. */
export function framePlan(members: readonly MemberShape[]): FramePlan {
  const standing = members.flatMap((member): Column[] => {
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
  const walls = drafts.filter(({ member }) => member.role === 'wall')
  let first = standing.length
  for (const wall of walls) {
    wall.stretches = stretchesOf(wall.legs)
    wall.stretches.forEach(({ s0, s1 }, k) =>
      wall.supports.push({ s: (s0 + s1) / 2, on: 'column', index: first + k, at: 0 }),
    )
    first += wall.stretches.length
  }
  findSupports(drafts, standing)
  const columns = [...standing, ...walls.flatMap(stretchColumns)]
  const beams = drafts.map(finish)
  return { beams, columns, ...supportOrder(beams) }
}

/** The stretches of a wall as what goes down to the next level. */
const stretchColumns = ({ member, stretches = [] }: Draft): readonly Column[] =>
  stretches.map((stretch, k) => {
    const at = middleOf(stretch)
    return { member: { ...member, id: stretchId(member.id, k), path: [at] }, at, stretch }
  })

function finish(draft: Draft): Beam {
  const { member, a, b, legs, length, stretches } = draft
  const supports = [...draft.supports].sort((p, q) => p.s - q.s || (p.on < q.on ? 1 : -1) || p.index - q.index)
  const beam = { member, a, b, legs, length, supports, stations: stationsOf(supports), stable: isStable(draft) }
  return stretches ? { ...beam, stretches } : beam
}

function stationsOf(supports: readonly Support[]): readonly Station[] {
  const stations: number[][] = []
  supports.forEach(({ s }, k) => {
    const last = stations.at(-1)
    // at the tolerance itself what turning leaves behind must not decide
    if (last && s - (supports[last.at(-1) ?? 0]?.s ?? 0) < sameSupport - 1e-6) last.push(k)
    else stations.push([k])
  })
  // equal reactions act in the mean of their places, whichever end one looks from
  return stations.map((members) => ({
    s: members.reduce((sum, k) => sum + (supports[k]?.s ?? 0), 0) / members.length,
    supports: members,
  }))
}
