import { findEffect, type Effect, type EffectKind } from '../../derivation/effects'
import type { ProjectState } from '../../derivation/project'
import { structuresOfSet } from '../../derivation/structures'
import { extremeOf } from '../../envelopes/extremes'
import { takenBy } from '../envelopeViews'
import { tracedSum, type Traced, type TracedTerm } from '../../trace/traced'

/** `extreme:SET:most|least:EFFECT`: the governing combination as factor · case. */
export function extremeSum(state: ProjectState, rest: string): Traced | null {
  const [set = '', sense, ...key] = rest.split(':')
  const effect = findEffect(state, key.join(':'))
  if (!effect || (sense !== 'most' && sense !== 'least')) return null
  const structures = structuresOfSet(state, set)
  const governing = extremeOf(structures, effect.combined, sense)
  if (!governing) return null
  const cases = state.actions.flatMap((action) => action.cases)
  const terms = governing.factors.flatMap((acting): TracedTerm[] => {
    const { case: index } = acting
    const loadCase = cases[index]
    const value = effect.values[index] ?? 0
    if (!loadCase || value === 0) return []
    const { factor, reduction } = takenBy(effect, acting)
    return [
      {
        label: reduction === 1 ? loadCase.name : `${loadCase.name}, reduced`,
        value: factor * reduction * value,
        factors: [
          { value: factor, quantity: 'factor' },
          ...(reduction === 1 ? [] : [{ value: reduction, quantity: 'factor' } as const]),
          { value, quantity: effect.quantity },
        ],
        address: caseAddress(effect, loadCase.id),
      },
    ]
  })
  const clause = structures.find(({ rule }) => rule.id === governing.rule)?.rule.clause ?? ''
  return tracedSum('E_d', 'force', clause, terms)
}

const heads: Readonly<Record<Exclude<EffectKind, 'storeyShear'>, Partial<Record<Effect['component'], string>>>> = {
  reaction: { x: 'thrust', y: 'thrust' },
  columnForce: { N: 'axial' },
  elementShear: { V: 'element' },
  beamTotal: { Z: 'beam' },
}

function caseAddress({ kind, expandedId, component }: Effect, caseId: string): string {
  if (kind === 'storeyShear') return `applied:${caseId}`
  return `${heads[kind][component] ?? 'column'}:${expandedId}:${caseId}`
}
