import { exclusions } from '../actions/cases'
import { ruleSets, type Rule, type RuleId } from '../combinations/ruleSets'
import { combinationStructure, countCombinations, type CombinationStructure } from '../combinations/structure'
import type { ProjectState } from './project'

export const rulesOf = (state: ProjectState): readonly Rule[] =>
  ruleSets(state.standard, state.basis?.consequenceClass ?? 'CC2')

/** One structure per rule; none where there is no action. */
export const structuresOf = (state: ProjectState): readonly CombinationStructure[] =>
  state.actions.length === 0 ? [] : rulesOf(state).map((rule) => combinationStructure(rule, state.actions, exclusions))

export const structureOf = (state: ProjectState, rule: RuleId): CombinationStructure | undefined =>
  structuresOf(state).find((structure) => structure.rule.id === rule)

/** Combinations of all rules together, counted without listing. */
export const combinationCount = (state: ProjectState): bigint =>
  structuresOf(state).reduce((sum, structure) => sum + countCombinations(structure), 0n)
