import { pushAll } from '../outcome/lists'
import { stretchId } from '../document/labels'
import type { MemberShape } from '../document/shapes'
import { isUpright } from '../document/roles'
import { legsOf, lengthOfLegs } from '../geometry/course'
import { meanOf } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine, sameSupport } from '../geometry/tolerance'
import { stretchesOf } from './bearingWalls'
import type { Beam, Column, FramePlan, Station, Support } from './frame'
import { findSupports, isStable, type Draft } from './supports'
import { supportOrder } from './supportOrder'

/** Finds what every beam of a layout rests on, from geometry alone; members come in the order of their ids. */
export function framePlan(members: readonly MemberShape[]): FramePlan {
  const standing = members.flatMap((member): Column[] => {
    const [at, far] = member.path
    if (!isUpright(member.role) || !at) return []
    return [far && distance(at, far) > onLine ? { member, at, far } : { member, at }]
  })
  const drafts = members.flatMap((member): Draft[] => {
    const [a, b] = [member.path[0], member.path.at(-1)]
    const legs = legsOf(member.path)
    const length = lengthOfLegs(legs)
    if (isUpright(member.role) || !a || !b || length < onLine) return []
    const plain = { member, a, b, legs, length, supports: [] }
    return [member.role === 'wall' ? { ...plain, stretches: stretchesOf(legs) } : plain]
  })
  const columns = [...standing]
  for (const wall of drafts) {
    const own = stretchColumns(wall)
    pushAll(
      wall.supports,
      own.map(({ s }, k): Support => ({ s, on: 'column', index: columns.length + k, at: 0 })),
    )
    pushAll(
      columns,
      own.map(({ column }) => column),
    )
  }
  findSupports(drafts, standing)
  const beams = drafts.map(finish)
  return { beams, columns, ...supportOrder(beams) }
}

/** The stretches of a wall as what goes down to the next level, each with its place along the wall; none of a beam. */
const stretchColumns = ({
  member,
  stretches = [],
}: Draft): readonly { readonly s: number; readonly column: Column }[] =>
  stretches.map((stretch, k) => {
    const at = meanOf([stretch.a, stretch.b])
    const column = { member: { ...member, id: stretchId(member.id, k), path: [at] }, at, stretch }
    return { s: (stretch.s0 + stretch.s1) / 2, column }
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
