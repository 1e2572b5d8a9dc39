import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { onSlabEdge } from '../src/editing/wallPaths'
import { Building } from './build'
import { rectangle } from './shapes'

// by hand: a floor on two beams 5 m apart stands out 1.5 m; 5 kN/m over 6 m at its edge are 39 kN on the near beam and 9 kN up at
// the far one
test('a wall moved to the edge of a cantilever leaves its beam and arrives with its lever', () => {
  const building = new Building()
  building.level('Base', 0)
  const layout = building.layout('Floor', null, building.level('1', 3))
  for (const y of [0, 5]) {
    building.beam(layout, [0, y], [8, y])
    for (const x of [0, 8]) building.column(layout, [x, y])
  }
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
