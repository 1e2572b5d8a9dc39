import {
  barWeight,
  faceWeight,
  loadOnPlan,
  memberWeight,
  slopeArea,
  stretchWeight,
  timesFactor,
  trussWeight,
  withSource,
} from '../../actions/ownWeight'
import { selfWeight } from '../../actions/cases'
import { atEnd, weightOfFlight } from '../../actions/stairLoad'
import { stretchesOf } from '../../building/bearingWalls'
import { trussLengths, trussParts } from '../../building/truss'
import type { ProjectState } from '../../derivation/project'
import { sectionAt, splitStretch } from '../../document/labels'
import type { Member, Rec, Section, Slope } from '../../document/recordKinds'
import { slopeShape, trussShape } from '../../document/shapes'
import { legsOf } from '../../geometry/course'
import { distance } from '../../geometry/segment'
import { signedArea } from '../../geometry/polygon'
import { given, type Traced } from '../../trace/traced'
import { keyAddress } from '../pathRows'
import type { Why } from './landing'
import { splitCase } from './sums'

const areaOf = (symbol: string, section: Section) => given(symbol, 'sectionArea', section.area, withSource(section))

/** `beamWeight:MEMBER`: per true length, of a column, a truss or a strut as well; of a stretch of wall per metre of its height. */
export function weightOfMember(state: ProjectState, address: string): Traced | null {
  const weight = drawnWeight(state, address)
  return weight && timesFactor(weight, selfWeightFactor(state))
}

/** `barWeight:MEMBER`: the whole of a strut, or of a truss by the length of its top chord. */
export function weightOfBar(state: ProjectState, id: string): Traced | null {
  const member = state.document.records.get(id)
  const weight = weightOfMember(state, id)
  const l = weight && lengthOfBar(state, member)
  return l ? barWeight({ g: { ...weight, quantity: 'lineLoad' }, l }) : null
}

function lengthOfBar(state: ProjectState, member: Rec | undefined): Traced<'length'> | null {
  if (member?.kind === 'member' && member.truss)
    return given('l', 'length', trussLengths(partsOf(state, member)).top, 'top chord')
  if (member?.kind !== 'strut') return null
  const [a, b] = member.path
  return a && b
    ? given('l', 'length', Math.hypot(distance(a, b), member.endHeight - member.startHeight), 'between its ends')
    : null
}

/** `faceWeight:WALL`: of a bearing wall per area. */
export function weightOfFace(state: ProjectState, id: string): Traced | null {
  const { document } = state
  const wall = document.records.get(id)
  if (wall?.kind !== 'member' || wall.role !== 'wall') return null
  const [section, material] = [sectionAt(document, wall.section), document.records.get(wall.material)]
  if (!section || material?.kind !== 'material') return null
  const weight = faceWeight({
    t: given('t', 'smallLength', section.width, withSource(section)),
    gamma: given('γ', 'unitWeight', material.unitWeight, withSource(material)),
    o: given('o', 'factor', wall.openShare, `openings in ${wall.label}`),
  })
  return timesFactor(weight, selfWeightFactor(state))
}

/** How often self-weight counts in the project. */
export const selfWeightFactor = ({ basis }: ProjectState): number => basis?.selfWeightFactor ?? 1

/** What a member weighs as it is drawn. */
function drawnWeight(state: ProjectState, address: string): Traced<'lineLoad'> | null {
  const { document } = state
  const [id, stretch] = splitStretch(address)
  const member = document.records.get(id)
  if (member?.kind !== 'member' && member?.kind !== 'strut') return null
  const [section, material] = [sectionAt(document, member.section), document.records.get(member.material)]
  if (!section || material?.kind !== 'material') return null
  const gamma = given('γ', 'unitWeight', material.unitWeight, withSource(material))
  if (member.kind === 'strut') return memberWeight({ A: areaOf('A', section), gamma })
  if (member.role === 'wall') return weightOfStretch(member, stretch ?? 0, section, gamma)
  if (member.truss) return weightOfTruss(state, member, section, gamma)
  return memberWeight({ A: areaOf('A', section), gamma })
}

function weightOfStretch(
  { path, label, openShare }: Member,
  stretch: number,
  section: Section,
  gamma: Traced<'unitWeight'>,
): Traced<'lineLoad'> | null {
  const found = stretchesOf(legsOf(path))[stretch]
  if (!found) return null
  const t = given('t', 'smallLength', section.width, withSource(section))
  const o = given('o', 'factor', openShare, `openings in ${label}`)
  return stretchWeight({ t, l: given('l', 'length', found.s1 - found.s0, 'of the piece'), gamma, o })
}

function weightOfTruss(
  state: ProjectState,
  member: Member,
  top: Section,
  gamma: Traced<'unitWeight'>,
): Traced<'lineLoad'> | null {
  const { document } = state
  const lengths = trussLengths(partsOf(state, member))
  const bottom = sectionAt(document, member.truss?.bottomSection ?? '')
  const web = sectionAt(document, member.truss?.webSection ?? '')
  if (!bottom || !web) return null
  const length = (symbol: string, value: number, of: string) => given(symbol, 'length', value, of)
  return trussWeight({
    A_t: areaOf('A_t', top),
    L_t: length('L_t', lengths.top, 'top chord'),
    A_b: areaOf('A_b', bottom),
    L_b: length('L_b', lengths.bottom, 'bottom chord'),
    A_w: areaOf('A_w', web),
    L_w: length('L_w', lengths.web, 'diagonals and posts'),
    gamma,
  })
}

function partsOf({ floors }: ProjectState, truss: Member): ReturnType<typeof trussParts> {
  const slopes = floors.find(({ floor }) => floor.layoutId === truss.layout)?.operator.plan.slopes ?? []
  return trussParts(trussShape(truss), slopes)
}

/** `onPlan:SLOPE;ADDRESS`: what lies in a slope, per area in plan. */
export function onPlan({ document, ...state }: ProjectState, rest: string, why: Why): Traced | null {
  const at = rest.indexOf(';')
  const slope = document.records.get(rest.slice(0, at)) as Slope | undefined
  const load = why({ document, ...state }, rest.slice(at + 1))
  if (slope?.kind !== 'slope' || !load) return null
  const { pitch } = slopeShape(slope)
  return loadOnPlan({
    g_s: { ...load, quantity: 'pressure' },
    alpha: given('α', 'angle', pitch, `slope ${slope.label}`),
  })
}

/** `slopeArea:SLOPE`: its true area. */
export function areaOfSlope({ document }: ProjectState, id: string): Traced | null {
  const slope = document.records.get(id)
  if (slope?.kind !== 'slope') return null
  return slopeArea({
    A_plan: given('A_plan', 'area', Math.abs(signedArea(slope.outline)), 'in plan'),
    alpha: given('α', 'angle', slopeShape(slope).pitch, `slope ${slope.label}`),
  })
}

/** `stairEnd:STAIR:CASE`: what a flight puts on each of its ends, per metre. */
export function stairEnd(state: ProjectState, rest: string, why: Why): Traced | null {
  const [id, caseId] = splitCase(rest)
  const stair = state.document.records.get(id)
  if (stair?.kind !== 'stair') return null
  if (caseId !== selfWeight) {
    const load = stair.key && why(state, keyAddress(stair.key, caseId))
    return load ? atEnd(stair, load) : null
  }
  const material = state.document.records.get(stair.material)
  if (material?.kind !== 'material') return null
  return atEnd(stair, timesFactor(weightOfFlight(stair, material), selfWeightFactor(state)))
}
