import { standsApart } from '../actions/cases'
import type { RuleId } from '../combinations/ruleSets'
import { countCombinations, listCombinations, type Combination } from '../combinations/structure'
import type { ActionId } from '../standards/family'
import type { ProjectState } from '../derivation/project'
import { rulesOf, structuresOf } from '../derivation/structures'

export interface RuleView {
  readonly id: RuleId
  readonly set: string
  readonly name: string
  readonly clause: string
  readonly expression: string
  readonly permanent: readonly [unfavourable: number, favourable: number]
  /** How many combinations the rule holds, counted without listing; decimal digits, since it may pass 2^53. */
  readonly count: string
  readonly factors: readonly RuleFactor[]
  /** The parameters that the rule reads, beside the psi factors. */
  readonly parameters: readonly string[]
  readonly listed: readonly Combination[]
  /** The action that the rule is made for, where the project has no case of it: then it does not count. */
  readonly waitsFor: ActionId | null
}

export interface RuleFactor {
  readonly caseId: string
  readonly name: string
  readonly leading: number | null
  readonly accompanying: number
}

/** A table on the screen shows so many combinations; the count says how many there are. */
export const listLimit = 200

/** The rules with their factors and counts; combinations are written out for one rule (or the first of a set), up to a limit. */
export function ruleViews(state: ProjectState, listRule: RuleId | null): readonly RuleView[] {
  const variable = state.actions
    .filter(({ nature, id }) => nature === 'variable' && !standsApart(id))
    .flatMap((action) => action.cases)
  const structures = structuresOf(state)
  const rules = structures.map(({ rule }) => rule)
  const listed = rules.find(({ id }) => id === listRule) ?? rules.find(({ set }) => set === listRule)
  if (structures.length === 0) return []
  const structureOf = new Map(structures.map((structure) => [structure.rule.id, structure]))
  return rulesOf(state).map((rule) => {
    const { id, set, name, clause, expression, permanent, leading, accompanying, parameters, principal } = rule
    const structure = structureOf.get(id)
    return {
      id,
      set,
      name,
      clause,
      expression,
      permanent,
      parameters,
      count: structure ? countCombinations(structure).toString() : '0',
      waitsFor: structure ? null : principal,
      factors: variable.map((loadCase) => ({
        caseId: loadCase.id,
        name: loadCase.name,
        leading: leading ? leading(loadCase) : null,
        accompanying: accompanying(loadCase),
      })),
      listed: structure && listed?.id === id ? [...listCombinations(structure, listLimit)] : [],
    }
  })
}
