import { readCase } from '../derivation/cells'
import { farEnd, isHanger } from '../building/frame'
import { heightsOfColumn } from '../derivation/columnExtents'
import { expandedAt } from '../derivation/floorQueries'
import { storeyForcesOf } from '../derivation/storeyForces'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { isUpright } from '../document/roles'
import type { Point } from '../geometry/point'
import type { Box } from '../geometry/polygon'

import { loadsInSpace, membersInSpace, type SpaceLoad, type SpaceMember } from './spaceView'

/** Looking north (x runs to the right) or looking west (y runs to the right). */
export type ElevationAxis = 'x' | 'y'

export interface ElevationView {
  readonly axis: ElevationAxis
  /** Height of the ground beside the building. */
  readonly ground: number
  readonly columns: readonly ElevationColumn[]
  /** Beams, parts of trusses, and members in space, as lines in the view. */
  readonly lines: readonly {
    readonly expandedId: string
    readonly label: string
    readonly role: SpaceMember['role']
    readonly points: readonly Point[]
  }[]
  readonly levels: readonly {
    readonly id: string
    readonly name: string
    readonly z: number
    readonly carrying: boolean
  }[]
  /** Storey forces of the case, N; `along` in the plane of the view, `across` away from the viewer. */
  readonly forces: readonly {
    readonly levelId: string
    readonly z: number
    readonly along: number
    readonly across: number
  }[]
  readonly reactions: readonly {
    readonly label: string
    readonly u: number
    readonly force: number
    readonly count: number
  }[]
  /** What lands on members of the case, seen from the side. */
  readonly loads: readonly ElevationLoad[]
  readonly extent: Box | null
  readonly parapet: number
}

/**
 * Loads on members that lie behind one another: the largest of them with the least, or the sum of forces at one place.
 * Downwards, N/m of length in plan from `from` to `to`; a force in N where these are one.
 */
export interface ElevationLoad {
  readonly kind: 'line' | 'point'
  readonly from: Point
  readonly to: Point
  /** At both ends of the largest. */
  readonly q0: number
  readonly q1: number
  /** Of a line the smallest value among them, at its larger end; of forces their sum again. */
  readonly least: number
  readonly count: number
}

export interface ElevationColumn {
  readonly expandedId: string
  readonly label: string
  readonly u: number
  /** Where its other end is along the view, that of its own level being `u`. */
  readonly far: number
  /** How far it reaches along the view: more than a point for a stretch of bearing wall. */
  readonly from: number
  readonly to: number
  readonly z0: number
  readonly z1: number
  readonly force: number
  /** It hangs: its force is tension. */
  readonly hangs: boolean
}

/** The building seen along an axis, for one case. */
export function elevationView(state: ProjectState, axis: ElevationAxis, caseId: string): ElevationView {
  const i = axis === 'x' ? 0 : 1
  return {
    axis,
    ground: state.basis?.ground ?? 0,
    columns: columnsOf(state, i, caseId),
    lines: state.floors.flatMap((floor) =>
      membersInSpace(state, floor)
        .filter(({ role }) => !isUpright(role))
        .map(({ expandedId, label, role, path }) => ({
          expandedId,
          label,
          role,
          points: path.map((point): Point => [point[i], point[2]]),
        })),
    ),
    levels: state.levels.map(({ level, layoutId }) => ({
      id: level.id,
      name: level.name,
      z: level.elevation,
      carrying: layoutId !== null,
    })),
    forces: forcesOf(state, axis, caseId),
    reactions: reactionSums(state, i, caseId),
    // pictures of no case ask for the frame alone
    loads: loadsFromSide(
      state.caseIds.includes(caseId) ? state.floors.flatMap((floor) => loadsInSpace(state, floor, caseId)) : [],
      i,
    ),
    extent: state.extent,
    parapet: state.part?.parapet ?? 0,
  }
}

function columnsOf(state: ProjectState, i: 0 | 1, caseId: string): readonly ElevationColumn[] {
  const force = readCase(state, caseId)
  return state.floors.flatMap((floor) =>
    floor.operator.plan.frame.columns.map((column, row) => {
      const { member, at, stretch } = column
      const [z0, z1] = heightsOfColumn(floor, row)
      return {
        expandedId: expandedAt(floor, member.id),
        label: labelOf(state.document, member.id),
        u: at[i],
        far: farEnd(column)[i],
        from: Math.min(stretch?.a[i] ?? at[i], stretch?.b[i] ?? at[i]),
        to: Math.max(stretch?.a[i] ?? at[i], stretch?.b[i] ?? at[i]),
        z0,
        z1,
        force: force(floor.rundown.feet, row),
        hangs: isHanger({ member }),
      }
    }),
  )
}

function forcesOf(state: ProjectState, axis: ElevationAxis, caseId: string): ElevationView['forces'] {
  const forces = storeyForcesOf(state, caseId)
  const ground = state.basis?.ground ?? 0
  return (forces?.storeys ?? []).map(({ force: { levelId, z: above, fx, fy } }) => {
    const z = above + ground
    return axis === 'x' ? { levelId, z, along: fx, across: fy } : { levelId, z, along: fy, across: -fx }
  })
}

/** Base reactions by where they stand along the view: columns behind one another add up. */
function reactionSums(state: ProjectState, i: 0 | 1, caseId: string): ElevationView['reactions'] {
  const at = readCase(state, caseId)
  const bottom = state.floors[0]
  const sums = new Map<number, { label: string; u: number; force: number; count: number }>()
  bottom?.operator.plan.frame.columns.forEach((column, row) => {
    if (isHanger(column)) return
    const { member } = column
    const point = farEnd(column)
    const place = Math.round(point[i] * 100)
    const entry = sums.get(place) ?? { label: labelOf(state.document, member.id), u: point[i], force: 0, count: 0 }
    sums.set(place, { ...entry, force: entry.force + at(bottom.rundown.feet, row), count: entry.count + 1 })
  })
  return [...sums.values()].sort((a, b) => a.u - b.u)
}

/** A member that runs across the sight by more than this part of its length shows its line load; others are seen from their end. */
const across = 0.5

/** Lines that begin and end at the same places lie behind one another, and so do forces: to 10 mm. */
function loadsFromSide(loads: readonly SpaceLoad[], i: 0 | 1): readonly ElevationLoad[] {
  const seen = new Map<string, ElevationLoad>()
  for (const load of loads) {
    const [p, q] = [load.from, load.to]
    const length = Math.hypot(q[0] - p[0], q[1] - p[1])
    const kind = length < 1e-6 ? 'point' : 'line'
    if (kind === 'line' && Math.abs(q[i] - p[i]) < across * length) continue
    const forwards = p[i] <= q[i]
    const [from, to] = forwards ? [p, q] : [q, p]
    const [q0, q1] = forwards ? [load.q0, load.q1] : [load.q1, load.q0]
    const key = [kind, from[i], from[2], to[i], to[2]]
      .map((v) => (typeof v === 'number' ? Math.round(v * 100) : v))
      .join(' ')
    const own = {
      kind,
      from: [from[i], from[2]],
      to: [to[i], to[2]],
      q0,
      q1,
      least: sizeOfEnds(q0, q1),
      count: 1,
    } as const
    const before = seen.get(key)
    seen.set(key, before ? together(before, own) : own)
  }
  return [...seen.values()]
}

const sizeOfEnds = (q0: number, q1: number): number => (Math.abs(q0) > Math.abs(q1) ? q0 : q1)

function together(p: ElevationLoad, q: ElevationLoad): ElevationLoad {
  const count = p.count + q.count
  if (p.kind === 'point') {
    const sum = p.q0 + q.q0
    return { ...p, q0: sum, q1: sum, least: sum, count }
  }
  const larger = Math.abs(sizeOfEnds(q.q0, q.q1)) > Math.abs(sizeOfEnds(p.q0, p.q1)) ? q : p
  return { ...larger, least: Math.abs(q.least) < Math.abs(p.least) ? q.least : p.least, count }
}
