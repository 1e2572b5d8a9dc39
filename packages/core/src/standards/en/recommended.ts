import type { LayerValue, ParameterMeaning, StandardLayer } from '../layer'
import { tables } from './tables'
import { uses, type Use } from './uses'

// Every value of this file was written from memory of the standards and marked so, until someone has checked it
// against the printed documents; the mark shows beside the value on the screen.
const remembered = (value: number, clause: string): LayerValue => ({ value, clause, fromMemory: true })

const factor = (symbol: string, name: string, max = 10): ParameterMeaning => ({
  symbol,
  quantity: 'factor',
  name,
  min: 0,
  max,
})

/** EN 1991-1-1, tables 6.2, 6.4, 6.8 and 6.10: recommended uniform values in Pa. */
const imposed: Readonly<Record<Use, readonly [value: number, clause: string]>> = {
  A: [2000, 'EN 1991-1-1 table 6.2'],
  'A-stairs': [2000, 'EN 1991-1-1 table 6.2'],
  'A-balconies': [2500, 'EN 1991-1-1 table 6.2'],
  B: [3000, 'EN 1991-1-1 table 6.2'],
  C1: [3000, 'EN 1991-1-1 table 6.2'],
  C2: [4000, 'EN 1991-1-1 table 6.2'],
  C3: [5000, 'EN 1991-1-1 table 6.2'],
  C4: [5000, 'EN 1991-1-1 table 6.2'],
  C5: [5000, 'EN 1991-1-1 table 6.2'],
  D1: [4000, 'EN 1991-1-1 table 6.2'],
  D2: [5000, 'EN 1991-1-1 table 6.2'],
  E1: [7500, 'EN 1991-1-1 table 6.4'],
  F: [2500, 'EN 1991-1-1 table 6.8'],
  G: [5000, 'EN 1991-1-1 table 6.8'],
  H: [400, 'EN 1991-1-1 table 6.10'],
}

/** The same tables: concentrated values in N, for F and G the axle. Alone, for the local check (6.2.1(3)P). */
const concentrated: Readonly<Record<Use, number>> = {
  A: 2000,
  'A-stairs': 2000,
  'A-balconies': 2000,
  B: 4500,
  C1: 4000,
  C2: 4000,
  C3: 4000,
  C4: 7000,
  C5: 4500,
  D1: 4000,
  D2: 7000,
  E1: 7000,
  F: 20_000,
  G: 90_000,
  H: 1000,
}

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
    { symbol: 'z_max', quantity: 'length', name: 'greatest height', min: 10, max: 400 },
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
  for (const use of uses) {
    const [value, clause] = imposed[use]
    set(
      `imposed.q_k.${use}`,
      { symbol: 'q_k', quantity: 'pressure', name: `imposed load, ${use}`, min: 0, max: 1e5 },
      remembered(value, clause),
    )
    set(
      `imposed.Q_k.${use}`,
      { symbol: 'Q_k', quantity: 'force', name: `concentrated load, ${use}`, min: 0, max: 1e6 },
      remembered(concentrated[use], clause),
    )
  }
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
      meaning('z_min', 'length', 'least height'),
      remembered(z_min, 'EN 1991-1-4 table 4.1'),
    )
  }
  return { meanings, values }
}

const { meanings, values } = expand()

/** What every EN parameter of this version means. */
export const enMeanings = meanings

/** The recommended values of EN 1990, EN 1991-1-1 and EN 1991-1-4. */
export const enRecommended: StandardLayer = {
  name: 'EN, recommended values',
  values,
  tables,
  methods: { 'wind.peakPressure': 'roughness' },
}
