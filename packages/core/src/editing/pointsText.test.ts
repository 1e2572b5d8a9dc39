import fc from 'fast-check'
import { holds } from '../../test/holds'
import { bay, oneStorey } from '../../test/build'
import { rectangle } from '../../test/shapes'
import type { GridLine } from '../document/recordKinds'
import { metricPoint } from '../units/format'
import { pointsText, pointText, withPointsText } from './pointsText'
import { pointsOf } from './shaped'

const line = (axis: 'x' | 'y', label: string, at: number): GridLine => ({
  kind: 'gridLine',
  id: `gridLine:${label}`,
  axis,
  label,
  at,
  path: [],
})
const grid = [line('x', '1', 0), line('x', '2', 6), line('y', 'A', 0), line('y', 'B', 4)]

test('a point at a crossing has its name, another one its coordinates', () => {
  expect(pointText([6, 4], grid, metricPoint)).toBe('B/2')
  expect(pointText([6, 3.2], grid, metricPoint)).toBe('6.00; 3.20')
})

test('the ends of a member are read again, changed, and refused with a sentence', () => {
  const site = oneStorey()
  const { south, columns } = bay(site)
  expect(pointsText(south, grid, metricPoint)).toBe('A/1 to A/2')
  const read = withPointsText(south, 'A/1 to 5.50; 0.00', grid, metricPoint)
  expect(read.ok && pointsOf(read.record)).toEqual([
    [0, 0],
    [5.5, 0],
  ])
  expect(withPointsText(south, 'A1 to 2 m north', grid, metricPoint)).toMatchObject({ ok: true })
  expect(withPointsText(south, 'A1', grid, metricPoint)).toEqual({
    ok: false,
    problem: 'Enter at least 2 points, joined by “to”.',
  })
  expect(withPointsText(south, 'A1 to A1', grid, metricPoint)).toMatchObject({ ok: false })
  expect(withPointsText(south, 'A1 to Z9', grid, metricPoint)).toMatchObject({ ok: false })
  const [column] = columns
  if (column)
    expect(withPointsText(column, 'A1 to B2', grid, metricPoint)).toEqual({ ok: false, problem: 'Enter one point.' })
  const panel = site.building.panel(site.layout, rectangle(0, 0, 6, 4))
  expect(withPointsText(panel, 'A1 to A2', grid, metricPoint)).toEqual({
    ok: false,
    problem: 'An outline has at least 3 corners.',
  })
})

// law: what a field shows and nobody changes is nothing changed, however the digits are cut
test('read as it stands, a text gives the very points that it was made of', () => {
  // thirds of a millimetre, which no format shows, and points nearer to each other than it tells apart
  const number = fc.integer({ min: -30_000, max: 30_000 }).map((thirds) => thirds / 3000)
  const paths = fc.uniqueArray(fc.tuple(number, number), { minLength: 2, maxLength: 6, selector: String })
  holds(
    fc.property(paths, (path) => {
      const { building, layout } = oneStorey()
      const wall = building.wall(layout, path)
      const read = withPointsText(wall, pointsText(wall, grid, metricPoint), grid, metricPoint)
      expect(read.ok && pointsOf(read.record)).toEqual(path)
    }),
  )
})
