import { wallPressure } from './tables'
import { germanBarriers } from './barriers'
import type { Use, UseSort } from '../family'
import type { StandardLayer } from '../layer'
import { metricTable, remembered, useValues, type UseRow } from '../tabled'

const floors = 'DIN EN 1991-1-1/NA table 6.1DE'
const roofs = 'DIN EN 1991-1-1/NA table 6.10DE'
const vehicles = 'DIN EN 1991-1-1/NA table 6.8DE'

type Row = readonly [id: string, name: string, q_k: number | null, Q_k: number | null, group: string, sort?: UseSort]

/** DIN EN 1991-1-1/NA, tables 6.1DE, 6.8DE and 6.10DE, in kN/m² and kN, row by row; helicopters as recommended. */
const rows: readonly Row[] = [
  ['A1', 'attics, not for living', 1.0, 1.0, 'A'],
  ['A2', 'homes, load spread across', 1.5, null, 'A'],
  ['A3', 'homes, load not spread across', 2.0, 1.0, 'A', 'homes'],
  ['B1', 'offices and their corridors', 2.0, 2.0, 'B', 'offices'],
  ['B2', 'hospitals, hotels, corridors and kitchens', 3.0, 3.0, 'B'],
  ['B3', 'as B1 and B2 with heavy equipment', 5.0, 4.0, 'B'],
  ['C1', 'areas with tables', 3.0, 4.0, 'C', 'tables'],
  ['C2', 'fixed seats', 4.0, 4.0, 'C', 'fixed seats'],
  ['C3', 'museums, halls, unobstructed', 5.0, 4.0, 'C', 'museums'],
  ['C4', 'sport and play', 5.0, 7.0, 'C', 'gymnastics'],
  ['C5', 'crowds', 5.0, 4.0, 'C', 'crowds'],
  ['C6', 'dense crowds, stands without seats', 7.5, 10.0, 'C'],
  ['D1', 'shops up to 50 m²', 2.0, 2.0, 'D'],
  ['D2', 'retail and department stores', 5.0, 4.0, 'D', 'shops'],
  ['D3', 'as D2 with high racks', 5.0, 7.0, 'D', 'department stores'],
  ['E1.1', 'factories and workshops, light work', 5.0, 4.0, 'E'],
  ['E1.2', 'general storage, libraries', 6.0, 7.0, 'E', 'storage'],
  ['E2.1', 'factories and workshops, medium or heavy work', 7.5, 10.0, 'E'],
  ['T1', 'stairs of homes and offices', 3.0, 2.0, 'A', 'home stairs'],
  ['T2', 'other stairs and landings', 5.0, 2.0, 'C'],
  ['T3', 'stairs of stands without seats', 7.5, 3.0, 'C'],
  ['Z', 'balconies, roof terraces', 4.0, 2.0, 'A', 'home balconies'],
]

/** Table 6.8DE: parking and driving for vehicles up to 30 kN, and their ramps. */
const driving: readonly Row[] = [
  ['F1', 'parking up to 30 kN', 2.5, 20, 'F', 'cars'],
  ['F2', 'ramps up to 30 kN', 5.0, 20, 'F'],
]

/** Table 6.10DE: roofs that are walked on for repair alone have a single force and no uniform load. */
const roof: readonly Row[] = [['H', 'roof, maintenance access only', 0, 1.0, 'H', 'roof']]

/** NA to 6.3.1.2(10): alpha_A for A, B and D to E by its own factors; this version marks what table 6.2 would. */
const asUse =
  (clause: string, reducible: boolean) =>
  ([id, name, uniform, concentrated, group, sort]: Row): UseRow => ({
    id,
    name,
    uniform,
    concentrated,
    group,
    ...(sort ? { sort } : {}),
    reducible: reducible && group !== 'E',
    clause: `${clause}, ${id}`,
  })

const useRows: readonly UseRow[] = [
  ...rows.map(asUse(floors, true)),
  ...driving.map(asUse(vehicles, false)),
  ...roof.map(asUse(roofs, false)),
]

const named = Object.fromEntries(
  useRows.map(({ id, name, group, sort, reducible }): readonly [string, Use] => [
    id,
    { name, group, sort: sort ?? null, reducible, kept: null },
  ]),
)

/** Rows of the recommended tables that the annex divides otherwise. */
const withdrawn = [
  ...['A', 'A-stairs', 'A-balconies', 'B', 'E1', 'E2', 'F'],
  ...['I-A', 'I-B', 'I-C1', 'I-C2', 'I-C3', 'I-C4', 'I-C5', 'I-D1', 'I-D2'],
]

const profile = 'DIN EN 1991-1-4/NA table NA.B.1'

/**
 * The German national set for what this version derives: uses, partition allowances and wind profile of DIN EN 1991-1-1/NA
 * and DIN EN 1991-1-4/NA; DIN EN 1990/NA keeps the recommended factors for buildings. From memory, every value marked so.
 */
export const germany: StandardLayer = {
  name: 'Germany',
  values: {
    'wind.terrain.I.z_min': remembered(2, profile),
    'wind.terrain.II.z_min': remembered(4, profile),
    'wind.terrain.III.z_min': remembered(8, profile),
    'wind.terrain.IV.z_0': remembered(1.05, profile),
    'wind.terrain.IV.z_min': remembered(16, profile),
    'imposed.partitions.limit': remembered(5000, 'DIN EN 1991-1-1/NA to 6.3.1.2(8)'),
    'wind.z_max': remembered(300, 'DIN EN 1991-1-4/NA NA.B.3.3'),
    ...useValues(useRows, metricTable),
    ...germanBarriers,
  },
  tables: {
    // DIN EN 1991-1-4/NA, table NA.1: other than table 7.1 at h/d of 5
    'wind.wallPressure': {
      ...wallPressure,
      clause: 'DIN EN 1991-1-4/NA table NA.1',
      rows: {
        A: [-1.2, -1.2, -1.4],
        B: [-0.8, -0.8, -0.8],
        C: [-0.5, -0.5, -0.5],
        D: [0.7, 0.8, 0.8],
        E: [-0.3, -0.5, -0.5],
      },
    },
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
  methods: { 'wind.peakPressure': 'mixedInland', 'imposed.reduction': 'alphaGermany' },
  uses: { ...Object.fromEntries(withdrawn.map((id) => [id, null])), ...named },
}
