import { metricPoint } from '../units/format'
import { openingsText, readOpenings } from './openingText'

const read = (text: string) => {
  const found = readOpenings(text, metricPoint)
  return found.ok ? found.sizes : found.problem
}

test('sizes with and without a count, units at the end or at each', () => {
  expect(read('12 of 1.2 x 1.5 m; 0.9 x 2.1')).toEqual([
    { count: 12, width: 1.2, height: 1.5 },
    { count: 1, width: 0.9, height: 2.1 },
  ])
  expect(read('3 x 900 x 2100 mm')).toEqual([
    { count: 3, width: expect.closeTo(0.9, 12), height: expect.closeTo(2.1, 12) },
  ])
  expect(read('2 of 3 ft x 7 ft')).toEqual([
    { count: 2, width: expect.closeTo(0.9144, 9), height: expect.closeTo(2.1336, 9) },
  ])
  expect(read('')).toEqual([])
})

test('as it is written it is read again', () => {
  const sizes = [
    { count: 12, width: 1.2, height: 1.5 },
    { count: 1, width: 0.9, height: 2.1 },
  ]
  expect(openingsText(sizes, metricPoint)).toBe('12 of 1.20 x 1.50 m; 1 of 0.90 x 2.10 m')
  expect(read(openingsText(sizes, metricPoint))).toEqual(sizes)
})

test.each([
  ['windows', /Enter “12 of/],
  ['0 of 1 x 1 m', /1 to 10 000/],
  ['1 of 0 x 2 m', /An opening must be above 0 and up to 100 m wide and high\./],
  ['1 of 1 x 200 m', /up to 100 m/],
  ['1 of 1 x 2 kg', /./],
])('%s', (text, problem) => expect(read(text)).toMatch(problem))
