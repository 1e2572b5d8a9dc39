import { hasStoreyForces, isHorizontal, lateralCase, windOfCase } from '../actions/cases'
import { baseShear, forceOfLevel, forceOfWeight, weightByHeight } from '../actions/lateral/storeyForce'
import type { StoreyForce } from '../actions/wind/windLoads'
import { recordsOf } from '../document/document'
import { once } from '../outcome/once'
import type { Level, StoreyForces } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { earthquakeRuleOf } from '../standards/earthquakeRules'
import { given, tracedSum, type Traced } from '../trace/traced'
import { windResultOf } from './climate'
import { levelMasses, tracedWeight, type LevelMass } from './masses'
import { addedByLevel, pushesAsForces } from './pushes'
import type { StoreyForcesOfCase } from './storeyForcesOfCase'
import type { ProjectState } from './project'

/**
 * Storey forces of a wind direction or of a record; null for any other case. Of the wind: what is derived, and what presses on wall
 * surfaces that the derived wind does not hold.
 */
export function storeyForcesOf(state: ProjectState, caseId: string): StoreyForcesOfCase | null {
  const direction = windOfCase(caseId)
  if (direction) return windOf(state, caseId, [direction.x, direction.y])
  const record = recordsOf(state.document, 'storeyForces').find(({ id }) => lateralCase(id) === caseId)
  return record ? forcesByWeight(state, record) : null
}

function windOf(state: ProjectState, caseId: string, way: Point): StoreyForcesOfCase | null {
  const derived = windResultOf(state, caseId)
  const pushes = pushesAsForces(state, caseId, way)
  if (!derived) return pushes
  const { storeys, total } = derived
  if (!pushes) return { caseId, way, storeys, total, lost: 0 }
  const together = addedByLevel([...storeys, ...pushes.storeys])
  return { caseId, way, storeys: together, total: total + pushes.total, lost: pushes.lost }
}

/**
 * What acts on levels sideways in a case of any kind: its storey forces, or in a case of gravity what rakes, what is square to slopes, and
 * what presses on wall surfaces. Null where nothing does.
 */
export const sidewaysForcesOf = (state: ProjectState, caseId: string): StoreyForcesOfCase | null =>
  isHorizontal(caseId) ? storeyForcesOf(state, caseId) : pushesAsForces(state, caseId, null)

export const allSidewaysForces = once((state: ProjectState): readonly StoreyForcesOfCase[] =>
  state.caseIds.flatMap((id) => sidewaysForcesOf(state, id) ?? []),
)

/** Every case with storey forces. */
export const allStoreyForces = (state: ProjectState): readonly StoreyForcesOfCase[] =>
  state.caseIds.flatMap((id) => (hasStoreyForces(id) ? (storeyForcesOf(state, id) ?? []) : []))

function forcesByWeight(state: ProjectState, record: StoreyForces): StoreyForcesOfCase {
  const way: Point = [Math.cos(record.angle), Math.sin(record.angle)]
  const ground = state.basis?.ground ?? 0
  const typed = new Map<string, number>(record.forces.map(({ level, force }) => [level, force]))
  const forceOn = record.rule === 'earthquake' ? earthquakeForces(state, record) : shareOfWeight(state, record)
  const storeys = massesUp(state).flatMap(({ level, mass, centre: [x, y] }) => {
    const value = typed.get(level.id)
    const trace =
      value === undefined ? forceOn(mass, level) : given('H', 'force', value, `entered for “${record.name}”`)
    const force: StoreyForce = {
      levelId: level.id,
      fx: trace.value * way[0],
      fy: trace.value * way[1],
      x: x - record.aside * way[1],
      y: y + record.aside * way[0],
      z: level.elevation - ground,
    }
    return [{ force, trace }]
  })
  const total = storeys.reduce((sum, { trace }) => sum + trace.value, 0)
  return { caseId: lateralCase(record.id), way, storeys, total, lost: 0 }
}

/** Levels that have a mass, bottom first. */
const massesUp = (state: ProjectState) =>
  state.floors.flatMap(({ level }) => {
    const mass = levelMasses(state).find(({ levelId }) => levelId === level.id)
    return mass?.centre ? [{ level, mass, centre: mass.centre }] : []
  })

type ForceOn = (mass: LevelMass, level: Level) => Traced<'force'>

function shareOfWeight(state: ProjectState, { share, name }: StoreyForces): ForceOn {
  const mu = given('mu', 'factor', share, `entered for “${name}”`)
  return (mass) => forceOfWeight({ mu, W: tracedWeight(state, mass) })
}

/** What the family's clauses make of the weights above the ground; nothing where it has none. */
function earthquakeForces(state: ProjectState, record: StoreyForces): ForceOn {
  const found = earthquakeOf(state, record)
  const none = given('Q', 'force', 0, found ? 'not above the ground' : 'no rule of the standard')
  return (_, level) => found?.parts.get(level.id) ?? none
}

/** An earthquake on the building: its force at the base, and the part of each level by its id. */
export interface Earthquake {
  readonly V_B: Traced<'force'>
  readonly parts: ReadonlyMap<string, Traced<'force'>>
}

/** Null where the family has no rule, or nothing weighs above the ground. */
export function earthquakeOf(state: ProjectState, record: StoreyForces): Earthquake | null {
  const rule = earthquakeRuleOf(state.standard.family)
  const ground = state.basis?.ground ?? 0
  const above = massesUp(state).filter(({ level, mass }) => level.elevation > ground && mass.weight > 0)
  const top = above.at(-1)
  if (!rule || !top) return null
  const h = given('h', 'length', top.level.elevation - ground, `level ${top.level.name} above ground`)
  const T =
    record.period === null
      ? rule.period(h, state.standard)
      : given('T', 'period', record.period, `entered for “${record.name}”`)
  const weights = above.map(({ level, mass }) => ({ level, W: tracedWeight(state, mass) }))
  const W = sumOf('W', 'weight of the levels above the ground', weights)
  const V_B = withClause(baseShear({ A: rule.coefficient(T, state.standard), W }), rule.forceClause)
  const k = rule.power(T, state.standard)
  const byHeight = weights.map(({ level, W: own }) => {
    const z = given('z', 'length', level.elevation - ground, `level ${level.name} above ground`)
    return { level, W: weightByHeight({ W: own, z, h, k }) }
  })
  const S_k = sumOf('S_k', 'of all levels', byHeight)
  const parts = byHeight.map(
    ({ level, W: W_k }) => [level.id, withClause(forceOfLevel({ V_B, W_k, S_k }), rule.partClause)] as const,
  )
  return { V_B, parts: new Map<string, Traced<'force'>>(parts) }
}

const sumOf = (
  symbol: string,
  clause: string,
  terms: readonly { readonly level: Level; readonly W: Traced<'force'> }[],
): Traced<'force'> =>
  tracedSum(
    symbol,
    'force',
    clause,
    terms.map(({ level, W }) => ({ label: `level ${level.name}`, value: W.value, traced: W })),
  )

/** The same by the clause of the family. */
const withClause = (traced: Traced<'force'>, clause: string): Traced<'force'> =>
  traced.basis.kind === 'formula' ? { ...traced, basis: { ...traced.basis, clause } } : traced
