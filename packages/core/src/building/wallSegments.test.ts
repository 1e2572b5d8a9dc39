import fc from 'fast-check'
import { holds } from '../../test/holds'
import type { Point } from '../geometry/point'
import { along, distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { wallSegments, type WallSegment } from './wallSegments'

const drawnOf = (segments: readonly WallSegment[]): number => segments.reduce((sum, { drawn }) => sum + drawn, 0)
const pathLength = (path: readonly Point[]): number =>
  path.slice(1).reduce((sum, point, i) => sum + distance(path[i] ?? point, point), 0)
const momentsOf = (segments: readonly WallSegment[]): Point => [
  segments.reduce((sum, { a, b, drawn }) => sum + (drawn * (a[0] + b[0])) / 2, 0),
  segments.reduce((sum, { a, b, drawn }) => sum + (drawn * (a[1] + b[1])) / 2, 0),
]

describe('the stretches of a wall run', () => {
  test('one for each step of a path; a closed one returns to its start', () => {
    const path: readonly Point[] = [
      [0, 0],
      [6, 0],
      [6, 4],
    ]
    expect(wallSegments({ path, closed: false }).map(({ index, length, drawn }) => [index, length, drawn])).toEqual([
      [0, 6, 6],
      [1, 4, 4],
    ])
    expect(wallSegments({ path, closed: true })).toHaveLength(3)
  })

  test('a round wall of 1 m radius in steps of 9 mm is 6.28 m long', () => {
    const count = 698
    const path = Array.from({ length: count }, (_, i): Point => {
      const angle = (2 * Math.PI * i) / count
      return [Math.cos(angle), Math.sin(angle)]
    })
    const segments = wallSegments({ path, closed: true })
    // its chords: 698 · 2 sin(π / 698) = 6.283164
    expect(drawnOf(segments)).toBeCloseTo(6.283164, 5)
    expect(segments.every(({ length }) => length > onLine)).toBe(true)
  })

  test('a step of 8 mm beside long ones moves neither of them, and its length is theirs', () => {
    const path: readonly Point[] = [
      [0, 0],
      [6, 0],
      [6, 0.008],
      [10, 0.008],
    ]
    const segments = wallSegments({ path, closed: false })
    expect(segments.map(({ a, b }) => [a, b])).toEqual([
      [
        [0, 0],
        [6, 0],
      ],
      [
        [6, 0.008],
        [10, 0.008],
      ],
    ])
    expect(segments.map(({ drawn }) => drawn)).toEqual([expect.closeTo(6.008, 12), expect.closeTo(4, 12)])
  })

  test('what goes nowhere farther than 10 mm keeps its length about its middle; no length, no stretch', () => {
    const [only, ...more] = wallSegments({
      path: [
        [2, 1],
        [2.006, 1],
      ],
      closed: false,
    })
    expect(more).toEqual([])
    expect([only?.drawn, only?.length]).toEqual([expect.closeTo(0.006, 12), expect.closeTo(2 * onLine, 12)])
    expect([((only?.a[0] ?? 0) + (only?.b[0] ?? 0)) / 2, only?.a[1]]).toEqual([expect.closeTo(2.003, 12), 1])
    expect(wallSegments({ path: [[2, 1] as Point, [2, 1]], closed: false })).toEqual([])
  })

  test('law: length and moments of a path do not depend on how finely it is drawn', () => {
    const coordinate = fc.double({ min: -5, max: 5, noNaN: true })
    const path = fc.array(fc.tuple(coordinate, coordinate), { minLength: 2, maxLength: 5 })
    // from a tenth of a millimetre to metres
    const fineness = fc.double({ min: -4, max: 0.5, noNaN: true }).map((exponent) => 10 ** exponent)
    holds(
      fc.property(path, fineness, fc.boolean(), (points, step, closed) => {
        const whole = closed && points.length > 2 ? [...points, ...points.slice(0, 1)] : points
        const length = pathLength(whole)
        fc.pre(length > 0.05 && length / step < 20_000)
        const fine = whole.slice(1).flatMap((b, i): readonly Point[] => {
          const a = whole[i] ?? b
          const parts = Math.max(1, Math.ceil(distance(a, b) / step))
          return Array.from({ length: parts }, (_, k) => along(a, b, (distance(a, b) * (k + 1)) / parts))
        })
        const found = wallSegments({ path: [...whole.slice(0, 1), ...fine], closed: false })
        expect(drawnOf(found)).toBeCloseTo(length, 8)
        expect(found.every((segment) => segment.length > onLine)).toBe(true)
        const exact = momentsOf(
          whole.slice(1).map((b, i): WallSegment => {
            const a = whole[i] ?? b
            return { index: i, a, b, length: distance(a, b), drawn: distance(a, b) }
          }),
        )
        // what is joined may act 10 mm from where it was drawn
        const moments = momentsOf(found)
        for (const axis of [0, 1] as const)
          expect(Math.abs(moments[axis] - exact[axis])).toBeLessThan(2 * onLine * length)
      }),
      { numRuns: 200 },
    )
  })
})
