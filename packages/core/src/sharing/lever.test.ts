import fc from 'fast-check'
import { holds } from '../../test/holds'
import { leverReactions, type Overhang } from './lever'

const reactions = (x: readonly number[], c: number, d: number, w: number, overhang: Overhang = 'lever') => {
  const out = x.map(() => 0)
  leverReactions(x, c, d, w, overhang, out)
  return out.map((value) => Number(value.toFixed(9)))
}

describe('spans between neighbouring supports, by hand', () => {
  test.each([
    ['in the middle of a span, half each', [0, 4], 2, 2, 10, [5, 5]],
    ['at a quarter', [0, 4], 1, 1, 8, [6, 2]],
    ['spread over the span', [0, 4], 0, 4, 8, [4, 4]],
    ['spread over two spans: each uses its own part', [0, 4, 6], 0, 6, 12, [4, 6, 2]],
    ['on a support: all to it', [0, 4, 6], 4, 4, 5, [0, 5, 0]],
    ['past the end: the far support lifts', [0, 4], 6, 6, 10, [-5, 15]],
    ['before the start', [0, 4], -1, -1, 8, [10, -2]],
    ['spread over span and overhang: R2 = 6 · 3 / 4', [0, 4], 0, 6, 6, [1.5, 4.5]],
    // the middle of the load lies on the second support of three, yet each part goes to its own span
    ['spread about an inner support', [0, 4, 8], 2, 6, 4, [0.5, 3, 0.5]],
  ] as const)('%s', (_, x, c, d, w, wanted) => expect(reactions(x, c, d, w)).toEqual(wanted))

  test.each([
    ['a point past the end goes all to the last support', [0, 4], 6, 6, 10, [0, 10]],
    ['a point before the start goes to the first', [0, 4], -1, -1, 8, [8, 0]],
    ['a spread load is cut at the last support', [0, 4], 2, 6, 4, [0.5, 3.5]],
    ['on both sides', [0, 4], -2, 6, 8, [4, 4]],
    ['within the span as by lever', [0, 4], 1, 1, 8, [6, 2]],
    ['of more than one span', [0, 4, 6], -1, 7, 8, [3, 3, 2]],
  ] as const)('by width: %s', (_, x, c, d, w, wanted) => expect(reactions(x, c, d, w, 'tributary')).toEqual(wanted))
})

describe('laws', () => {
  const supports = fc
    .uniqueArray(fc.integer({ min: -100, max: 100 }), { minLength: 2, maxLength: 6 })
    .map((values) => values.map((value) => value / 10).sort((a, b) => a - b))
  const place = fc.integer({ min: -150, max: 150 }).map((value) => value / 10)

  test('force is kept by both rules, the moment too by lever', () => {
    holds(
      fc.property(supports, place, place, fc.constantFrom<Overhang>('lever', 'tributary'), (x, a, b, overhang) => {
        const [c, d] = [Math.min(a, b), Math.max(a, b)]
        const out = x.map(() => 0)
        leverReactions(x, c, d, 7, overhang, out)
        expect(out.reduce((sum, r) => sum + r, 0)).toBeCloseTo(7, 9)
        if (overhang === 'lever')
          expect(out.reduce((sum, r, i) => sum + r * (x[i] ?? 0), 0)).toBeCloseTo((7 * (c + d)) / 2, 8)
        else expect(Math.min(...out)).toBeGreaterThanOrEqual(-1e-12)
      }),
    )
  })

  test('two loads together are the sum of each, and cutting a spread load changes nothing', () => {
    holds(
      fc.property(
        supports,
        place,
        place,
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.constantFrom<Overhang>('lever', 'tributary'),
        (x, a, b, t, overhang) => {
          const [c, d] = [Math.min(a, b), Math.max(a, b)]
          fc.pre(d - c > 0.2)
          const whole = x.map(() => 0)
          leverReactions(x, c, d, 10, overhang, whole)
          const parts = x.map(() => 0)
          const cut = c + t * (d - c)
          leverReactions(x, c, cut, 10 * t, overhang, parts)
          leverReactions(x, cut, d, 10 * (1 - t), overhang, parts)
          whole.forEach((value, i) => expect(parts[i]).toBeCloseTo(value, 8))
        },
      ),
    )
  })

  test('mirrored supports and load give mirrored reactions', () => {
    holds(
      fc.property(supports, place, place, (x, a, b) => {
        const [c, d] = [Math.min(a, b), Math.max(a, b)]
        // a point on a support may count to either span: the sums are equal, the split is
        const forward = reactions(x, c, d, 3)
        const back = reactions(
          [...x].reverse().map((value) => -value),
          -d,
          -c,
          3,
        )
        expect([...back].reverse().map((value) => value + 0)).toEqual(forward.map((value) => expect.closeTo(value, 7)))
      }),
    )
  })
})
