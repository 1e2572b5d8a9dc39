import type { LoadCase } from '../actions/cases'
import { parameter, type Standard } from '../standards/layer'

export type RuleId = 'strength' | 'characteristic' | 'frequent' | 'quasiPermanent'

/** An expression of the standard: the factors that it gives to permanent, leading and accompanying actions. */
export interface Rule {
  readonly id: RuleId
  readonly name: string
  readonly clause: string
  /** The expression in the standard's symbols, for the sheet. */
  readonly expression: string
  /** Factors on permanent action: unfavourable and favourable (equal in service rules). */
  readonly permanent: readonly [unfavourable: number, favourable: number]
  /** Null: no action leads. */
  readonly leading: ((loadCase: LoadCase) => number) | null
  readonly accompanying: (loadCase: LoadCase) => number
}

/** The rules of EN 1990 in this version: 6.10 for strength and the three service expressions. */
export function ruleSets(standard: Standard, consequenceClass: 'CC1' | 'CC2' | 'CC3'): readonly Rule[] {
  const value = (key: string) => parameter(standard, key).value
  const psi = (i: 0 | 1 | 2) => (loadCase: LoadCase) =>
    loadCase.psi === null ? 1 : value(`basis.psi_${i}.${loadCase.psi}`)
  // B3.3: K_FI multiplies unfavourable actions only
  const K_FI = value(`basis.K_FI.${consequenceClass}`)
  const gamma_Q = value('basis.gamma_Q') * K_FI
  return [
    {
      id: 'strength',
      name: 'Strength',
      clause: 'EN 1990 6.4.3.2 (6.10), table A1.2(B)',
      expression: 'Σ γ_G G + γ_Q Q_1 + Σ γ_Q ψ_0 Q_i',
      permanent: [value('basis.gamma_Gsup') * K_FI, value('basis.gamma_Ginf')],
      leading: () => gamma_Q,
      accompanying: (loadCase) => gamma_Q * psi(0)(loadCase),
    },
    {
      id: 'characteristic',
      name: 'Characteristic',
      clause: 'EN 1990 6.5.3 (6.14)',
      expression: 'Σ G + Q_1 + Σ ψ_0 Q_i',
      permanent: [1, 1],
      leading: () => 1,
      accompanying: psi(0),
    },
    {
      id: 'frequent',
      name: 'Frequent',
      clause: 'EN 1990 6.5.3 (6.15)',
      expression: 'Σ G + ψ_1 Q_1 + Σ ψ_2 Q_i',
      permanent: [1, 1],
      leading: psi(1),
      accompanying: psi(2),
    },
    {
      id: 'quasiPermanent',
      name: 'Quasi-permanent',
      clause: 'EN 1990 6.5.3 (6.16)',
      expression: 'Σ G + Σ ψ_2 Q_i',
      permanent: [1, 1],
      leading: null,
      accompanying: psi(2),
    },
  ]
}
