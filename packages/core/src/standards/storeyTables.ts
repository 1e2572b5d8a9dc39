import type { Table } from '../trace/table'

/**
 * The part of the imposed load that is spared a column, by the number of floors that it carries: IS 875-2 and BS 6399-1 have the
 * same steps, none for one floor and a half for more than ten.
 */
export const storeyTable = (clause: string): Table => ({
  symbol: 'r_n',
  quantity: 'factor',
  clause,
  fromMemory: true,
  axis: {
    symbol: 'n',
    quantity: 'count',
    at: [1, 2, 3, 4, 5, 11],
    between: 'lastBelow',
    below: 'refuse',
    above: 'nearest',
  },
  rows: { spared: [0, 0.1, 0.2, 0.3, 0.4, 0.5] },
})
