import fc from 'fast-check'
import { holds } from '../../test/holds'
import { together, type Piece } from './crowds'
import type { Point } from './point'

/** Whether two pieces have a point in common, by signs of areas: brute force (common practice). */
function meet({ a, b }: Piece, { a: c, b: d }: Piece): boolean {
  const side = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0
}

const at = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 40 }))

test('law: every two that meet are looked at, or stand in one crowd', () => {
  holds(
    fc.property(fc.array(fc.tuple(at, at), { minLength: 2, maxLength: 60 }), (ends) => {
      const pieces = ends.flatMap(([a, b], i): Piece[] => (a[0] === b[0] && a[1] === b[1] ? [] : [{ of: i, a, b }]))
      const { pairs, crowds } = together(pieces)
      const looked = new Set(pairs.map(([p, q]) => `${p} ${q}`))
      for (const [i, first] of pieces.entries())
        for (const second of pieces.slice(i + 1)) {
          const pair = `${Math.min(first.of, second.of)} ${Math.max(first.of, second.of)}`
          const inCrowd = crowds.some(({ of }) => of.includes(first.of) && of.includes(second.of))
          if (meet(first, second) && !inCrowd) expect(looked).toContain(pair)
        }
    }),
  )
})

const spokes = (n: number): readonly Piece[] =>
  Array.from({ length: n }, (_, i) => {
    const [x, y] = [10 * Math.cos((Math.PI * i) / n), 10 * Math.sin((Math.PI * i) / n)]
    return { of: i, a: [-x, -y], b: [x, y] }
  })

test('few through one point are pairs, many a crowd there', () => {
  expect(together(spokes(12))).toMatchObject({ crowds: [] })
  expect(together(spokes(12)).pairs).toHaveLength(66)
  const { crowds } = together(spokes(100))
  const densest = crowds.reduce((most, one) => (one.of.length > most.of.length ? one : most))
  expect(densest.of).toHaveLength(100)
  expect(Math.hypot(...densest.at)).toBeLessThan(0.1)
})

test('the work grows with the number, whatever lies on whatever', () => {
  const copies = (n: number): readonly Piece[] => Array.from({ length: n }, (_, i) => ({ of: i, a: [0, 0], b: [6, 2] }))
  for (const make of [spokes, copies]) for (const n of [200, 800]) expect(together(make(n)).work).toBeLessThan(700 * n)
})

test('on a floor of 20 by 20 bays each beam is looked at a hundred times at most', () => {
  const pieces: Piece[] = []
  for (let x = 0; x < 20; x++)
    for (let y = 0; y < 20; y++)
      for (const [dx, dy, ex, ey] of [
        [0, 0, 7.2, 0],
        [0, 0, 0, 9],
        [2.4, 0, 2.4, 9],
        [4.8, 0, 4.8, 9],
      ] as const)
        pieces.push({
          of: pieces.length,
          a: [7.2 * x + dx, 9 * y + dy],
          b: [7.2 * x + ex, 9 * y + ey],
        })
  const { work, crowds } = together(pieces)
  expect(crowds).toEqual([])
  expect(work).toBeLessThan(100 * pieces.length)
})
