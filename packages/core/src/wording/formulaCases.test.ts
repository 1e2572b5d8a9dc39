import { given, type Traced } from '../trace/traced'
import { formulas } from '../../test/formulas'
import { caseThatHolds, casesOf } from './formulaCases'
import { casesText } from './traceText'

const of = (values: Readonly<Record<string, number>>): Readonly<Record<string, Traced>> =>
  Object.fromEntries(Object.entries(values).map(([name, value]) => [name, given(name, 'factor', value, 'test')]))

const inland = 'z <= 7 ? 1.5 * q_b : (z <= 50 ? 1.7 * q_b * (z / 10) ^ 0.37 : 2.1 * q_b * (z / 10) ^ 0.24)'

// DIN EN 1991-1-4/NA, NA.B.3.3 (2) writes three cases, by height (from memory)
test('a choice is written as the standard writes it: by cases', () => {
  expect(casesOf(inland)).toEqual([
    { value: '1.5 * q_b', condition: 'z <= 7' },
    { value: '1.7 * q_b * (z / 10) ^ 0.37', condition: 'z <= 50' },
    { value: '2.1 * q_b * (z / 10) ^ 0.24', condition: null },
  ])
  expect(casesText('T <= T_c ? p : (T <= T_f ? a / T : f)')).toBe('p for T ≤ T_c; a / T for T ≤ T_f; f otherwise')
  expect(casesOf('(a + b) * (c + d)')).toEqual([{ value: '(a + b) * (c + d)', condition: null }])
})

test('in numbers the case that holds stands', () => {
  expect(caseThatHolds(inland, of({ z: 7, q_b: 1 }))).toBe('1.5 * q_b')
  expect(caseThatHolds(inland, of({ z: 7.1, q_b: 1 }))).toBe('1.7 * q_b * (z / 10) ^ 0.37')
  expect(caseThatHolds(inland, of({ z: 51, q_b: 1 }))).toBe('2.1 * q_b * (z / 10) ^ 0.24')
})

test('no formula of any clause is shown with signs of a programming language', () => {
  for (const [name, { expression }] of formulas)
    expect([name, casesText(expression)]).toEqual([name, expect.not.stringMatching(/[?:]|&&|\|\||==/)])
})
