import { formula } from '../../trace/formula'
import type { Traced } from '../../trace/traced'
import type { LayerValue, ParameterMeaning } from '../family'
import { parameterOf, type Standard } from '../layer'
import { meaningOf, parametersOf, remembered } from '../tabled'

export const approximatePeriod = formula({
  symbol: 'T_a',
  quantity: 'period',
  clause: 'IS 1893-1 7.6.2',
  inputs: { C_t: 'coefficient', h: 'length', x: 'factor' },
  expression: 'C_t * h ^ x',
  evaluate: ({ C_t, h, x }) => C_t * h ** x,
})

/** As the equivalent static method reads the spectrum: even from no period on, falling from a corner, even again. */
export const accelerationCoefficient = formula({
  symbol: 'S',
  quantity: 'factor',
  clause: 'IS 1893-1 6.4.2',
  inputs: { T: 'period', T_c: 'period', T_f: 'period', p: 'factor', a: 'period', f: 'factor' },
  expression: 'T <= T_c ? p : (T <= T_f ? a / T : f)',
  evaluate: ({ T, T_c, T_f, p, a, f }) => (T <= T_c ? p : T <= T_f ? a / T : f),
})

export const horizontalCoefficient = formula({
  symbol: 'A_h',
  quantity: 'coefficient',
  clause: 'IS 1893-1 6.4.2',
  inputs: { Z: 'coefficient', I: 'factor', R: 'factor', S: 'factor' },
  expression: 'Z / 2 * I / R * S',
  evaluate: ({ Z, I, R, S }) => ((Z / 2) * I * S) / R,
})

/** Not below a part of the weight that goes by the zone. */
export const leastCoefficient = formula({
  symbol: 'A',
  quantity: 'coefficient',
  clause: 'IS 1893-1 7.2.2',
  inputs: { A_h: 'coefficient', rho: 'coefficient' },
  expression: 'max(A_h, rho)',
  evaluate: ({ A_h, rho }) => Math.max(A_h, rho),
})

const factor = meaningOf('factor')
const coefficient = meaningOf('coefficient')
const period = (symbol: string, name: string): ParameterMeaning => meaningOf('period')(symbol, name, 0.01, 20)

/** IS 1893-1 (2016), 6.4.2: corner, what falls by the period, and the end of the spectrum, by type of soil. */
const soils = [
  ['rocky or hard', 0.4, 1, 0.25],
  ['medium stiff', 0.55, 1.36, 0.34],
  ['soft', 0.67, 1.67, 0.42],
] as const

const single: Readonly<Record<string, readonly [ParameterMeaning, LayerValue]>> = {
  'earthquake.Z': [
    coefficient('Z', 'zone: 0.10, 0.16, 0.24, 0.36 for II to V', 0.05, 0.5),
    remembered(0.1, 'IS 1893-1 table 3, zone II'),
  ],
  'earthquake.rho': [
    coefficient('ρ', 'minimum share of the weight: 0.007, 0.011, 0.016, 0.024 for II to V', 0, 0.1),
    remembered(0.007, 'IS 1893-1 table 7, zone II'),
  ],
  'earthquake.I': [
    factor('I', 'importance: 1.0, 1.2, 1.5', 1, 1.5),
    remembered(1, 'IS 1893-1 table 8, other buildings'),
  ],
  'earthquake.R': [factor('R', 'response reduction', 1, 6), remembered(3, 'IS 1893-1 table 9, ordinary moment frames')],
  'earthquake.C_t': [
    coefficient('C_t', 'period: 0.075 concrete, 0.080 composite, 0.085 steel frames', 0.01, 0.2),
    remembered(0.075, 'IS 1893-1 7.6.2(a)'),
  ],
  'earthquake.x': [factor('x', 'exponent of the height in the period', 0.5, 1), remembered(0.75, 'IS 1893-1 7.6.2(a)')],
  'earthquake.k': [factor('k', 'exponent of the height in the storey forces', 1, 2), remembered(2, 'IS 1893-1 7.6.3')],
  'earthquake.p': [factor('p', 'plateau of the spectrum', 1, 3), remembered(2.5, 'IS 1893-1 6.4.2')],
  'earthquake.T_f': [period('T_f', 'start of the constant tail of the spectrum'), remembered(4, 'IS 1893-1 6.4.2')],
  'earthquake.soil': [
    { symbol: 's', quantity: 'count', name: 'soil: 1 hard, 2 medium stiff, 3 soft', min: 1, max: 3 },
    remembered(2, 'IS 1893-1 6.4.2.1, table 4'),
  ],
}

const bySoil = Object.fromEntries(
  soils.flatMap(([name, T_c, a, f], i): readonly (readonly [string, readonly [ParameterMeaning, LayerValue]])[] => {
    const key = (of: string) => `earthquake.soil.${i + 1}.${of}`
    const clause = 'IS 1893-1 6.4.2'
    return [
      [key('T_c'), [period('T_c', `corner of the spectrum, ${name} soil`), remembered(T_c, clause)]],
      [key('a'), [period('a', `constant of the falling branch, ${name} soil`), remembered(a, clause)]],
      [key('f'), [factor('f', `end of the spectrum, ${name} soil`, 0.1, 1), remembered(f, clause)]],
    ]
  }),
)

export const isEarthquake = parametersOf({ ...single, ...bySoil })

/** Period by the height of the building. */
export const isPeriod = (h: Traced<'length'>, standard: Standard): Traced<'period'> =>
  approximatePeriod({
    C_t: parameterOf(standard, 'earthquake.C_t', 'coefficient'),
    h,
    x: parameterOf(standard, 'earthquake.x', 'factor'),
  })

/** Force at the base per weight, by the equivalent static method. */
export function isCoefficient(T: Traced<'period'>, standard: Standard): Traced<'coefficient'> {
  const of = (name: string) => parameterOf(standard, `earthquake.${name}`, 'factor')
  const soil = Math.round(parameterOf(standard, 'earthquake.soil', 'count').value)
  const S = accelerationCoefficient({
    T,
    T_c: parameterOf(standard, `earthquake.soil.${soil}.T_c`, 'period'),
    T_f: parameterOf(standard, 'earthquake.T_f', 'period'),
    p: of('p'),
    a: parameterOf(standard, `earthquake.soil.${soil}.a`, 'period'),
    f: of(`soil.${soil}.f`),
  })
  const small = (name: string) => parameterOf(standard, `earthquake.${name}`, 'coefficient')
  const A_h = horizontalCoefficient({ Z: small('Z'), I: of('I'), R: of('R'), S })
  return leastCoefficient({ A_h, rho: small('rho') })
}
