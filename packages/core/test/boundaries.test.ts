import { casesOfUse } from '../src/actions/keyLoads'
import { readCase } from '../src/derivation/cells'
import { extentOf } from '../src/derivation/climate'
import { expanded } from '../src/document/labels'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building, oneStorey } from './build'
import { rectangle } from './shapes'

const psf = 47.880259
const near = (value: number, digits = 6) => expect.closeTo(value, digits) as number

test('K_LL of a cantilever is 1, of a beam on two supports 2 (ASCE 7 table 4.7-1, from memory)', () => {
  const building = new Building({ family: 'ASCE' })
  const [, top] = [building.level('Base', 0), building.level('1', 3)]
  const layout = building.layout('Floor', building.key(50 * psf, { use: 'offices' }), top)
  for (const y of [0, 8]) for (const x of [0, 30]) building.column(layout, [x, y])
  const simple = [0, 8].map((y) => building.beam(layout, [0, y], [30, y]))
  // held at its end on a column of its own
  building.column(layout, [0, 20])
  building.column(layout, [0, 30])
  const cantilever = building.beam(layout, [0, 20], [30, 20], { startRelease: 'fixed' })
  const other = building.beam(layout, [0, 30], [30, 30], { startRelease: 'fixed' })
  building.panel(layout, rectangle(0, 0, 30, 8))
  building.panel(layout, rectangle(0, 20, 30, 30))
  const factor = (id: string) =>
    ask(building.state(), { kind: 'member', expandedId: expanded(id, top.id), caseId: 'imposed/L' })?.reduction
  // hand: 120 m² by 2 are 240 m²: 0.25 + 4.572/√240 (4.7-1); 150 m² by 1
  expect(factor(simple[0]?.id ?? '')).toMatchObject({ area: near(120), byArea: near(0.25 + 4.572 / Math.sqrt(240), 4) })
  expect(factor(cantilever.id)).toMatchObject({ area: near(150), byArea: near(0.25 + 4.572 / Math.sqrt(150), 4) })
  expect(factor(other.id)?.byArea).toBeCloseTo(factor(cantilever.id)?.byArea ?? NaN, 9)
})

test('a live load of 100 psf may be 0.5 L beside wind, one above it may not (ASCE 7 2.3.1, exception, from memory)', () => {
  const casesAt = (q: number) => {
    const building = new Building({ family: 'ASCE' })
    const [, top] = [building.level('Base', 0), building.level('1', 3)]
    const layout = building.layout('Floor', building.key(q * psf, { use: 'offices' }), top)
    building.panel(layout, rectangle(0, 0, 6, 4))
    return building.state().caseIds.filter((id) => id.startsWith('imposed/'))
  }
  expect(casesAt(100)).toEqual(['imposed/L'])
  // as the tables have it, 100 psf is not above itself by a rounding
  expect(casesAt(100.0005)).toEqual(['imposed/L'])
  expect(casesAt(100.1)).toEqual(['imposed/Lp'])
})

test('with transferred load whole, what a wall on a slab brings is not reduced in the columns below', () => {
  const reduced = (transferred: 'reduced' | 'whole') => {
    const building = new Building({ family: 'BS', transferred })
    const [, low, high] = ['Base', '1', '2'].map((name, i) => building.level(name, 3 * i))
    const office = building.key(3000, { use: 'B-offices' })
    const [floor, upper] = [building.layout('Floor', office, low), building.layout('Upper', office, high)]
    const [corner] = rectangle(0, 0, 12, 10).map((at) => building.column(floor, at))
    building.beam(floor, [0, 0], [12, 0])
    building.beam(floor, [0, 10], [12, 10])
    building.panel(floor, rectangle(0, 0, 12, 10))
    // two walls on the slab carry the floor above
    for (const y of [3, 7])
      building.member(upper, 'wall', [
        [3, y],
        [9, y],
      ])
    building.panel(upper, rectangle(3, 3, 9, 7))
    const expandedId = expanded(corner?.id ?? '', low?.id ?? '')
    return ask(building.state(), { kind: 'column', expandedId, caseId: 'imposed/Q' })?.reductions?.at(-1)
  }
  // hand: 30 m² of its own and a quarter of 24 m² over the slab
  expect(reduced('reduced')).toMatchObject({ area: near(36), reducible: near(108_000) })
  expect(reduced('whole')).toMatchObject({ area: near(30), reducible: near(90_000) })
})

test('coincident beams drawn opposite ways take the same load at the same places', () => {
  const { building, layout, top } = oneStorey(0)
  for (const y of [0, 4]) for (const x of [0, 6]) building.column(layout, [x, y])
  const along = building.beam(layout, [0, 0], [6, 0])
  const against = building.beam(layout, [6, 0], [0, 0])
  building.beam(layout, [0, 4], [6, 4])
  building.panel(layout, rectangle(0, 0, 6, 4))
  // rises from nothing at x = 0 to 3 kN/m² at x = 6: half of it to the south, halved again
  building.areaLoad(layout, rectangle(0, 0, 6, 4), 0, { endValue: 3000, angle: 0 })
  const lines = (id: string) =>
    ask(building.state(), { kind: 'member', expandedId: expanded(id, top.id), caseId: 'permanent/typed' })?.lines
  expect(lines(along.id)).toEqual([[near(0), near(6), near(0), near(3000)]])
  expect(lines(against.id)).toEqual([[near(0), near(6), near(3000), near(0)]])
})

test('coincident beams drawn opposite ways share a triangle of a two-way slab at the same places', () => {
  const { building, layout, top } = oneStorey(1000)
  const corners: readonly Point[] = [
    [0, 0],
    [6, 0],
    [6, 4],
    [0, 4],
  ]
  corners.forEach((corner, i) => {
    building.column(layout, corner)
    if (i > 0) building.beam(layout, corner, corners[(i + 1) % 4] ?? corner)
  })
  const along = building.beam(layout, [0, 0], [6, 0])
  const against = building.beam(layout, [6, 0], [0, 0])
  building.panel(layout, rectangle(0, 0, 6, 4), { sharing: 'twoWay' })
  const caseId = building.state().caseIds.find((id) => id.startsWith('imposed')) ?? ''
  const lines = (id: string) =>
    ask(building.state(), { kind: 'member', expandedId: expanded(id, top.id), caseId })?.lines
  // yield lines at 45°: half of 2 m by 1 kN/m² at the crest, which begins 2 m from each end
  const trapezoid = [
    [near(0), near(2), near(0), near(1000)],
    [near(2), near(4), near(1000), near(1000)],
    [near(4), near(6), near(1000), near(0)],
  ]
  expect(lines(along.id)).toEqual(trapezoid)
  expect(lines(against.id)).toEqual(trapezoid)
})

test('a uniform load of 100 psf is not heavy yet, one above is (ASCE 7-16 2.3.1, exception 1, from memory)', () => {
  const standard = new Building({ family: 'ASCE' }).state().standard
  const psf = 47.880259
  expect(casesOfUse('offices', standard, 100 * psf)?.group).toBe('L')
  expect(casesOfUse('offices', standard, 101 * psf)?.group).toBe('Lp')
})

describe('the rectangle in the wind', () => {
  const extent = (columns: readonly Point[]) => {
    const { building, layout } = oneStorey(0)
    columns.forEach((at) => building.column(layout, at))
    building.panel(layout, rectangle(-1, -2, 20, 10))
    const state = building.state()
    const floors = state.floors.map(({ floor }) => floor)
    const operators = new Map(state.floors.map(({ floor, operator }) => [String(floor.layoutId), operator]))
    return extentOf(floors, operators, undefined, 0)
  }

  test('is that of the columns from three on, of the panels with fewer', () => {
    expect(
      extent([
        [0, 0],
        [6, 0],
        [3, 4],
      ]),
    ).toEqual({ x0: 0, y0: 0, x1: 6, y1: 4 })
    expect(
      extent([
        [0, 0],
        [6, 4],
      ]),
    ).toEqual({ x0: -1, y0: -2, x1: 20, y1: 10 })
    expect(extent([])).toEqual({ x0: -1, y0: -2, x1: 20, y1: 10 })
  })
})

test('partitions count whole for the mass by IS 1893-1, whatever part of the imposed load does', () => {
  const { building, layout } = oneStorey(0)
  building.records.splice(0, 1, { ...building.basis, family: 'IS' })
  const key = building.key(2000, { use: 'offices', partitionWeight: 3900 })
  building.patch(layout, key, rectangle(0, 0, 6, 4))
  building.panel(layout, rectangle(0, 0, 6, 4))
  const state = building.state()
  const view = ask(state, { kind: 'masses' })
  const row = view.rows.find(({ levelId }) => levelId === state.floors[0]?.level.id)
  // hand: 24 m² of 1.3 kN/m², all of it, and a quarter of 2.0
  expect(row?.parts.partitions).toBeCloseTo(24 * 1300, 6)
  expect(row?.parts.imposed).toBeCloseTo(24 * 500, 6)
  expect(readCase(state, state.caseIds[0] ?? '')).toBeDefined()
})
