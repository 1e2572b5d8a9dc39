import { placeOf } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { rakingAt } from '../../derivation/thrust'
import { alongAxis, thrust } from '../../rundown/raking'
import { given, tracedSum, type Traced } from '../../trace/traced'
import type { Why } from './landing'
import { splitCase } from './sums'

/** `thrust:MEMBER@LEVEL:CASE`: the horizontal force at each end of a column or hanger that rakes. */
export function thrustOf(state: ProjectState, rest: string, why: Why): Traced | null {
  const [expandedId, caseId] = splitCase(rest)
  const place = placeOf(state, expandedId, 'columns')
  const raking = place && state.caseIds.includes(caseId) ? rakingAt(state, place, caseId) : null
  if (!raking) return null
  const { own, far, rise, run } = raking
  const end = why(state, `column:${rest}`)
  const weight = { label: 'its own weight', value: own - far, address: `columnWeight:${expandedId}` }
  const all = { label: 'at its other end', value: far, address: `column:${rest}` }
  return thrust({
    V_1: tracedSum('V_1', 'force', 'at its own level', weight.value === 0 ? [all] : [all, weight]),
    V_2: end ? { ...end, quantity: 'force', value: far } : given('V_2', 'force', far, 'at its other end'),
    a: given('a', 'length', run, 'between its ends, in plan'),
    h: given('h', 'length', rise, 'between its ends, upwards'),
  })
}

/** `axial:MEMBER@LEVEL:CASE`: along it, where its load comes together; the force of what does not rake is that at its end. */
export function axialOf(state: ProjectState, rest: string, why: Why): Traced | null {
  const [expandedId, caseId] = splitCase(rest)
  const place = placeOf(state, expandedId, 'columns')
  const raking = place && state.caseIds.includes(caseId) ? rakingAt(state, place, caseId) : null
  if (!raking) return why(state, `column:${rest}`)
  const H = thrustOf(state, rest, why)
  const end = why(state, `column:${rest}`)
  return alongAxis({
    V_2: end ? { ...end, quantity: 'force', value: raking.far } : given('V_2', 'force', raking.far, 'at its end'),
    H: H ? { ...H, quantity: 'force' } : given('H', 'force', raking.thrust, 'at each end'),
    a: given('a', 'length', raking.run, 'between its ends, in plan'),
    h: given('h', 'length', raking.rise, 'between its ends, upwards'),
  })
}
