import { parameterOf, type Standard } from '../standards/layer'
import { formula } from '../trace/formula'
import { given, type Traced } from '../trace/traced'

/**
 * For the area that a member supports, by the element that it is. With 15 ft nothing is spared below K_LL A_T = 400 ft².
 */
export const liveReduction = formula({
  symbol: 'L/L_0',
  quantity: 'factor',
  clause: 'ASCE 7 4.7.2, (4.7-1)',
  inputs: { L_1: 'length', K_LL: 'factor', A_T: 'area', least: 'factor' },
  expression: 'max(min(0.25 + L_1 / sqrt(K_LL * A_T), 1), least)',
  evaluate: ({ L_1, K_LL, A_T, least }) => Math.max(Math.min(0.25 + L_1 / Math.sqrt(K_LL * A_T), 1), least),
})

/** Of a one-way slab no more counts than its span by so many spans across it. */
export const areaOfOneWaySlab = formula({
  symbol: 'A_T',
  quantity: 'area',
  clause: 'ASCE 7 4.7.6',
  inputs: { A: 'area', w: 'factor', L: 'length' },
  expression: 'min(A, w * L ^ 2)',
  evaluate: ({ A, w, L }) => Math.min(A, w * L ** 2),
})

/** Of the area of roof that a member supports: from A_1, 200 ft², to three times that. */
export const roofAreaFactor = formula({
  symbol: 'R_1',
  quantity: 'factor',
  clause: 'ASCE 7 4.8.2',
  inputs: { A_T: 'area', A_1: 'area' },
  expression: 'max(min(1.2 - 0.2 * A_T / A_1, 1), 0.6)',
  evaluate: ({ A_T, A_1 }) => Math.max(Math.min(1.2 - (0.2 * A_T) / A_1, 1), 0.6),
})

/** Of the slope of the roof, F its rise in inches to a foot, from 4 to 12. */
export const roofSlopeFactor = formula({
  symbol: 'R_2',
  quantity: 'factor',
  clause: 'ASCE 7 4.8.2',
  inputs: { F: 'factor' },
  expression: 'max(min(1.2 - 0.05 * F, 1), 0.6)',
  evaluate: ({ F }) => Math.max(Math.min(1.2 - 0.05 * F, 1), 0.6),
})

/** Roof live load is not below 12 psf of its 20. */
export const roofLiveReduction = formula({
  symbol: 'L_r/L_0',
  quantity: 'factor',
  clause: 'ASCE 7 4.8.2, (4.8-1)',
  inputs: { R_1: 'factor', R_2: 'factor' },
  expression: 'max(R_1 * R_2, 0.6)',
  evaluate: ({ R_1, R_2 }) => Math.max(R_1 * R_2, 0.6),
})

/** What a member supports of one group of uses, as ASCE 7 asks. */
export interface LiveSupported {
  /** The group of the imposed case: a category. */
  readonly group: string
  /** It is load of a roof. */
  readonly onRoof: boolean
  /** Floor area whose load may be reduced, m². */
  readonly area: Traced<'area'>
  /** Levels that bring any of it. */
  readonly storeys: number
  /** Live load element factor of the member. */
  readonly K_LL: Traced<'factor'>
  /** Rise of the flattest roof in inches to a foot. */
  readonly rise: Traced<'factor'>
}

/** The factor of a group of live loads by ASCE 7: floors by 4.7.2, heavy ones and garages by their exceptions, roofs by 4.8. */
export function liveReductionOf(
  { group, onRoof, area, storeys, K_LL, rise }: LiveSupported,
  standard: Standard,
): Traced<'factor'> {
  if (onRoof)
    return roofLiveReduction({
      R_1: roofAreaFactor({ A_T: area, A_1: parameterOf(standard, 'reduction.roofArea', 'area') }),
      R_2: roofSlopeFactor({ F: rise }),
    })
  const L_1 = parameterOf(standard, 'reduction.length', 'length')
  return liveReduction({ L_1, K_LL, A_T: area, least: leastOf(group, storeys) })
}

/** Table of least parts: one floor, or more; heavy loads and garages stay whole under one and lose a fifth at most. */
function leastOf(group: string, storeys: number): Traced<'factor'> {
  const several = storeys > 1
  if (group === 'Lp')
    return several
      ? given('least', 'factor', 0.8, 'ASCE 7 4.7.3, 4.7.4: at most 20 %, two floors or more')
      : given('least', 'factor', 1, 'ASCE 7 4.7.3, 4.7.4: heavy loads and garages under one floor are not reduced')
  return several
    ? given('least', 'factor', 0.4, 'ASCE 7 4.7.2: two floors or more')
    : given('least', 'factor', 0.5, 'ASCE 7 4.7.2: one floor')
}
