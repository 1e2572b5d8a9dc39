import { formula } from '../../trace/formula'

/** Of a force through the centre of stiffness: as stiff as it is among those that run its way. */
export const elementDirect = formula({
  symbol: 'V_1',
  quantity: 'force',
  clause: 'EN 1992-1-1 annex I, (I.1), first term',
  inputs: { V_t: 'force', k: 'stiffness', k_sum: 'stiffness' },
  expression: 'V_t * k / k_sum',
  evaluate: ({ V_t, k, k_sum }) => (V_t * k) / k_sum,
})

/** Of the moment of that force about the centre of stiffness. */
export const elementTurning = formula({
  symbol: 'V_2',
  quantity: 'force',
  clause: 'EN 1992-1-1 annex I, (I.1), second term',
  inputs: { T: 'moment', k: 'stiffness', r: 'length', J: 'moment' },
  expression: 'T * k * r / J',
  evaluate: ({ T, k, r, J }) => (T * k * r) / J,
})
