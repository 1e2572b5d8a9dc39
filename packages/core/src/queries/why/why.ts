import { own } from '../../outcome/own'
import { barrierLoad } from '../../actions/barriers'
import { constructionImposed, constructionPermanent, lateralCase, windDirectionOf } from '../../actions/cases'
import { buildUpWeight, slabWeight, timesFactor } from '../../actions/ownWeight'
import { imposedOn } from '../../actions/keyLoads'
import { isTypedLoad, typedValue } from '../../actions/typedLoads'
import { pressureAt } from '../../derivation/climate'
import { floorAt } from '../../derivation/floorQueries'
import { wallSourcesOf } from '../../derivation/heads'
import { earthquakeOf, storeyForcesOf } from '../../derivation/storeyForces'
import type { ProjectState } from '../../derivation/project'
import { recordsOf } from '../../document/document'
import { splitExpanded } from '../../document/labels'
import {
  areaOfSlope,
  onPlan,
  selfWeightFactor,
  stairEnd,
  weightOfBar,
  weightOfFace,
  weightOfMember,
} from './ownWeights'
import { massOfLevel } from '../massViews'
import { reductionFactor, slabReductionFactor } from './reductionFactor'
import { parameter } from '../../standards/layer'
import { tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import { columnWeight, landing } from './landing'
import { reactionSum } from './reactionSum'
import { columnArea, levelAdds } from './columnParts'
import { axialOf, thrustOf, thrustsOn } from './rakingParts'
import { panelArea, panelLost, panelSum, regionForce, takerSum } from './panelSums'
import {
  baseSum,
  beamSum,
  columnSum,
  landedSum,
  levelSum,
  levelsSum,
  membersSum,
  notCarriedSum,
  splitCase,
} from './sums'
import { extremeSum } from './extremeSum'
import { elementForce, elementMoment, stiffnessOfElement } from './lateralSums'

type Answer = (state: ProjectState, rest: string) => Traced | null

/**
 * One node of the trace behind a number, by its address `head:rest`; null where the address leads nowhere (any more).
 * Sums carry the addresses of their terms, so that a chain is made one link at a time.
 */
export function why(state: ProjectState, address: string): Traced | null {
  const at = address.indexOf(':')
  const head = address.slice(0, at)
  const answer = own(answers, head)
  return answer ? answer(state, address.slice(at + 1)) : null
}

const answers: Readonly<Record<string, Answer>> = {
  parameter: (state, key) => (own(state.standard.values, key) ? parameter(state.standard, key) : null),
  qp: peakPressureAt,
  key: keyLoad,
  roofLoad,
  buildUp: weightOfLayers,
  slab: weightOfSlab,
  onPlan: (state, rest) => onPlan(state, rest, why),
  beamWeight: weightOfMember,
  barWeight: weightOfBar,
  faceWeight: weightOfFace,
  slopeArea: areaOfSlope,
  wall: wallLoadAt,
  wallRun,
  typed: typedLoad,
  barrier: pressOnBarrier,
  stairEnd: (state, rest) => stairEnd(state, rest, why),
  mass: massOfLevel,
  wind: windNumber,
  storeyForce,
  baseShear: baseShearOf,
  stiffness: stiffnessOfElement,
  element: elementForce,
  elementMoment,
  panel: panelSum,
  panelArea,
  panelLost,
  region: (state, rest) => regionForce(state, rest, why),
  taker: takerSum,
  beam: beamSum,
  reaction: reactionSum,
  landing: (state, rest) => landing(state, rest, why),
  columnWeight: (state, rest) => columnWeight(state, rest, why),
  column: columnSum,
  thrust: (state, rest) => thrustOf(state, rest, why),
  axial: (state, rest) => axialOf(state, rest, why),
  thrusts: thrustsOn,
  columnArea,
  adds: levelAdds,
  reduction: reductionFactor,
  slabReduction: slabReductionFactor,
  applied: levelsSum,
  level: levelSum,
  onMembers: membersSum,
  landed: landedSum,
  base: baseSum,
  notCarried: notCarriedSum,
  extreme: extremeSum,
}

/** `qp:HEIGHT` in m. */
function peakPressureAt(state: ProjectState, rest: string): Traced | null {
  const height = Number(rest)
  return Number.isFinite(height) && height > 0 ? pressureAt(state, height) : null
}

const keyParts = ['buildUp', 'imposed', 'concentrated', 'partitions', 'massShare', 'additionalSeismicMass'] as const
const isKeyPart = (part: string | undefined): part is (typeof keyParts)[number] =>
  keyParts.some((known) => known === part)

/** `key:LOADKEY:PART`. */
function keyLoad(state: ProjectState, rest: string): Traced | null {
  const at = rest.lastIndexOf(':')
  const loads = state.keys.get(rest.slice(0, at))
  const part = rest.slice(at + 1)
  if (part === constructionPermanent) return loads?.construction.permanent ?? null
  if (part === constructionImposed) return loads?.construction.imposed ?? null
  return isKeyPart(part) ? (loads?.[part] ?? null) : null
}

/** `roofLoad:LOADKEY:STRETCH`: the imposed load of a roof by its pitch, as true area by area in plan. */
function roofLoad(state: ProjectState, rest: string): Traced | null {
  const at = rest.lastIndexOf(':')
  const loads = state.keys.get(rest.slice(0, at))
  return loads ? imposedOn(loads, Number(rest.slice(at + 1))) : null
}

/** `buildUp:BUILDUP`. */
function weightOfLayers({ document }: ProjectState, id: string): Traced | null {
  const buildUp = document.records.get(id)
  return buildUp?.kind === 'buildUp' ? buildUpWeight(buildUp) : null
}

/** `slab:PANEL`. */
function weightOfSlab(state: ProjectState, id: string): Traced | null {
  const { document } = state
  const panel = document.records.get(id)
  const slab = panel?.kind === 'panel' ? panel.slab : null
  const material = slab && document.records.get(slab.material)
  return slab && material?.kind === 'material'
    ? timesFactor(slabWeight(slab.thickness, material), selfWeightFactor(state))
    : null
}

/** `wall:RUN/SEGMENT@LEVEL`. */
function wallLoadAt(state: ProjectState, rest: string): Traced | null {
  const [id, levelId] = splitExpanded(rest)
  const floor = floorAt(state, levelId)
  const index = floor ? wallSourcesOf(floor.operator).findIndex((source) => source.id === id) : -1
  return floor?.walls.loads[index] ?? null
}

/** `wallRun:RUN@LEVEL`: the stretches of a run together. */
function wallRun(state: ProjectState, rest: string): Traced | null {
  const [runId, levelId] = splitExpanded(rest)
  const floor = floorAt(state, levelId)
  if (!floor) return null
  const terms = wallSourcesOf(floor.operator).flatMap(({ id, run, segment }, i): TracedTerm[] => {
    if (run.id !== runId) return []
    const load = floor.walls.loads[i]?.value ?? 0
    return [
      {
        label: `piece ${segment.index + 1}`,
        value: load * segment.drawn,
        factors: [
          { value: load, quantity: 'lineLoad' },
          { value: segment.drawn, quantity: 'length' },
        ],
        address: `wall:${id}@${levelId}`,
      },
    ]
  })
  return terms.length === 0 ? null : tracedSum('G', 'force', 'sum of the pieces', terms)
}

/** `typed:LOAD`: a load as it was typed; `typed:LOAD:end` what an area load comes to at its end. */
function typedLoad({ document }: ProjectState, rest: string): Traced | null {
  const atEnd = rest.endsWith(':end')
  const load = document.records.get(atEnd ? rest.slice(0, -4) : rest)
  if (!isTypedLoad(load)) return null
  return typedValue(load, atEnd ? 'end' : 'start')
}

const barrierParts = ['load', 'place', 'moment'] as const

/** `barrier:BARRIER:load|place|moment`. */
function pressOnBarrier({ document, standard }: ProjectState, rest: string): Traced | null {
  const [id, part] = splitCase(rest)
  const barrier = document.records.get(id)
  const wanted = barrierParts.find((name) => name === part)
  const load = barrier?.kind === 'barrier' ? barrierLoad(barrier, standard) : null
  return (load && wanted && load[wanted]) ?? null
}

const windNumbers = ['ratio', 'c_D', 'c_E', 'k_corr'] as const

/** `wind:CASE:ratio|c_D|c_E|k_corr`. */
function windNumber(state: ProjectState, rest: string): Traced | null {
  const [caseId, name] = splitCase(rest)
  const result = state.wind?.results.find(({ direction }) => direction.id === windDirectionOf(caseId))
  const wanted = windNumbers.find((entry) => entry === name)
  return (result && wanted && result[wanted]) ?? null
}

/** `baseShear:CASE`: of storey forces that go by the clauses for earthquakes. */
function baseShearOf(state: ProjectState, caseId: string): Traced | null {
  const record = recordsOf(state.document, 'storeyForces').find(({ id }) => lateralCase(id) === caseId)
  return record?.rule === 'earthquake' ? (earthquakeOf(state, record)?.V_B ?? null) : null
}

/** `storeyForce:CASE@LEVEL`. */
function storeyForce(state: ProjectState, rest: string): Traced | null {
  const [caseId, levelId] = splitExpanded(rest)
  const found = storeyForcesOf(state, caseId)?.storeys.find(({ force }) => force.levelId === levelId)
  return found?.trace ?? null
}
