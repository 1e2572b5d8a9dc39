import fc from 'fast-check'
import { holds } from '../../test/holds'
import type { LoadLine } from './memberLines'
import { heldMoments, merged } from './mergedLoads'

const force = (lines: readonly LoadLine[]) =>
  lines.reduce((sum, [s0, s1, q0, q1]) => sum + ((s1 - s0) * (q0 + q1)) / 2, 0)
const moment = (lines: readonly LoadLine[]) =>
  lines.reduce(
    (sum, [s0, s1, q0, q1]) => sum + ((s1 - s0) * (q0 + q1) * s0) / 2 + ((s1 - s0) ** 2 * (q0 + 2 * q1)) / 6,
    0,
  )

test('moments of held ends from beam tables (common practice): qL²/12, qL²/30 and qL²/20, 5qL²/96', () => {
  const even = heldMoments([[0, 6, 2, 2]], 6)
  expect([even.start, even.end]).toEqual([expect.closeTo(6, 9), expect.closeTo(6, 9)])
  const rising = heldMoments([[0, 6, 0, 2]], 6)
  expect([rising.start, rising.end]).toEqual([expect.closeTo(72 / 30, 9), expect.closeTo(72 / 20, 9)])
  const triangle = heldMoments(
    [
      [0, 3, 0, 2],
      [3, 6, 2, 0],
    ],
    6,
  )
  expect(triangle.start).toBeCloseTo((5 * 72) / 96, 9)
})

test('hand: the triangle of a short beam as one piece is level at half its peak, and its end moment falls by a fifth', () => {
  const triangle: readonly LoadLine[] = [
    [0, 3, 0, 2],
    [3, 6, 2, 0],
  ]
  const one = merged(triangle, 6, { kind: 'pieces', most: 1 })
  expect(one).toEqual([[0, 6, expect.closeTo(1, 9), expect.closeTo(1, 9)]])
  expect(heldMoments(one, 6).start / heldMoments(triangle, 6).start).toBeCloseTo(0.8, 9)
  expect(merged(triangle, 6, { kind: 'even' })).toEqual([[0, 6, 1, 1]])
  expect(merged(triangle, 6, { kind: 'exact' })).toBe(triangle)
  expect(merged([], 6, { kind: 'even' })).toEqual([])
})

test('what goes on straight joins first', () => {
  const lines: readonly LoadLine[] = [
    [0, 1, 5, 5],
    [1, 2, 5, 5.01],
    [2, 3, 9, 1],
  ]
  expect(merged(lines, 3, { kind: 'pieces', most: 2 }).map(([from, to]) => [from, to])).toEqual([
    [0, 2],
    [2, 3],
  ])
})

test('pieces keep force and centroid, whatever the loads and the gaps between them, and are no more than asked', () => {
  const number = fc.integer({ min: -500, max: 1500 }).map((value) => value / 100)
  holds(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 300 }), fc.nat(100), number, number), {
        minLength: 1,
        maxLength: 12,
      }),
      fc.integer({ min: 1, max: 6 }),
      (parts, most) => {
        let s = 0
        const lines = parts.map(([long, gap, q0, q1]): LoadLine => {
          const from = s + gap / 100
          s = from + long / 100
          return [from, s, q0, q1]
        })
        const found = merged(lines, s, { kind: 'pieces', most })
        expect(found.length).toBeLessThanOrEqual(Math.max(most, 1))
        const scale = 1 + lines.reduce((sum, line) => sum + Math.abs(force([line])), 0)
        expect(Math.abs(force(found) - force(lines))).toBeLessThan(1e-9 * scale)
        expect(Math.abs(moment(found) - moment(lines))).toBeLessThan(1e-8 * scale * (1 + s))
        expect(force(merged(lines, s, { kind: 'even' }))).toBeCloseTo(force(lines), 9)
      },
    ),
  )
})
