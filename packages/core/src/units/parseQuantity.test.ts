import fc from 'fast-check'
import { holds } from '../../test/holds'
import { formatValue, type NumberFormat } from './format'
import { parseQuantity } from './parseQuantity'
import { displayUnits, displayFactor, quantities, type Quantity } from './quantity'

const metric: NumberFormat = { system: 'metric', decimal: 'point' }
const comma: NumberFormat = { system: 'metric', decimal: 'comma' }
const us: NumberFormat = { system: 'us', decimal: 'point' }

const valueOf = (text: string, quantity: Quantity, format = metric): number => {
  const parsed = parseQuantity(text, quantity, format)
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problem}`)
  return parsed.value
}
const problemOf = (text: string, quantity: Quantity, format = metric): string => {
  const parsed = parseQuantity(text, quantity, format)
  return parsed.ok ? `read as ${parsed.value}` : parsed.problem
}

describe('what a person types', () => {
  test.each([
    ['3', 'pressure', metric, 3000],
    ['3 kN/m²', 'pressure', metric, 3000],
    ['3 kN/m2', 'pressure', metric, 3000],
    ['3 kPa', 'pressure', metric, 3000],
    ['150', 'smallLength', metric, 0.15],
    ['0.15 m', 'smallLength', metric, 0.15],
    // NIST SP 811: 1 in = 25.4 mm, 1 ft = 0.3048 m exactly
    ['6 in', 'smallLength', metric, 0.1524],
    ['2 ft 6 in', 'length', metric, 0.762],
    ['0.5 kip/ft', 'lineLoad', us, 500 * (4.4482216152605 / 0.3048)],
    ['50 psf', 'pressure', metric, 50 * 47.880258980336],
    ['50', 'pressure', us, 50 * 47.880258980336],
    ['90 mph', 'velocity', metric, 40.2336],
    ['7,2', 'length', comma, 7.2],
    ['1e3', 'length', metric, 1000],
    ['30 %', 'factor', metric, 0.3],
    ['30°', 'angle', metric, Math.PI / 6],
    ['−4.5', 'length', metric, -4.5],
    ['.5', 'length', metric, 0.5],
    ['1 200', 'length', metric, NaN],
  ] as const)('%s as %s', (text, quantity, format, si) => {
    if (Number.isNaN(si)) expect(parseQuantity(text, quantity, format).ok).toBe(false)
    else expect(valueOf(text, quantity, format)).toBeCloseTo(si, 9)
  })

  test('small sums, as on a calculation sheet', () => {
    expect(valueOf('3.15 - 0.45', 'length')).toBeCloseTo(2.7, 12)
    expect(valueOf('2 * 3.6 + 400 mm', 'length')).toBeCloseTo(7.6, 12)
    expect(valueOf('(21.6 - 7.2) / 2', 'length')).toBeCloseTo(7.2, 12)
    expect(valueOf('2·(1.2 + 0.3)', 'length')).toBeCloseTo(3, 12)
    expect(valueOf('12 ft 6 in - 2 in', 'length')).toBeCloseTo(12.5 * 0.3048 - 2 * 0.0254, 12)
    expect(valueOf('-(2 - 5)', 'length')).toBe(3)
    expect(Object.is(valueOf('-0', 'length'), 0)).toBe(true)
  })

  test('a plain number in a sum is taken in the unit of the field, one with a unit as it is', () => {
    expect(valueOf('150 + 5 cm', 'smallLength')).toBeCloseTo(0.2, 12)
    expect(valueOf('2 + 500 N/m2', 'pressure')).toBeCloseTo(2500, 9)
  })
})

describe('under a heading that says a unit', () => {
  const under = (heading: string, text: string, quantity: Quantity) => {
    const parsed = parseQuantity(text, quantity, metric, heading)
    return parsed.ok ? parsed.value : parsed.problem
  }
  test.each([
    // 1 kN is 1000 N: under N nothing is multiplied
    ['N', '15000', 'force', 15_000],
    ['N', '1.5E+04', 'force', 15_000],
    ['N', '10000+5000', 'force', 15_000],
    ['N', '2*5000', 'force', 10_000],
    ['N', '10000/2 + 500', 'force', 5500],
    ['N', '2*(1000 + 500)', 'force', 3000],
    ['N', '12 kN', 'force', 12_000],
    ['N', '12 kN + 500', 'force', 12_500],
    ['kN', '-(2 + 3)', 'force', -5000],
    ['mm', '(1200 + 300)/2', 'length', 0.75],
    ['ft', '2*3', 'length', 1.8288],
    ['', '2*5', 'force', 10_000],
  ] as const)('%s: %s', (heading, text, quantity, si) => {
    expect(under(heading, text, quantity)).toBeCloseTo(si, 9)
  })

  test('a unit that is none is said where a plain number stands, and harms no value with its own', () => {
    expect(under('stone', '3', 'force')).toMatch(/“stone” is not a unit/)
    expect(under('stone', '2 + 3 kN', 'force')).toMatch(/“stone” is not a unit/)
    expect(under('stone', '3 kN', 'force')).toBe(3000)
  })
})

describe('brackets in fields of other units than SI', () => {
  test.each([
    ['(150 + 50)', 'smallLength', 0.2],
    ['(150 + 50) * 2', 'smallLength', 0.4],
    ['2 * (150 + 50)', 'smallLength', 0.4],
    ['((150 + 50) / 2) + 10', 'smallLength', 0.11],
    ['(15 cm + 50) / 2', 'smallLength', 0.1],
    ['-(20 - 5)', 'force', -15_000],
    ['(20 + 5) / 2', 'force', 12_500],
    ['3 * (2 kN + 1)', 'force', 9000],
  ] as const)('%s as %s', (text, quantity, si) => {
    expect(valueOf(text, quantity)).toBeCloseTo(si, 9)
  })
})

describe('what is refused, with what to do', () => {
  test.each([
    ['1,200', 'length', metric, /1 200 or as 1\.200: write 1200 or 1\.200/],
    ['1.200', 'length', comma, /1 200 or as 1,200: write 1200 or 1,200/],
    ['3,5', 'length', metric, /“3,5” is not understood\. Write 3\.5\./],
    ['1,2345', 'length', metric, /“1,2345” is not understood\. Write 1\.2345\./],
    ['3.5', 'length', comma, /“3\.5” is not understood\. Write 3,5\./],
    ['', 'length', metric, /Enter a value\./],
    ['five', 'length', metric, /“five” is not a number/],
    ['5 kN', 'length', metric, /“kN” is not a unit for this value \(use m, mm, cm/],
    ['5 m', 'count', metric, /it has no unit/],
    ['3 m * 2 m', 'length', metric, /Multiply by a plain number/],
    ['3 / 2 m', 'length', metric, /Divide by a plain number/],
    ['(3 m)*(2 m)', 'length', metric, /Multiply by a plain number/],
    ['6/(2 m)', 'length', metric, /Divide by a plain number/],
    ['3 / 0', 'length', metric, /divides by zero/],
    ['(3 + 2', 'length', metric, /bracket is not closed/],
    ['3 +', 'length', metric, /missing at the end/],
    ['3 4', 'length', metric, /“4” is not understood/],
    ['2 ft 6', 'length', metric, /Each part needs a unit, as in “2 ft 6 in”\./],
    ['1e308', 'length', metric, /too large/],
    ['1e999', 'length', metric, /too large/],
    ['NaN', 'length', metric, /not a number/],
    ['=1+1', 'length', metric, /not a number/],
    ['9'.repeat(81), 'length', metric, /too long/],
  ] as const)('%s', (text, quantity, format, wanted) => {
    expect(problemOf(text, quantity, format).replace(/\u202f/g, ' ')).toMatch(wanted)
  })

  test('whatever is typed gives a finite value or a sentence, never an error', () => {
    holds(
      fc.property(fc.string({ maxLength: 100 }), fc.constantFrom(...quantities), (text, quantity) => {
        const parsed = parseQuantity(text, quantity, metric)
        if (parsed.ok) expect(Number.isFinite(parsed.value)).toBe(true)
        else expect(parsed.problem).toMatch(/\.$|\)\.$/)
      }),
      { numRuns: 500 },
    )
  })
})

test('what is shown can be typed again: the value differs by less than half the last decimal', () => {
  holds(
    fc.property(
      fc.constantFrom(...quantities),
      fc.constantFrom(metric, comma, us),
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
      (quantity, format, display) => {
        const factor = displayFactor(quantity, format.system)
        const shown = formatValue(display * factor, quantity, format).replace(/\u202f/g, '')
        const { decimals } = displayUnits[format.system][quantity]
        const back = valueOf(shown, quantity, format) / factor
        expect(Math.abs(back - display)).toBeLessThanOrEqual(0.500001 * 10 ** -decimals)
      },
    ),
  )
})
