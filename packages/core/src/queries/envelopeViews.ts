import type { ActionId } from '../actions/cases'
import type { RuleId } from '../combinations/ruleSets'
import { effectKey, effectsOf, findEffect, type EffectKind } from '../derivation/effects'
import type { ProjectState } from '../derivation/project'
import { structureOf } from '../derivation/structures'
import { extreme, type Extreme, type Sense } from '../envelopes/extremes'

export interface EnvelopeRow {
  readonly key: string
  readonly expandedId: string
  readonly label: string
  readonly levelName: string
  readonly component: string
  readonly most: number
  readonly least: number
  readonly mostLeading: ActionId | null
  readonly leastLeading: ActionId | null
}

/** Most and least of every effect of one kind under one rule, in the order of the building from the bottom. */
export function envelopeRows(state: ProjectState, rule: RuleId, kind: EffectKind): readonly EnvelopeRow[] {
  const structure = structureOf(state, rule)
  if (!structure) return []
  return effectsOf(state, kind).map((effect) => {
    const [most, least] = [extreme(structure, effect.values, 'most'), extreme(structure, effect.values, 'least')]
    const { expandedId, label, levelName, component } = effect
    return {
      key: effectKey(effect),
      expandedId,
      label,
      levelName,
      component,
      most: most.value,
      least: least.value,
      mostLeading: most.leading,
      leastLeading: least.leading,
    }
  })
}

export interface GoverningTerm {
  readonly caseId: string
  readonly name: string
  readonly action: ActionId
  readonly factor: number
  /** Effect of the case at unit factor, N. */
  readonly characteristic: number
  readonly value: number
}

export interface GoverningSide {
  readonly value: number
  readonly leading: ActionId | null
  readonly terms: readonly GoverningTerm[]
  readonly nextBest: Extreme['nextBest']
}

/** The make-up of the governing combinations of one effect. */
export interface GoverningView {
  readonly key: string
  readonly label: string
  readonly levelName: string
  readonly expandedId: string
  readonly clause: string
  readonly most: GoverningSide
  readonly least: GoverningSide
  readonly characteristic: readonly { readonly caseId: string; readonly name: string; readonly value: number }[]
}

export function governing(state: ProjectState, rule: RuleId, key: string): GoverningView | null {
  const effect = findEffect(state, key)
  const structure = structureOf(state, rule)
  if (!effect || !structure) return null
  const cases = state.actions.flatMap((action) => action.cases)
  const side = (sense: Sense): GoverningSide => {
    const { value, leading, factors, nextBest } = extreme(structure, effect.values, sense)
    const terms = factors.flatMap(({ case: index, factor }): GoverningTerm[] => {
      const loadCase = cases[index]
      const characteristic = effect.values[index] ?? 0
      if (!loadCase || characteristic === 0) return []
      const { id, name, action } = loadCase
      return [{ caseId: id, name, action, factor, characteristic, value: factor * characteristic }]
    })
    return { value, leading, terms, nextBest }
  }
  const { label, levelName, expandedId } = effect
  return {
    key,
    label,
    levelName,
    expandedId,
    clause: structure.rule.clause,
    most: side('most'),
    least: side('least'),
    characteristic: cases.map(({ id, name }, i) => ({ caseId: id, name, value: effect.values[i] ?? 0 })),
  }
}
