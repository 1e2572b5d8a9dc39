import type { Action, LoadCase } from '../actions/cases'
import type { ActionId, Exclusion } from '../standards/family'
import type { Psi, Rule } from './ruleSets'

/** Factor on one case, by its index in the project's list of cases. */
export interface Factor {
  readonly case: number
  readonly factor: number
  /** The psi that is in the factor; null where there is none. */
  readonly psi: number | null
}

/** One way in which an action can act: the cases that act and their factors. */
export interface Choice {
  readonly action: ActionId
  readonly factors: readonly Factor[]
}

/** A variable action under one rule: its choices when it leads and when it accompanies. A choice with no factor is none. */
export interface VariableSlot {
  readonly action: ActionId
  readonly leading: readonly Choice[]
  readonly accompanying: readonly Choice[]
}

/**
 * The combinations of one rule as a structure: one of the permanent choices, at most one leading action, and any of
 * the others that do not exclude each other. It is written out only for a file or a table.
 */
export interface CombinationStructure {
  readonly rule: Rule
  readonly permanent: readonly Choice[]
  readonly variable: readonly VariableSlot[]
  /** excluded[i] holds the slots that never act with slot i. */
  readonly excluded: readonly (readonly number[])[]
}

export function combinationStructure(
  rule: Rule,
  actions: readonly Action[],
  exclusions: readonly Exclusion[],
): CombinationStructure {
  const cases = actions.flatMap((action) => action.cases)
  const indexOf = new Map(cases.map((loadCase, i) => [loadCase.id, i]))
  const choicesOf = (action: Action, factor: (loadCase: LoadCase) => number, psi: Psi): readonly Choice[] => {
    const factors = action.cases.map((loadCase) => ({
      case: indexOf.get(loadCase.id) ?? -1,
      factor: factor(loadCase),
      psi: psi?.(loadCase) ?? null,
    }))
    const groups = action.rule === 'together' ? [factors] : factors.map((entry) => [entry])
    return groups
      .map((group) => ({ action: action.id, factors: group.filter((entry) => entry.factor !== 0) }))
      .filter((choice) => choice.factors.length > 0)
  }
  const variableActions = actions.filter(({ nature }) => nature === 'variable')
  const variable = variableActions.map((action) => ({
    action: action.id,
    leading: rule.leading ? choicesOf(action, rule.leading, rule.psi.leading) : [],
    accompanying: choicesOf(action, rule.accompanying, rule.psi.accompanying),
  }))
  const pairs = [...exclusions.map(({ actions: pair }) => pair), ...rule.either]
  const excluded = variable.map(({ action }) =>
    variable.flatMap((other, j) =>
      pairs.some(([a, b]) => (a === action && b === other.action) || (b === action && a === other.action)) ? [j] : [],
    ),
  )
  return { rule, permanent: permanentChoices(rule, actions, indexOf), variable, excluded }
}

/** Permanent action of one source: all of it by the high factor or all of it by the low one. */
function permanentChoices(
  rule: Rule,
  actions: readonly Action[],
  indexOf: ReadonlyMap<string, number>,
): readonly Choice[] {
  const cases = actions.filter(({ nature }) => nature === 'permanent').flatMap((action) => action.cases)
  return [...new Set(rule.permanent)].map((factor) => ({
    action: 'permanent',
    factors: cases.map((loadCase) => ({ case: indexOf.get(loadCase.id) ?? -1, factor, psi: null })),
  }))
}

/** How many combinations the structure holds, without listing them. Counts pass 2^53, hence bigint. */
export function countCombinations(structure: CombinationStructure): bigint {
  const permanent = BigInt(structure.permanent.length)
  const { variable } = structure
  const none = structure.rule.leading ? 1n : countOthers(structure, 0, new Set())
  const led = variable.reduce(
    (sum, slot, i) =>
      sum + BigInt(slot.leading.length) * countOthers(structure, 0, new Set([i, ...(structure.excluded[i] ?? [])])),
    0n,
  )
  return permanent * (none + led)
}

/** Ways for the slots from `from` on to act or not, apart from those shut out. */
function countOthers(structure: CombinationStructure, from: number, shut: ReadonlySet<number>): bigint {
  const slot = structure.variable[from]
  if (!slot) return 1n
  const without = countOthers(structure, from + 1, shut)
  if (shut.has(from) || slot.accompanying.length === 0) return without
  const excludes = (structure.excluded[from] ?? []).some((j) => j > from && !shut.has(j))
  // where nothing later is excluded by it, acting or not leaves the rest alone: count the rest once
  const withIt = excludes
    ? countOthers(structure, from + 1, new Set([...shut, ...(structure.excluded[from] ?? [])]))
    : without
  return without + BigInt(slot.accompanying.length) * withIt
}

/** One combination written out. */
export interface Combination {
  readonly rule: Rule['id']
  readonly leading: ActionId | null
  readonly factors: readonly Factor[]
}

/** Writes combinations out, at most `limit` of them; for files, tables and the brute-force check. */
export function* listCombinations(structure: CombinationStructure, limit = Infinity): Generator<Combination> {
  let written = 0
  for (const permanent of structure.permanent)
    for (const start of starts(structure))
      for (const others of listOthers(structure, 0, start.shut)) {
        if (written++ >= limit) return
        yield {
          rule: structure.rule.id,
          leading: start.leading,
          factors: [...permanent.factors, ...start.factors, ...others].sort((a, b) => a.case - b.case),
        }
      }
}

interface Start {
  readonly leading: ActionId | null
  readonly factors: readonly Factor[]
  readonly shut: ReadonlySet<number>
}

function* starts(structure: CombinationStructure): Generator<Start> {
  // with a leading action in the rule, "none leads" means that nothing variable acts
  yield { leading: null, factors: [], shut: structure.rule.leading ? new Set(structure.variable.keys()) : new Set() }
  for (const [i, slot] of structure.variable.entries())
    for (const choice of slot.leading)
      yield { leading: slot.action, factors: choice.factors, shut: new Set([i, ...(structure.excluded[i] ?? [])]) }
}

function* listOthers(
  structure: CombinationStructure,
  from: number,
  shut: ReadonlySet<number>,
): Generator<readonly Factor[]> {
  const slot = structure.variable[from]
  if (!slot) {
    yield []
    return
  }
  yield* listOthers(structure, from + 1, shut)
  if (shut.has(from)) return
  const more = new Set([...shut, ...(structure.excluded[from] ?? [])])
  for (const choice of slot.accompanying)
    for (const rest of listOthers(structure, from + 1, more)) yield [...choice.factors, ...rest]
}
