import { typedLoads } from '../src/actions/cases'
import { expanded } from '../src/document/labels'
import type { Point3 } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building, bay, oneStorey } from './build'
import { rectangle } from './shapes'

const heights = (corners: readonly Point3[]): readonly number[] => corners.map(([, , z]) => z)

test('a wall is as high as its net height says: 3.00 m less a beam of 300 mm over it', () => {
  const building = new Building()
  const [, first, second] = [0, 3, 6].map((z, i) => building.level(i === 0 ? 'Base' : String(i), z))
  const layout = building.layout('Floors', null, first, second)
  building.column(layout, [0, 0])
  building.column(layout, [5, 0])
  building.beam(layout, [0, 0], [5, 0])
  const wall = building.wall(
    layout,
    [
      [0, 0],
      [5, 0],
    ],
    { heightRule: 'lessBeam', height: null, weight: 2000 },
  )
  const { surfaces } = ask(building.state(), { kind: 'space', caseId: 'permanent/walls' })
  // none on the top level, where no height follows
  expect(surfaces).toHaveLength(1)
  const [surface] = surfaces
  expect(surface).toMatchObject({ kind: 'wall', expandedId: expanded(wall.id, first?.id ?? '') })
  expect(heights(surface?.corners ?? [])).toEqual([3, 3, expect.closeTo(5.7, 9), expect.closeTo(5.7, 9)])
  expect(surface?.area).toBeCloseTo(5 * 2.7, 9)
  // 2.00 kN/m² on 2.70 m
  expect(surface?.load).toBeCloseTo(5400, 6)
})

test('a flight climbs to the level; a barrier stands on its edge and is loaded in its own case alone', () => {
  const storey = oneStorey(0)
  const { building, layout } = storey
  bay(storey)
  const key = building.key(3000)
  building.stair(layout, [3, 0], [3, 4], { width: 1.2, rise: 3, key: key.id })
  building.barrier(layout, [
    [0, 0],
    [6, 0],
  ])
  const surfacesIn = (caseId: string) => ask(building.state(), { kind: 'space', caseId }).surfaces
  const [flight, barrier] = surfacesIn('imposed/B')
  expect([flight?.kind, barrier?.kind]).toEqual(['stair', 'barrier'])
  expect(heights(flight?.corners ?? [])).toEqual([0, 0, 3, 3])
  // 3-4-5: 5 m along the slope
  expect(flight?.area).toBeCloseTo(1.2 * 5, 9)
  // half of 3.00 kN/m² on 4 m at each end
  expect(flight?.load).toBeCloseTo(6000, 6)
  expect(barrier?.load).toBe(0)
  expect(heights(barrier?.corners ?? [])).toEqual([3, 3, expect.closeTo(4.1, 9), expect.closeTo(4.1, 9)])
  const pressed = surfacesIn('barrier/people').find(({ kind }) => kind === 'barrier')
  expect(pressed?.load).toBeGreaterThan(0)
})

test('a stiff element goes from its level down to what it stands on', () => {
  const { building, layout } = oneStorey(0)
  building.stiffElement(layout, [
    [0, 0],
    [4, 0],
  ])
  const [element] = ask(building.state(), { kind: 'space', caseId: 'permanent/self-weight' }).surfaces
  expect(element).toMatchObject({ kind: 'stiff', area: 12, load: 0 })
  expect(heights(element?.corners ?? [])).toEqual([0, 0, 3, 3])
})

test('a typed area load lies on the roof, cut at the ridge, with its mean; other cases have none of it', () => {
  const { building, layout, top } = oneStorey(0)
  building.slope(layout, rectangle(0, 0, 6, 2), Math.atan(0.5), Math.PI / 2)
  building.slope(layout, rectangle(0, 2, 6, 4), Math.atan(0.5), -Math.PI / 2)
  building.panel(layout, rectangle(0, 0, 6, 4))
  building.areaLoad(layout, rectangle(1, 1, 5, 3), 1000, { endValue: 3000 })
  const { areaLoads } = ask(building.state(), { kind: 'space', caseId: typedLoads })
  expect(areaLoads.map(({ pressure }) => pressure)).toEqual([2000, 2000])
  // over the eaves by half of what lies behind them: 0.5 m at y = 1, 1 m at the ridge
  for (const [, y, z] of areaLoads.flatMap(({ rings }) => rings.flat()))
    expect(z - top.elevation).toBeCloseTo(y === 2 ? 1 : 0.5, 6)
  const { areaLoads: others } = ask(building.state(), { kind: 'space', caseId: 'permanent/self-weight' })
  expect(others.every(({ pressure }) => pressure === 0)).toBe(true)
})

test('joints are the ends of columns, beams and members in space, each once; none where they are not wanted', () => {
  const building = new Building()
  const [, first] = [0, 3].map((z, i) => building.level(i === 0 ? 'Base' : String(i), z))
  const layout = building.layout('Floor', null, first)
  building.column(layout, [0, 0])
  building.column(layout, [5, 0])
  building.beam(layout, [0, 0], [5, 0])
  building.strut(
    layout,
    [
      [0, 0],
      [2.5, 0],
    ],
    [-3, -1.5],
  )
  const found = ask(building.state(), { kind: 'joints', wanted: true })
  const sorted = found.map((point) => point.join(' ')).sort()
  // two tops, two feet, and the end of the strut at half height
  expect(sorted).toEqual(['0 0 0', '0 0 3', '2.5 0 1.5', '5 0 0', '5 0 3'])
  expect(ask(building.state(), { kind: 'joints', wanted: false })).toEqual([])
})
