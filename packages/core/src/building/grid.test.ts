import fc from 'fast-check'
import { holds } from '../../test/holds'
import { Building } from '../../test/build'
import type { GridLine } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { crossingsOf, gridCrossings, isOnGridLine } from './grid'

const line = (axis: GridLine['axis'], at: number, ...path: readonly Point[]): GridLine => ({
  ...new Building().grid('x', 'a', 0),
  axis,
  at,
  path,
})

describe('crossings of grid lines, by hand', () => {
  test('lines across the grid', () => {
    expect(crossingsOf(line('x', 6), line('y', 4))).toEqual([[6, 4]])
    expect(crossingsOf(line('x', 6), line('x', 12))).toEqual([])
  })

  test('a skew line of 3 in 4 meets x = 4 at y = 3', () => {
    expect(crossingsOf(line('line', 0, [0, 0], [8, 6]), line('x', 4))).toEqual([[4, 3]])
    expect(crossingsOf(line('y', 3), line('line', 0, [0, 0], [8, 6]))).toEqual([
      [expect.closeTo(4, 12), expect.closeTo(3, 12)],
    ])
  })

  test('a radius meets its ring once, ahead of it; a line across meets it twice; beside it, never', () => {
    const ring = line('ring', 5, [0, 0])
    expect(crossingsOf(line('line', 0, [0, 0], [-3, 4]), ring)).toEqual([
      [expect.closeTo(-3, 12), expect.closeTo(4, 12)],
    ])
    // 3-4-5
    expect(crossingsOf(ring, line('y', 3))).toEqual([
      [expect.closeTo(4, 12), 3],
      [expect.closeTo(-4, 12), 3],
    ])
    expect(crossingsOf(ring, line('x', 6))).toEqual([])
    expect(crossingsOf(ring, line('x', 5))).toHaveLength(1)
  })

  test('eight radii and three rings cross in 24 points, and in the middle', () => {
    const radii = Array.from({ length: 8 }, (_, i) => {
      const angle = (i * Math.PI) / 4 + 0.1
      return line('line', 0, [0, 0], [Math.cos(angle), Math.sin(angle)])
    })
    const points = gridCrossings([...radii, ...[6, 12, 18].map((radius) => line('ring', radius, [0, 0]))])
    expect(points.filter((point) => distance(point, [0, 0]) > 1)).toHaveLength(24)
  })
})

test('every crossing lies on both lines, whichever comes first', () => {
  const place = fc.tuple(fc.integer({ min: -20, max: 20 }), fc.integer({ min: -20, max: 20 }))
  const any = fc.oneof(
    fc
      .tuple(fc.constantFrom('x' as const, 'y' as const), fc.integer({ min: -20, max: 20 }))
      .map(([a, at]) => line(a, at)),
    fc
      .tuple(place, place)
      .filter(([a, b]) => distance(a, b) > 0.5)
      .map(([a, b]) => line('line', 0, a, b)),
    fc.tuple(place, fc.integer({ min: 1, max: 20 })).map(([centre, radius]) => line('ring', radius, centre)),
  )
  holds(
    fc.property(any, any, (a, b) => {
      const found = crossingsOf(a, b)
      expect(crossingsOf(b, a)).toHaveLength(found.length)
      for (const point of found) for (const either of [a, b]) expect(isOnGridLine(either, point, 1e-6)).toBe(true)
    }),
  )
})
