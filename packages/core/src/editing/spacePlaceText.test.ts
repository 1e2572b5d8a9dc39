import { newGridLine } from '../document/blanks'
import { seededRandom } from '../document/document'
import type { Point3 } from '../geometry/point'
import { metricPoint } from '../units/format'
import { readSpacePlaces } from './spacePlaceText'

const random = seededRandom(1)
const grid = [
  newGridLine('x', '1', 0, random),
  newGridLine('x', '2', 7.2, random),
  newGridLine('y', 'A', 0, random),
  newGridLine('y', 'B', 6, random),
]
const levels = new Map([
  ['Base', -0.6],
  ['1', 3.6],
  ['Roof', 7.2],
])
const read = (text: string, last?: Point3) => {
  const found = readSpacePlaces(text, { grid, levels, format: metricPoint, last })
  return found.ok ? found.points : found.problem
}

test('a place of the plan and a level or a height', () => {
  expect(read('B2 at Roof')).toEqual([[7.2, 6, 7.2]])
  expect(read('A1 at base to B2 at level 1')).toEqual([
    [0, 0, -0.6],
    [7.2, 6, 3.6],
  ])
  expect(read('B1 + 2 m east at 1.2 m')).toEqual([[2, 6, 1.2]])
  expect(read('1.5; 2.5 at Roof')).toEqual([[1.5, 2.5, 7.2]])
})

test('from the point before: up and down, and in plan at its height', () => {
  expect(read('A1 at Base to 3.6 m up to B1')).toEqual([
    [0, 0, -0.6],
    [0, 0, 3],
    [0, 6, 3],
  ])
  expect(read('1 m down', [4, 3, 2])).toEqual([[4, 3, 1]])
  expect(read('2 m west', [4, 3, 2])).toEqual([[2, 3, 2]])
  const [[x, y, z] = [0, 0, 0]] = read('2 m at 90°', [4, 3, 2]) as readonly Point3[]
  expect([x, y, z].map((value) => Number(value.toFixed(9)))).toEqual([4, 5, 2])
  expect(read('2 m north at Roof', [4, 3, 2])).toEqual([[4, 5, 7.2]])
})

test.each([
  ['B2', /“B2” has no height\. Enter B2 at Roof/],
  ['2 m up', /There is no previous point to continue from\./],
  ['B2 at Attic', /./],
  ['Z9 at Roof', /“Z9” is not an intersection of grid lines, and there is no previous point/],
  ['B2 at 3 kg', /./],
])('%s', (text, problem) => expect(read(text)).toMatch(problem))
