import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { expandedAt } from '../src/derivation/floorQueries'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle } from './shapes'

/** A hall of one storey of 8 m beside a floor at 4 m: the columns of the hall roof go past the floor. */
function hallBesideFloor() {
  const building = new Building()
  building.level('Base', 0)
  const [first, roof] = [building.level('1', 4), building.level('Roof', 8)]
  const key = building.key(2000)
  const [floor, top] = [building.layout('Floor', key, first), building.layout('Roof', key, roof)]
  const steel = building.material({ unitWeight: 80_000 })
  for (const x of [0, 6]) for (const y of [0, 5]) building.column(floor, [x, y], { material: steel.id })
  const columns = [10, 20].flatMap((x) => [0, 5].map((y) => building.column(top, [x, y], { material: steel.id })))
  for (const [layout, x0, x1] of [
    [floor, 0, 6],
    [top, 10, 20],
  ] as const) {
    for (const y of [0, 5]) building.beam(layout, [x0, y], [x1, y])
    building.panel(layout, rectangle(x0, 0, x1, 5))
  }
  return { building, columns, state: deriveProject(new Memo(), building.document) }
}

test('all of it arrives: applied is at supports', () => {
  const { state } = hallBesideFloor()
  const { applied, atSupports, notCarried } = balanceOf(state, 'imposed/B')
  // by hand: 2.0 kN/m2 on 6 by 5 m and on 10 by 5 m
  expect(applied).toBeCloseTo(2000 * (30 + 50), 6)
  expect([atSupports, notCarried]).toEqual([expect.closeTo(applied, 6), 0])
})

test('a passing column weighs over its whole height and brings a quarter of the roof to the base', () => {
  const { building, columns, state } = hallBesideFloor()
  const [floor] = state.floors
  if (!floor) throw new Error('no floor')
  const row = floor.operator.plan.frame.columns.findIndex(({ member }) => member.id === columns[0]?.id)
  expect(readCase(state, 'imposed/B')(floor.rundown.feet, row)).toBeCloseTo((2000 * 50) / 4, 6)
  // by hand: A gamma over 8 m
  expect(readCase(state, 'permanent/self-weight')(floor.rundown.feet, row)).toBeCloseTo(
    building.section.area * 80_000 * 8,
    6,
  )
  expect(floor.passing).toBe(4)
})

test('the strip shows both lengths, under one name', () => {
  const { columns, state } = hallBesideFloor()
  const [floor] = state.floors
  const id = columns[0]?.id ?? ''
  const view = floor && ask(state, { kind: 'column', expandedId: expandedAt(floor, id), caseId: 'imposed/B' })
  expect(view?.rows.map(({ levelName, added }) => [levelName, Math.round(added)])).toEqual([
    ['Roof', 25_000],
    ['1', 0],
  ])
  expect(view?.standsOn).toBe('base')
})

/** A wall on the floor at 4 m of a block with a roof at 8 m, beside a low hall with its eaves at 6 m. */
function blockBesideHall(hallAt: number) {
  const building = new Building()
  const [, first, eaves, roof] = [0, 4, 6, 8].map((z) => building.level(String(z), z))
  if (!first || !eaves || !roof) throw new Error('levels')
  const [floor, hall, top] = [first, eaves, roof].map((at, i) => building.layout(String(i), null, at))
  if (!floor || !hall || !top) throw new Error('layouts')
  for (const layout of [floor, top]) building.panel(layout, rectangle(0, 0, 6, 5))
  building.panel(hall, rectangle(hallAt, 0, hallAt + 10, 5))
  building.wall(
    floor,
    [
      [0, 0],
      [6, 0],
    ],
    { heightRule: 'lessSlab', weight: 1000 },
  )
  return building.state().floors[0]?.walls.heads[0]?.storeyHeight
}

test('a wall reaches up to the level that is over it, past one that lies beside it', () => {
  expect(blockBesideHall(8)).toBe(4)
  expect(blockBesideHall(3)).toBe(2)
})

test('a gable wall reaches up to the roof, by the mean height of its stretch', () => {
  const building = new Building()
  const [, floor, eaves] = [0, 1, 5].map((z) => building.level(String(z), z))
  if (!floor || !eaves) throw new Error('levels')
  const [ground, roof] = [building.layout('Ground', null, floor), building.layout('Roof', null, eaves)]
  building.panel(roof, rectangle(0, 0, 10, 8))
  // 3 in 4: the ridge is 3 m over the eaves
  building.slope(roof, rectangle(0, 0, 10, 4), Math.atan(0.75), Math.PI / 2)
  building.slope(roof, rectangle(0, 4, 10, 8), Math.atan(0.75), -Math.PI / 2)
  building.wall(
    ground,
    [
      [0, 0],
      [0, 8],
      [10, 8],
    ],
    { heightRule: 'lessSlab', weight: 1000 },
  )
  const { walls } = building.state().floors[0] ?? { walls: { heads: [], loads: [] } }
  expect(walls.heads.map((head) => head.storeyHeight)).toEqual([expect.closeTo(4 + 1.5, 6), expect.closeTo(4, 6)])
  // hand: a gable of 8 m, 4 m high and 3 m more at the ridge, is 44 m2: 5.5 m on average
  expect(walls.loads[0]?.value).toBeCloseTo(5500, 3)
})
