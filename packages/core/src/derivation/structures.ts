import { standsApart } from '../actions/cases'
import { ruleSets, type Rule } from '../combinations/ruleSets'
import { combinationStructure, countCombinations, type CombinationStructure } from '../combinations/structure'
import { familyOf } from '../standards/families'
import type { RuleSet } from '../standards/family'
import type { ProjectState } from './project'

export const rulesOf = (state: ProjectState): readonly Rule[] =>
  ruleSets(state.standard, state.basis?.consequenceClass ?? 'CC2')

/** Whether there is a case of the action that a rule is made for. */
export const counts = ({ actions }: Pick<ProjectState, 'actions'>, { principal }: Rule): boolean =>
  principal === null || actions.some(({ id, cases }) => id === principal && cases.length > 0)

/** One structure per rule that counts; none where there is no action. */
export const structuresOf = (state: ProjectState): readonly CombinationStructure[] => {
  const { exclusions } = familyOf(state.standard.family)
  // what stands apart comes last among the actions, so that the cases before it keep their places
  const final = state.actions.filter(({ id }) => !standsApart(id))
  return final.length === 0
    ? []
    : rulesOf(state)
        .filter((rule) => counts(state, rule))
        .map((rule) => combinationStructure(rule, final, exclusions))
}

/** The structures of the rules that are enveloped together. */
export const structuresOfSet = (state: ProjectState, set: string): readonly CombinationStructure[] =>
  structuresOf(state).filter(({ rule }) => rule.set === set)

export const setsOf = (state: ProjectState): readonly RuleSet[] => familyOf(state.standard.family).ruleSets

/** Combinations of all rules together, counted without listing. */
export const combinationCount = (state: ProjectState): bigint =>
  structuresOf(state).reduce((sum, structure) => sum + countCombinations(structure), 0n)
