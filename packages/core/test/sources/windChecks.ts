import { tableOf, type Standard } from '../../src/standards/layer'
import { readTable } from '../../src/trace/readTable'
import { given } from '../../src/trace/traced'
import { remembered } from './familyChecks'
import type { FormulaCheck } from './formulaChecks'
import type { StandardCheck } from './standardChecks'

/** IS 875-3 (2015), table 2, height by height: k_2 of terrain categories 1 to 4. From memory. */
const byHeight: readonly (readonly [z: number, ...k2: readonly number[]])[] = [
  [500, 1.4, 1.39, 1.36, 1.34],
  [450, 1.39, 1.38, 1.35, 1.33],
  [400, 1.38, 1.37, 1.34, 1.32],
  [350, 1.37, 1.36, 1.32, 1.31],
  [300, 1.35, 1.34, 1.31, 1.3],
  [250, 1.34, 1.32, 1.29, 1.28],
  [200, 1.32, 1.3, 1.27, 1.27],
  [150, 1.3, 1.28, 1.24, 1.24],
  [100, 1.26, 1.24, 1.2, 1.2],
  [50, 1.2, 1.17, 1.12, 1.1],
  [30, 1.15, 1.12, 1.06, 0.97],
  [20, 1.12, 1.07, 1.01, 0.8],
  [15, 1.09, 1.05, 0.97, 0.8],
  [10, 1.05, 1, 0.91, 0.8],
  [5, 1.05, 1, 0.91, 0.8],
  // a straight line between: half way, by hand
  [475, 1.395, 1.385, 1.355, 1.335],
  [425, 1.385, 1.375, 1.345, 1.325],
  [375, 1.375, 1.365, 1.33, 1.315],
  [325, 1.36, 1.35, 1.315, 1.305],
  [275, 1.345, 1.33, 1.3, 1.29],
  [225, 1.33, 1.31, 1.28, 1.275],
  [175, 1.31, 1.29, 1.255, 1.255],
  [125, 1.28, 1.26, 1.22, 1.22],
  [75, 1.23, 1.205, 1.16, 1.15],
  [40, 1.175, 1.145, 1.09, 1.035],
  [25, 1.135, 1.095, 1.035, 0.885],
  [17.5, 1.105, 1.06, 0.99, 0.8],
  [12.5, 1.07, 1.025, 0.94, 0.8],
]

const terrainChecks: readonly StandardCheck[] = byHeight.flatMap(([z, ...k2]) =>
  k2.map((value, i): StandardCheck => ({
    source: `IS 875-3 table 2, category ${i + 1} at ${z} m`,
    fromMemory: true,
    read: (standard: Standard) => {
      const found = readTable(tableOf(standard, 'wind.k_2'), String(i + 1), given('z', 'length', z, 'check'))
      return found.ok ? found.value.value : NaN
    },
    value,
  })),
)

export const isWindChecks: readonly StandardCheck[] = [
  ...terrainChecks,
  remembered('IS 875-3 table 1: general buildings, 50 years', 'wind.k_1', 1),
  remembered('IS 875-3 6.3.3: slopes below 3 degrees', 'wind.k_3', 1),
  remembered('IS 875-3 6.3.4: other than cyclonic regions', 'wind.k_4', 1),
  remembered('IS 875-3 7.2: p_z = 0.6 V_z²', 'wind.a', 0.6),
  remembered('IS 875-3 7.2.1: 0.9 for buildings', 'wind.K_d', 0.9),
  remembered('IS 875-3 table 4: up to 10 m²', 'wind.K_a', 1),
  remembered('IS 875-3 7.3.3.13: one surface alone', 'wind.K_c', 1),
  remembered('IS 875-3 7.2: not less than 0.70 p_z', 'wind.r', 0.7),
]

const feet = 0.3048

const exposures = (source: string, rows: Readonly<Record<string, readonly [z_g: number, alpha: number]>>) =>
  Object.entries(rows).flatMap(([exposure, [z_g, alpha]]) => [
    remembered(`${source}, ${exposure}: ${z_g} ft`, `wind.terrain.${exposure}.z_g`, z_g * feet),
    remembered(`${source}, ${exposure}: ${alpha}`, `wind.terrain.${exposure}.alpha`, alpha),
  ])

export const asceWindChecks: readonly StandardCheck[] = [
  remembered('ASCE 7-16 (26.10-1.si): 0.613', 'wind.a', 0.613),
  remembered('ASCE 7-16 table 26.10-1: 2.01', 'wind.c', 2.01),
  remembered('ASCE 7-16 table 26.10-1: 15 ft, 4.57 m', 'wind.z_min', 4.572),
  remembered('ASCE 7-16 26.8.2: flat', 'wind.K_zt', 1),
  remembered('ASCE 7-16 table 26.6-1: 0.85 for buildings', 'wind.K_d', 0.85),
  remembered('ASCE 7-16 26.9: 1 is permitted', 'wind.K_e', 1),
  remembered('ASCE 7-16: no importance factor', 'wind.I', 1),
  ...exposures('ASCE 7-16 table 26.11-1', { D: [700, 11.5], C: [900, 9.5], B: [1200, 7] }),
]

export const asce722Checks: readonly StandardCheck[] = [
  remembered('ASCE 7-22 table 26.10-1: 2.41', 'wind.c', 2.41),
  remembered('ASCE 7-22 26.10.2: K_d is not part of q_z', 'wind.K_d', 1),
  ...exposures('ASCE 7-22 table 26.11-1', { D: [1935, 11.5], C: [2460, 9.8], B: [3280, 7.5] }),
]

/** K_z as ASCE 7 prints it by height (ft), to two digits; some of them are cut off and not rounded (1.266 stands as 1.26). */
const printed: readonly (readonly [edition: string, c: number, z_g: number, alpha: number, z: number, K_z: number])[] =
  [
    ['7-16, B', 2.01, 1200, 7, 0, 0.57],
    ['7-16, B', 2.01, 1200, 7, 15, 0.57],
    ['7-16, B', 2.01, 1200, 7, 30, 0.7],
    ['7-16, B', 2.01, 1200, 7, 100, 0.99],
    ['7-16, C', 2.01, 900, 9.5, 15, 0.85],
    ['7-16, C', 2.01, 900, 9.5, 30, 0.98],
    ['7-16, C', 2.01, 900, 9.5, 100, 1.26],
    ['7-16, C', 2.01, 900, 9.5, 500, 1.77],
    ['7-16, D', 2.01, 700, 11.5, 15, 1.03],
    ['7-16, D', 2.01, 700, 11.5, 100, 1.43],
    ['7-22, B', 2.41, 3280, 7.5, 15, 0.57],
  ]

export const windFormulaChecks: readonly FormulaCheck[] = [
  ...printed.map(([edition, c, z_g, alpha, z, result]): FormulaCheck => ({
    formula: 'exposureCoefficient',
    source: `ASCE 7 table 26.10-1 (${edition}) at ${z} ft`,
    fromMemory: true,
    inputs: { c, z: z * feet, z_min: 15 * feet, z_g: z_g * feet, alpha },
    result,
    within: 0.007,
  })),
  {
    // 100^(2/10) = 2.511886 by hand: z_g = 100 z
    formula: 'exposureCoefficient',
    source: 'by hand from the formula',
    inputs: { c: 1, z: 10, z_min: 4, z_g: 1000, alpha: 10 },
    result: 0.398107,
    within: 1e-6,
  },
  {
    // 0.00256 psf per mph² is 0.613 Pa per (m/s)²: 115 mph (51.41 m/s) on K_z 0.85, K_d 0.85: 24.46 psf
    formula: 'velocityPressure',
    source: 'ASCE 7 (26.10-1) in psf: 0.00256 · 0.85 · 0.85 · 115² = 24.46 psf',
    fromMemory: true,
    inputs: { a: 0.613, K_z: 0.85, K_zt: 1, K_d: 0.85, K_e: 1, I: 1, V: 51.4096 },
    result: 24.46 * 47.88026,
    within: 3,
  },
  {
    formula: 'designSpeed',
    source: 'IS 875-3 6.3 by hand: 47 m/s, 1.0, 1.05, 1.0, 1.15',
    fromMemory: true,
    inputs: { V_b: 47, k_1: 1, k_2: 1.05, k_3: 1, k_4: 1.15 },
    result: 56.7525,
    within: 1e-9,
  },
  {
    formula: 'windPressure',
    source: 'IS 875-3 7.2 by hand: 0.6 · 50² = 1500 Pa',
    fromMemory: true,
    inputs: { V_z: 50, a: 0.6 },
    result: 1500,
    within: 1e-9,
  },
  {
    formula: 'designPressure',
    source: 'IS 875-3 7.2 by hand: 0.9 · 0.9 · 1.0 of 1500 Pa',
    fromMemory: true,
    inputs: { p_z: 1500, K_d: 0.9, K_a: 0.9, K_c: 1, r: 0.7 },
    result: 1215,
    within: 1e-9,
  },
  {
    formula: 'designPressure',
    source: 'IS 875-3 7.2: 0.9 · 0.8 · 0.9 = 0.648 is held at 0.70',
    fromMemory: true,
    inputs: { p_z: 1500, K_d: 0.9, K_a: 0.8, K_c: 0.9, r: 0.7 },
    result: 1050,
    within: 1e-9,
  },
]
