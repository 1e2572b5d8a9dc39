import type { ParameterMeaning } from '../family'
import type { LayerValue, StandardLayer } from '../layer'
import { meaningOf, metricTable, remembered, useParameters, useValues } from '../tabled'
import { highestPlaceMeaning } from '../barriers'
import { enBarriers } from './barriers'
import { tables } from './tables'
import { enUseRows } from './uses'

export const enImposedSymbols = ['q_k', 'Q_k'] as const

const factor = (symbol: string, name: string, max = 10): ParameterMeaning => meaningOf('factor')(symbol, name, 0, max)

/** EN 1990, table A1.1: psi_0, psi_1, psi_2. */
const psi: Readonly<Record<string, readonly [name: string, ...psi: readonly number[]]>> = {
  A: ['homes', 0.7, 0.5, 0.3],
  B: ['offices', 0.7, 0.5, 0.3],
  C: ['assembly', 0.7, 0.7, 0.6],
  D: ['shops', 0.7, 0.7, 0.6],
  E: ['storage', 1.0, 0.9, 0.8],
  F: ['light vehicles', 0.7, 0.7, 0.6],
  G: ['medium vehicles', 0.7, 0.5, 0.3],
  H: ['roofs', 0, 0, 0],
  'snow-nordic': ['snow, Finland, Iceland, Norway, Sweden', 0.7, 0.5, 0.2],
  'snow-high': ['snow, above 1000 m', 0.7, 0.5, 0.2],
  snow: ['snow, up to 1000 m', 0.5, 0.2, 0],
  wind: ['wind', 0.6, 0.2, 0],
  temperature: ['temperature, not fire', 0.6, 0.5, 0],
}

/** EN 1991-1-4, table 4.1: z_0 and z_min in m. */
const terrain: Readonly<Record<string, readonly [z_0: number, z_min: number]>> = {
  '0': [0.003, 1],
  I: [0.01, 1],
  II: [0.05, 2],
  III: [0.3, 5],
  IV: [1.0, 10],
}

const single: Readonly<Record<string, readonly [ParameterMeaning, LayerValue]>> = {
  'basis.gamma_Gsup': [factor('γ_G,sup', 'permanent, unfavourable', 2), remembered(1.35, 'EN 1990 table A1.2(B)')],
  'basis.gamma_Ginf': [factor('γ_G,inf', 'permanent, favourable', 2), remembered(1.0, 'EN 1990 table A1.2(B)')],
  'basis.gamma_Q': [factor('γ_Q', 'variable, unfavourable', 2), remembered(1.5, 'EN 1990 table A1.2(B)')],
  'basis.K_FI.CC1': [factor('K_FI', 'consequence class CC1', 2), remembered(0.9, 'EN 1990 table B3')],
  'basis.K_FI.CC2': [factor('K_FI', 'consequence class CC2', 2), remembered(1.0, 'EN 1990 table B3')],
  'basis.K_FI.CC3': [factor('K_FI', 'consequence class CC3', 2), remembered(1.1, 'EN 1990 table B3')],
  'reduction.A_0': [
    { symbol: 'A_0', quantity: 'area', name: 'area without reduction', min: 0, max: 100 },
    remembered(10, 'EN 1991-1-1 6.3.1.2(10)'),
  ],
  'reduction.least.C': [factor('α_min', 'minimum for area, assembly', 1), remembered(0.6, 'EN 1991-1-1 6.3.1.2(10)')],
  'reduction.least.D': [factor('α_min', 'minimum for area, shops', 1), remembered(0.6, 'EN 1991-1-1 6.3.1.2(10)')],
  'wind.rho': [
    { symbol: 'ρ', quantity: 'density', name: 'air density', min: 0.8, max: 1.5 },
    remembered(1.25, 'EN 1991-1-4 4.5(1) note 2'),
  ],
  'wind.k_I': [factor('k_I', 'turbulence factor', 2), remembered(1, 'EN 1991-1-4 4.4(1) note 2')],
  'wind.c_dir': [factor('c_dir', 'directional factor', 1), remembered(1, 'EN 1991-1-4 4.2(2) note 2')],
  'wind.c_season': [factor('c_season', 'season factor', 1), remembered(1, 'EN 1991-1-4 4.2(2) note 3')],
  'wind.c_prob': [factor('c_prob', 'probability factor', 2), remembered(1, 'EN 1991-1-4 4.2(2) note 4')],
  'wind.c_o': [factor('c_o', 'orography factor', 2), remembered(1, 'EN 1991-1-4 4.3.1(1) note 1')],
  'wind.z_max': [
    { symbol: 'z_max', quantity: 'length', name: 'maximum height', min: 10, max: 400 },
    remembered(200, 'EN 1991-1-4 4.3.2(1)'),
  ],
}

const expand = () => {
  const meanings: Record<string, ParameterMeaning> = {}
  const values: Record<string, LayerValue> = {}
  const set = (key: string, meaning: ParameterMeaning, value: LayerValue) => {
    meanings[key] = meaning
    values[key] = value
  }
  for (const [key, [meaning, value]] of Object.entries(single)) set(key, meaning, value)
  Object.assign(meanings, useParameters({ imposedSymbols: enImposedSymbols }, enUseRows))
  Object.assign(values, useValues(enUseRows, metricTable), enBarriers)
  Object.assign(meanings, highestPlaceMeaning)
  for (const [category, [name, ...three]] of Object.entries(psi))
    three.forEach((value, i) =>
      set(`basis.psi_${i}.${category}`, factor(`ψ_${i}`, name, 1), remembered(value, 'EN 1990 table A1.1')),
    )
  for (const [category, [z_0, z_min]] of Object.entries(terrain)) {
    const meaning = (symbol: string, quantity: 'length' | 'roughness', name: string): ParameterMeaning => ({
      symbol,
      quantity,
      name: `${name}, terrain ${category}`,
      min: 0.0001,
      max: 30,
    })
    set(
      `wind.terrain.${category}.z_0`,
      meaning('z_0', 'roughness', 'roughness length'),
      remembered(z_0, 'EN 1991-1-4 table 4.1'),
    )
    set(
      `wind.terrain.${category}.z_min`,
      meaning('z_min', 'length', 'minimum height'),
      remembered(z_min, 'EN 1991-1-4 table 4.1'),
    )
  }
  return { meanings, values }
}

const { meanings, values } = expand()

/** What every EN parameter of this version means. */
export const enMeanings: Readonly<Record<string, ParameterMeaning>> = {
  ...meanings,
  'imposed.partitions.limit': {
    symbol: 'q_lim',
    quantity: 'pressure',
    name: 'imposed load above which no partition allowance is added',
    min: 0,
    max: 1e5,
  },
}

/** The recommended values of EN 1990, EN 1991-1-1 and EN 1991-1-4. */
export const enRecommended: StandardLayer = {
  name: 'EN, recommended values',
  values,
  tables,
  methods: {
    'wind.peakPressure': 'roughness',
    'imposed.partitions': 'byBand',
    'imposed.reduction': 'alpha',
    'imposed.columns': 'byStoreys',
  },
}
