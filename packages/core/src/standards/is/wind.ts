import { formula } from '../../trace/formula'
import { readTable } from '../../trace/readTable'
import type { Table } from '../../trace/table'
import { given, type Traced } from '../../trace/traced'
import type { LayerValue, ParameterMeaning } from '../family'
import { parameterOf, tableOf, type Standard } from '../layer'
import type { TerrainCategory, WindSite } from '../pressureRule'
import { meaningOf, parametersOf, remembered } from '../tabled'

export const designSpeed = formula({
  symbol: 'V_z',
  quantity: 'velocity',
  clause: 'IS 875-3 6.3',
  inputs: { V_b: 'velocity', k_1: 'factor', k_2: 'factor', k_3: 'factor', k_4: 'factor' },
  expression: 'V_b * k_1 * k_2 * k_3 * k_4',
  evaluate: ({ V_b, k_1, k_2, k_3, k_4 }) => V_b * k_1 * k_2 * k_3 * k_4,
})

/** 0.6 is half of the density of air, kg/m³. */
export const windPressure = formula({
  symbol: 'p_z',
  quantity: 'pressure',
  clause: 'IS 875-3 7.2',
  inputs: { V_z: 'velocity', a: 'density' },
  expression: 'a * V_z ^ 2',
  evaluate: ({ V_z, a }) => a * V_z ** 2,
})

/** Not below a part of the pressure itself. */
export const designPressure = formula({
  symbol: 'p_d',
  quantity: 'pressure',
  clause: 'IS 875-3 7.2',
  inputs: { p_z: 'pressure', K_d: 'factor', K_a: 'factor', K_c: 'factor', r: 'factor' },
  expression: 'max(K_d * K_a * K_c, r) * p_z',
  evaluate: ({ p_z, K_d, K_a, K_c, r }) => Math.max(K_d * K_a * K_c, r) * p_z,
})

const factor = meaningOf('factor')

const parameters: Readonly<Record<string, readonly [ParameterMeaning, LayerValue]>> = {
  'wind.k_1': [
    factor('k_1', 'risk: by design life and basic speed', 0.67, 1.4),
    remembered(1, 'IS 875-3 6.3.1, table 1'),
  ],
  'wind.k_3': [factor('k_3', 'topography', 1, 1.36), remembered(1, 'IS 875-3 6.3.3')],
  'wind.k_4': [factor('k_4', 'importance factor for cyclonic regions', 1, 1.3), remembered(1, 'IS 875-3 6.3.4')],
  'wind.a': [
    { symbol: 'a', quantity: 'density', name: 'pressure per square of the speed', min: 0.5, max: 0.7 },
    remembered(0.6, 'IS 875-3 7.2'),
  ],
  'wind.K_d': [factor('K_d', 'direction of the wind', 0.9, 1), remembered(0.9, 'IS 875-3 7.2.1')],
  'wind.K_a': [factor('K_a', 'area averaging factor', 0.8, 1), remembered(1, 'IS 875-3 7.2.2, table 4')],
  'wind.K_c': [factor('K_c', 'combination factor', 0.8, 1), remembered(1, 'IS 875-3 7.3.3.13')],
  'wind.r': [factor('r', 'minimum ratio of the pressure', 0, 1), remembered(0.7, 'IS 875-3 7.2, note')],
}

export const isWind = parametersOf(parameters)

/** IS 875-3 (2015), table 2: k_2 by height and terrain category. From memory. */
export const isTerrainTable: Table = {
  symbol: 'k_2',
  quantity: 'factor',
  clause: 'IS 875-3 6.3.2, table 2',
  fromMemory: true,
  axis: {
    symbol: 'z',
    quantity: 'length',
    at: [10, 15, 20, 30, 50, 100, 150, 200, 250, 300, 350, 400, 450, 500],
    between: 'linear',
    below: 'nearest',
    above: 'refuse',
  },
  rows: {
    '1': [1.05, 1.09, 1.12, 1.15, 1.2, 1.26, 1.3, 1.32, 1.34, 1.35, 1.37, 1.38, 1.39, 1.4],
    '2': [1, 1.05, 1.07, 1.12, 1.17, 1.24, 1.28, 1.3, 1.32, 1.34, 1.36, 1.37, 1.38, 1.39],
    '3': [0.91, 0.97, 1.01, 1.06, 1.12, 1.2, 1.24, 1.27, 1.29, 1.31, 1.32, 1.34, 1.35, 1.36],
    '4': [0.8, 0.8, 0.8, 0.97, 1.1, 1.2, 1.24, 1.27, 1.28, 1.3, 1.31, 1.32, 1.33, 1.34],
  },
}

/** Terrain categories of IS 875-3, 6.3.2.1, by the project's terrain: its sea and its lakes are both category 1. */
export const isCategories: Readonly<Record<TerrainCategory, string>> = { '0': '1', I: '1', II: '2', III: '3', IV: '4' }

/** Design wind pressure at a height above ground; null above the table. */
export function isDesignPressure(height: number, site: WindSite, standard: Standard): Traced<'pressure'> | null {
  const z = given('z', 'length', height, 'height above ground')
  const found = readTable(tableOf(standard, 'wind.k_2'), isCategories[site.terrain], z)
  if (!found.ok) return null
  const of = (name: string) => parameterOf(standard, `wind.${name}`, 'factor')
  const V_z = designSpeed({
    V_b: { ...site.v_b0, symbol: 'V_b' },
    k_1: of('k_1'),
    k_2: { ...found.value, quantity: 'factor' },
    k_3: of('k_3'),
    k_4: of('k_4'),
  })
  const p_z = windPressure({ V_z, a: parameterOf(standard, 'wind.a', 'density') })
  return designPressure({ p_z, K_d: of('K_d'), K_a: of('K_a'), K_c: of('K_c'), r: of('r') })
}
