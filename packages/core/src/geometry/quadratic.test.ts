import fc from 'fast-check'
import { holds } from '../../test/holds'
import { rootsOf } from './quadratic'

test('two roots, one, none, a straight line, nothing', () => {
  expect([...rootsOf(2, -3, 1)].sort()).toEqual([1, 2])
  expect(rootsOf(1, -2, 1)).toEqual([1, 1])
  expect(rootsOf(1, 0, 1)).toEqual([])
  expect(rootsOf(-6, 2, 0)).toEqual([3])
  expect(rootsOf(5, 0, 0)).toEqual([])
  expect(rootsOf(0, 0, 3)).toEqual([0])
})

test('a small root beside a large one keeps its digits', () => {
  const small = Math.min(...rootsOf(1, -1e8, 1).map(Math.abs))
  expect(small).toBeCloseTo(1e-8, 20)
})

test('the product of factors is nought at their roots', () => {
  const number = fc.double({ min: -1e3, max: 1e3, noNaN: true })
  holds(
    fc.property(number, number, (p, q) => {
      const found = rootsOf(p * q, -(p + q), 1)
      for (const root of [p, q])
        expect(Math.min(...found.map((x) => Math.abs(x - root)))).toBeLessThanOrEqual(
          2e-5 * (1 + Math.abs(p) + Math.abs(q)),
        )
    }),
  )
})
