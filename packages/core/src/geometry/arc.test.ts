import fc from 'fast-check'
import { holds } from '../../test/holds'
import { arcBetween, arcPath, riseOf } from './arc'
import type { Point } from './point'
import { distance } from './segment'

// Euclid III.31 and III.35: the arc over a diameter is a half circle; parts of crossing chords make equal products

test('half a circle rises by its radius, with its points at that distance from the middle', () => {
  const path = arcPath([-3, 0], [3, 0], 3)
  for (const point of path) expect(distance(point, [0, 0])).toBeCloseTo(3, 9)
  expect(path).toHaveLength(19)
  expect(path[9]?.[0]).toBeCloseTo(0, 9)
  expect(path[9]?.[1]).toBeCloseTo(3, 9)
})

test('it rises to the other side where less than nothing is said, and is straight at nothing', () => {
  expect(Math.min(...arcPath([0, 0], [8, 0], -1).map(([, y]) => y))).toBeCloseTo(-1, 2)
  expect(arcPath([0, 0], [8, 0], 0)).toEqual([
    [0, 0],
    [8, 0],
  ])
})

test('the rise is read back from any arc, wherever it lies', () => {
  const coordinate = fc.double({ min: -50, max: 50, noNaN: true })
  const point = fc.tuple(coordinate, coordinate)
  holds(
    fc.property(point, point, fc.double({ min: -1.5, max: 1.5, noNaN: true }), (a, b, part) => {
      const length = distance(a, b)
      fc.pre(length > 1 && Math.abs(part * length) > 0.05)
      const path = arcPath(a, b, part * length)
      // chord c and rise f: c²/4 = f (2 R - f)
      const radius = (length * length) / 4 / Math.abs(2 * part * length) + Math.abs(part * length) / 2
      for (const p of path.slice(1)) expect(distance(p, path[0] ?? a)).toBeLessThanOrEqual(2 * radius + 1e-6)
      expect(riseOf(path, 0.01)).toBeCloseTo(part * length, 5)
    }),
  )
})

test('its pieces keep within 10 mm of a shallow arc', () => {
  // 20 m with a rise of 0.4 m: c²/4 = f (2 R - f)
  const radius = (100 / 0.4 + 0.4) / 2
  const path = arcPath([0, 0], [20, 0], 0.4)
  expect(path.length).toBeGreaterThan(5)
  path.slice(1).forEach(([bx, by], i) => {
    const [ax, ay] = path[i] ?? [0, 0]
    expect(radius - distance([(ax + bx) / 2, (ay + by) / 2], [10, 0.4 - radius])).toBeLessThan(0.01)
  })
})

test('a path that is no arc has no rise', () => {
  const corner: readonly Point[] = [
    [0, 0],
    [4, 0],
    [4, 3],
    [8, 3],
  ]
  expect(riseOf(corner, 0.01)).toBeNull()
  // any one corner lies on a circle through the ends
  expect(riseOf(corner.slice(0, 3), 0.01)).toBeNull()
  expect(riseOf([corner[0] ?? [0, 0], ...arcBetween([0, 0], [4, 0], 0.3), [4, 0]], 0.01)).toBeCloseTo(-0.6, 9)
})
