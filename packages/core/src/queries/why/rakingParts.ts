import { expandedAt, placeOf } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { pushesIn, rakingAt, turningOf, type Push } from '../../derivation/thrust'
import { labelOf } from '../../document/labels'
import { squareTo } from '../../derivation/sideways'
import { surfacePushes } from '../../derivation/surfaceLoads'
import { alongAxis, thrust } from '../../rundown/raking'
import { given, tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import type { Why } from './landing'
import { folded, splitCase } from './sums'

/** What rakes at an address `MEMBER@LEVEL:CASE`, with the numbers that both of its formulas go from; null for what does not. */
function rakingFrom(state: ProjectState, rest: string, why: Why) {
  const [expandedId, caseId] = splitCase(rest)
  const place = placeOf(state, expandedId, 'columns')
  const raking = place && state.caseIds.includes(caseId) ? rakingAt(state, place, caseId) : null
  if (!raking) return null
  const { own, far, rise, run } = raking
  const end = why(state, `column:${rest}`)
  const V_2: Traced<'force'> = end
    ? { ...end, quantity: 'force', value: far }
    : given('V_2', 'force', far, 'at its other end')
  const a = given('a', 'length', run, 'between its ends, in plan')
  const h = given('h', 'length', rise, 'between its ends, upwards')
  const weight = { label: 'self-weight', value: own - far, address: `columnWeight:${expandedId}` }
  const all = { label: 'at its other end', value: far, address: `column:${rest}` }
  const V_1 = tracedSum('V_1', 'force', 'at its own level', weight.value === 0 ? [all] : [all, weight])
  return { V_2, H: thrust({ V_1, V_2, a, h }), a, h }
}

/** `thrust:MEMBER@LEVEL:CASE`: the horizontal force at each end of a column or hanger that rakes. */
export const thrustOf = (state: ProjectState, rest: string, why: Why): Traced | null =>
  rakingFrom(state, rest, why)?.H ?? null

/** `axial:MEMBER@LEVEL:CASE`: along it, where its load comes together; the force of what does not rake is that at its end. */
export function axialOf(state: ProjectState, rest: string, why: Why): Traced | null {
  const found = rakingFrom(state, rest, why)
  return found ? alongAxis(found) : why(state, `column:${rest}`)
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
  const floor = state.floors[level]
  const square = floor ? squareTo(state, floor, caseId) : []
  const ofLoads = square.flatMap(({ loadId, force, moment }): readonly TracedTerm[] => {
    const value = part === 'moment' ? moment : force[part === 'x' ? 0 : 1]
    const label = `${labelOf(state.document, loadId)}, normal to a slope`
    return value === 0 ? [] : [{ label, value, address: `typed:${loadId}` }]
  })
  const ofSurfaces = surfacePushes(state, caseId).flatMap(
    ({ pressed, order, force, moment }): readonly TracedTerm[] => {
      const value = part === 'moment' ? moment : force[part === 'x' ? 0 : 1]
      if (order !== level || value === 0) return []
      const { surface, index } = pressed.stretch
      return [{ label: `pressure surface ${surface.label}, segment ${index + 1}`, value }]
    },
  )
  const all = [...terms, ...ofLoads, ...ofSurfaces]
  return tracedSum(symbol, quantity, 'horizontal thrusts at this level', folded(all))
}
