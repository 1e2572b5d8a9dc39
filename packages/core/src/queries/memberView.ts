import { heldEnds, isContinuous, type Beam } from '../building/frame'
import { readCase } from '../derivation/cells'
import { expandedAt, memberLoadsIn, placeOf, type Place } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { sidewaysOn } from '../derivation/sideways'
import { pressureOn } from '../derivation/surfaceLoads'
import { labelOf, memberFacts } from '../document/labels'
import type { Member } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { bentBalance } from '../rundown/bentBeam'
import { loadTotal, type LoadLine, type LoadPoint, type MemberLoad } from '../rundown/memberLines'
import { feedingOf, type Feeding } from './feeding'
import { landingRows, type PathRow } from './pathRows'
import { reductionOfBeam, type BeamReduction } from '../derivation/reductions'

export interface SupportView {
  readonly s: number
  readonly on: 'column' | 'beam'
  readonly label: string
  /** Downwards onto what is below; negative where the beam lifts, N. */
  readonly reaction: number
}

/** A stretch of a bearing wall, with the force at its top and at its foot, N. */
export interface StretchView {
  readonly expandedId: string
  readonly label: string
  readonly s0: number
  readonly s1: number
  readonly top: number
  readonly foot: number
}

/** One beam and one case: what lands on it, where it goes. */
export interface MemberView {
  readonly expandedId: string
  readonly id: string
  readonly label: string
  readonly role: Member['role']
  readonly levelName: string
  readonly length: number
  /** Worked as continuous over its supports. */
  readonly continuous: boolean
  readonly section: string
  readonly sectionAssumed: boolean
  readonly weightPerLength: number
  readonly supports: readonly SupportView[]
  /** Of a bearing wall: what goes down each of its stretches, with what comes from above. */
  readonly stretches: readonly StretchView[]
  readonly lines: readonly LoadLine[]
  readonly points: readonly LoadPoint[]
  readonly lands: readonly PathRow[]
  readonly total: number
  /** Moment of what lands on it about its axis, Nm, positive where its left side goes down: it goes to no other member. */
  readonly turning: number
  /** What the standard spares it of an imposed load for its area; null where it does not. */
  readonly reduction: BeamReduction | null
  /** Beams and panels of its level that feed it. */
  readonly feeding: Feeding
  /** Force that lands less force that goes on, N. */
  readonly residual: number
  /** First moment about the start likewise, Nm; null where one fixed end takes the moment. */
  readonly residualMoment: number | null
  /** What it takes sideways of loads square to slopes, N in global axes. */
  readonly sideways: Point
  /** What it takes of the pressure on wall surfaces, N in global axes. */
  readonly pressed: Point
  /** Of a bent beam: the moment of the loads of each span about its chord, Nm; empty for a straight one. */
  readonly chordMoments: readonly number[]
}

export function memberView(state: ProjectState, expandedId: string, caseId: string): MemberView | null {
  const place = placeOf(state, expandedId, 'beams')
  const beam = place?.floor.operator.plan.frame.beams[place.row]
  if (!place || !beam) return null
  const { floor, row } = place
  const { id, role } = beam.member
  const at = readCase(state, caseId)
  const [total, turning] = [at(floor.rundown.beamTotals, row), at(floor.rundown.beamTurns, row)]
  const supports = supportViews(state, place, caseId)
  const view = {
    expandedId,
    id,
    role,
    ...memberFacts(state.document, id),
    levelName: floor.level.name,
    length: beam.length,
    continuous: isContinuous(beam),
    weightPerLength: floor.weights.members.get(id) ?? 0,
    supports,
    stretches: stretchViews(state, place, caseId),
    ...directLoad(state, place, caseId),
    lands: landingRows(state, place, caseId),
    total,
    turning,
    reduction: reductionOfBeam(state, place, caseId, total),
    feeding: feedingOf(state, place, 'beam', caseId),
    sideways: sidewaysOf(state, place, caseId),
    pressed: pressureOn(state, expandedId, caseId),
    residual: total - supports.reduce((sum, { reaction }) => sum + reaction, 0),
  }
  return { ...view, ...momentsOf(beam, view) }
}

type Balanced = Pick<MemberView, 'lines' | 'points' | 'lands' | 'supports'>

function momentsOf(beam: Beam, view: Balanced): Pick<MemberView, 'residualMoment' | 'chordMoments'> {
  const { lines, points, lands, supports } = view
  const standing = lands.flatMap(({ at, force }) => (at === null ? [] : [{ s: at, force }]))
  const reactions = supports.map(({ s, reaction }) => ({ s, force: reaction }))
  const bent = bentBalance(beam, lines, [...points, ...standing], reactions)
  if (bent) return bent
  return { residualMoment: holdsMoment(beam) ? null : momentResidual(view), chordMoments: [] }
}

const directLoad = (state: ProjectState, { floor, row }: Place, caseId: string): MemberLoad =>
  memberLoadsIn(state, floor, caseId)[row] ?? { lines: [], points: [] }

function sidewaysOf(state: ProjectState, { floor, row }: Place, caseId: string): Point {
  const id = floor.operator.plan.frame.beams[row]?.member.id
  return sidewaysOn(state, floor, caseId)
    .filter(({ memberId }) => memberId === id)
    .reduce<Point>(
      ([x, y], { push, lines, points }) => {
        const force = loadTotal({ lines, points })
        return [x + force * push[0], y + force * push[1]]
      },
      [0, 0],
    )
}

function supportViews(state: ProjectState, { floor, row }: Place, caseId: string): readonly SupportView[] {
  const at = readCase(state, caseId)
  const { frame } = floor.operator.plan
  return (frame.beams[row]?.supports ?? []).map(({ s, on, index }, k) => ({
    s,
    on,
    label: labelOf(state.document, (on === 'column' ? frame.columns[index] : frame.beams[index])?.member.id ?? ''),
    reaction: at(floor.rundown.reactions, (floor.operator.firstSupport[row] ?? 0) + k),
  }))
}

function stretchViews(state: ProjectState, { floor, row }: Place, caseId: string): readonly StretchView[] {
  const at = readCase(state, caseId)
  const { beams, columns } = floor.operator.plan.frame
  return (beams[row]?.stretches ?? []).flatMap(({ s0, s1 }, k): readonly StretchView[] => {
    const index = beams[row]?.supports[k]?.index ?? -1
    const id = columns[index]?.member.id
    if (id === undefined) return []
    const [top, foot] = [at(floor.rundown.tops, index), at(floor.rundown.feet, index)]
    return [{ expandedId: expandedAt(floor, id), label: labelOf(state.document, id), s0, s1, top, foot }]
  })
}

/** Whether the moment is taken by an end that is held against turning, or along the length of a wall. */
function holdsMoment(beam: Beam): boolean {
  const { start, end } = heldEnds(beam)
  return beam.stretches !== undefined || beam.stations.length < 2 || (isContinuous(beam) && (start || end))
}

/** Moment about the start of all that lands, less that of the reactions. */
function momentResidual({ lines, points, lands, supports }: Balanced): number {
  const ofLines = lines.reduce((sum, [s0, s1, q0, q1]) => {
    const h = s1 - s0
    return sum + ((h * (q0 + q1)) / 2) * s0 + (h * h * (q0 + 2 * q1)) / 6
  }, 0)
  const ofPoints = points.reduce((sum, { s, force }) => sum + s * force, 0)
  const ofMembers = lands.reduce((sum, { at, force }) => sum + (at === null ? 0 : at * force), 0)
  return ofLines + ofPoints + ofMembers - supports.reduce((sum, { s, reaction }) => sum + s * reaction, 0)
}
