import { formula } from '../../trace/formula'

/** The horizontal force of a level that goes with its weight. */
export const forceOfWeight = formula({
  symbol: 'H',
  quantity: 'force',
  clause: 'common practice: a part of the weight of the level',
  inputs: { mu: 'factor', W: 'force' },
  expression: 'mu * W',
  evaluate: ({ mu, W }) => mu * W,
})
