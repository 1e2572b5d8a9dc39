import type { LoadCase } from '../actions/cases'
import { familyOf } from '../standards/families'
import type { ActionId, Family, RuleRow } from '../standards/family'
import { parameter, type Standard } from '../standards/layer'
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
  /** Pairs of actions of which the rule takes one or the other. */
  readonly either: readonly (readonly [ActionId, ActionId])[]
  /** The parameters that the rule reads, beside the psi factors. */
  readonly parameters: readonly string[]
}

export type ConsequenceClass = 'CC1' | 'CC2' | 'CC3'

/** The rules of the family in use: EN 1990 with leading and accompanying actions, else the rows of a table. */
export function ruleSets(standard: Standard, consequenceClass: ConsequenceClass): readonly Rule[] {
  const family = familyOf(standard.family)
  return family.ruleRows.length > 0
    ? family.ruleRows.map((row) => rowRule(standard, family, row))
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
  const service = { permanent: [1, 1] as const, either: [], parameters: [] }
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
    },
  ]
}

/** A row of a table of combinations: every action by its own factor, none leads; what the row does not name does not act. */
function rowRule(standard: Standard, family: Family, row: RuleRow): Rule {
  const { id, set, name, clause, either = [] } = row
  const key = (group: string) => ruleKey(id, group)
  const value = (group: string) => standard.values[key(group)]?.value ?? 0
  const sup = value('G_sup')
  const inf = standard.values[key('G_inf')]?.value ?? sup
  const groups = Object.keys(row.factors)
  return {
    id,
    set,
    name: setName(family, set, name),
    clause: standard.values[key('G_sup')]?.clause ?? clause,
    expression: rowExpression(standard, row, [sup, inf]),
    permanent: [sup, inf],
    leading: null,
    accompanying: ({ group }) => (group === null ? 1 : groups.includes(group) ? value(group) : 0),
    either,
    parameters: [key('G_sup'), ...(inf === sup ? [] : [key('G_inf')]), ...groups.map(key)],
  }
}

const setName = ({ ruleSets: sets }: Family, set: string, name: string): string => {
  const found = sets.find(({ id }) => id === set)?.name ?? set
  return `${found.charAt(0).toUpperCase()}${found.slice(1)}: ${name}`
}

/** `1.20 D + 1.60 L_r + (1.00 L or 0.50 W)`: written from the values in use, so that it is never another than what counts. */
function rowExpression(standard: Standard, row: RuleRow, [sup, inf]: readonly [number, number]): string {
  const symbolOf = (group: string) =>
    (standard.values[ruleKey(row.id, group)]?.meaning.symbol ?? group).replace('γ_', '')
  const number = (value: number) => String(Number(value.toFixed(3)))
  const terms = new Map<string, string>()
  for (const group of Object.keys(row.factors)) {
    const value = standard.values[ruleKey(row.id, group)]?.value ?? 0
    const symbol = symbolOf(group)
    // two groups of one symbol (L with and without the exception) are said together
    const before = terms.get(symbol)
    const now = number(value)
    terms.set(symbol, before === undefined || before === now ? now : `${before} or ${now}`)
  }
  const dead = `${inf === sup ? number(sup) : `${number(sup)} or ${number(inf)}`} ${symbolOf('G_sup')}`
  const parts = [...terms].map(([symbol, factor]) => `${factor} ${symbol}`)
  return [dead, ...parts].join(' + ')
}
