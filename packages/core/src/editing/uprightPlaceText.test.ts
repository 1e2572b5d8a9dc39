import { metricPoint } from '../units/format'
import { readUprightPlaces } from './uprightPlaceText'

const lines = new Map([
  ['1', 0],
  ['2', 7.2],
])
const levels = new Map([
  ['Base', -0.6],
  ['1', 3.6],
  ['Roof', 7.2],
])
const read = (text: string, last?: readonly [number, number]) => {
  const found = readUprightPlaces(text, { lines, levels, format: metricPoint, last })
  return found.ok ? found.points : found.problem
}

test('lines and levels by name, lengths as such, steps from the point before', () => {
  expect(read('2 at Roof')).toEqual([[7.2, 7.2]])
  expect(read('line 1 at base to 2 at level 1')).toEqual([
    [0, -0.6],
    [7.2, 3.6],
  ])
  expect(read('3.5 m at 1.2 m')).toEqual([[3.5, 1.2]])
  expect(read('1 at Base to 3.6 m up to 2 m right')).toEqual([
    [0, -0.6],
    [0, 3],
    [2, 3],
  ])
  expect(read('1 m down', [4, 3])).toEqual([[4, 2]])
  expect(read('0.5 left', [4, 3])).toEqual([[3.5, 3]])
})

test('a name goes before a number: level 1, and a height of one metre', () => {
  expect(read('1 at 1')).toEqual([[0, 3.6]])
  expect(read('1 at 1 m')).toEqual([[0, 1]])
  expect(read('1 m at 1')).toEqual([[1, 3.6]])
})

test.each([
  ['2', /“2” is not a point\. Enter 2 at Roof/],
  ['2 m up', /There is no previous point to continue from\./],
  ['2 at Attic', /./],
  ['x at Roof', /./],
  ['2 at 3 kg', /./],
])('%s', (text, problem) => expect(read(text)).toMatch(problem))
