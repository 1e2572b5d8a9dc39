import type { RuleId } from '../../combinations/ruleSets'
import { findEffect } from '../../derivation/effects'
import type { ProjectState } from '../../derivation/project'
import { structureOf } from '../../derivation/structures'
import { extreme } from '../../envelopes/extremes'
import { tracedSum, type Traced, type TracedTerm } from '../../trace/traced'

/** `extreme:RULE:most|least:EFFECT`: the governing combination as factor · case. */
export function extremeSum(state: ProjectState, rest: string): Traced | null {
  const [rule, sense, ...key] = rest.split(':')
  const effect = findEffect(state, key.join(':'))
  const structure = structureOf(state, rule as RuleId)
  if (!effect || !structure || (sense !== 'most' && sense !== 'least')) return null
  const cases = state.actions.flatMap((action) => action.cases)
  const terms = extreme(structure, effect.values, sense).factors.flatMap(({ case: index, factor }): TracedTerm[] => {
    const loadCase = cases[index]
    const value = effect.values[index] ?? 0
    if (!loadCase || value === 0) return []
    return [
      {
        label: loadCase.name,
        value: factor * value,
        factors: [
          { value: factor, quantity: 'factor' },
          { value, quantity: effect.quantity },
        ],
        address: caseAddress(effect.kind, effect.expandedId, loadCase.id),
      },
    ]
  })
  return tracedSum('E_d', 'force', structure.rule.clause, terms)
}

function caseAddress(kind: string, expandedId: string, caseId: string): string {
  if (kind === 'storeyShear') return `applied:${caseId}`
  return `${kind === 'beamTotal' ? 'beam' : 'column'}:${expandedId}:${caseId}`
}
