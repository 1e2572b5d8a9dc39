import fc from 'fast-check'
import { holds } from '../../test/holds'
import { bay, oneStorey } from '../../test/build'
import { loadTotal, memberLoads, sumLines, type LoadLine } from './memberLines'

const force = (lines: readonly LoadLine[]) => loadTotal({ lines, points: [] })

describe('pieces that overlap are added', () => {
  test('hand: a uniform load over all and another over part', () => {
    expect(
      sumLines([
        [0, 6, 2, 2],
        [2, 4, 1, 1],
      ]),
    ).toEqual([
      [0, 2, 2, 2],
      [2, 4, 3, 3],
      [4, 6, 2, 2],
    ])
  })

  test('two triangles that make a uniform load are one piece', () => {
    expect(
      sumLines([
        [0, 6, 0, 3],
        [0, 6, 3, 0],
      ]),
    ).toEqual([[0, 6, 3, 3]])
  })

  test('what cancels is not there; ends that differ by rounding are one', () => {
    expect(
      sumLines([
        [0, 3, 2, 2],
        [0, 3, -2, -2],
      ]),
    ).toEqual([])
    expect(
      sumLines([
        [0, 3, 2, 2],
        [3 + 1e-9, 6, 2, 2],
      ]),
    ).toHaveLength(1)
    expect(sumLines([])).toEqual([])
  })

  test('the sum at any place is the sum of the pieces there, and so is the force', () => {
    const piece = fc
      .tuple(
        fc.nat(10),
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: -4, max: 4 }),
        fc.integer({ min: -4, max: 4 }),
      )
      .map(([s, length, q0, q1]): LoadLine => [s, s + length, q0, q1])
    const valueAt = (lines: readonly LoadLine[], s: number) =>
      lines.reduce(
        (sum, [s0, s1, q0, q1]) => (s > s0 && s < s1 ? sum + q0 + ((q1 - q0) * (s - s0)) / (s1 - s0) : sum),
        0,
      )
    holds(
      fc.property(fc.array(piece, { maxLength: 8 }), fc.double({ min: 0.01, max: 15.99, noNaN: true }), (pieces, s) => {
        fc.pre(Math.abs(s - Math.round(s)) > 1e-4)
        const summed = sumLines(pieces)
        expect(valueAt(summed, s)).toBeCloseTo(valueAt(pieces, s), 4)
        expect(force(summed)).toBeCloseTo(force(pieces), 4)
        summed.slice(1).forEach(([from], i) => expect(from).toBeGreaterThanOrEqual(summed[i]?.[1] ?? Infinity))
      }),
    )
  })
})

test('what lands on every beam, in the order of the beams', () => {
  const storey = oneStorey()
  const { south } = bay(storey)
  storey.building.wall(storey.layout, [
    [2, 0],
    [2, 4],
  ])
  const [floor] = storey.building.state().floors
  if (!floor) throw new Error('no floor')
  const { operator } = floor
  const loads = memberLoads(operator, (i) => (operator.plan.sources[i]?.kind === 'beam' ? 0 : 10))
  const row = operator.plan.frame.beams.findIndex(({ member }) => member.id === south.id)
  expect(loads).toHaveLength(4)
  expect(loads[row]?.lines).toEqual([[0, 6, expect.closeTo(20, 9), expect.closeTo(20, 9)]])
  expect(loads[row]?.points).toEqual([{ s: expect.closeTo(2, 9), force: expect.closeTo(20, 9) }])
  expect(loadTotal(loads[row] ?? { lines: [], points: [] })).toBeCloseTo(140, 9)
})
