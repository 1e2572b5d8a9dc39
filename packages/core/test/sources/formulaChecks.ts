/**
 * Values of formulas that stand somewhere else: in a handbook, as a fact of the trade, or worked by hand from the clause.
 * SI units. A digit more than printed is never claimed: `within` is half the last printed digit, or what a hand keeps.
 */
export interface FormulaCheck {
  readonly formula: string
  readonly source: string
  readonly fromMemory?: true
  readonly inputs: Readonly<Record<string, number>>
  readonly result: number
  readonly within: number
}

const terrainFactors: readonly FormulaCheck[] = (
  [
    [0.003, 0.156],
    [0.01, 0.17],
    [0.05, 0.19],
    [0.3, 0.215],
    [1, 0.234],
  ] as const
).map(([z_0, result]) => ({
  formula: 'terrainFactor',
  source: 'k_r of terrain 0 to IV as handbooks to EN 1991-1-4 print them',
  fromMemory: true,
  inputs: { z_0, z_0II: 0.05 },
  result,
  within: 0.0006,
}))

const inland: readonly FormulaCheck[] = (
  [
    // hand, with q_b = 390.6 Pa of v_b = 25 m/s: 1.5 · 390.6 up to and with 7 m
    [5, 585.9],
    [6.95, 585.9],
    [7, 585.9],
    // 1.7 · 390.6 · 0.705^0.37
    [7.05, 583.47],
    [10, 664.02],
    // 1.7 · 390.6 · 4.98^0.37, and past 50 m 2.1 · 390.6 · 5.02^0.24
    [49.8, 1202.85],
    [50.2, 1208.3],
    [100, 1425.42],
  ] as const
).map(([z, result]) => ({
  formula: 'mixedInlandPressure',
  source: 'DIN EN 1991-1-4/NA NA.B.3.3, by hand',
  fromMemory: true,
  inputs: { q_b: 390.6, z },
  result,
  within: 0.6,
}))

const hand = 'by hand from the clause'

/** EN 1991-1-1 (6.1): 5/7 ψ0 is 0.5 for ψ0 = 0.7; reached at 20 m² for offices, held at 0.6 for assembly from 100 m². */
const byArea: readonly FormulaCheck[] = (
  [
    [10, 0, 1],
    [20, 0, 1],
    [20.2, 0, 0.995],
    [50, 0, 0.7],
    [100, 0, 0.6],
    [1000, 0, 0.51],
    [100, 0.6, 0.6],
    [101, 0.6, 0.6],
    [99, 0.6, 0.601],
  ] as const
).map(([A, alpha_min, result]) => ({
  formula: 'areaReduction',
  source: 'EN 1991-1-1 6.3.1.2(10), by hand with ψ0 = 0.7',
  fromMemory: true,
  inputs: { psi_0: 0.7, A_0: 10, A, alpha_min },
  result,
  within: 0.0006,
}))

/** (6.2) as handbooks print it for homes and offices: nothing up to two storeys. */
const byStoreys: readonly FormulaCheck[] = (
  [
    [1, 1],
    [2, 1],
    [3, 0.9],
    [4, 0.85],
    [5, 0.82],
    [10, 0.76],
  ] as const
).map(([n, result]) => ({
  formula: 'storeyReduction',
  source: 'α_n of categories A and B by storeys, handbooks to EN 1991-1-1 6.3.1.2(11)',
  fromMemory: true,
  inputs: { n, psi_0: 0.7 },
  result,
  within: 0.005,
}))

/** In feet as the standard has it: 400, 1600, 3600 and 10 000 ft² of influence. */
const asce: readonly FormulaCheck[] = [
  ...(
    [
      [4, 100, 0.5, 1],
      [4, 400, 0.5, 0.625],
      [4, 900, 0.5, 0.5],
      [4, 900, 0.4, 0.5],
      [4, 2500, 0.4, 0.4],
      [4, 2500, 0.5, 0.5],
      [2, 800, 0.5, 0.625],
      [1, 399, 0.5, 1],
      [4, 900, 0.8, 0.8],
    ] as const
  ).map(([K_LL, squareFeet, least, result]) => ({
    formula: 'liveReduction',
    source: 'ASCE 7 (4.7-1): 0.25 + 15/√(K_LL A_T) in ft², by hand',
    fromMemory: true as const,
    inputs: { L_1: 4.572, K_LL, A_T: squareFeet * 0.09290304, least },
    result,
    within: 1e-6,
  })),
  ...(
    [
      [100, 1],
      [200, 1],
      [205, 0.995],
      [400, 0.8],
      [600, 0.6],
      [1000, 0.6],
    ] as const
  ).map(([squareFeet, result]) => ({
    formula: 'roofAreaFactor',
    source: 'ASCE 7 4.8.2: 1.2 - 0.001 A_T in ft²',
    fromMemory: true as const,
    inputs: { A_T: squareFeet, A_1: 200 },
    result,
    within: 1e-9,
  })),
  ...(
    [
      [50, 54],
      [54, 54],
      [60, 54],
    ] as const
  ).map(([A, limit]) => ({
    formula: 'areaOfOneWaySlab',
    source: 'ASCE 7 4.7.6 by hand: 6 m by 1.5 · 6 m is 54 m² at most',
    fromMemory: true as const,
    inputs: { A, w: 1.5, L: 6 },
    result: Math.min(A, limit),
    within: 1e-9,
  })),
  ...(
    [
      [0, 1],
      [4, 1],
      [8, 0.8],
      [12, 0.6],
      [20, 0.6],
    ] as const
  ).map(([F, result]) => ({
    formula: 'roofSlopeFactor',
    source: 'ASCE 7 4.8.2: 1.2 - 0.05 F',
    fromMemory: true as const,
    inputs: { F },
    result,
    within: 1e-9,
  })),
  ...(
    [
      [1, 1, 1],
      [0.8, 0.9, 0.72],
      [0.6, 0.6, 0.6],
    ] as const
  ).map(([R_1, R_2, result]) => ({
    formula: 'roofLiveReduction',
    source: 'ASCE 7 (4.8-1): L_0 R_1 R_2, 12 psf of 20 at least',
    fromMemory: true as const,
    inputs: { R_1, R_2 },
    result,
    within: 1e-9,
  })),
]

const german: readonly FormulaCheck[] = [
  ...(
    [
      [0.5, 20, 1],
      [0.5, 50, 0.7],
      [0.7, 30, 1],
      [0.7, 100, 0.8],
    ] as const
  ).map(([a, A, result]) => ({
    formula: 'areaReductionGermany',
    source: 'DIN EN 1991-1-1/NA, NDP 6.3.1.2(10): 0.5 + 10/A for A and B, 0.7 + 10/A for others',
    fromMemory: true as const,
    inputs: { a, A_0: 10, A },
    result,
    within: 1e-9,
  })),
  ...(
    [
      [1, 1],
      [2, 1],
      [3, 0.9],
      [6, 0.8],
      [12, 0.75],
    ] as const
  ).map(([n, result]) => ({
    formula: 'storeyReductionGermany',
    source: 'DIN EN 1991-1-1/NA, NDP 6.3.1.2(11): 0.7 + 0.6/n',
    fromMemory: true as const,
    inputs: { a: 0.7, b: 0.6, n },
    result,
    within: 1e-9,
  })),
]

export const formulaChecks: readonly FormulaCheck[] = [
  ...byArea,
  ...byStoreys,
  ...german,
  ...asce,
  {
    formula: 'whatIsLeft',
    source: 'a column of two floors carries 90 % (BS 6399-1 table 2), by hand',
    fromMemory: true,
    inputs: { r: 0.1 },
    result: 0.9,
    within: 1e-9,
  },
  ...terrainFactors,
  ...inland,
  {
    formula: 'basicVelocity',
    source: `EN 1991-1-4 (4.1), ${hand}`,
    inputs: { c_dir: 0.9, c_season: 1, c_prob: 1.04, v_b0: 25 },
    result: 23.4,
    within: 1e-9,
  },
  {
    formula: 'effectiveHeight',
    source: 'EN 1991-1-4 4.3.2(1): below z_min as at z_min',
    inputs: { z_e: 1.5, z_min: 2 },
    result: 2,
    within: 0,
  },
  {
    formula: 'effectiveHeight',
    source: 'EN 1991-1-4 4.3.2(1)',
    inputs: { z_e: 7.3, z_min: 2 },
    result: 7.3,
    within: 0,
  },
  {
    formula: 'terrainFactor',
    source: `EN 1991-1-4 (4.5), ${hand}: 0.19 · 20^0.07`,
    inputs: { z_0: 1, z_0II: 0.05 },
    result: 0.23433,
    within: 5e-5,
  },
  {
    formula: 'roughness',
    source: `EN 1991-1-4 (4.4), ${hand}: 0.19 · ln 200`,
    inputs: { k_r: 0.19, z: 10, z_0: 0.05 },
    result: 1.00668,
    within: 5e-6,
  },
  {
    formula: 'meanVelocity',
    source: `EN 1991-1-4 (4.3), ${hand}`,
    inputs: { c_r: 1.00668, c_o: 1.1, v_b: 26 },
    result: 28.791,
    within: 5e-4,
  },
  {
    formula: 'turbulence',
    source: `EN 1991-1-4 (4.7), ${hand}: 1 / ln 200`,
    inputs: { k_I: 1, c_o: 1, z: 10, z_0: 0.05 },
    result: 0.188739,
    within: 5e-7,
  },
  {
    formula: 'peakPressure',
    source: `EN 1991-1-4 (4.8), ${hand}: 2.32118 · 0.625 · 26.1737²`,
    inputs: { v_m: 26.1737, I_v: 0.18874, rho: 1.25 },
    result: 993.85,
    within: 0.05,
  },
  {
    formula: 'basicPressure',
    source: `EN 1991-1-4 (4.10), ${hand}: 0.625 · 26²`,
    inputs: { rho: 1.25, v_b: 26 },
    result: 422.5,
    within: 1e-9,
  },
  {
    formula: 'slenderness',
    source: `EN 1991-1-4 table 7.1, ${hand}`,
    inputs: { h: 9, d: 12 },
    result: 0.75,
    within: 0,
  },
  {
    formula: 'stripHeight',
    source: hand,
    inputs: { z_top: 5.4, z_bottom: 1.8 },
    result: 3.6,
    within: 1e-12,
  },
  {
    // 0.85 · 20 · 3.6 · (900 · 0.8 + 850 · 0.5) = 61.2 · 1145
    formula: 'stripForce',
    source: `EN 1991-1-4 5.3(3) with 7.2.2(3), ${hand}`,
    inputs: { c_scd: 1, k_corr: 0.85, b: 20, h_s: 3.6, q_D: 900, c_D: 0.8, q_E: 850, c_E: -0.5 },
    result: 70_074,
    within: 1e-6,
  },
  {
    formula: 'layerWeight',
    source: 'common practice: 100 mm of concrete at 24 kN/m³ is 2.4 kN/m²',
    inputs: { t: 0.1, gamma: 24_000 },
    result: 2400,
    within: 1e-9,
  },
  {
    // 57.1 kg/m of 7850 kg/m³ is 72.7 cm²: at 78.5 kN/m³ it weighs 57.1 · 78.5 / 7.85 N/m
    formula: 'memberWeight',
    source: 'EN 10365, IPE 360: 72.7 cm² and 57.1 kg/m',
    fromMemory: true,
    inputs: { A: 72.7e-4, gamma: 78_500 },
    result: 571,
    within: 0.5,
  },
  {
    formula: 'factoredLine',
    source: 'common practice: 5 % more for connections',
    inputs: { f: 1.05, g_0: 571 },
    result: 599.55,
    within: 1e-9,
  },
  {
    formula: 'factoredArea',
    source: 'common practice: 5 % more',
    inputs: { f: 1.05, g_0: 2400 },
    result: 2520,
    within: 1e-9,
  },
  {
    // 24 cm of 24 kN/m³ over 1 m is 5.76 kN per metre of height, less a quarter for doors
    formula: 'stretchWeight',
    source: 'common practice: volume by unit weight',
    inputs: { t: 0.24, l: 1, gamma: 24_000, o: 0.25 },
    result: 4320,
    within: 1e-6,
  },
  {
    // 10 m · 20 cm² + 10 m · 10 cm² + 20 m · 5 cm² is 0.04 m³: at 78.5 kN/m³ 3.14 kN over 10 m
    formula: 'trussWeight',
    source: 'common practice: volume by unit weight',
    inputs: { A_t: 20e-4, L_t: 10, A_b: 10e-4, L_b: 10, A_w: 5e-4, L_w: 20, gamma: 78_500 },
    result: 314,
    within: 1e-9,
  },
  {
    formula: 'faceWeight',
    source: 'common practice: 240 mm at 24 kN/m³, a quarter of it openings',
    inputs: { t: 0.24, gamma: 24_000, o: 0.25 },
    result: 4320,
    within: 1e-6,
  },
  {
    formula: 'barWeight',
    source: 'common practice: 0.314 kN/m over 10 m',
    inputs: { g: 314, l: 10 },
    result: 3140,
    within: 1e-9,
  },
  {
    formula: 'slopeArea',
    source: 'common practice: a roof of 60° has twice its area in plan',
    inputs: { A_plan: 40, alpha: Math.PI / 3 },
    result: 80,
    within: 1e-9,
  },
  {
    // 2.00 kN/m over 6 m at 4 of 5 m
    formula: 'leverLength',
    source: 'common practice: the lever rule',
    inputs: { L: 6, a: 4, b: 5 },
    result: 4.8,
    within: 1e-12,
  },
  {
    formula: 'leverPart',
    source: 'common practice: the lever rule',
    inputs: { a: 4, b: 5 },
    result: 0.8,
    within: 1e-12,
  },
  {
    formula: 'sharedLength',
    source: 'common practice: a share of 0.3 of 6 m',
    inputs: { L: 6, eta: 0.3 },
    result: 1.8,
    within: 1e-12,
  },
  {
    formula: 'loadOnPlan',
    source: 'common practice: a roof of 60° has twice its area in plan',
    inputs: { g_s: 400, alpha: Math.PI / 3 },
    result: 800,
    within: 1e-9,
  },
  {
    formula: 'netHeight',
    source: 'common practice: storey 3.15 m less a 450 mm beam and a 150 mm slab',
    inputs: { h_storey: 3.15, h_beam: 0.45, h_slab: 0.15 },
    result: 2.55,
    within: 1e-12,
  },
  {
    formula: 'netHeight',
    source: 'common practice: no wall fits under a beam as deep as the storey',
    inputs: { h_storey: 0.4, h_beam: 0.45, h_slab: 0 },
    result: 0,
    within: 0,
  },
  {
    // 10 m of wall 3.0 m high less 6 m² of windows is 24 m²: at 2.5 kN/m² 60 kN over 10 m
    formula: 'wallLineLoadLess',
    source: 'common practice: net area by weight per area',
    inputs: { g_wall: 2500, h_net: 3, A_o: 6, l: 10 },
    result: 6000,
    within: 1e-9,
  },
  {
    formula: 'wallLineLoadLess',
    source: 'common practice: openings take away what is there, not more',
    inputs: { g_wall: 2500, h_net: 3, A_o: 40, l: 10 },
    result: 0,
    within: 1,
  },
  {
    formula: 'wallLineLoad',
    source: 'common practice: 125 mm of 23 kN/m³, 3.0 m high, is 8.63 kN/m',
    inputs: { g_wall: 0.125 * 23_000, h_net: 3, o: 0 },
    result: 8630,
    within: 6,
  },
  {
    formula: 'wallLineLoad',
    source: 'common practice: a parapet of 2.87 kN/m² and 2 m is 5.74 kN/m',
    inputs: { g_wall: 2870, h_net: 2, o: 0 },
    result: 5740,
    within: 1e-9,
  },
  {
    formula: 'areaForce',
    source: 'common practice: force is pressure times area',
    inputs: { q: 3000, A: 21.6 },
    result: 64_800,
    within: 1e-9,
  },
  {
    formula: 'massOfWeight',
    source: '3rd CGPM (1901): g_n = 9.80665 m/s², so 9.80665 kN is one tonne',
    inputs: { W: 9806.65, g: 9.80665 },
    result: 1000,
    within: 1e-9,
  },
  {
    formula: 'pointForce',
    source: 'common practice: a load at a quarter of the span puts three quarters on the nearer support',
    inputs: { F: 12_000, eta: 0.75 },
    result: 9000,
    within: 1e-9,
  },
  {
    // 3-4-5: a strut of 5 m that rakes by 3 m over 4 m; 80 kN down need 60 kN sideways
    formula: 'thrust',
    source: 'common practice: a weightless strut pushes along itself',
    inputs: { V_1: 80_000, V_2: 80_000, a: 3, h: 4 },
    result: 60_000,
    within: 1e-9,
  },
  {
    formula: 'alongAxis',
    source: 'common practice: a weightless strut pushes along itself',
    inputs: { V_2: 80_000, H: 60_000, a: 3, h: 4 },
    result: 100_000,
    within: 1e-9,
  },
  {
    formula: 'lineForce',
    source: 'common practice: force is line load times length',
    inputs: { q: 571, l: 7.2 },
    result: 4111.2,
    within: 1e-9,
  },
  {
    // rise 1.50 over 2.00 is 3-4-5: the waist counts 1.25 times, 25 · (0.16 · 1.25 + 0.17 / 2)
    formula: 'flightWeight',
    source: 'common practice: waist over the cosine of the slope, steps by half of their height',
    inputs: { gamma: 25_000, t: 0.16, h: 1.5, l: 2, r: 0.17 },
    result: 7125,
    within: 1e-9,
  },
  {
    formula: 'flightEnd',
    source: 'common practice: a simple span hands half to each end, 12 · 3 / 2',
    inputs: { q: 12_000, l: 3 },
    result: 18_000,
    within: 1e-9,
  },
  ...(
    [
      [1.1, 1.1],
      [1.5, 1.2],
    ] as const
  ).map(([h, result]) => ({
    formula: 'barrierPlace',
    source: 'EN 1991-1-1 6.4(2): at the top, no higher than 1.20 m',
    fromMemory: true as const,
    inputs: { h, z_max: 1.2 },
    result,
    within: 0,
  })),
  {
    formula: 'barrierMoment',
    source: 'common practice: 3 kN/m at 1.1 m ask 3.3 kNm/m of the edge',
    inputs: { q: 3000, z: 1.1 },
    result: 3300,
    within: 1e-9,
  },
  {
    formula: 'wallBending',
    source: `EN 1992-1-1 I.2(1) and beam theory, ${hand}: 12 · 30 GPa · (0.2 · 4³ / 12) m⁴ / (3 m)³`,
    fromMemory: true,
    inputs: { E: 30e9, t: 0.2, L: 4, h: 3 },
    result: 1.422_222_222e10,
    within: 1e2,
  },
  ...(
    [
      [1, 4],
      [0.5, 1.625],
      [2, 14],
    ] as const
  ).map(([ratio, flexibility]) => ({
    formula: 'wallBendingAndShear',
    source: 'Reinforced Masonry Engineering Handbook, rigidity of fixed piers: (h/d)³ + 3 h/d',
    fromMemory: true as const,
    inputs: { E: 1, t: 1, L: 1, h: ratio },
    result: 1 / flexibility,
    within: 1e-12,
  })),
  {
    formula: 'bracedBay',
    source: `common practice, ${hand}: a 3-4-5 bay, E A · 0.8² / 5 m`,
    inputs: { n: 1, E: 210e9, A: 0.0025, L: 4, h: 3 },
    result: 67_200_000,
    within: 1,
  },
  {
    formula: 'forceOfWeight',
    source: 'ASCE 7-16 1.4.2: 0.01 of the dead load of the level, here 4800 kN',
    fromMemory: true,
    inputs: { mu: 0.01, W: 4.8e6 },
    result: 48_000,
    within: 1e-6,
  },
  {
    formula: 'elementDirect',
    source: `EN 1992-1-1 annex I, (I.1), ${hand}: walls of 3 and 1 share 80 kN as 60 and 20`,
    fromMemory: true,
    inputs: { V_t: 80_000, k: 3, k_sum: 4 },
    result: 60_000,
    within: 1e-6,
  },
  {
    formula: 'elementTurning',
    source: `EN 1992-1-1 annex I, (I.1), ${hand}: 400 kNm · 3 · 5 m / 400 m²`,
    fromMemory: true,
    inputs: { T: 400_000, k: 3, r: -5, J: 400 },
    result: -15_000,
    within: 1e-6,
  },
  {
    formula: 'thirdOfWeight',
    source: `IS 875-2 3.1.2 and BS 6399-1 5.1.4, ${hand}: a third of 4.5 kN/m`,
    fromMemory: true,
    inputs: { g_wall: 4500, l: 1, q_min: 1000 },
    result: 1500,
    within: 1e-9,
  },
  {
    formula: 'thirdOfWeight',
    source: 'IS 875-2 3.1.2 and BS 6399-1 5.1.4: never less than 1 kN/m²',
    fromMemory: true,
    inputs: { g_wall: 2000, l: 1, q_min: 1000 },
    result: 1000,
    within: 0,
  },
  {
    formula: 'storedByHeight',
    source: `BS 6399-1 table 1, stack rooms: 2.4 kN/m² for each metre, ${hand}: 3.5 m`,
    fromMemory: true,
    inputs: { q_h: 2400, h: 3.5, q_min: 6500 },
    result: 8400,
    within: 1e-9,
  },
  {
    formula: 'storedByHeight',
    source: 'BS 6399-1 table 1, stack rooms: with a minimum of 6.5 kN/m²',
    fromMemory: true,
    inputs: { q_h: 2400, h: 2.5, q_min: 6500 },
    result: 6500,
    within: 0,
  },
  {
    formula: 'storedBeyond',
    source: `IS 875-2 table 1, stack rooms: 6.0 kN/m² up to 2.2 m and 2.0 kN/m² for each metre beyond, ${hand}: 3.0 m`,
    fromMemory: true,
    inputs: { q_0: 6000, q_h: 2000, h: 3, h_0: 2.2 },
    result: 7600,
    within: 1e-9,
  },
  {
    formula: 'storedBeyond',
    source: 'IS 875-2 table 1, stack rooms: 6.0 kN/m² for what is lower',
    fromMemory: true,
    inputs: { q_0: 6000, q_h: 2000, h: 2, h_0: 2.2 },
    result: 6000,
    within: 0,
  },
  {
    formula: 'leastAllowance',
    source: 'ASCE 7-16 4.3.2: 15 psf beside the 50 psf of offices',
    fromMemory: true,
    inputs: { L_0: 2394, L_lim: 3830, q_min: 718.2 },
    result: 718.2,
    within: 0,
  },
  {
    formula: 'leastAllowanceToLimit',
    source: 'ASCE 7-05 4.2.2, ASCE 7-10 4.3.2: 15 psf beside 80 psf',
    fromMemory: true,
    inputs: { L_0: 3830, L_lim: 3830, q_min: 718.2 },
    result: 718.2,
    within: 0,
  },
  {
    formula: 'leastAllowanceToLimit',
    source: 'ASCE 7-05 4.2.2, ASCE 7-10 4.3.2: none where it exceeds 80 psf',
    fromMemory: true,
    inputs: { L_0: 3831, L_lim: 3830, q_min: 718.2 },
    result: 0,
    within: 0,
  },
  {
    formula: 'allowanceBelow',
    source: 'DIN EN 1991-1-1/NA to 6.3.1.2(8): none from 5 kN/m²',
    fromMemory: true,
    inputs: { q_band: 1200, q_k: 5000, q_lim: 5000 },
    result: 0,
    within: 0,
  },
  {
    formula: 'leastAllowance',
    source: 'ASCE 7-16 4.3.2, exception: none at 80 psf',
    fromMemory: true,
    inputs: { L_0: 3830, L_lim: 3830, q_min: 718.2 },
    result: 0,
    within: 0,
  },
  {
    formula: 'lessPerDegree',
    source: 'IS 875-2 table 2: 0.75 less 0.02 for each degree above 10',
    fromMemory: true,
    inputs: { q: 750, q_deg: 20, q_min: 400, alpha: Math.PI / 9 },
    result: 550,
    within: 1e-9,
  },
  {
    formula: 'toSixty',
    source: 'BS 6399-3 4.3.1: 0.6 (60 - α)/30 from 30 degrees',
    fromMemory: true,
    inputs: { q: 600, alpha: Math.PI / 4 },
    result: 300,
    within: 1e-9,
  },
  {
    formula: 'lessPerDegree',
    source: 'IS 875-2 table 2: whole up to 10 degrees',
    fromMemory: true,
    inputs: { q: 750, q_deg: 20, q_min: 400, alpha: Math.PI / 36 },
    result: 750,
    within: 1e-9,
  },
  {
    formula: 'lessPerDegree',
    source: 'IS 875-2 table 2: at least 0.4',
    fromMemory: true,
    inputs: { q: 750, q_deg: 20, q_min: 400, alpha: Math.PI / 4 },
    result: 400,
    within: 1e-9,
  },
  {
    formula: 'toSixty',
    source: 'BS 6399-3 4.3.1: whole up to 30 degrees',
    fromMemory: true,
    inputs: { q: 600, alpha: Math.PI / 9 },
    result: 600,
    within: 1e-9,
  },
  {
    formula: 'toSixty',
    source: 'BS 6399-3 4.3.1: nothing beyond 60 degrees',
    fromMemory: true,
    inputs: { q: 600, alpha: (7 * Math.PI) / 18 },
    result: 0,
    within: 1e-9,
  },
]
