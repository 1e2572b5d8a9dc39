import fc from 'fast-check'
import { holds } from '../../../test/holds'
import { lusolve, type Matrix } from 'mathjs'
import { diaphragmOn, type HorizontalForce, type StiffLine } from './diaphragm'

const wall = (x: number, y: number, degrees: number, stiffness: number): StiffLine => {
  const angle = (degrees * Math.PI) / 180
  return { at: [x, y], along: [Math.cos(angle), Math.sin(angle)], stiffness }
}
const east = (force: number, y: number): HorizontalForce => ({ fx: force, fy: 0, moment: -y * force })
const north = (force: number, x: number): HorizontalForce => ({ fx: 0, fy: force, moment: x * force })

/** The whole force on each line. */
const taken = (lines: readonly StiffLine[], force: HorizontalForce): readonly number[] => {
  const share = diaphragmOn(lines).share(force)
  if (!share.held) throw new Error(share.why)
  return share.direct.map((value, i) => value + (share.turning[i] ?? 0))
}

const close = (found: readonly number[], wanted: readonly number[], within = 1e-9) => {
  const scale = Math.max(1, ...wanted.map(Math.abs))
  expect(found).toHaveLength(wanted.length)
  found.forEach((value, i) => expect(Math.abs(value - (wanted[i] ?? NaN))).toBeLessThan(within * scale))
}

describe('EN 1992-1-1, annex I.2, by hand', () => {
  // 10 by 20 m: walls along Y at x = 0 (k = 3) and x = 20 (k = 1), walls along X at y = 0 and y = 10 (k = 2 each)
  const lines = [wall(0, 5, 90, 3), wall(20, 5, 90, 1), wall(10, 0, 0, 2), wall(10, 10, 0, 2)]

  test('the centre of stiffness: x = 20 · 1 / 4 = 5 m, y = 5 m; J = 3 · 25 + 1 · 225 + 2 · 2 · 25 = 400', () => {
    const { centre, turning } = diaphragmOn(lines)
    expect(centre?.[0]).toBeCloseTo(5, 9)
    expect(centre?.[1]).toBeCloseTo(5, 9)
    expect(turning).toBeCloseTo(400, 6)
  })

  test('80 kN north at x = 10: 60 and 20 by stiffness, T = 400: 400 · 3 · 5 / 400 = 15 off the near wall, 15 on the far one, 10 across', () => {
    const share = diaphragmOn(lines).share(north(80, 10))
    if (!share.held) throw new Error(share.why)
    close(share.direct, [60, 20, 0, 0])
    close(share.turning, [-15, 15, 10, -10])
  })

  test('through the centre it turns nothing', () => {
    const share = diaphragmOn(lines).share(north(80, 5))
    if (!share.held) throw new Error(share.why)
    close(share.turning, [0, 0, 0, 0])
  })

  test('common practice: the same floor on one wall and two across leans on those two for all of the turning', () => {
    close(taken([wall(0, 5, 90, 3), wall(10, 0, 0, 1), wall(10, 10, 0, 1)], north(30, 10)), [30, 30, -30])
  })
})

describe('what cannot be held is said', () => {
  const why = (lines: readonly StiffLine[], force: HorizontalForce) => {
    const share = diaphragmOn(lines).share(force)
    return share.held ? 'held' : share.why
  }

  test('nothing there; nothing of stiffness there', () => {
    expect(why([], east(1, 0))).toBe('nothing')
    expect(why([wall(0, 0, 0, 0)], east(1, 0))).toBe('nothing')
    expect(why([], { fx: 0, fy: 0, moment: 0 })).toBe('held')
  })

  test('walls of one way hold what comes that way, and turning where they are two', () => {
    const pair = [wall(0, 0, 0, 1e8), wall(3, 8, 0, 1e8)]
    expect(why(pair, north(1e5, 2))).toBe('way')
    close(taken(pair, east(1e5, 2)), [75_000, 25_000])
    expect(diaphragmOn(pair).centre).toBeNull()
  })

  test('one wall holds a force on its line and no other', () => {
    const one = [wall(4, 3, 0, 5e7)]
    close(taken(one, east(1000, 3)), [1000])
    expect(why(one, east(1000, 5))).toBe('turning')
    expect(why(one, north(1000, 4))).toBe('way')
  })

  test('walls that all point to one place do not keep the floor from turning about it', () => {
    const star = [wall(0, 0, 0, 1e8), wall(0, 0, 90, 1e8), wall(2, 2, 45, 1e8)]
    expect(why(star, east(1000, 1))).toBe('turning')
    const [a = 0, b = 0, c = 0] = taken(star, east(1000, 0))
    expect(a + c * Math.SQRT1_2).toBeCloseTo(1000, 6)
    expect(b + c * Math.SQRT1_2).toBeCloseTo(0, 6)
  })
})

describe('laws', () => {
  const line = fc
    .record({
      x: fc.integer({ min: -4000, max: 4000 }),
      y: fc.integer({ min: -4000, max: 4000 }),
      angle: fc.integer({ min: 0, max: 35 }),
      k: fc.integer({ min: 1, max: 1000 }),
    })
    .map(({ x, y, angle, k }) => wall(x / 100, y / 100, angle * 5, k * 1e6))
  const lines = fc.array(line, { minLength: 3, maxLength: 9 })
  const force = fc
    .tuple(
      fc.integer({ min: -900, max: 900 }),
      fc.integer({ min: -900, max: 900 }),
      fc.integer({ min: -9000, max: 9000 }),
    )
    .map(([fx, fy, moment]): HorizontalForce => ({ fx: fx * 1e3, fy: fy * 1e3, moment: moment * 1e3 }))

  /** Floors that are clearly held, so that rounding stays small. */
  const firm = (given: readonly StiffLine[]) => {
    const { centre, turning } = diaphragmOn(given)
    const sum = given.reduce((total, { stiffness }) => total + stiffness, 0)
    return centre !== null && turning > sum && Math.hypot(...centre) < 1e4
  }

  test('what the lines take is the force, and its moment about the origin', () => {
    holds(
      fc.property(lines, force, (given, { fx, fy, moment }) => {
        fc.pre(firm(given))
        const shares = taken(given, { fx, fy, moment })
        const sum = (part: (line: StiffLine) => number) =>
          given.reduce((total, line, i) => total + (shares[i] ?? 0) * part(line), 0)
        const held = [
          sum(({ along }) => along[0]),
          sum(({ along }) => along[1]),
          sum(({ at, along }) => at[0] * along[1] - at[1] * along[0]),
        ]
        close(held, [fx, fy, moment], 1e-6)
      }),
    )
  })

  test('the same as the three equations of the floor about the origin, solved by mathjs', () => {
    holds(
      fc.property(lines, force, (given, { fx, fy, moment }) => {
        fc.pre(firm(given))
        const rows = given.map(({ at, along }) => [along[0], along[1], at[0] * along[1] - at[1] * along[0]])
        const matrix = [0, 1, 2].map((i) =>
          [0, 1, 2].map((j) =>
            rows.reduce((sum, row, n) => sum + (given[n]?.stiffness ?? 0) * (row[i] ?? 0) * (row[j] ?? 0), 0),
          ),
        )
        const moves = (lusolve(matrix, [fx, fy, moment]) as unknown as Matrix | number[][]).valueOf() as number[][]
        const wanted = rows.map(
          (row, n) => (given[n]?.stiffness ?? 0) * row.reduce((sum, value, i) => sum + value * (moves[i]?.[0] ?? 0), 0),
        )
        close(taken(given, { fx, fy, moment }), wanted, 1e-5)
      }),
    )
  })

  test('it does not matter in which order they stand, nor whether all are ten times as stiff', () => {
    holds(
      fc.property(lines, force, (given, load) => {
        fc.pre(firm(given))
        const shares = taken(given, load)
        close([...taken([...given].reverse(), load)].reverse(), shares, 1e-8)
        close(
          taken(
            given.map((entry) => ({ ...entry, stiffness: 10 * entry.stiffness })),
            load,
          ),
          shares,
          1e-8,
        )
      }),
    )
  })

  test('turned and moved with its force, the building shares alike', () => {
    holds(
      fc.property(lines, force, fc.integer({ min: 1, max: 359 }), (given, { fx, fy, moment }, degrees) => {
        fc.pre(firm(given))
        const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
        const turn = ([x, y]: readonly [number, number]) => [c * x - s * y, s * x + c * y] as const
        const [dx, dy] = [11, -7]
        const turned = given.map(({ at, along, stiffness }): StiffLine => {
          const [x, y] = turn(at)
          return { at: [x + dx, y + dy], along: turn(along), stiffness }
        })
        const [gx, gy] = turn([fx, fy])
        const load = { fx: gx, fy: gy, moment: moment + dx * gy - dy * gx }
        close(taken(turned, load), taken(given, { fx, fy, moment }), 1e-6)
      }),
    )
  })

  test('a line beside which all others are soft takes what its way and place let it', () => {
    const [first = NaN, second = NaN] = taken(
      [wall(0, 5, 90, 1e12), wall(20, 5, 90, 1e6), wall(10, 0, 0, 1e6), wall(10, 10, 0, 1e6)],
      north(1000, 0),
    )
    expect(first).toBeCloseTo(1000, 2)
    expect(second).toBeCloseTo(0, 2)
  })
})
