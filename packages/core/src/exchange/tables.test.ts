import { csvParseRows } from 'd3-dsv'
import fc from 'fast-check'
import { holds } from '../../test/holds'
import { formatNumber } from '../units/format'
import { csvOf, shownAsCsv, shownAsTabbed } from './tables'

const shown = [
  ['level', 'base moment, kN', 'note'],
  ['Roof', formatNumber(-1234567.891, 1, 'comma'), 'x, "y"'],
  ['1', formatNumber(12.5, 1, 'comma'), '=1+1'],
]

test('RFC 4180 by a library: numbers with a point and no spaces, words as they are, formulas defused', () => {
  expect(csvParseRows(shownAsCsv(shown))).toEqual([
    ['level', 'base moment, kN', 'note'],
    ['Roof', '-1234567.9', 'x, "y"'],
    ['1', '12.5', "'=1+1"],
  ])
})

test('the clipboard keeps the decimal sign of the project, and no thin space', () => {
  expect(shownAsTabbed(shown).split('\n')[1]).toBe('Roof\t-1234567,9\tx, "y"')
})

test.each(['=1+1', '+cmd', '-2+3', '@sum', '\tx', '\rx', '\nx', ' =1', '\uff1d1', '+', '-', '=1e5'])(
  'a cell %j is no formula, as a file and on the clipboard',
  (cell) => {
    expect(csvParseRows(shownAsCsv([['a', cell]]))).toEqual([['a', `'${cell}`]])
    expect(shownAsTabbed([['a', cell]])).toMatch(/^a\t('| ?[^=+\-@\s])/)
  },
)

test.each(['-1', '+2', '-3,5', '12.5'])('the plain number %s stays what it is', (cell) => {
  expect(shownAsTabbed([[cell]])).toBe(cell)
  expect(
    csvOf([[cell]])
      .trim()
      .replace(/"/g, ''),
  ).toBe(cell)
})

test('a cell breaks no row of the clipboard', () => {
  expect(shownAsTabbed([['a\tb', 'c\r\nd']])).toBe('a b\tc d')
})

test('any number that is shown is read back', () => {
  holds(
    fc.property(
      fc.double({ min: -1e9, max: 1e9, noNaN: true }),
      fc.integer({ min: 0, max: 4 }),
      fc.constantFrom('point' as const, 'comma' as const),
      (value, decimals, decimal) => {
        const [row] = csvParseRows(shownAsCsv([['a', formatNumber(value, decimals, decimal)]]))
        expect(Math.abs(Number(row?.[1]) - value)).toBeLessThanOrEqual(
          0.5000001 * 10 ** -decimals + 2e-11 * Math.abs(value),
        )
      },
    ),
  )
})

test('labels that only begin like numbers stay words', () => {
  expect(shownAsCsv([['3-14', '1/2', '–', 'C10']])).toBe('3-14,1/2,–,C10\r\n')
})
