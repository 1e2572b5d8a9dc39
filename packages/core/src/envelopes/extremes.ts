import type { ActionId } from '../actions/cases'
import type { Choice, CombinationStructure, Factor } from '../combinations/structure'

export type Sense = 'most' | 'least'

/** The governing combination of one effect in one sense, with the next best that another action leads. */
export interface Extreme {
  readonly value: number
  readonly leading: ActionId | null
  readonly factors: readonly Factor[]
  readonly nextBest: { readonly value: number; readonly leading: ActionId | null } | null
}

interface Found {
  readonly value: number
  readonly leading: ActionId | null
  readonly factors: readonly Factor[]
}

/**
 * The most or least of one effect over all combinations of a structure, exactly and without listing them. `effect`
 * holds the effect of each case at unit factor; signs are turned for the least.
 */
export function extreme(structure: CombinationStructure, effect: ArrayLike<number>, sense: Sense): Extreme {
  const sign = sense === 'most' ? 1 : -1
  const worth = (choice: Choice): number =>
    sign * choice.factors.reduce((sum, f) => sum + f.factor * (effect[f.case] ?? 0), 0)
  const permanent = best(structure.permanent, worth)
  const found = leadingOptions(structure, worth).sort((a, b) => b.value - a.value)
  const [first, ...rest] = found
  const second = rest.find(({ leading }) => leading !== first?.leading)
  const whole = (option: Found | undefined) => sign * ((permanent?.value ?? 0) + (option?.value ?? 0))
  return {
    value: clean(whole(first)),
    leading: first?.leading ?? null,
    factors: [...(permanent?.choice.factors ?? []), ...(first?.factors ?? [])].sort((a, b) => a.case - b.case),
    nextBest: second ? { value: clean(whole(second)), leading: second.leading } : null,
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
    const others = bestOthers(structure, worth, 0, new Set([i, ...(structure.excluded[i] ?? [])]))
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
  const excludes = structure.excluded[from] ?? []
  const rest = bestOthers(structure, worth, from + 1, new Set([...shut, ...excludes]))
  const acting: Others = { value: chosen.value + rest.value, factors: [...chosen.choice.factors, ...rest.factors] }
  if (!excludes.some((j) => j > from && !shut.has(j))) return acting
  const resting = bestOthers(structure, worth, from + 1, shut)
  return resting.value > acting.value ? resting : acting
}
