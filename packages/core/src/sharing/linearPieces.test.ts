import fc from 'fast-check'
import { holds } from '../../test/holds'
import { linearPieces as piecesOfAll, type Piece } from './linearPieces'
import { mergeLines } from './mergeLines'
import type { ShareLine } from './share'

const linearPieces = (q: (s: number) => number, a: number, b: number, peak: number) =>
  piecesOfAll((s) => [q(s)], a, b, peak)[0] ?? []

const forceOf = (pieces: readonly Piece[]) =>
  pieces.reduce((sum, { s0, s1, q0, q1 }) => sum + ((s1 - s0) * (q0 + q1)) / 2, 0)
const momentOf = (pieces: readonly Piece[]) =>
  pieces.reduce(
    (sum, { s0, s1, q0, q1 }) => sum + ((s1 - s0) * ((q0 + q1) * s0)) / 2 + ((s1 - s0) ** 2 * (q0 + 2 * q1)) / 6,
    0,
  )

test('a straight ordinate is one piece', () => {
  expect(linearPieces((s) => 2 + 3 * s, 1, 5, 20)).toEqual([
    { s0: 1, s1: 5, q0: expect.closeTo(5, 9), q1: expect.closeTo(17, 9) },
  ])
})

test('a parabola keeps its force and first moment, and is met within a thousandth of its peak', () => {
  // hand: ∫ s² over 0 to 3 is 9, its moment 81/4
  const pieces = linearPieces((s) => s * s, 0, 3, 9)
  expect(forceOf(pieces)).toBeCloseTo(9, 9)
  expect(momentOf(pieces)).toBeCloseTo(20.25, 9)
  expect(pieces.length).toBeGreaterThan(4)
  for (const { s0, s1, q0, q1 } of pieces) {
    const s = (s0 + s1) / 2
    expect(Math.abs((q0 + q1) / 2 - s * s)).toBeLessThan(0.009 * 1.5)
  }
})

test('a hyperbola, as beside two rails that come together: force and moment by hand', () => {
  // ∫ 1/s over 1 to 3 is ln 3, its moment 2
  const pieces = linearPieces((s) => 1 / s, 1, 3, 1)
  expect(forceOf(pieces)).toBeCloseTo(Math.log(3), 8)
  expect(momentOf(pieces)).toBeCloseTo(2, 8)
})

test('what varies within 50 mm is not followed: one piece with its force and moment, however steep', () => {
  const [a, h] = [2, 0.04]
  const pieces = linearPieces((s) => 1 + ((s - a) / h) ** 2, a, a + h, 2)
  expect(pieces).toHaveLength(1)
  // hand: over t from 0 to 1, ∫ 1 + t² = 4/3 and ∫ t (1 + t²) = 3/4
  expect(forceOf(pieces)).toBeCloseTo((h * 4) / 3, 12)
  expect(momentOf(pieces) - a * forceOf(pieces)).toBeCloseTo(h * h * 0.75, 12)
  // hand: ∫ 1/s over 0.002 to 0.04 is ln 20, its moment 0.038
  const steep = linearPieces((s) => 1 / s, 0.002, 0.04, 500)
  expect(steep).toHaveLength(1)
  // to 1e-8 of peak · length
  expect(forceOf(steep)).toBeCloseTo(Math.log(20), 6)
  expect(momentOf(steep)).toBeCloseTo(0.038, 8)
})

test('an ordinate that cannot be met ends, and rounding beside nought is nought', () => {
  const jump = linearPieces((s) => (s < Math.SQRT1_2 ? 0 : 1), 0, 1, 1)
  expect(jump.length).toBeLessThan(12)
  expect(jump[0]).toMatchObject({ q0: 0, q1: 0 })
})

test('several ordinates are cut at the same places, and what their sum keeps stays kept, however steep they are', () => {
  // two rails that come together at s = 0.02: each takes a hyperbola, together they take 1 per unit of length
  const both = (s: number) => [0.02 / (0.02 + s), s / (0.02 + s)]
  const [first = [], second = []] = piecesOfAll(both, 0, 4, 1)
  expect(first.map(({ s0, s1 }) => [s0, s1])).toEqual(second.map(({ s0, s1 }) => [s0, s1]))
  expect(forceOf(first) + forceOf(second)).toBeCloseTo(4, 12)
  expect(momentOf(first) + momentOf(second)).toBeCloseTo(8, 12)
})

describe('joining pieces', () => {
  const line = (member: string, s0: number, s1: number, q0: number, q1: number): ShareLine => ({
    member,
    s0,
    s1,
    q0,
    q1,
  })

  test('those that go on in place, value and slope become one', () => {
    expect(mergeLines([line('a', 2, 4, 2, 4), line('a', 0, 2, 0, 2)])).toEqual([line('a', 0, 4, 0, 4)])
  })

  test.each([
    ['a gap', line('a', 2.1, 4, 2, 4)],
    ['a step', line('a', 2, 4, 3, 5)],
    ['a kink', line('a', 2, 4, 2, 2)],
    ['another member', line('b', 2, 4, 2, 4)],
  ])('%s keeps them apart', (_, other) => expect(mergeLines([line('a', 0, 2, 0, 2), other])).toHaveLength(2))

  test('neighbours that one straight ordinate meets within the tolerance become one, with their force and moment', () => {
    // a shallow parabola in ten pieces: 0.02 % of the peak off a straight line
    const parabola = (s: number) => 5 + 0.001 * s * (10 - s)
    const pieces = Array.from({ length: 10 }, (_, i) => line('a', i, i + 1, parabola(i), parabola(i + 1)))
    const joined = mergeLines(pieces)
    expect(joined.length).toBeLessThan(5)
    expect(forceOf(joined)).toBeCloseTo(forceOf(pieces), 9)
    expect(momentOf(joined)).toBeCloseTo(momentOf(pieces), 9)
  })

  test('pieces of less than 50 mm together become one, whatever they hold; a longer step stays', () => {
    const small = [line('a', 0, 0.01, 3, 3), line('a', 0.01, 0.02, 0.5, 0.5), line('a', 0.02, 0.045, 2, 1)]
    expect(mergeLines([...small, line('a', 0.045, 6, 1, 1)])).toHaveLength(2)
    expect(momentOf(mergeLines(small))).toBeCloseTo(momentOf(small), 12)
    expect(mergeLines([line('a', 0, 0.06, 3, 3), line('a', 0.06, 6, 1, 1)])).toHaveLength(2)
  })

  test('joining loses nothing and does not depend on the order', () => {
    const some = fc.array(
      fc
        .tuple(fc.constantFrom('a', 'b'), fc.nat(9), fc.integer({ min: 1, max: 3 }), fc.nat(4))
        .map(([m, s, l, q]) => line(m, s, s + l, q, q)),
      { maxLength: 12 },
    )
    holds(
      fc.property(some, fc.nat(), (lines, seed) => {
        const merged = mergeLines(lines)
        expect(forceOf(merged)).toBeCloseTo(forceOf(lines), 9)
        const turned = [...lines.slice(seed % (lines.length + 1)), ...lines.slice(0, seed % (lines.length + 1))]
        expect(forceOf(mergeLines(turned))).toBeCloseTo(forceOf(merged), 9)
      }),
    )
  })
})
