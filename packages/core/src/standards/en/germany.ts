import type { StandardLayer } from '../layer'

/**
 * The first national layer: DIN EN 1991-1-4/NA, peak pressure of mixed terrain inland, and the terrain values of its
 * table NA.B.1; DIN EN 1991-1-1/NA, partition allowances. From memory, every value marked so.
 */
export const germany: StandardLayer = {
  name: 'Germany (part)',
  values: {
    'wind.terrain.I.z_min': { value: 2, clause: 'DIN EN 1991-1-4/NA table NA.B.1', fromMemory: true },
    'wind.terrain.II.z_min': { value: 4, clause: 'DIN EN 1991-1-4/NA table NA.B.1', fromMemory: true },
    'wind.terrain.III.z_min': { value: 8, clause: 'DIN EN 1991-1-4/NA table NA.B.1', fromMemory: true },
    'wind.terrain.IV.z_0': { value: 1.05, clause: 'DIN EN 1991-1-4/NA table NA.B.1', fromMemory: true },
    'wind.terrain.IV.z_min': { value: 16, clause: 'DIN EN 1991-1-4/NA table NA.B.1', fromMemory: true },
    'imposed.q_k.B': { value: 2000, clause: 'DIN EN 1991-1-1/NA table 6.1DE, B1', fromMemory: true },
    'wind.z_max': { value: 300, clause: 'DIN EN 1991-1-4/NA NA.B.3.3', fromMemory: true },
  },
  tables: {
    'imposed.partitions': {
      symbol: 'q_k,part',
      quantity: 'pressure',
      clause: 'DIN EN 1991-1-1/NA to 6.3.1.2(8)',
      fromMemory: true,
      axis: {
        symbol: 'g_wall',
        quantity: 'lineLoad',
        at: [3000, 5000],
        between: 'nextAbove',
        below: 'nearest',
        above: 'refuse',
      },
      rows: { allowance: [800, 1200] },
    },
  },
  methods: { 'wind.peakPressure': 'mixedInland' },
}
