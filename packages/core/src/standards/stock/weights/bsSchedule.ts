import type { Rows } from './row'

/** BS 648:1964, schedule of weights, in kg/m³: what a frame of steel and concrete is made of, not the whole schedule. From memory. */
export const bsSchedule: Readonly<Record<string, Rows>> = {
  concrete: {
    'plain concrete, natural aggregate, BS': 2307,
    'reinforced concrete, 1 % steel, BS': 2371,
    'reinforced concrete, 2 % steel, BS': 2420,
    'reinforced concrete, 5 % steel, BS': 2580,
  },
  metal: { 'steel, BS': 7850 },
}
