import fc from 'fast-check'
import { holds } from '../../test/holds'
import type { Beam } from '../building/frame'
import { framePlan } from '../building/framePlan'
import type { MemberShape } from '../document/shapes'
import { lineReactions, pointReactions } from './beamStatics'

const shape = (id: string, path: MemberShape['path'], ends: Partial<MemberShape> = {}): MemberShape => ({
  id: `member:${id}`,
  role: path.length === 1 ? 'column' : 'beam',
  path,
  startRelease: 'pinned',
  endRelease: 'pinned',
  spans: 'simple',
  takesLoad: true,
  sparedActions: [],
  ...ends,
})
/** A beam of a length on columns at the given places along it. */
function beamOn(length: number, places: readonly number[], ends: Partial<MemberShape> = {}): Beam {
  const columns = places.map((s, i) => shape(`c${i}`, [[s, 0]]))
  const [beam] = framePlan([
    ...columns,
    shape(
      'b',
      [
        [0, 0],
        [length, 0],
      ],
      ends,
    ),
  ]).beams
  if (!beam) throw new Error('no beam')
  return beam
}
const line = (s0: number, s1: number, q0: number, q1 = q0) => ({ s0, s1, q0, q1 })
const rounded = (values: readonly number[]) => values.map((value) => Number(value.toFixed(9)))

describe('reactions by hand', () => {
  test.each([
    ['uniform on one span', 6, [0, 6], line(0, 6, 2), [6, 6]],
    ['triangle on one span: a third and two thirds', 6, [0, 6], line(0, 6, 0, 3), [3, 6]],
    ['uniform on two spans, each by itself', 10, [0, 4, 10], line(0, 10, 1), [2, 5, 3]],
    ['part of a span', 8, [0, 8], line(2, 4, 4), [5, 3]],
    ['cantilever of 2 m past a span of 4 m', 6, [0, 4], line(4, 6, 1), [-0.5, 2.5]],
    ['both ends over', 8, [2, 6], line(0, 8, 1), [4, 4]],
  ] as const)('%s', (_, length, places, load, wanted) => {
    expect(rounded(lineReactions(beamOn(length, places), load))).toEqual(wanted)
  })

  test('a trapezoid across a support is cut there: 1 to 2 kN/m on the first span, 2 to 3 on the second', () => {
    // first span, 2 to 4 m of 4 m: 3 kN at 3.111 m; second span, 4 to 6 m: 5 kN at 1.0667 m past the support
    const [first = 0, second = 0, third = 0] = lineReactions(beamOn(8, [0, 4, 8]), line(2, 6, 1, 3))
    expect(first).toBeCloseTo((3 * (4 - (2 + (2 * 5) / 9))) / 4, 9)
    expect(third).toBeCloseTo((5 * ((2 * 8) / 15)) / 4, 9)
    expect(first + second + third).toBeCloseTo(8, 9)
  })

  test('a point on a tip, in a span, on a support', () => {
    const beam = beamOn(6, [0, 4])
    expect(rounded(pointReactions(beam, 6, 10))).toEqual([-5, 15])
    expect(rounded(pointReactions(beam, 1, 8))).toEqual([6, 2])
    expect(rounded(pointReactions(beam, 4, 8))).toEqual([0, 8])
  })

  test('two columns within 50 mm share as one', () => {
    const beam = beamOn(6, [0, 5.97, 6])
    const [start = 0, ...pair] = pointReactions(beam, 3, 10)
    expect(pair[0]).toBe(pair[1])
    expect(start + (pair[0] ?? 0) * 2).toBeCloseTo(10, 9)
  })

  test('held at one end against turning, all goes there', () => {
    const beam = beamOn(3, [0], { startRelease: 'fixed' })
    expect(rounded(lineReactions(beam, line(0, 3, 2)))).toEqual([6])
    expect(pointReactions(beam, 3, 4)).toEqual([4])
  })

  test('a beam that cannot stand hands nothing on', () => {
    expect(pointReactions(beamOn(3, [0]), 2, 4)).toEqual([0])
    expect(lineReactions(beamOn(3, []), line(0, 3, 1))).toEqual([])
  })
})

describe('laws', () => {
  const places = fc
    .uniqueArray(fc.integer({ min: 0, max: 24 }), { minLength: 2, maxLength: 5 })
    .map((values) => values.map((value) => value / 2).sort((a, b) => a - b))
  const at = fc.double({ min: 0, max: 12, noNaN: true })
  const q = fc.double({ min: -5, max: 5, noNaN: true })

  test('force and moment are kept', () => {
    holds(
      fc.property(places, at, at, q, q, (supports, a, b, q0, q1) => {
        fc.pre(Math.abs(a - b) > 1e-3)
        const [s0, s1] = [Math.min(a, b), Math.max(a, b)]
        const h = s1 - s0
        const found = lineReactions(beamOn(12, supports), { s0, s1, q0, q1 })
        const force = (h * (q0 + q1)) / 2
        const moment = force * s0 + (h * h * (q0 + 2 * q1)) / 6
        expect(found.reduce((sum, r) => sum + r, 0)).toBeCloseTo(force, 8)
        expect(found.reduce((sum, r, i) => sum + r * (supports[i] ?? 0), 0)).toBeCloseTo(moment, 7)
      }),
    )
  })

  test('a line load is many point loads', () => {
    holds(
      fc.property(places, q, q, (supports, q0, q1) => {
        const beam = beamOn(12, supports)
        const found = lineReactions(beam, line(1, 11, q0, q1))
        const n = 4000
        const sums = supports.map(() => 0)
        for (let i = 0; i < n; i++) {
          const s = 1 + (10 * (i + 0.5)) / n
          const force = ((q0 + ((q1 - q0) * (s - 1)) / 10) * 10) / n
          pointReactions(beam, s, force).forEach((r, k) => (sums[k] = (sums[k] ?? 0) + r))
        }
        found.forEach((r, k) => expect(Math.abs(r - (sums[k] ?? 0))).toBeLessThan(2e-2))
      }),
      { numRuns: 20 },
    )
  })

  test('cutting a line load anywhere, also at a support, changes nothing', () => {
    holds(
      fc.property(places, q, q, fc.integer({ min: 1, max: 23 }), (supports, q0, q1, half) => {
        const beam = beamOn(12, supports)
        const cut = half / 2
        const middle = q0 + ((q1 - q0) * cut) / 12
        const whole = lineReactions(beam, line(0, 12, q0, q1))
        const [left, right] = [
          lineReactions(beam, line(0, cut, q0, middle)),
          lineReactions(beam, line(cut, 12, middle, q1)),
        ]
        whole.forEach((r, i) => expect((left[i] ?? 0) + (right[i] ?? 0)).toBeCloseTo(r, 8))
      }),
    )
  })
})
