import { storeyRows } from '../src/exchange/results'
import { Building } from './build'
import { rectangle } from './shapes'

/** A block of 10 by 12 m with floors at 4 and 8 m, and beside it a hall of 20 m with its eaves at 6 m. */
function blockAndHall(extent: { x0: number; x1: number; y0: number; y1: number } | null) {
  const building = new Building({ basicWindVelocity: 26 })
  const [, first, eaves, roof] = [0, 4, 6, 8].map((z) => building.level(String(z), z))
  if (!first || !eaves || !roof) throw new Error('levels')
  const [floor, hall, top] = [first, eaves, roof].map((at, i) => building.layout(String(i), null, at))
  if (!floor || !hall || !top) throw new Error('layouts')
  for (const [layout, x0, x1] of [
    [floor, 0, 10],
    [hall, 10.5, 30.5],
    [top, 0, 10],
  ] as const) {
    for (const x of [x0, x1]) for (const y of [0, 12]) building.column(layout, [x, y])
    building.panel(layout, rectangle(x0, 0, x1, 12))
  }
  building.part({ extent })
  return building.state()
}

const names = ({ wind }: ReturnType<typeof blockAndHall>) => wind?.results[0]?.storeys.map(({ force }) => force.z)

test('a stated rectangle is the body in the wind, with the levels that stand in it', () => {
  const state = blockAndHall({ x0: 0, x1: 10, y0: 0, y1: 12 })
  expect(state.extent).toEqual({ x0: 0, x1: 10, y0: 0, y1: 12 })
  expect(names(state)).toEqual([0, 4, 8])
  const west = state.wind?.results.find(({ direction }) => direction.id === 'west')
  expect([west?.b, west?.d]).toEqual([12, 10])
})

test('without it the rectangle goes round all columns, and every level counts', () => {
  const state = blockAndHall(null)
  expect(state.extent).toEqual({ x0: 0, x1: 30.5, y0: 0, y1: 12 })
  expect(names(state)).toEqual([0, 4, 6, 8])
})

test('a rectangle that ends before it begins is refused', () => {
  expect(() => blockAndHall({ x0: 5, x1: 0, y0: 0, y1: 12 })).toThrow(/ends before it starts/)
})

describe('where the ground is', () => {
  /** The same block, its base 6 m below the ground and all of its levels measured from the base. */
  const sunken = (ground: number, base: number) => {
    const building = new Building({ basicWindVelocity: 26, ground })
    for (const [i, z] of [-6, -3, 0, 4, 8].entries()) {
      const level = building.level(String(i), z - base)
      if (i === 0) continue
      const layout = building.layout(String(i), building.key(2000), level)
      for (const x of [0, 10]) for (const y of [0, 12]) building.column(layout, [x, y])
      building.panel(layout, rectangle(0, 0, 10, 12))
    }
    return building.state()
  }
  const totals = (state: ReturnType<typeof sunken>) => state.wind?.results.map(({ total }) => total)

  test('wind counts from it: levels measured from the base of a basement feel the same as those measured from the ground', () => {
    const [fromGround, fromBase] = [sunken(0, 0), sunken(6, -6)]
    expect(totals(fromBase)).toEqual(totals(fromGround)?.map((total) => expect.closeTo(total, 6) as number))
    // two levels stand in the wind, and the ground takes half of the lowest storey
    expect(fromBase.wind?.results[0]?.storeys).toHaveLength(3)
    // handed on where the levels are
    const heights = storeyRows(fromBase).map(({ z }) => z)
    expect([...new Set(heights)].sort((a, b) => a - b)).toEqual([6, 10, 14])
  })

  test('raised, it takes a storey out of the wind', () => {
    expect(sunken(4, 0).wind?.results[0]?.h).toBeCloseTo(4, 9)
    expect(sunken(0, 0).wind?.results[0]?.h).toBeCloseTo(8, 9)
  })
})
