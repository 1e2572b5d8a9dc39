import { largest, smallest } from '../outcome/lists'
import type { Rule } from '../combinations/ruleSets'
import { caseRow } from '../derivation/cells'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { counts, rulesOf } from '../derivation/structures'
import { labelOf } from '../document/labels'
import type { Concern } from '../outcome/outcome'
import { entry } from '../outcome/assert'
import { familyOf } from '../standards/families'

/** N */
const felt = 1

/**
 * Supports that imposed load lifts, where no row that counts has a reduced factor on dead load: the rows that have one are made for
 * wind, and there is none. The force by that factor is stated, the most lifted support of each beam.
 */
export function upliftWithoutRow(state: ProjectState): readonly Concern[] {
  const strength = familyOf(state.standard.family).ruleSets[0]?.id
  const rules = rulesOf(state).filter(({ set }) => set === strength)
  const least = (of: readonly Rule[]) => smallest(of.map(({ permanent }) => smallest(permanent)))
  const [any, counted] = [least(rules), least(rules.filter((rule) => counts(state, rule)))]
  if (!(any < 1) || counted < 1 || state.actions.length === 0) return []
  const imposed = state.actions.find(({ id }) => id === 'imposed')?.cases ?? []
  const factorOf = (caseId: string): number => {
    const loadCase = imposed.find(({ id }) => id === caseId)
    return loadCase ? Math.max(0, largest(rules.map(({ accompanying }) => accompanying(loadCase)))) : 0
  }
  const factors = state.caseIds.map(factorOf)
  return state.floors.flatMap((floor) => [
    ...beamEnds(state, floor, { any, factors }),
    ...(floor === state.floors[0] ? feet(state, floor, { any, factors }) : []),
  ])
}

interface By {
  readonly any: number
  readonly factors: readonly number[]
}

/** Dead load, what imposed load lifts, and both by their factors: N downwards. */
function liftOf({ caseIds }: ProjectState, values: Float64Array, { any, factors }: By) {
  let [dead, lift, factored] = [0, 0, 0]
  caseIds.forEach((id, i) => {
    const value = entry(values, i)
    if (id.startsWith('permanent/')) dead += value
    else if (value < 0 && entry(factors, i) > 0) {
      lift += value
      factored += entry(factors, i) * value
    }
  })
  return { dead, lift, force: any * dead + factored }
}

function beamEnds(state: ProjectState, floor: FloorState, by: By): readonly Concern[] {
  const { frame } = floor.operator.plan
  return frame.beams.flatMap(({ member, supports }, index): Concern[] => {
    const first = entry(floor.operator.firstSupport, index)
    const found = supports.map(({ s }, k) => ({
      s,
      ...liftOf(state, caseRow(state, floor.rundown.reactions, first + k), by),
    }))
    const [most] = found.filter(({ lift }) => lift < -felt).sort((a, b) => a.force - b.force)
    return most ? [concern(state, floor, member.id, most, by)] : []
  })
}

function feet(state: ProjectState, floor: FloorState, by: By): readonly Concern[] {
  return floor.operator.plan.frame.columns.flatMap(({ member }, row): Concern[] => {
    const found = liftOf(state, caseRow(state, floor.rundown.feet, row), by)
    return found.lift < -felt ? [concern(state, floor, member.id, { s: -1, ...found }, by)] : []
  })
}

function concern(
  state: ProjectState,
  floor: FloorState,
  id: string,
  { s, dead, lift, force }: ReturnType<typeof liftOf> & { readonly s: number },
  { any, factors }: By,
): Concern {
  const data = {
    label: labelOf(state.document, id),
    level: floor.level.name,
    s,
    dead,
    up: -lift,
    force,
    gamma: any,
    gammaQ: largest(factors),
    family: familyOf(state.standard.family).name,
  }
  return { code: 'support.lifted', about: [expandedAt(floor, id)], data }
}
