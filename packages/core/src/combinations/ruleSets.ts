import type { LoadCase } from '../actions/cases'
import { familyOf } from '../standards/families'
import type { ActionId, RuleRow } from '../standards/family'
import { parameter, type ResolvedValue, type Standard } from '../standards/layer'
import { ruleKey } from '../standards/tabled'

/** The id of a rule; unique within a family. */
export type RuleId = string

/** An expression of the standard: the factors that it gives to permanent, leading and accompanying actions. */
export interface Rule {
  readonly id: RuleId
  /** Rules of one set are enveloped together. */
  readonly set: string
  readonly name: string
  readonly clause: string
  /** The expression in the standard's symbols, for the sheet. */
  readonly expression: string
  /** Factors on permanent action: unfavourable and favourable (equal in service rules). */
  readonly permanent: readonly [unfavourable: number, favourable: number]
  /** Null: no action leads. */
  readonly leading: ((loadCase: LoadCase) => number) | null
  readonly accompanying: (loadCase: LoadCase) => number
  /** The psi that is in the factor of the action that leads, and of those that accompany. */
  readonly psi: { readonly leading: Psi; readonly accompanying: Psi }
  /** The action that the rule is made for; null where it counts whatever there is. */
  readonly principal: ActionId | null
  /** Pairs of actions of which the rule takes one or the other. */
  readonly either: readonly (readonly [ActionId, ActionId])[]
  /** The parameters that the rule reads, beside the psi factors. */
  readonly parameters: readonly string[]
}

/** The psi of a case; null where a rule has none. */
export type Psi = ((loadCase: LoadCase) => number) | null

export type ConsequenceClass = 'CC1' | 'CC2' | 'CC3'

/** The rules of the family in use: EN 1990 with leading and accompanying actions, else the rows of a table. */
export function ruleSets(standard: Standard, consequenceClass: ConsequenceClass): readonly Rule[] {
  const family = familyOf(standard.family)
  return family.ruleRows.length > 0
    ? family.ruleRows.map((row) => rowRule(standard, row))
    : leadingRules(standard, consequenceClass)
}

/** EN 1990: 6.10 for strength and the three service expressions. */
function leadingRules(standard: Standard, consequenceClass: ConsequenceClass): readonly Rule[] {
  const value = (key: string) => parameter(standard, key).value
  const psi = (i: 0 | 1 | 2) => (loadCase: LoadCase) =>
    loadCase.group === null ? 1 : value(`basis.psi_${i}.${loadCase.group}`)
  // B3.3: K_FI multiplies unfavourable actions only
  const K_FI = value(`basis.K_FI.${consequenceClass}`)
  const gamma_Q = value('basis.gamma_Q') * K_FI
  const besides = { leading: null, accompanying: psi(0) }
  const service = { permanent: [1, 1] as const, principal: null, either: [], parameters: [], psi: besides }
  return [
    {
      id: 'strength',
      set: 'strength',
      name: 'Strength',
      clause: 'EN 1990 6.4.3.2 (6.10), table A1.2(B)',
      expression: 'Σ γ_G G + γ_Q Q_1 + Σ γ_Q ψ_0 Q_i',
      permanent: [value('basis.gamma_Gsup') * K_FI, value('basis.gamma_Ginf')],
      leading: () => gamma_Q,
      accompanying: (loadCase) => gamma_Q * psi(0)(loadCase),
      psi: besides,
      principal: null,
      either: [],
      parameters: ['basis.gamma_Gsup', 'basis.gamma_Ginf', 'basis.gamma_Q'],
    },
    {
      ...service,
      id: 'characteristic',
      set: 'characteristic',
      name: 'Characteristic',
      clause: 'EN 1990 6.5.3 (6.14)',
      expression: 'Σ G + Q_1 + Σ ψ_0 Q_i',
      leading: () => 1,
      accompanying: psi(0),
    },
    {
      ...service,
      id: 'frequent',
      set: 'frequent',
      name: 'Frequent',
      clause: 'EN 1990 6.5.3 (6.15)',
      expression: 'Σ G + ψ_1 Q_1 + Σ ψ_2 Q_i',
      leading: psi(1),
      accompanying: psi(2),
      psi: { leading: psi(1), accompanying: psi(2) },
    },
    {
      ...service,
      id: 'quasiPermanent',
      set: 'quasiPermanent',
      name: 'Quasi-permanent',
      clause: 'EN 1990 6.5.3 (6.16)',
      expression: 'Σ G + Σ ψ_2 Q_i',
      leading: null,
      accompanying: psi(2),
      psi: { leading: null, accompanying: psi(2) },
    },
  ]
}

/** A row of a table of combinations: every action by its own factor, none leads; what the row does not name does not act. */
function rowRule(standard: Standard, row: RuleRow): Rule {
  const { id, set, name, clause, principal = null, either = [] } = row
  const key = (group: string) => ruleKey(id, group)
  const value = (group: string) => standard.values[key(group)]?.value ?? 0
  const sup = value('G_sup')
  const inf = standard.values[key('G_inf')]?.value ?? sup
  const groups = Object.keys(row.factors)
  return {
    id,
    set,
    name,
    clause: standard.values[key('G_sup')]?.clause ?? clause,
    expression: rowExpression(standard, row, [sup, inf]),
    permanent: [sup, inf],
    leading: null,
    psi: { leading: null, accompanying: null },
    principal,
    accompanying: ({ group }) => (group === null ? 1 : groups.includes(group) ? value(group) : 0),
    either,
    parameters: [key('G_sup'), ...(inf === sup ? [] : [key('G_inf')]), ...groups.map(key)],
  }
}

/** `1.2 D + 1.6 L_r + (0.5 L or 0.5 W)`: written from the values in use, so that it is never another than what counts. */
function rowExpression(standard: Standard, row: RuleRow, [sup, inf]: readonly [number, number]): string {
  const entry = (group: string) => standard.values[ruleKey(row.id, group)]
  const term = (group: string): string => `${factorText(entry(group)?.value ?? 0)}${symbolOf(entry(group), group)}`
  const actionOf = (group: string) => (group === 'wind' ? 'wind' : familyOf(standard.family).groups[group]?.action)
  const groups = Object.keys(row.factors)
  // what the row takes one or the other of stands together in brackets
  const [pair] = row.either ?? []
  const [first, second] = (pair ?? []).map((action) => groups.filter((group) => actionOf(group) === action).map(term))
  const others = groups.filter((group) => !pair?.some((action) => action === actionOf(group))).map(term)
  const dead = sup === inf ? factorText(sup) : `${sup} or ${inf} `
  const bracket = first && second ? [`(${first.join(' + ')} or ${second.join(' + ')})`] : []
  return [`${dead}${symbolOf(entry('G_sup'), 'G')}`, ...others, ...bracket].join(' + ')
}

const symbolOf = (entry: ResolvedValue | undefined, group: string): string =>
  (entry?.meaning.symbol ?? group).replace('γ_', '')

/** A factor of one goes without saying. */
const factorText = (value: number): string => (value === 1 ? '' : `${Number(value.toFixed(3))} `)
