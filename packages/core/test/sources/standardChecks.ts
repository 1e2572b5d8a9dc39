import { given } from '../../src/trace/traced'
import { readTable } from '../../src/trace/readTable'
import { parameter, tableOf, type Standard } from '../../src/standards/layer'

/** One value that a clause gives, read from the resolved standard. Written out from the document, row by row as printed. */
export interface StandardCheck {
  readonly source: string
  readonly fromMemory: boolean
  readonly read: (standard: Standard) => number
  readonly value: number
}

const remembered = (source: string, read: StandardCheck['read'], value: number): StandardCheck => ({
  source,
  fromMemory: true,
  read,
  value,
})

/** EN 1990:2002+A1, table A1.1: psi_0, psi_1, psi_2 in the printed order. */
const factorsPsi = (
  [
    ['A', 0.7, 0.5, 0.3],
    ['B', 0.7, 0.5, 0.3],
    ['C', 0.7, 0.7, 0.6],
    ['D', 0.7, 0.7, 0.6],
    ['E', 1.0, 0.9, 0.8],
    ['F', 0.7, 0.7, 0.6],
    ['G', 0.7, 0.5, 0.3],
    ['H', 0, 0, 0],
    ['snow-nordic', 0.7, 0.5, 0.2],
    ['snow-high', 0.7, 0.5, 0.2],
    ['snow', 0.5, 0.2, 0],
    ['wind', 0.6, 0.2, 0],
    ['temperature', 0.6, 0.5, 0],
  ] as const
).flatMap(([category, ...three]) =>
  three.map((value, i) =>
    remembered(
      `EN 1990 table A1.1, ${category}, ψ_${i}`,
      (standard) => parameter(standard, `basis.psi_${i}.${category}`).value,
      value,
    ),
  ),
)

/** EN 1991-1-1:2002, the underlined q_k of table 6.2 (kN/m²), then tables 6.4, 6.8 and 6.10. */
const imposed = (
  [
    ['A', 2.0, '6.2'],
    ['A-stairs', 2.0, '6.2'],
    ['A-balconies', 2.5, '6.2'],
    ['B', 3.0, '6.2'],
    ['C1', 3.0, '6.2'],
    ['C2', 4.0, '6.2'],
    ['C3', 5.0, '6.2'],
    ['C4', 5.0, '6.2'],
    ['C5', 5.0, '6.2'],
    ['D1', 4.0, '6.2'],
    ['D2', 5.0, '6.2'],
    ['E1', 7.5, '6.4'],
    ['F', 2.5, '6.8'],
    ['G', 5.0, '6.8'],
    ['H', 0.4, '6.10'],
    // 6.3.4.1: roofs in use as floors of the same use
    ['I-A', 2.0, '6.2'],
    ['I-B', 3.0, '6.2'],
    ['I-C1', 3.0, '6.2'],
    ['I-C2', 4.0, '6.2'],
    ['I-C3', 5.0, '6.2'],
    ['I-C4', 5.0, '6.2'],
    ['I-C5', 5.0, '6.2'],
    ['I-D1', 4.0, '6.2'],
    ['I-D2', 5.0, '6.2'],
  ] as const
).map(([use, kilonewtons, table]) =>
  remembered(
    `EN 1991-1-1 table ${table}, ${use}`,
    (standard) => parameter(standard, `imposed.q_k.${use}`).value,
    kilonewtons * 1000,
  ),
)

/** EN 1991-1-1:2002, the underlined Q_k of the same tables (kN), for F and G the axle load. */
const concentrated = (
  [
    ['A', 2.0, '6.2'],
    ['A-stairs', 2.0, '6.2'],
    ['A-balconies', 2.0, '6.2'],
    ['B', 4.5, '6.2'],
    ['C1', 4.0, '6.2'],
    ['C2', 4.0, '6.2'],
    ['C3', 4.0, '6.2'],
    ['C4', 7.0, '6.2'],
    ['C5', 4.5, '6.2'],
    ['D1', 4.0, '6.2'],
    ['D2', 7.0, '6.2'],
    ['E1', 7.0, '6.4'],
    ['E2-FL1', 26, '6.6'],
    ['E2-FL2', 40, '6.6'],
    ['E2-FL3', 63, '6.6'],
    ['E2-FL4', 90, '6.6'],
    ['E2-FL5', 140, '6.6'],
    ['E2-FL6', 170, '6.6'],
    ['F', 20, '6.8'],
    ['G', 90, '6.8'],
    ['H', 1.0, '6.10'],
    ['I-A', 2.0, '6.2'],
    ['I-B', 4.5, '6.2'],
    ['I-C1', 4.0, '6.2'],
    ['I-C2', 4.0, '6.2'],
    ['I-C3', 4.0, '6.2'],
    ['I-C4', 7.0, '6.2'],
    ['I-C5', 4.5, '6.2'],
    ['I-D1', 4.0, '6.2'],
    ['I-D2', 7.0, '6.2'],
    ['K-HC1', 20, '6.11'],
    ['K-HC2', 60, '6.11'],
  ] as const
).map(([use, kilonewtons, table]) =>
  remembered(
    `EN 1991-1-1 table ${table}, ${use}, concentrated`,
    (standard) => parameter(standard, `imposed.Q_k.${use}`).value,
    kilonewtons * 1000,
  ),
)

/** EN 1991-1-4:2005+A1, table 4.1. */
const terrain = (
  [
    ['0', 0.003, 1],
    ['I', 0.01, 1],
    ['II', 0.05, 2],
    ['III', 0.3, 5],
    ['IV', 1.0, 10],
  ] as const
).flatMap(([category, z_0, z_min]) => [
  remembered(
    `EN 1991-1-4 table 4.1, ${category}, z_0`,
    (standard) => parameter(standard, `wind.terrain.${category}.z_0`).value,
    z_0,
  ),
  remembered(
    `EN 1991-1-4 table 4.1, ${category}, z_min`,
    (standard) => parameter(standard, `wind.terrain.${category}.z_min`).value,
    z_min,
  ),
])

const single = (
  [
    ['basis.gamma_Gsup', 1.35, 'EN 1990 table A1.2(B) note 1', true],
    ['basis.gamma_Ginf', 1.0, 'EN 1990 table A1.2(B) note 1', true],
    ['basis.gamma_Q', 1.5, 'EN 1990 table A1.2(B) note 1', true],
    ['basis.K_FI.CC1', 0.9, 'EN 1990 table B3', true],
    ['basis.K_FI.CC2', 1.0, 'EN 1990 table B3', true],
    ['basis.K_FI.CC3', 1.1, 'EN 1990 table B3', true],
    ['wind.rho', 1.25, 'common practice: air density 1.25 kg/m³', false],
    ['wind.k_I', 1, 'EN 1991-1-4 4.4(1) note 2', true],
    ['wind.c_dir', 1, 'EN 1991-1-4 4.2(2) note 2', true],
    ['wind.c_season', 1, 'EN 1991-1-4 4.2(2) note 3', true],
    ['wind.c_prob', 1, 'EN 1991-1-4 4.2(2): 1 for a return period of 50 years', true],
    ['wind.c_o', 1, 'EN 1991-1-4 4.3.1(1) note 1', true],
    ['wind.z_max', 200, 'EN 1991-1-4 4.3.2(1): z ≤ z_max = 200 m', true],
  ] as const
).map(([key, value, source, fromMemory]) => ({
  source,
  fromMemory,
  read: (standard: Standard) => parameter(standard, key).value,
  value,
}))

/** NaN where the table refuses. */
const cell =
  (key: string, row: string, at: number) =>
  (standard: Standard): number => {
    const table = tableOf(standard, key)
    const read = readTable(table, row, given(table.axis.symbol, table.axis.quantity, at, 'check'))
    return read.ok ? read.value.value : NaN
  }

/** EN 1991-1-4, table 7.1 with its note 1 (linear between), the printed rows h/d = 5, 1 and 0.25 or less. */
const walls = (
  [
    [5, -1.2, -0.8, -0.5, 0.8, -0.7],
    [1, -1.2, -0.8, -0.5, 0.8, -0.5],
    [0.25, -1.2, -0.8, -0.5, 0.7, -0.3],
    [0.1, -1.2, -0.8, -0.5, 0.7, -0.3],
    // by hand, half-way: D (0.7 + 0.8)/2, E (0.3 + 0.5)/2; then E (0.5 + 0.7)/2
    [0.625, -1.2, -0.8, -0.5, 0.75, -0.4],
    [3, -1.2, -0.8, -0.5, 0.8, -0.6],
  ] as const
).flatMap(([ratio, ...five]) =>
  five.map((value, i) => {
    const zone = 'ABCDE'.charAt(i)
    return remembered(
      `EN 1991-1-4 table 7.1, zone ${zone}, h/d = ${ratio}`,
      cell('wind.wallPressure', zone, ratio),
      value,
    )
  }),
)
const beyond = remembered('EN 1991-1-4 table 7.1: nothing above h/d = 5', cell('wind.wallPressure', 'D', 5.01), NaN)

/** EN 1991-1-4, 7.2.2(3): 1 for h/d ≥ 5, 0.85 for h/d ≤ 1, linear between. */
const correlation = (
  [
    [0.4, 0.85],
    [1, 0.85],
    [3, 0.925],
    [5, 1],
    [9, 1],
  ] as const
).map(([ratio, value]) =>
  remembered(`EN 1991-1-4 7.2.2(3), h/d = ${ratio}`, cell('wind.correlation', 'D+E', ratio), value),
)

/** EN 1991-1-1, 6.3.1.2(8): walls up to and with 1, 2 and 3 kN/m; above, they are line loads. */
const partitions = (
  [
    [0.5, 500],
    [1.0, 500],
    [1.005, 800],
    [2.0, 800],
    [2.01, 1200],
    [3.0, 1200],
    [3.02, NaN],
  ] as const
).map(([kilonewtons, value]) =>
  remembered(
    `EN 1991-1-1 6.3.1.2(8), ${kilonewtons} kN/m`,
    cell('imposed.partitions', 'allowance', kilonewtons * 1000),
    value,
  ),
)

export const recommendedChecks: readonly StandardCheck[] = [
  ...factorsPsi,
  ...imposed,
  ...concentrated,
  ...terrain,
  ...single,
  ...walls,
  beyond,
  ...correlation,
  ...partitions,
  ...(
    [
      ['reduction.A_0', 10],
      ['reduction.least.C', 0.6],
      ['reduction.least.D', 0.6],
    ] as const
  ).map(([key, value]) => remembered('EN 1991-1-1 6.3.1.2(10)', (standard) => parameter(standard, key).value, value)),
]

/** What the German set changes (DIN EN 1991-1-4/NA table NA.B.1; DIN EN 1991-1-1/NA). */
export const germanChecks: readonly StandardCheck[] = [
  ...(
    [
      [5, -1.4, -0.8, -0.5, 0.8, -0.5],
      [1, -1.2, -0.8, -0.5, 0.8, -0.5],
      [0.25, -1.2, -0.8, -0.5, 0.7, -0.3],
      // by hand, half-way
      [0.625, -1.2, -0.8, -0.5, 0.75, -0.4],
      [3, -1.3, -0.8, -0.5, 0.8, -0.5],
    ] as const
  ).flatMap(([ratio, ...five]) =>
    five.map((value, i) => {
      const zone = 'ABCDE'.charAt(i)
      return remembered(
        `DIN EN 1991-1-4/NA table NA.1, zone ${zone}, h/d = ${ratio}`,
        cell('wind.wallPressure', zone, ratio),
        value,
      )
    }),
  ),
  // beside both ends of what the table holds
  remembered('DIN EN 1991-1-4/NA table NA.1: nothing above h/d = 5', cell('wind.wallPressure', 'D', 5.01), NaN),
  remembered('DIN EN 1991-1-4/NA table NA.1, up to h/d = 5', cell('wind.wallPressure', 'A', 4.98), -1.399),
  remembered('DIN EN 1991-1-4/NA table NA.1, beside h/d = 1', cell('wind.wallPressure', 'D', 0.997), 0.7996),
  remembered('DIN EN 1991-1-4/NA table NA.1, beside h/d = 0.25', cell('wind.wallPressure', 'D', 0.2515), 0.7002),
  ...(
    [
      ['wind.terrain.I.z_min', 2, 'DIN EN 1991-1-4/NA table NA.B.1'],
      ['wind.terrain.II.z_min', 4, 'DIN EN 1991-1-4/NA table NA.B.1'],
      ['wind.terrain.III.z_min', 8, 'DIN EN 1991-1-4/NA table NA.B.1'],
      ['wind.terrain.IV.z_0', 1.05, 'DIN EN 1991-1-4/NA table NA.B.1'],
      ['wind.terrain.IV.z_min', 16, 'DIN EN 1991-1-4/NA table NA.B.1'],
      ['wind.z_max', 300, 'DIN EN 1991-1-4/NA NA.B.3.3: up to 300 m'],
      ['imposed.partitions.limit', 5000, 'DIN EN 1991-1-1/NA to 6.3.1.2(8): none from 5 kN/m²'],
    ] as const
  ).map(([key, value, source]) => remembered(source, (standard) => parameter(standard, key).value, value)),
  ...(
    [
      [2.9, 800],
      [3.0, 800],
      [3.01, 1200],
      [5.0, 1200],
      [5.02, NaN],
    ] as const
  ).map(([kilonewtons, value]) =>
    remembered(
      `DIN EN 1991-1-1/NA to 6.3.1.2(8), ${kilonewtons} kN/m`,
      cell('imposed.partitions', 'allowance', kilonewtons * 1000),
      value,
    ),
  ),
]
