import { expandedAt, placeOf } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { pushesIn, rakingAt, turningOf, type Push } from '../../derivation/thrust'
import { labelOf } from '../../document/labels'
import { alongAxis, thrust } from '../../rundown/raking'
import { given, tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import type { Why } from './landing'
import { folded, splitCase } from './sums'

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

const thrustParts = {
  x: ['H_x', 'force', ({ force }: Push) => force[0]],
  y: ['H_y', 'force', ({ force }: Push) => force[1]],
  moment: ['M', 'moment', turningOf],
} as const

/** `thrusts:LEVEL:CASE:x`, `y` or `moment`, where the base is no level: what rakes does to a level, member by member. */
export function thrustsOn(state: ProjectState, rest: string): Traced | null {
  const [where, part] = splitCase(rest)
  const [levelId, caseId] = splitCase(where)
  if (!(part in thrustParts) || !state.caseIds.includes(caseId)) return null
  const level = state.floors.findIndex((floor) => floor.level.id === levelId)
  if (level < 0 && levelId !== 'base') return null
  const [symbol, quantity, of] = thrustParts[part as keyof typeof thrustParts]
  const terms = pushesIn(state, caseId).flatMap((push): readonly TracedTerm[] => {
    const { floor, row } = push.place
    const id = floor.operator.plan.frame.columns[row]?.member.id
    if (push.level !== level || id === undefined || of(push) === 0) return []
    const address = `thrust:${expandedAt(floor, id)}:${caseId}`
    return [{ label: labelOf(state.document, id), value: of(push), address }]
  })
  return tracedSum(symbol, quantity, 'what rakes, at this level', folded(terms))
}
