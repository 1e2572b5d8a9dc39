import type { LoadCase } from '../actions/cases'
import type { RuleId } from '../combinations/ruleSets'
import type { CombinationStructure, Factor } from '../combinations/structure'
import { effectKey, effectsOf, findEffect, type Effect, type EffectKind } from '../derivation/effects'
import type { ProjectState } from '../derivation/project'
import { structuresOfSet } from '../derivation/structures'
import { extremeOf, type Rival, type Sense } from '../envelopes/extremes'
import type { ActionId } from '../standards/family'

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

/** Most and least of every effect of one kind under one set of rules, in the order of the building from the bottom. */
export function envelopeRows(state: ProjectState, set: string, kind: EffectKind): readonly EnvelopeRow[] {
  const structures = structuresOfSet(state, set)
  return effectsOf(state, kind).flatMap((effect): EnvelopeRow[] => {
    const [most, least] = [
      extremeOf(structures, effect.combined, 'most'),
      extremeOf(structures, effect.combined, 'least'),
    ]
    const { expandedId, label, levelName, component } = effect
    if (!most || !least) return []
    return [
      {
        key: effectKey(effect),
        expandedId,
        label,
        levelName,
        component,
        most: most.value,
        least: least.value,
        mostLeading: most.leading,
        leastLeading: least.leading,
      },
    ]
  })
}

export interface GoverningTerm {
  readonly caseId: string
  readonly name: string
  readonly action: ActionId
  readonly factor: number
  /** Effect of the case at unit factor, N. */
  readonly characteristic: number
  /** What it is reduced by for area or storeys; 1 where it is whole. */
  readonly reduction: number
  readonly value: number
}

/** A combination by its value, the rule that it is of, and the action that leads it where the rule has one. */
export interface GoverningRival {
  readonly value: number
  readonly leading: ActionId | null
  readonly rule: { readonly id: RuleId; readonly name: string; readonly clause: string; readonly leads: boolean }
}

export interface GoverningSide extends GoverningRival {
  readonly terms: readonly GoverningTerm[]
  readonly nextBest: GoverningRival | null
}

/** The make-up of the governing combinations of one effect. */
export interface GoverningView {
  readonly key: string
  readonly label: string
  readonly levelName: string
  readonly expandedId: string
  readonly most: GoverningSide
  readonly least: GoverningSide
  readonly characteristic: readonly { readonly caseId: string; readonly name: string; readonly value: number }[]
}

export function governing(state: ProjectState, set: string, key: string): GoverningView | null {
  const effect = findEffect(state, key)
  const structures = structuresOfSet(state, set)
  if (!effect || structures.length === 0) return null
  const cases = state.actions.flatMap((action) => action.cases)
  const [most, least] = (['most', 'least'] as const).map((sense) => sideOf(structures, effect, cases, sense))
  if (!most || !least) return null
  const { label, levelName, expandedId } = effect
  return {
    key,
    label,
    levelName,
    expandedId,
    most,
    least,
    characteristic: cases.map(({ id, name }, i) => ({ caseId: id, name, value: effect.values[i] ?? 0 })),
  }
}

function sideOf(
  structures: readonly CombinationStructure[],
  effect: Effect,
  cases: readonly LoadCase[],
  sense: Sense,
): GoverningSide | null {
  const found = extremeOf(structures, effect.combined, sense)
  if (!found) return null
  const named = ({ value, leading, rule }: Rival): GoverningRival => {
    const known = structures.find((structure) => structure.rule.id === rule)?.rule
    const { name = '', clause = '' } = known ?? {}
    return { value, leading, rule: { id: rule, name, clause, leads: Boolean(known?.leading) } }
  }
  const terms = found.factors.flatMap((acting): GoverningTerm[] => {
    const { case: index } = acting
    const loadCase = cases[index]
    const characteristic = effect.values[index] ?? 0
    if (!loadCase || characteristic === 0) return []
    const { id, name, action } = loadCase
    const { factor, reduction } = takenBy(effect, acting)
    return [{ caseId: id, name, action, factor, characteristic, reduction, value: factor * reduction * characteristic }]
  })
  return { ...named(found), terms, nextBest: found.nextBest ? named(found.nextBest) : null }
}

/**
 * What a factor of a combination is made of: the factor itself, and the part of the whole effect that it acts on. Where the reduction
 * stands in place of psi, psi is taken out of the factor.
 */
export function takenBy(
  { values, combined, lower }: Effect,
  { case: index, factor, psi }: Factor,
): { readonly factor: number; readonly reduction: number } {
  const whole = values[index] ?? 0
  const reduction = whole === 0 ? 1 : combined(index, psi) / whole
  return lower && psi !== null && reduction !== 1
    ? { factor: factor / psi, reduction: reduction * psi }
    : { factor, reduction }
}
