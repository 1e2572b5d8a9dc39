import { parameter, type Standard } from '../../src/standards/layer'
import { remembered } from './familyChecks'
import type { FormulaCheck } from './formulaChecks'
import type { StandardCheck } from './standardChecks'

/** IS 1893-1 (2016), 6.4.2: the corner is where the falling part meets 2.5, and the end where it meets 4 s (both to two digits). */
const meets = (soil: number, T_c: number): StandardCheck => ({
  source: `IS 1893-1 6.4.2: soil ${soil} falls from ${T_c} s`,
  fromMemory: true,
  read: (standard: Standard) => parameter(standard, `earthquake.soil.${soil}.T_c`).value,
  value: T_c,
})

export const isEarthquakeChecks: readonly StandardCheck[] = [
  remembered('IS 1893-1 table 3: zone II', 'earthquake.Z', 0.1),
  remembered('IS 1893-1 table 7: zone II, 0.7 %', 'earthquake.rho', 0.007),
  remembered('IS 1893-1 table 8: other buildings', 'earthquake.I', 1),
  remembered('IS 1893-1 table 9: ordinary moment frames of concrete', 'earthquake.R', 3),
  remembered('IS 1893-1 7.6.2: bare concrete frames', 'earthquake.C_t', 0.075),
  remembered('IS 1893-1 7.6.2: three quarters', 'earthquake.x', 0.75),
  remembered('IS 1893-1 7.6.3: square of the height', 'earthquake.k', 2),
  remembered('IS 1893-1 6.4.2: 2.5', 'earthquake.p', 2.5),
  remembered('IS 1893-1 6.4.2: up to 4 s', 'earthquake.T_f', 4),
  remembered('IS 1893-1 6.4.2.1: medium stiff is type II', 'earthquake.soil', 2),
  meets(1, 0.4),
  meets(2, 0.55),
  meets(3, 0.67),
  ...(
    [
      [1, 1, 0.25],
      [2, 1.36, 0.34],
      [3, 1.67, 0.42],
    ] as const
  ).flatMap(([soil, a, f]) => [
    remembered(`IS 1893-1 6.4.2: ${a}/T on soil ${soil}`, `earthquake.soil.${soil}.a`, a),
    remembered(`IS 1893-1 6.4.2: ${f} past 4 s on soil ${soil}`, `earthquake.soil.${soil}.f`, f),
  ]),
]

const medium = { T_c: 0.55, T_f: 4, p: 2.5, a: 1.36, f: 0.34 }

export const earthquakeFormulaChecks: readonly FormulaCheck[] = [
  {
    // 15^0.75 = √15 · ⁴√15 = 3.87298 · 1.96799 = 7.62199
    formula: 'approximatePeriod',
    source: 'IS 1893-1 7.6.2 by hand: 15 m of concrete frame',
    fromMemory: true,
    inputs: { C_t: 0.075, h: 15, x: 0.75 },
    result: 0.57165,
    within: 1e-5,
  },
  ...(
    [
      [0.1, 2.5],
      [0.55, 2.5],
      [0.68, 2],
      [2, 0.68],
      [4, 0.34],
      [6, 0.34],
    ] as const
  ).map(([T, result]): FormulaCheck => ({
    formula: 'accelerationCoefficient',
    source: `IS 1893-1 6.4.2 by hand: medium soil at ${T} s`,
    fromMemory: true,
    inputs: { T, ...medium },
    result,
    within: 1e-9,
  })),
  {
    formula: 'horizontalCoefficient',
    source: 'IS 1893-1 6.4.2 by hand: zone IV, a school, special frames: 0.12 · 1.5 / 5 · 2.5',
    fromMemory: true,
    inputs: { Z: 0.24, I: 1.5, R: 5, S: 2.5 },
    result: 0.09,
    within: 1e-12,
  },
  {
    formula: 'leastCoefficient',
    source: 'IS 1893-1 7.2.2: 0.016 of the weight in zone IV at least',
    fromMemory: true,
    inputs: { A_h: 0.01, rho: 0.016 },
    result: 0.016,
    within: 1e-12,
  },
  {
    formula: 'leastCoefficient',
    source: 'IS 1893-1 7.2.2: more than the least',
    fromMemory: true,
    inputs: { A_h: 0.09, rho: 0.016 },
    result: 0.09,
    within: 1e-12,
  },
  {
    formula: 'baseShear',
    source: 'by hand: 0.09 of 1000 kN',
    inputs: { A: 0.09, W: 1e6 },
    result: 9e4,
    within: 1e-6,
  },
  {
    formula: 'weightByHeight',
    source: 'by hand: 900 kN at two thirds of the height, squared',
    inputs: { W: 9e5, z: 6, h: 9, k: 2 },
    result: 4e5,
    within: 1e-6,
  },
  {
    formula: 'forceOfLevel',
    source: 'by hand: 4 of 14 parts of 140 kN',
    inputs: { V_B: 1.4e5, W_k: 4, S_k: 14 },
    result: 4e4,
    within: 1e-6,
  },
]
