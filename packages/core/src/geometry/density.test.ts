import fc from 'fast-check'
import { holds } from '../../test/holds'
import { rectangle, turned } from '../../test/shapes'
import { densityAlong, densityAt, even, isEven, loadOver } from './density'

describe('a load per area that varies linearly', () => {
  test('hand: 1 to 3 kN/m² over 6 m by 4 m: 48 kN at l / 3 · (q1 + 2 q2) / (q1 + q2)', () => {
    // centre of a trapezoid (common practice)
    const region = [rectangle(2, 1, 8, 5)]
    const { force, moments } = loadOver(region, densityAlong(region, 0, [1000, 3000]))
    expect(force).toBeCloseTo(48_000, 6)
    expect(moments[0] / force).toBeCloseTo(2 + (6 / 3) * (7 / 4), 9)
    expect(moments[1] / force).toBeCloseTo(3, 9)
  })

  test('an even one, and one of a region without extent, do not grow', () => {
    expect(isEven(even)).toBe(true)
    expect(isEven(densityAlong([rectangle(0, 0, 1, 1)], 1, [5, 5]))).toBe(true)
    expect(
      densityAlong(
        [
          [
            [1, 1],
            [1, 1],
          ],
        ],
        0,
        [3, 7],
      ),
    ).toEqual({ at: [1, 1], value: 3, grows: [0, 0] })
  })

  test('a hole takes its load away', () => {
    const outer = rectangle(0, 0, 4, 4)
    const region = [outer, [...rectangle(1, 1, 2, 2)].reverse()]
    expect(loadOver(region, even)).toEqual({ force: 15, moments: [expect.closeTo(30.5, 12), expect.closeTo(30.5, 12)] })
  })

  test('law: small cells give the same force and moments, however the region is turned', () => {
    holds(
      fc.property(
        fc.integer({ min: -30, max: 30 }),
        fc.integer({ min: -300, max: 300 }),
        fc.integer({ min: -300, max: 300 }),
        fc.integer({ min: -5, max: 5 }),
        fc.integer({ min: -5, max: 5 }),
        (turn, way, far, q0, q1) => {
          const place = turned(turn / 10)
          const at = (x: number, y: number) => place([far + x, y - far])
          const ring = [at(0, 0), at(5, 0), at(5, 2), at(2, 2), at(2, 3), at(0, 3)]
          const density = densityAlong([ring], way / 100, [q0, q1])
          const n = 8
          let [force, mx, my] = [0, 0, 0]
          const cell = 1 / n
          for (let i = 0; i < 5 * n; i++)
            for (let j = 0; j < 3 * n; j++) {
              const [x, y] = [(i + 0.5) * cell, (j + 0.5) * cell]
              if (x > 2 && y > 2) continue
              const here = at(x, y)
              const load = densityAt(density, here) * cell * cell
              force += load
              mx += load * here[0]
              my += load * here[1]
            }
          const found = loadOver([ring], density)
          // the middle of a cell is exact for the force of a linear load
          expect(found.force).toBeCloseTo(force, 8)
          // second moments of the cells about their middles are left out: 5 · cell² / 12 · area at most
          const off = 1e-6 + ((5 * 2 * cell * cell) / 12) * 13
          expect(Math.abs(found.moments[0] - mx)).toBeLessThan(off)
          expect(Math.abs(found.moments[1] - my)).toBeLessThan(off)
        },
      ),
    )
  })
})
