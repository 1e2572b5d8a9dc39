import { formula } from '../../trace/formula'
import { given, type Traced } from '../../trace/traced'
import type { LayerValue, ParameterMeaning } from '../family'
import { parameterOf, type Standard } from '../layer'
import type { TerrainCategory, WindSite } from '../pressureRule'
import { meaningOf, remembered } from '../tabled'

export const exposureCoefficient = formula({
  symbol: 'K_z',
  quantity: 'factor',
  clause: 'ASCE 7-16 table 26.10-1, note 1',
  inputs: { c: 'factor', z: 'length', z_min: 'length', z_g: 'length', alpha: 'factor' },
  expression: 'c * (min(max(z, z_min), z_g) / z_g) ^ (2 / alpha)',
  evaluate: ({ c, z, z_min, z_g, alpha }) => c * (Math.min(Math.max(z, z_min), z_g) / z_g) ** (2 / alpha),
})

export const velocityPressure = formula({
  symbol: 'q_z',
  quantity: 'pressure',
  clause: 'ASCE 7-16 (26.10-1.si)',
  inputs: {
    a: 'density',
    K_z: 'factor',
    K_zt: 'factor',
    K_d: 'factor',
    K_e: 'factor',
    I: 'factor',
    V: 'velocity',
  },
  expression: 'a * K_z * K_zt * K_d * K_e * I * V ^ 2',
  evaluate: ({ a, K_z, K_zt, K_d, K_e, I, V }) => a * K_z * K_zt * K_d * K_e * I * V ** 2,
})

const foot = 0.3048

type Exposure = 'B' | 'C' | 'D'

/** ASCE 7-16, table 26.11-1: z_g in ft and alpha. */
const profiles: Readonly<Record<Exposure, readonly [z_g: number, alpha: number]>> = {
  B: [1200, 7],
  C: [900, 9.5],
  D: [700, 11.5],
}

const factor = meaningOf('factor')

/** Values of the profile, by edition: its factor, and z_g (ft) and alpha of each exposure. */
export const profileValues = (
  clause: string,
  c: number,
  exposures: Readonly<Record<Exposure, readonly [z_g: number, alpha: number]>>,
): Readonly<Record<string, LayerValue>> => ({
  'wind.c': remembered(c, clause),
  ...Object.fromEntries(
    Object.entries(exposures).flatMap(([exposure, [z_g, alpha]]) => [
      [`wind.terrain.${exposure}.z_g`, remembered(z_g * foot, clause)],
      [`wind.terrain.${exposure}.alpha`, remembered(alpha, clause)],
    ]),
  ),
})

export const asceWindMeanings: Readonly<Record<string, ParameterMeaning>> = {
  'wind.a': { symbol: 'a', quantity: 'density', name: 'pressure per square of the speed', min: 0.5, max: 0.7 },
  'wind.c': factor('c', 'of the profile', 1, 3),
  'wind.z_min': {
    symbol: 'z_min',
    quantity: 'length',
    name: 'height below which the pressure is constant',
    min: 1,
    max: 20,
  },
  'wind.K_zt': factor('K_zt', 'topography', 1, 5),
  'wind.K_d': factor('K_d', 'direction of the wind', 0.8, 1),
  'wind.K_e': factor('K_e', 'ground elevation', 0.6, 1.05),
  'wind.I': factor('I', 'importance, in 7-05', 0.77, 1.15),
  ...Object.fromEntries(
    Object.keys(profiles).flatMap((exposure): readonly (readonly [string, ParameterMeaning])[] => [
      [
        `wind.terrain.${exposure}.z_g`,
        {
          symbol: 'z_g',
          quantity: 'length',
          name: `gradient height, exposure ${exposure}`,
          min: 100,
          max: 2000,
        },
      ],
      [`wind.terrain.${exposure}.alpha`, factor('α', `exponent of the profile, exposure ${exposure}`, 3, 20)],
    ]),
  ),
}

export const asceWindValues: Readonly<Record<string, LayerValue>> = {
  'wind.a': remembered(0.613, 'ASCE 7-16 (26.10-1.si)'),
  'wind.z_min': remembered(15 * foot, 'ASCE 7-16 table 26.10-1, note 1'),
  'wind.K_zt': remembered(1, 'ASCE 7-16 26.8.2'),
  'wind.K_d': remembered(0.85, 'ASCE 7-16 table 26.6-1, buildings'),
  'wind.K_e': remembered(1, 'ASCE 7-16 26.9: 1 is permitted'),
  'wind.I': remembered(1, 'ASCE 7-16 26.5.1: the speed follows the risk category'),
  ...profileValues('ASCE 7-16 table 26.11-1', 2.01, profiles),
}

/** Exposure of ASCE 7 26.7.3 by the project's terrain: towns, villages and woods are B, open land C, water D. */
export const asceExposures: Readonly<Record<TerrainCategory, Exposure>> = {
  '0': 'D',
  I: 'D',
  II: 'C',
  III: 'B',
  IV: 'B',
}

/** Velocity pressure at a height above ground. */
export function asceVelocityPressure(height: number, site: WindSite, standard: Standard): Traced<'pressure'> {
  const exposure = asceExposures[site.terrain]
  const of = (name: string) => parameterOf(standard, `wind.${name}`, 'factor')
  const K_z = exposureCoefficient({
    c: of('c'),
    z: given('z', 'length', height, 'height above ground'),
    z_min: parameterOf(standard, 'wind.z_min', 'length'),
    z_g: parameterOf(standard, `wind.terrain.${exposure}.z_g`, 'length'),
    alpha: of(`terrain.${exposure}.alpha`),
  })
  return velocityPressure({
    a: parameterOf(standard, 'wind.a', 'density'),
    K_z,
    K_zt: of('K_zt'),
    K_d: of('K_d'),
    K_e: of('K_e'),
    I: of('I'),
    V: { ...site.v_b0, symbol: 'V' },
  })
}
