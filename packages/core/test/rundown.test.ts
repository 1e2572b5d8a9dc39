import { Building, bay, oneStorey } from './build'
import { rectangle } from './shapes'
import type { Layout, Member } from '../src/document/recordKinds'
import { expanded } from '../src/document/labels'
import { ask } from '../src/queries/derive'
import { balanceOf, equilibriumResidual } from '../src/derivation/balance'
import { readArea, readCase } from '../src/derivation/cells'
import { columnChain, floorArea, placeOf } from '../src/derivation/floorQueries'
import type { ProjectState } from '../src/derivation/project'

const imposed = 'imposed/B'

const footOf = (state: ProjectState, column: Member, levelId: string, caseId = imposed): number => {
  const place = placeOf(state, expanded(column.id, levelId), 'columns')
  if (!place) throw new Error('no such column')
  return readCase(state, caseId)(place.floor.rundown.feet, place.row)
}
const totalOf = (state: ProjectState, beam: Member, levelId: string, caseId = imposed): number => {
  const view = ask(state, { kind: 'member', expandedId: expanded(beam.id, levelId), caseId })
  if (!view) throw new Error('no such beam')
  return view.total
}

describe('one storey by hand', () => {
  test('a bay of 6 by 4 m under 1 kN/m²: 12 kN on each long beam, 6 kN in each column, nothing on the short ones', () => {
    const storey = oneStorey()
    const { columns, south, west } = bay(storey)
    const state = storey.building.state()
    expect(totalOf(state, south, storey.top.id)).toBeCloseTo(12_000, 6)
    expect(totalOf(state, west, storey.top.id)).toBe(0)
    for (const column of columns) expect(footOf(state, column, storey.top.id)).toBeCloseTo(6000, 6)
    expect(balanceOf(state, imposed)).toEqual({
      caseId: imposed,
      applied: expect.closeTo(24_000, 6),
      onMembers: expect.closeTo(24_000, 6),
      atSupports: expect.closeTo(24_000, 6),
      notCarried: 0,
      handedOn: null,
    })
  })

  test('common practice: of two by two equal bays the inner column takes four times a corner', () => {
    const { building, layout, top } = oneStorey(3000)
    const [xs, ys] = [
      [0, 7.2, 14.4],
      [0, 6, 12],
    ]
    const columns = ys.flatMap((y) => xs.map((x) => building.column(layout, [x, y])))
    for (const x of xs) for (const y of ys.slice(1)) building.beam(layout, [x, y - 6], [x, y], { role: 'girder' })
    for (const y of [0, 3, 6, 9, 12]) for (const x of xs.slice(1)) building.beam(layout, [x - 7.2, y], [x, y])
    for (const y of [0, 6]) for (const x of [0, 7.2]) building.panel(layout, rectangle(x, y, x + 7.2, y + 6))
    const state = building.state()
    const [corner = NaN, edge = NaN, , , inner = NaN] = columns.map((column) => footOf(state, column, top.id))
    expect(inner).toBeCloseTo(7.2 * 6 * 3000, 3)
    expect(corner).toBeCloseTo(inner / 4, 3)
    expect(edge).toBeCloseTo(inner / 2, 3)
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
  })

  test('a secondary beam is a point load on the girder, once: not its panel again', () => {
    const storey = oneStorey()
    const { building, layout, top } = storey
    const { west, east } = bay(storey)
    // a beam at 1 m: the slab now spans 1 m and 3 m, so the beam takes 6 · 2
    const beam = building.beam(layout, [0, 1], [6, 1])
    const state = building.state()
    expect(totalOf(state, beam, top.id)).toBeCloseTo(12_000, 6)
    for (const girder of [west, east]) expect(totalOf(state, girder, top.id)).toBeCloseTo(6000, 6)
    const view = ask(state, { kind: 'member', expandedId: expanded(west.id, top.id), caseId: imposed })
    expect(view?.lands).toMatchObject([{ kind: 'beam', label: beam.label, at: 1, force: expect.closeTo(6000, 6) }])
    expect(view?.supports.map(({ reaction }) => reaction)).toEqual([expect.closeTo(4500, 6), expect.closeTo(1500, 6)])
  })

  test('own weight is counted once: beams along their length, columns over their storey, slabs over the net area', () => {
    const storey = oneStorey()
    const { building, layout, top } = storey
    const steel = building.material({ unitWeight: 78_500 })
    const concrete = building.material({ unitWeight: 24_000 })
    const { panel } = bay(storey)
    building.records.splice(building.records.indexOf(panel), 1)
    building.panel(layout, rectangle(0, 0, 6, 4), { slab: { thickness: 0.15, material: concrete.id } })
    building.opening(layout, rectangle(1, 1, 3, 2))
    building.beam(layout, [0, 2], [6, 2], { material: steel.id })
    building.column(layout, [3, 0], { material: steel.id })
    const state = building.state()
    const { applied, atSupports } = balanceOf(state, 'permanent/self-weight')
    // hand: slab 22 m² · 3.6 kN/m², beam 6 m and column 3 m of 0.01 m² · 78.5 kN/m³
    expect(applied).toBeCloseTo(22 * 3600 + (6 + 3) * 785, 6)
    expect(atSupports).toBeCloseTo(applied, 6)
    expect(floorArea(state, state.floors.find(({ level }) => level.id === top.id) ?? raise())).toBeCloseTo(22, 6)
  })
})

const raise = (): never => {
  throw new Error('missing')
}

/** Three levels on the same bay, 3 m each. */
function tower() {
  const building = new Building()
  const [base, first, second] = [building.level('Base', 0), building.level('1', 3), building.level('2', 6)]
  const key = building.key(1000)
  return { building, base, first, second, key }
}
function frame(building: Building, layout: Layout, xs: readonly number[] = [0, 6]) {
  const columns = [0, 4].flatMap((y) => xs.map((x) => building.column(layout, [x, y])))
  const beams = [0, 4].map((y) => building.beam(layout, [0, y], [6, y]))
  building.panel(layout, rectangle(0, 0, 6, 4))
  return { columns, beams }
}

describe('from level to level', () => {
  test('the same layout twice: forces and area add up on the way down, level by level', () => {
    const { building, first, second, key } = tower()
    const layout = building.layout('Floor', key, first, second)
    const { columns } = frame(building, layout)
    const state = building.state()
    const [column = raise()] = columns
    expect(footOf(state, column, second.id)).toBeCloseTo(6000, 6)
    expect(footOf(state, column, first.id)).toBeCloseTo(12_000, 6)
    const view = ask(state, { kind: 'column', expandedId: expanded(column.id, first.id), caseId: imposed })
    expect(
      view?.rows.map(({ levelName, area, cumulativeArea, added, foot }) => [
        levelName,
        area,
        cumulativeArea,
        added,
        foot,
      ]),
    ).toEqual([
      ['2', 6, 6, 6000, 6000].map((value) => (typeof value === 'number' ? expect.closeTo(value, 6) : value)),
      ['1', 6, 12, 6000, 12_000].map((value) => (typeof value === 'number' ? expect.closeTo(value, 6) : value)),
    ])
    expect(view?.standsOn).toBe('base')
    expect(columnChain(state, expanded(column.id, first.id))).toHaveLength(2)
  })

  test('a column that stands on a beam below is a transfer: its force is a point load there', () => {
    const { building, first, second, key } = tower()
    const lower = building.layout('Lower', key, first)
    const upper = building.layout('Upper', key, second)
    const below = frame(building, lower)
    // the upper columns are 2 m in from the west
    frame(building, upper, [2, 6])
    const state = building.state()
    const [south = raise()] = below.beams
    const [southWest = raise(), southEast = raise()] = below.columns
    // hand: upper beams run from 0 to 6 on supports at 2 and 6: 12 kN at 3 m gives 9 and 3 by lever
    const view = ask(state, { kind: 'member', expandedId: expanded(south.id, first.id), caseId: imposed })
    expect(view?.lands).toMatchObject([
      { kind: 'region', force: expect.closeTo(12_000, 6) },
      { kind: 'column', at: 2, force: expect.closeTo(9000, 6) },
    ])
    expect(footOf(state, southWest, first.id)).toBeCloseTo(6000 + 9000 * (4 / 6), 6)
    expect(footOf(state, southEast, first.id)).toBeCloseTo(6000 + 9000 * (2 / 6) + 3000, 6)
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
  })

  test('a column on nothing keeps what it carries, and the balance says how much', () => {
    const { building, first, second, key } = tower()
    const [lower, upper] = [building.layout('Lower', key, first), building.layout('Upper', key, second)]
    frame(building, lower)
    building.column(upper, [3, 2])
    building.column(upper, [3, 4])
    building.beam(upper, [3, 2], [3, 4])
    building.panel(upper, rectangle(2, 2, 4, 4), { spanAngle: 0 })
    const state = building.state()
    // hand: 4 m² · 1 kN/m², half to each column; the one at y = 4 stands on the beam below
    expect(balanceOf(state, imposed)).toMatchObject({
      notCarried: expect.closeTo(2000, 6),
      atSupports: expect.closeTo(26_000, 6),
    })
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
  })

  test('a level without a layout is passed by: the column goes down to the next one that carries', () => {
    const { building, second, key } = tower()
    const steel = building.material()
    const layout = building.layout('Roof', key, second)
    building.column(layout, [0, 0], { material: steel.id })
    const state = building.state()
    expect(balanceOf(state, 'permanent/self-weight').applied).toBeCloseTo(6 * 785, 9)
  })
})

describe('load that cannot go on is not carried, wherever it gets stuck', () => {
  test('on a ring of beams', () => {
    const { building, layout } = oneStorey()
    for (const [x, y] of [
      [0, 1],
      [3, 0],
      [4, 3],
      [1, 4],
    ] as const)
      building.column(layout, [x, y])
    building.beam(layout, [0, 1], [3, 1])
    building.beam(layout, [3, 0], [3, 3])
    building.beam(layout, [4, 3], [1, 3])
    building.beam(layout, [1, 4], [1, 1])
    building.panel(layout, rectangle(1, 1, 3, 3))
    expect(balanceOf(building.state(), imposed)).toMatchObject({ notCarried: expect.closeTo(4000, 6), atSupports: 0 })
  })

  test('on a beam that would fall, and on what rests on it', () => {
    const storey = oneStorey()
    const { building, layout } = storey
    bay(storey)
    // a beam from the west edge into the middle of nowhere carries a strip of the slab
    building.beam(layout, [0, 2], [3, 2])
    const state = building.state()
    const { applied, atSupports, notCarried } = balanceOf(state, imposed)
    expect(notCarried).toBeCloseTo(3 * 2 * 1000, 6)
    expect(applied).toBeCloseTo(atSupports + notCarried, 6)
  })

  test('a floor with panels and nothing else', () => {
    const { building, layout } = oneStorey()
    building.panel(layout, rectangle(0, 0, 2, 2))
    expect(balanceOf(building.state(), imposed)).toMatchObject({ applied: 4000, notCarried: 4000, atSupports: 0 })
  })
})

describe('loads where they belong', () => {
  test('cases by use: categories apart, partitions beside them, roofs in a case of their own', () => {
    const { building, layout } = oneStorey(1000)
    building.panel(layout, rectangle(0, 0, 9, 1))
    building.patch(layout, building.key(null, { use: 'C1', partitionWeight: 2000 }), rectangle(0, 0, 3, 1), {
      order: 1,
    })
    building.patch(layout, building.key(null, { use: 'H' }), rectangle(3, 0, 6, 1), { order: 2 })
    const state = building.state()
    const applied = Object.fromEntries(state.caseIds.map((id) => [id, Math.round(balanceOf(state, id).applied)]))
    expect(applied).toEqual({
      'permanent/self-weight': 0,
      'permanent/build-ups': 0,
      'permanent/walls': 0,
      'imposed/B': 3000,
      'imposed/C': 9000,
      'imposed/C/partitions': 2400,
      'roof/H': 1200,
    })
  })

  test('*on top of* adds and does not count as floor area again', () => {
    const { building, layout, key } = oneStorey(1000)
    building.panel(layout, rectangle(0, 0, 9, 1))
    building.patch(layout, key, rectangle(0, 0, 3, 1), { mode: 'onTopOf' })
    const state = building.state()
    expect(balanceOf(state, imposed).applied).toBeCloseTo(12_000, 6)
    expect(floorArea(state, state.floors[0] ?? raise())).toBeCloseTo(9, 6)
  })

  test('walls take their height from the storey above and the depth of what is over them', () => {
    const { building, first, second, key } = tower()
    const concrete = building.material({ unitWeight: 0, name: 'slab' })
    const deep = building.sectionOf({ depth: 0.45 })
    const layout = building.layout('Floor', key, first, second)
    building.beam(layout, [0, 0], [6, 0], { section: deep.id })
    building.column(layout, [0, 0])
    building.column(layout, [6, 0])
    building.panel(layout, rectangle(0, 0, 6, 4), { slab: { thickness: 0.15, material: concrete.id } })
    const run = (heightRule: 'lessBeam' | 'lessSlab' | 'lessBoth', y: number) =>
      building.wall(
        layout,
        [
          [0, y],
          [6, y],
        ],
        { heightRule, height: null, weight: 1000 },
      )
    run('lessBeam', 0)
    run('lessBoth', 0)
    run('lessSlab', 2)
    run('lessBeam', 2)
    const rows = ask(building.state(), { kind: 'walls', levelId: first.id })
    const heights = Object.fromEntries(rows.map(({ label, trace }) => [label, trace?.value]))
    expect(heights).toEqual({
      W1: expect.closeTo(2550, 9),
      W2: expect.closeTo(2400, 9),
      W3: expect.closeTo(2850, 9),
      W4: expect.closeTo(3000, 9),
    })
    // on the top level there is no storey above
    expect(ask(building.state(), { kind: 'walls', levelId: second.id }).map(({ trace }) => trace)).toEqual([
      null,
      null,
      null,
      null,
    ])
  })

  test('areas are read as areas, and an unknown case reads nought', () => {
    const storey = oneStorey()
    const { columns } = bay(storey)
    const state = storey.building.state()
    const place = placeOf(state, expanded(columns[0]?.id ?? '', storey.top.id), 'columns') ?? raise()
    expect(readArea(state)(place.floor.rundown.feet, place.row)).toBeCloseTo(6, 9)
    expect(readCase(state, 'imposed/Z')(place.floor.rundown.feet, place.row)).toBe(0)
    expect(placeOf(state, 'member:none@level:none', 'beams')).toBeUndefined()
  })
})
