import { entry } from '../outcome/assert'
import type { RuleId } from '../combinations/ruleSets'
import type { Choice, CombinationStructure, Factor } from '../combinations/structure'
import type { ActionId } from '../standards/family'

export type Sense = 'most' | 'least'

/** A combination by the rule and the action that leads it, with its value. */
export interface Rival {
  readonly value: number
  readonly leading: ActionId | null
  readonly rule: RuleId
}

/** The effect of a case at unit factor, by its index: where no psi is in its factor, or beside a psi. */
export type CaseEffects = (index: number, psi: number | null) => number

/** The same effects everywhere. */
export const alike =
  (values: ArrayLike<number>): CaseEffects =>
  (index) =>
    entry(values, index)

/** The governing combination of one effect in one sense, with the next best of another rule or another leading action. */
export interface Extreme extends Rival {
  readonly factors: readonly Factor[]
  readonly nextBest: Rival | null
}

/** The most or least over all combinations of several rules: of an empty list nothing. */
export function extremeOf(
  structures: readonly CombinationStructure[],
  effect: CaseEffects,
  sense: Sense,
): Extreme | null {
  const sign = sense === 'most' ? 1 : -1
  const better = (a: Rival, b: Rival) => sign * (b.value - a.value)
  const [first, ...others] = structures.map((structure) => extreme(structure, effect, sense)).sort(better)
  if (!first) return null
  const rivals: readonly Rival[] = [first.nextBest, ...others].flatMap((rival) => rival ?? [])
  const [next] = [...rivals].sort(better)
  return { ...first, nextBest: next ? { value: next.value, leading: next.leading, rule: next.rule } : null }
}

interface Found {
  readonly value: number
  readonly leading: ActionId | null
  readonly factors: readonly Factor[]
}

/**
 * The most or least of one effect over all combinations of a structure, exactly and without listing them. Signs are turned for the
 * least.
 */
export function extreme(structure: CombinationStructure, effect: CaseEffects, sense: Sense): Extreme {
  const sign = sense === 'most' ? 1 : -1
  const worth = (choice: Choice): number =>
    sign * choice.factors.reduce((sum, f) => sum + f.factor * effect(f.case, f.psi), 0)
  const permanent = best(structure.permanent, worth)
  const found = leadingOptions(structure, worth).sort((a, b) => b.value - a.value)
  const [first, ...rest] = found
  const second = rest.find(({ leading }) => leading !== first?.leading)
  const whole = (option: Found | undefined) => sign * ((permanent?.value ?? 0) + (option?.value ?? 0))
  const rule = structure.rule.id
  return {
    rule,
    value: clean(whole(first)),
    leading: first?.leading ?? null,
    factors: [...(permanent?.choice.factors ?? []), ...(first?.factors ?? [])].sort((a, b) => a.case - b.case),
    nextBest: second ? { rule, value: clean(whole(second)), leading: second.leading } : null,
  }
}

const clean = (value: number): number => (value === 0 ? 0 : value)

/** No variable action at all, or each in turn leading with the best of the others. */
function leadingOptions(structure: CombinationStructure, worth: (choice: Choice) => number): Found[] {
  const options: Found[] = []
  if (structure.rule.leading) options.push({ value: 0, leading: null, factors: [] })
  else options.push({ leading: null, ...bestOthers(structure, worth, 0, new Set()) })
  structure.variable.forEach((slot, i) => {
    const lead = best(slot.leading, worth)
    if (!lead) return
    const others = bestOthers(structure, worth, 0, new Set([i, ...entry(structure.excluded, i)]))
    options.push({
      value: lead.value + others.value,
      leading: slot.action,
      factors: [...lead.choice.factors, ...others.factors],
    })
  })
  return options
}

function best(
  choices: readonly Choice[],
  worth: (choice: Choice) => number,
): { readonly choice: Choice; readonly value: number } | undefined {
  let found: { choice: Choice; value: number } | undefined
  for (const choice of choices) {
    const value = worth(choice)
    if (!found || value > found.value) found = { choice, value }
  }
  return found
}

interface Others {
  readonly value: number
  readonly factors: readonly Factor[]
}

/** The best that the remaining slots can add: each acts only where it helps; exclusions are tried both ways. */
function bestOthers(
  structure: CombinationStructure,
  worth: (choice: Choice) => number,
  from: number,
  shut: ReadonlySet<number>,
): Others {
  const slot = structure.variable[from]
  if (!slot) return { value: 0, factors: [] }
  const chosen = shut.has(from) ? undefined : best(slot.accompanying, worth)
  if (!chosen || chosen.value <= 0) return bestOthers(structure, worth, from + 1, shut)
  const excludes = entry(structure.excluded, from)
  const rest = bestOthers(structure, worth, from + 1, new Set([...shut, ...excludes]))
  const acting: Others = { value: chosen.value + rest.value, factors: [...chosen.choice.factors, ...rest.factors] }
  if (!excludes.some((j) => j > from && !shut.has(j))) return acting
  const resting = bestOthers(structure, worth, from + 1, shut)
  return resting.value > acting.value ? resting : acting
}
