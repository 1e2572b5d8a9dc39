import { own } from '../../outcome/own'

import { formula } from '../../trace/formula'
import { given, type Traced } from '../../trace/traced'
import { parameterOf, type Standard } from '../layer'
import type { WindSite } from '../pressureRule'

export const basicVelocity = formula({
  symbol: 'v_b',
  quantity: 'velocity',
  clause: 'EN 1991-1-4 4.2 (4.1)',
  inputs: { c_dir: 'factor', c_season: 'factor', c_prob: 'factor', v_b0: 'velocity' },
  expression: 'c_dir * c_season * c_prob * v_b0',
  evaluate: ({ c_dir, c_season, c_prob, v_b0 }) => c_dir * c_season * c_prob * v_b0,
})

export const effectiveHeight = formula({
  symbol: 'z',
  quantity: 'length',
  clause: 'EN 1991-1-4 4.3.2(1)',
  inputs: { z_e: 'length', z_min: 'length' },
  expression: 'max(z_e, z_min)',
  evaluate: ({ z_e, z_min }) => Math.max(z_e, z_min),
})

export const terrainFactor = formula({
  symbol: 'k_r',
  quantity: 'factor',
  clause: 'EN 1991-1-4 4.3.2 (4.5)',
  inputs: { z_0: 'roughness', z_0II: 'roughness' },
  expression: '0.19 * (z_0 / z_0II) ^ 0.07',
  evaluate: ({ z_0, z_0II }) => 0.19 * (z_0 / z_0II) ** 0.07,
})

export const roughness = formula({
  symbol: 'c_r',
  quantity: 'factor',
  clause: 'EN 1991-1-4 4.3.2 (4.4)',
  inputs: { k_r: 'factor', z: 'length', z_0: 'roughness' },
  expression: 'k_r * log(z / z_0)',
  evaluate: ({ k_r, z, z_0 }) => k_r * Math.log(z / z_0),
})

export const meanVelocity = formula({
  symbol: 'v_m',
  quantity: 'velocity',
  clause: 'EN 1991-1-4 4.3.1 (4.3)',
  inputs: { c_r: 'factor', c_o: 'factor', v_b: 'velocity' },
  expression: 'c_r * c_o * v_b',
  evaluate: ({ c_r, c_o, v_b }) => c_r * c_o * v_b,
})

export const turbulence = formula({
  symbol: 'I_v',
  quantity: 'factor',
  clause: 'EN 1991-1-4 4.4 (4.7)',
  inputs: { k_I: 'factor', c_o: 'factor', z: 'length', z_0: 'roughness' },
  expression: 'k_I / (c_o * log(z / z_0))',
  evaluate: ({ k_I, c_o, z, z_0 }) => k_I / (c_o * Math.log(z / z_0)),
})

export const peakPressure = formula({
  symbol: 'q_p',
  quantity: 'pressure',
  clause: 'EN 1991-1-4 4.5 (4.8)',
  inputs: { v_m: 'velocity', I_v: 'factor', rho: 'density' },
  expression: '(1 + 7 * I_v) * rho * v_m ^ 2 / 2',
  evaluate: ({ I_v, rho, v_m }) => ((1 + 7 * I_v) * rho * v_m ** 2) / 2,
})

export const basicPressure = formula({
  symbol: 'q_b',
  quantity: 'pressure',
  clause: 'EN 1991-1-4 4.5 (4.10)',
  inputs: { rho: 'density', v_b: 'velocity' },
  expression: 'rho * v_b ^ 2 / 2',
  evaluate: ({ rho, v_b }) => (rho * v_b ** 2) / 2,
})

export const mixedInlandPressure = formula({
  symbol: 'q_p',
  quantity: 'pressure',
  clause: 'DIN EN 1991-1-4/NA NA.B.3.3, inland',
  inputs: { q_b: 'pressure', z: 'length' },
  expression: 'z <= 7 ? 1.5 * q_b : (z <= 50 ? 1.7 * q_b * (z / 10) ^ 0.37 : 2.1 * q_b * (z / 10) ^ 0.24)',
  evaluate: ({ q_b, z }) =>
    z <= 7 ? 1.5 * q_b : z <= 50 ? 1.7 * q_b * (z / 10) ** 0.37 : 2.1 * q_b * (z / 10) ** 0.24,
})

const velocityOf = (site: WindSite, standard: Standard): Traced<'velocity'> =>
  basicVelocity({
    c_dir: parameterOf(standard, 'wind.c_dir', 'factor'),
    c_season: parameterOf(standard, 'wind.c_season', 'factor'),
    c_prob: parameterOf(standard, 'wind.c_prob', 'factor'),
    v_b0: site.v_b0,
  })

type PeakPressureMethod = (z_e: Traced<'length'>, site: WindSite, standard: Standard) => Traced<'pressure'>

/** Roughness and turbulence of one terrain category (EN 1991-1-4, 4.3 to 4.5). */
const byRoughness: PeakPressureMethod = (z_e, site, standard) => {
  const z_0 = parameterOf(standard, `wind.terrain.${site.terrain}.z_0`, 'roughness')
  const z_min = parameterOf(standard, `wind.terrain.${site.terrain}.z_min`, 'length')
  const c_o = parameterOf(standard, 'wind.c_o', 'factor')
  const z = effectiveHeight({ z_e, z_min })
  const k_r = terrainFactor({ z_0, z_0II: parameterOf(standard, 'wind.terrain.II.z_0', 'roughness') })
  const c_r = roughness({ k_r, z, z_0 })
  const v_m = meanVelocity({ c_r, c_o, v_b: velocityOf(site, standard) })
  const I_v = turbulence({ k_I: parameterOf(standard, 'wind.k_I', 'factor'), c_o, z, z_0 })
  return peakPressure({ v_m, I_v, rho: parameterOf(standard, 'wind.rho', 'density') })
}

/** One profile for mixed terrain inland, of terrain II and III (DIN EN 1991-1-4/NA, NA.B.3.3). */
const byMixedInland: PeakPressureMethod = (z_e, site, standard) => {
  const q_b = basicPressure({ rho: parameterOf(standard, 'wind.rho', 'density'), v_b: velocityOf(site, standard) })
  return mixedInlandPressure({ q_b, z: z_e })
}

/** The methods that a layer may choose for `wind.peakPressure`. */
export const peakPressureMethods: Readonly<Record<string, PeakPressureMethod>> = {
  roughness: byRoughness,
  mixedInland: byMixedInland,
}

/** Peak velocity pressure at a height above ground, by the method that the layers choose. */
export function peakVelocityPressure(height: number, site: WindSite, standard: Standard): Traced<'pressure'> {
  const name = standard.methods['wind.peakPressure'] ?? 'roughness'
  const method = own(peakPressureMethods, name) ?? byRoughness
  return method(given('z_e', 'length', height, 'reference height'), site, standard)
}
