import { formatNumber, formatQuantity, formatValue, metricPoint, unitOf } from './format'
import { displayFactor, displayUnits, quantities, typedUnits, type UnitSystem } from './quantity'

const thin = '\u202f'
const metric = { system: 'metric', decimal: 'point' } as const
const us = { system: 'us', decimal: 'point' } as const

describe('a number as it is shown', () => {
  test.each([
    // ISO 80000-1, 7.3: groups of three by a thin space, never a comma or a point
    [1234567.891, 2, `1${thin}234${thin}567.89`],
    [1000, 0, `1${thin}000`],
    [999.4, 0, '999'],
    [999.6, 0, `1${thin}000`],
    [-12.5, 1, '−12.5'],
    [0, 2, '0.00'],
    [-0, 2, '0.00'],
    // rounded away to nought: no sign is left before it
    [-0.004, 2, '0.00'],
    [NaN, 1, '–'],
    [Infinity, 1, '–'],
  ])('%d with %d decimals is %s', (value, decimals, shown) => {
    expect(formatNumber(value, decimals, 'point')).toBe(shown)
  })

  test('a decimal comma where the project says so; groups stay the same', () => {
    expect(formatNumber(12345.6, 1, 'comma')).toBe(`12${thin}345,6`)
  })

  test('decimals belong to the quantity', () => {
    expect(formatQuantity(3000, 'pressure', metric)).toBe('3.00 kN/m²')
    expect(formatQuantity(0.15, 'smallLength', metric)).toBe('150 mm')
    expect(formatQuantity(0.003, 'roughness', metric)).toBe('0.003 m')
    expect(formatQuantity(9.88e-3, 'sectionArea', metric)).toBe('98.8 cm²')
    expect(formatQuantity(Math.PI / 2, 'angle', metric)).toBe('90.0 °')
    expect(formatQuantity(1.35, 'factor', metric)).toBe('1.35')
    expect(formatValue(1685_500, 'force', { ...metric, decimal: 'comma' })).toBe(`1${thin}685,5`)
  })
})

describe('US customary units (NIST SP 811, appendix B)', () => {
  test.each([
    // 1 lbf/ft² = 47.880 26 Pa
    [47.88026 * 50, 'pressure', '50.0 psf'],
    // 1 kip = 4.448 222 kN
    [4448.222 * 100, 'force', '100.0 kip'],
    // 1 lbf/ft = 14.593 90 N/m
    [14593.9 * 2, 'lineLoad', '2.000 klf'],
    // 1 mi/h = 0.447 04 m/s
    [44.704, 'velocity', '100.0 mph'],
    // 1 lb/ft³ = 16.018 46 kg/m³; as weight 157.087 5 N/m³
    [157.0875 * 150, 'unitWeight', '150.0 pcf'],
    [16.01846 * 0.078, 'density', '0.078 lb/ft³'],
    // 1 ft·lbf = 1.355 818 N·m
    [1355.818 * 30, 'moment', '30.0 kip-ft'],
    [0.3048 * 12, 'length', '12.00 ft'],
    [0.0254 * 6, 'smallLength', '6.0 in'],
  ] as const)('%d as %s is %s', (value, quantity, shown) => {
    expect(formatQuantity(value, quantity, us)).toBe(shown)
  })
})

describe('every quantity', () => {
  const systems: readonly UnitSystem[] = ['metric', 'us']

  test.each(systems)('has a display unit in %s that can be typed too', (system) => {
    for (const quantity of quantities) {
      const symbol = unitOf(quantity, { system, decimal: 'point' })
      expect(displayFactor(quantity, system)).toBeGreaterThan(0)
      if (symbol !== '') expect(typedUnits[quantity].map((unit) => unit.symbol)).toContain(symbol)
      expect(displayUnits[system][quantity].decimals).toBeLessThanOrEqual(4)
    }
  })

  test('no unit symbol means two things within one quantity', () => {
    for (const quantity of quantities) {
      const known = new Map<string, number>()
      for (const { symbol, si } of typedUnits[quantity]) {
        expect(known.get(symbol) ?? si).toBeCloseTo(si, 12)
        known.set(symbol, si)
      }
    }
  })
})

test('a sum half-way between two numbers that can be shown is shown alike, in whatever order it was added', () => {
  // 0.1 + 0.2 is a hair more than 0.3, and 502.25 - what rounding leaves - a hair less
  const [one, other] = [(0.1 + 0.2) * 1000 + 502_249.7 - 300 + 0.3, 502_250 - 1e-7]
  expect(formatValue(one, 'force', metricPoint)).toBe(formatValue(502_250, 'force', metricPoint))
  expect(formatValue(other, 'force', metricPoint)).toBe(formatValue(502_250, 'force', metricPoint))
  expect(formatNumber(1.005, 2, 'point')).toBe('1.01')
  expect(formatNumber(-0.25, 1, 'point')).toBe('−0.3')
  // what is truly below stays below
  expect(formatValue(502_249.9, 'force', metricPoint)).toBe('502.2')
})
