import fc from 'fast-check'
import { holds } from '../../test/holds'
import { factorise, Symmetric } from './symmetric'

/** A random definite matrix with few entries: springs between numbered points, some held. */
const springs = fc.integer({ min: 2, max: 30 }).chain((size) =>
  fc.record({
    size: fc.constant(size),
    held: fc.integer({ min: 0, max: size - 1 }),
    ties: fc.array(fc.tuple(fc.nat(size - 1), fc.nat(size - 1), fc.double({ min: 0.1, max: 10, noNaN: true })), {
      maxLength: 60,
    }),
  }),
)

test('solves what it was made of, in any order', () => {
  holds(
    fc.property(
      springs,
      fc.infiniteStream(fc.double({ min: -5, max: 5, noNaN: true })),
      ({ size, ties, held }, values) => {
        const matrix = new Symmetric(size)
        const dense = Array.from({ length: size }, () => new Array<number>(size).fill(0))
        const put = (i: number, j: number, value: number) => {
          matrix.add(i, j, value)
          const [row, other] = [dense[i], dense[j]]
          if (row) row[j] = (row[j] ?? 0) + value
          if (other && i !== j) other[i] = (other[i] ?? 0) + value
        }
        const chain = Array.from({ length: size - 1 }, (_, i) => [i, i + 1, 1] as const)
        for (const [i, j, k] of [...ties, ...chain]) {
          if (i === j) continue
          put(i, i, k)
          put(j, j, k)
          put(i, j, -k)
        }
        put(held, held, 3)
        const x = Float64Array.from({ length: size }, () => values.next().value ?? 0)
        const right = Float64Array.from(dense, (row) => row.reduce((sum, value, j) => sum + value * (x[j] ?? 0), 0))
        const found = factorise(matrix)?.solve(right) ?? new Float64Array(size)
        found.forEach((value, i) => expect(Math.abs(value - (x[i] ?? 0))).toBeLessThan(1e-7))
      },
    ),
  )
})

test('what can move without force has no inverse', () => {
  const free = new Symmetric(2)
  free.add(0, 0, 1)
  free.add(1, 1, 1)
  free.add(0, 1, -1)
  expect(factorise(free)).toBeUndefined()
})
