import { hasStoreyForces, lateralCase, windDirectionOf } from '../actions/cases'
import { forceOfWeight } from '../actions/lateral/storeyForce'
import type { StoreyForce } from '../actions/wind/windLoads'
import { recordsOf } from '../document/document'
import type { StoreyForces } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { given, type Traced } from '../trace/traced'
import { levelMasses, tracedWeight } from './masses'
import type { ProjectState } from './project'

/** The storey forces of one case, bottom first, each with how it came about. */
export interface StoreyForcesOfCase {
  readonly caseId: string
  /** Unit vector along the push. */
  readonly way: Point
  readonly storeys: readonly { readonly force: StoreyForce; readonly trace: Traced<'force'> }[]
  /** Along the push, N. */
  readonly total: number
}

/** Storey forces of a wind direction or of a record; null for any other case. */
export function storeyForcesOf(state: ProjectState, caseId: string): StoreyForcesOfCase | null {
  const direction = windDirectionOf(caseId)
  const wind = direction && state.wind?.results.find((result) => result.direction.id === direction)
  if (wind) {
    const { x, y } = wind.direction
    return { caseId, way: [x, y], storeys: wind.storeys, total: wind.total }
  }
  const record = recordsOf(state.document, 'storeyForces').find(({ id }) => lateralCase(id) === caseId)
  return record ? forcesByWeight(state, record) : null
}

/** Every case with storey forces. */
export const allStoreyForces = (state: ProjectState): readonly StoreyForcesOfCase[] =>
  state.caseIds.flatMap((id) => (hasStoreyForces(id) ? (storeyForcesOf(state, id) ?? []) : []))

function forcesByWeight(state: ProjectState, record: StoreyForces): StoreyForcesOfCase {
  const way: Point = [Math.cos(record.angle), Math.sin(record.angle)]
  const ground = state.basis?.ground ?? 0
  const typed = new Map<string, number>(record.forces.map(({ level, force }) => [level, force]))
  const mu = given('mu', 'factor', record.share, `typed for “${record.name}”`)
  const storeys = state.floors.flatMap(({ level }) => {
    const mass = levelMasses(state).find(({ levelId }) => levelId === level.id)
    if (!mass?.centre) return []
    const value = typed.get(level.id)
    const trace =
      value === undefined
        ? forceOfWeight({ mu, W: tracedWeight(state, mass) })
        : given('H', 'force', value, `typed for “${record.name}”`)
    const [x, y] = mass.centre
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
  return { caseId: lateralCase(record.id), way, storeys, total }
}
