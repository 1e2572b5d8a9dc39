import { concernsOf } from '../src/concerns/concernsOf'
import { balanceOf } from '../src/derivation/balance'
import { oneStorey } from './build'
import { rectangle } from './shapes'

/** Two rings of beams on columns, one standing in the other: 12 by 8 m round 4 by 4 m. */
function nested(...outlines: readonly (readonly [number, number, number, number])[]) {
  const storey = oneStorey(2000)
  const { building, layout } = storey
  for (const ring of [rectangle(0, 0, 12, 8), rectangle(4, 2, 8, 6)])
    ring.forEach((at, i) => {
      building.column(layout, at)
      building.beam(layout, at, ring[(i + 1) % 4] ?? at)
    })
  for (const [x0, y0, x1, y1] of outlines) building.panel(layout, rectangle(x0, y0, x1, y1))
  return building
}

const imposed = (building: ReturnType<typeof nested>) => balanceOf(building.state(), 'imposed/B').applied

test('a panel leaves out what stands in it: the floor counts once, whichever of them was made first', () => {
  // 96 m² of 2 kN/m² in all, and the outer alone likewise
  for (const both of [
    [
      [0, 0, 12, 8],
      [4, 2, 8, 6],
    ],
    [
      [4, 2, 8, 6],
      [0, 0, 12, 8],
    ],
  ] as const)
    expect(imposed(nested(...both))).toBeCloseTo(192_000, 6)
  expect(imposed(nested([0, 0, 12, 8]))).toBeCloseTo(192_000, 6)
})

test('islands in islands, and two in one panel: still once', () => {
  expect(imposed(nested([0, 0, 12, 8], [4, 2, 8, 6], [5, 3, 7, 5]))).toBeCloseTo(192_000, 6)
  expect(imposed(nested([0, 0, 12, 8], [1, 1, 3, 3], [9, 1, 11, 3]))).toBeCloseTo(192_000, 6)
})

test('one that lies over the border of another still counts twice there, and is named; an island is not', () => {
  const codes = (building: ReturnType<typeof nested>) =>
    concernsOf(building.state()).filter(({ code }) => code === 'panel.overlap')
  expect(codes(nested([0, 0, 12, 8], [4, 2, 8, 6]))).toEqual([])
  const over = nested([0, 0, 12, 8], [10, 2, 14, 6])
  expect(imposed(over)).toBeCloseTo(192_000 + 32_000, 6)
  expect(codes(over)).toMatchObject([{ data: { area: expect.closeTo(8, 6) as number } }])
  // drawn twice: neither is an island of the other
  expect(codes(nested([0, 0, 12, 8], [0, 0, 12, 8]))).toHaveLength(1)
})
