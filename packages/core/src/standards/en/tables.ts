import type { Table } from '../../trace/table'

/** EN 1991-1-4, table 7.1: external pressure coefficients c_pe,10 of vertical walls. From memory. */
export const wallPressure: Table = {
  symbol: 'c_pe,10',
  quantity: 'factor',
  clause: 'EN 1991-1-4 table 7.1',
  fromMemory: true,
  // 7.2.2 note 1 has no value above h/d = 5: it is refused, not extrapolated.
  axis: { symbol: 'h/d', quantity: 'factor', at: [0.25, 1, 5], between: 'linear', below: 'nearest', above: 'refuse' },
  rows: {
    A: [-1.2, -1.2, -1.2],
    B: [-0.8, -0.8, -0.8],
    C: [-0.5, -0.5, -0.5],
    D: [0.7, 0.8, 0.8],
    E: [-0.3, -0.5, -0.7],
  },
}

/** EN 1991-1-4, 7.2.2(3): lack of correlation of the pressures on windward and leeward side. From memory. */
export const correlation: Table = {
  symbol: 'k_corr',
  quantity: 'factor',
  clause: 'EN 1991-1-4 7.2.2(3)',
  fromMemory: true,
  axis: { symbol: 'h/d', quantity: 'factor', at: [1, 5], between: 'linear', below: 'nearest', above: 'nearest' },
  rows: { 'D+E': [0.85, 1.0] },
}

/** EN 1991-1-1, 6.3.1.2(8): allowance for movable partitions by own weight per metre of wall, bounds inclusive. From memory. */
export const partitions: Table = {
  symbol: 'q_k,part',
  quantity: 'pressure',
  clause: 'EN 1991-1-1 6.3.1.2(8)',
  fromMemory: true,
  axis: {
    symbol: 'g_wall',
    quantity: 'lineLoad',
    at: [1000, 2000, 3000],
    between: 'nextAbove',
    below: 'nearest',
    above: 'refuse',
  },
  rows: { allowance: [500, 800, 1200] },
}

export const tables: Readonly<Record<string, Table>> = {
  'wind.wallPressure': wallPressure,
  'wind.correlation': correlation,
  'imposed.partitions': partitions,
}
