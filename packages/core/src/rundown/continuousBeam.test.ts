import fc from 'fast-check'
import { holds } from '../../test/holds'
import { lusolve, matrix, zeros, type Matrix } from 'mathjs'
import { continuousLineReactions, continuousReactions, type HeldEnds } from './continuousBeam'

const free: HeldEnds = { start: false, end: false }
const toLine = (x: readonly number[], q0: number, q1 = q0, held = free, s0 = x[0] ?? 0, s1 = x.at(-1) ?? 0) => {
  const out = x.map(() => 0)
  continuousLineReactions(x, held, { s0, s1, q0, q1 }, out)
  return out
}
const toForce = (x: readonly number[], s: number, held = free) => {
  const out = x.map(() => 0)
  continuousReactions(x, held, s, 1, out)
  return out
}
const close = (values: readonly number[], digits = 9) => values.map((value) => expect.closeTo(value, digits) as number)

describe('handbook tables of continuous beams with equal spans (from memory)', () => {
  test.each([
    ['two spans: 3/8, 10/8, 3/8', 2, [0.375, 1.25, 0.375]],
    ['three spans: 0.4, 1.1', 3, [0.4, 1.1, 1.1, 0.4]],
    ['four spans: 11/28, 32/28, 26/28', 4, [11 / 28, 32 / 28, 26 / 28, 32 / 28, 11 / 28]],
    ['five spans: 15/38, 43/38, 37/38', 5, [15 / 38, 43 / 38, 37 / 38, 37 / 38, 43 / 38, 15 / 38]],
  ])('an even load on %s of q l', (_, spans, wanted) => {
    const x = Array.from({ length: spans + 1 }, (_unused, i) => 6 * i)
    expect(toLine(x, 1).map((value) => value / 6)).toEqual(close(wanted))
  })

  test('a force in the middle of the first of two spans: 13/32, 22/32, -3/32', () => {
    expect(toForce([0, 5, 10], 2.5)).toEqual(close([13 / 32, 22 / 32, -3 / 32]))
  })

  test('an even load on the first of two spans alone: 7/16, 10/16, -1/16', () => {
    expect(toLine([0, 4, 8], 1, 1, free, 0, 4).map((value) => value / 4)).toEqual(close([7 / 16, 10 / 16, -1 / 16]))
  })

  test('held at one end: 5/8 there and 3/8; a triangle that is largest there: 4/10 and 1/10 of q l', () => {
    expect(toLine([0, 8], 1, 1, { start: true, end: false }).map((value) => value / 8)).toEqual(close([5 / 8, 3 / 8]))
    expect(toLine([0, 10], 1, 0, { start: true, end: false }).map((value) => value / 10)).toEqual(close([0.4, 0.1]))
  })

  test('held at both ends, a force at 2 of 8 m: b² (3 a + b) / l³ = 36 · 12 / 512', () => {
    const start = (36 * 12) / 512
    expect(toForce([0, 8], 2, { start: true, end: true })).toEqual(close([start, 1 - start]))
  })
})

test('a single span and what stands out beyond it go by lever', () => {
  expect(toForce([1, 5], 2)).toEqual(close([0.75, 0.25]))
  expect(toForce([1, 5], 0)).toEqual(close([1.25, -0.25]))
  expect(toForce([1, 5], 6)).toEqual(close([-0.25, 1.25]))
  // a cantilever beside two spans: half of its moment goes on to the next support, M_1 = P c / 2 with M_0 = -P c
  // and three moments at the middle: M_0 l + 4 M_1 l = 0, M_1 = P c / 4
  const [left, middle, right] = toForce([0, 4, 8], -2)
  expect([left, middle, right]).toEqual(close([1 + (0.5 + 2) / 4, -(0.5 + 2) / 4 - 0.5 / 4, 0.5 / 4]))
})

/** Reactions by finite elements with cubic deflections, solved by a library; a node at every support and at the force. */
function byElements(x: readonly number[], held: HeldEnds, s: number): readonly number[] {
  const nodes = [...new Set([...x, s])].sort((p, q) => p - q)
  const size = 2 * nodes.length
  const stiffness = zeros(size, size) as Matrix
  const add = (i: number, k: number, value: number) => stiffness.set([i, k], Number(stiffness.get([i, k])) + value)
  nodes.slice(1).forEach((to, i) => {
    const l = to - (nodes[i] ?? 0)
    const element = [
      [12, 6 * l, -12, 6 * l],
      [6 * l, 4 * l * l, -6 * l, 2 * l * l],
      [-12, -6 * l, 12, -6 * l],
      [6 * l, 2 * l * l, -6 * l, 4 * l * l],
    ]
    element.forEach((row, p) => row.forEach((value, q) => add(2 * i + p, 2 * i + q, value / l ** 3)))
  })
  const whole = stiffness.clone()
  const fixed = x.map((at) => 2 * nodes.indexOf(at))
  if (held.start) fixed.push(2 * nodes.indexOf(x[0] ?? 0) + 1)
  if (held.end) fixed.push(2 * nodes.indexOf(x.at(-1) ?? 0) + 1)
  for (const row of fixed) {
    for (let k = 0; k < size; k++) stiffness.set([row, k], 0)
    stiffness.set([row, row], 1)
  }
  const load = Array.from({ length: size }, () => [0])
  const loaded = 2 * nodes.indexOf(s)
  if (!fixed.includes(loaded)) load[loaded] = [1]
  const moved = lusolve(stiffness, matrix(load)).toArray().flat() as number[]
  // the force points the way of the deflections, a reaction against them
  const reactionAt = (row: number) => -moved.reduce((sum, value, k) => sum + Number(whole.get([row, k])) * value, 0)
  return x.map((at) => reactionAt(2 * nodes.indexOf(at)))
}

test('finite elements give the same for any supports, held ends and place of the force', () => {
  const span = fc.double({ min: 0.5, max: 9, noNaN: true })
  const property = fc.property(
    fc.array(span, { minLength: 1, maxLength: 5 }),
    fc.boolean(),
    fc.boolean(),
    fc.double({ min: 0, max: 1, noNaN: true }),
    (spans, start, end, part) => {
      const x = spans.reduce<number[]>((all, length) => [...all, (all.at(-1) ?? 0) + length], [0])
      // inside, or beyond an end that is free to turn
      const [low, high] = [start ? 0 : -2, (x.at(-1) ?? 0) + (end ? 0 : 2)]
      const s = low + part * (high - low)
      fc.pre(x.every((at) => Math.abs(at - s) > 1e-3))
      const [wanted, found] = [byElements(x, { start, end }, s), toForce(x, s, { start, end })]
      found.forEach((value, i) => expect(Math.abs(value - (wanted[i] ?? NaN))).toBeLessThan(1e-6))
    },
  )
  holds(property, { numRuns: 60 })
})

test('sum and moment are those of the load, wherever it lies, while no end is held', () => {
  const place = fc.double({ min: -3, max: 20, noNaN: true })
  holds(
    fc.property(place, place, fc.double({ min: -5, max: 5, noNaN: true }), (p, q, slope) => {
      const x = [0, 4, 5.5, 11, 17]
      const [s0, s1] = [Math.min(p, q), Math.max(p, q)]
      fc.pre(s1 - s0 > 0.01)
      const [q0, q1] = [2, 2 + slope]
      const found = toLine(x, q0, q1, free, s0, s1)
      const h = s1 - s0
      const [force, moment] = [(h * (q0 + q1)) / 2, (s0 * h * (q0 + q1)) / 2 + (h * h * (q0 + 2 * q1)) / 6]
      expect(found.reduce((sum, value) => sum + value, 0)).toBeCloseTo(force, 6)
      expect(found.reduce((sum, value, i) => sum + value * (x[i] ?? 0), 0)).toBeCloseTo(moment, 5)
    }),
  )
})
