import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { layoutOutline } from '../src/editing/outline'
import { onSlabEdge } from '../src/editing/wallPaths'
import { Building } from './build'
import { rectangle } from './shapes'

/** Two beams of 8 m, 5 m apart, on four columns; no floor yet. */
function onTwoBeams() {
  const building = new Building()
  building.level('Base', 0)
  const layout = building.layout('Floor', null, building.level('1', 3))
  for (const y of [0, 5]) {
    building.beam(layout, [0, y], [8, y])
    for (const x of [0, 8]) building.column(layout, [x, y])
  }
  return { building, layout }
}

// by hand: a floor on two beams 5 m apart stands out 1.5 m; 5 kN/m over 6 m at its edge are 39 kN on the near beam and 9 kN up at
// the far one
test('a wall moved to the edge of a cantilever leaves its beam and arrives with its lever', () => {
  const { building, layout } = onTwoBeams()
  building.panel(layout, rectangle(0, -1.5, 8, 5))
  const wall = building.wall(
    layout,
    [
      [1, 0],
      [7, 0],
    ],
    { heightRule: 'typed', height: 1, weight: 5000 },
  )
  const onBeams = () => {
    const state = building.state()
    const [floor] = state.floors
    expect(balanceOf(state, 'permanent/walls').notCarried).toBe(0)
    const at = readCase(state, 'permanent/walls')
    return [0, 5].map((y) => {
      const row = floor?.operator.plan.frame.beams.findIndex(({ a }) => a[1] === y) ?? -1
      return floor ? at(floor.rundown.beamTotals, row) : NaN
    })
  }
  expect(onBeams()).toEqual([expect.closeTo(30_000, 3), 0])
  const moved = { ...wall, ...onSlabEdge(building.document, wall) }
  building.records.splice(building.records.indexOf(wall), 1, moved)
  expect(onBeams()).toEqual([expect.closeTo((30_000 * 6.5) / 5, 3), expect.closeTo((-30_000 * 1.5) / 5, 3)])
})

describe('a wall round an outline closes, whatever sticks out of it', () => {
  /** A bay of 8 by 5 m on two beams, and panels beside it; the wall round all of it, 2 m of 2.50 kN/m². */
  function roundFloor(beside: (building: Building, layout: ReturnType<Building['layout']>) => void) {
    const { building, layout } = onTwoBeams()
    building.panel(layout, rectangle(0, 0, 8, 5))
    beside(building, layout)
    const rings = layoutOutline(building.document, layout.id)
    const [ring = []] = rings
    building.wall(layout, ring, { closed: true, heightRule: 'typed', height: 2, weight: 2500 })
    const { applied, onMembers, atSupports, notCarried } = balanceOf(building.state(), 'permanent/walls')
    return {
      rings: rings.length,
      metres: applied / 5000,
      onMembers: onMembers / 5000,
      atSupports: atSupports / 5000,
      notCarried,
    }
  }
  const all = (metres: number) => ({
    rings: 1,
    metres: expect.closeTo(metres, 6) as number,
    onMembers: expect.closeTo(metres, 6) as number,
    atSupports: expect.closeTo(metres, 6) as number,
    notCarried: expect.closeTo(0, 6) as number,
  })

  test('missing edge beams: on the two sides without one it goes by the panel', () => {
    // 2 · (8 + 5)
    expect(roundFloor(() => undefined)).toEqual(all(26))
  })

  test('a balcony on cantilevers, without a beam at its edge', () => {
    // out by 1.2 m over the south side, on beams that run on over the columns: 26 + 2 · 1.2
    const found = roundFloor((building, layout) => {
      for (const x of [0, 8]) building.beam(layout, [x, -1.2], [x, 5])
      building.panel(layout, rectangle(0, -1.2, 8, 0), { spanAngle: 0 })
    })
    expect(found).toEqual(all(28.4))
  })

  test('a projection with oblique sides', () => {
    // a bay window of 4 m, 2 m wide at 1 m out: 26 − 4 + 2 + 2 · √2
    const found = roundFloor((building, layout) =>
      building.panel(layout, [
        [2, 5],
        [6, 5],
        [5, 6],
        [3, 6],
      ]),
    )
    expect(found.rings).toBe(1)
    expect(found.metres).toBeCloseTo(24 + 2 * Math.SQRT2, 6)
    // what nothing carries is named, and nothing else is missing
    expect(found.metres - found.notCarried / 5000).toBeCloseTo(found.atSupports, 6)
  })
})
