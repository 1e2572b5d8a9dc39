import { formula } from '../../trace/formula'

/** The horizontal force of a level that goes with its weight. */
export const forceOfWeight = formula({
  symbol: 'H',
  quantity: 'force',
  clause: 'common practice: a percentage of the weight of the level',
  inputs: { mu: 'factor', W: 'force' },
  expression: 'mu * W',
  evaluate: ({ mu, W }) => mu * W,
})

/** The force of an earthquake at the base. */
export const baseShear = formula({
  symbol: 'V_B',
  quantity: 'force',
  clause: 'equivalent static force',
  inputs: { A: 'coefficient', W: 'force' },
  expression: 'A * W',
  evaluate: ({ A, W }) => A * W,
})

/** What a level counts for its part of it: its weight by its height over the height of the building. */
export const weightByHeight = formula({
  symbol: 'W_k',
  quantity: 'force',
  clause: 'weight by a power of the height',
  inputs: { W: 'force', z: 'length', h: 'length', k: 'factor' },
  expression: 'W * (z / h) ^ k',
  evaluate: ({ W, z, h, k }) => W * (z / h) ** k,
})

/** The part of a level. */
export const forceOfLevel = formula({
  symbol: 'Q',
  quantity: 'force',
  clause: 'its share of the sum over all levels',
  inputs: { V_B: 'force', W_k: 'force', S_k: 'force' },
  expression: 'V_B * W_k / S_k',
  evaluate: ({ V_B, W_k, S_k }) => (V_B * W_k) / S_k,
})
