import { stepsOf } from '../src/building/stairs'
import { weightOfFlight } from '../src/actions/stairLoad'
import { expanded } from '../src/document/labels'
import { ask } from '../src/queries/derive'
import { bay, Building, oneStorey } from './build'
import { rectangle } from './shapes'

test('the sums of a panel include area loads, as far as they lie on it: 1 to 3 kN/m² over a half of 6 by 4 m', () => {
  const storey = oneStorey(0)
  const { building, layout, top } = storey
  const { south } = bay(storey)
  const panel = building.records.find(({ kind }) => kind === 'panel')
  // x from 3 to 9: at x = 6 it has risen half-way, to 2 kN/m²
  const load = building.areaLoad(layout, rectangle(3, 0, 9, 4), 1000, { endValue: 3000, angle: 0 })
  building.areaLoad(layout, rectangle(0, 0, 6, 4), 500)
  const state = building.state()
  const at = expanded(panel?.id ?? '', top.id)
  const view = ask(state, { kind: 'panel', expandedId: at, caseId: 'permanent/typed' })
  // hand: 3 m · 4 m · 1.5 kN/m² = 18 kN and 12 kN
  expect(view?.areaLoads.map(({ force, area }) => [force, area]).sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0))).toEqual([
    [expect.closeTo(12_000, 6), expect.closeTo(24, 6)],
    [expect.closeTo(18_000, 6), expect.closeTo(12, 6)],
  ])
  expect(view?.applied).toBeCloseTo(30_000, 6)
  expect(view?.takers.reduce((sum, { force }) => sum + force, 0)).toBeCloseTo(30_000, 6)
  expect(Math.abs(view?.residual.force ?? 1)).toBeLessThan(1e-6)
  const why = (address: string) => ask(state, { kind: 'why', address })?.value
  expect(why(`panel:${at}:permanent/typed`)).toBeCloseTo(30_000, 6)
  const taker = view?.takers.find(({ expandedId }) => expandedId === expanded(south.id, top.id))
  expect(taker?.force).toBeCloseTo(15_000, 6)
  expect(why(`taker:${expanded(south.id, top.id)}:${panel?.id ?? ''}:permanent/typed`)).toBeCloseTo(15_000, 6)
  expect(load.id).toBe(view?.areaLoads.find(({ force }) => force > 15_000)?.id)
})

test('a flight has whole steps, and weighs them as high as they are', () => {
  expect(stepsOf({ rise: 3, riser: 0.17 })).toEqual({ count: 18, height: 3 / 18 })
  expect(stepsOf({ rise: 0, riser: 0.17 })).toEqual({ count: 1, height: 0.17 })
  expect(stepsOf({ rise: 3, riser: 0 })).toEqual({ count: 0, height: 0 })
  expect(stepsOf({ rise: 0.05, riser: 0.17 })).toEqual({ count: 1, height: 0.05 })
  const { building, layout } = oneStorey(0)
  const concrete = building.material({ name: 'concrete', unitWeight: 25_000 })
  const stair = building.stair(layout, [0, 0], [4, 0], { rise: 3, riser: 0.17, waist: 0.15, material: concrete.id })
  // hand: 25 · (0.15 · 5/4 + (3/18)/2)
  expect(weightOfFlight(stair, concrete).value).toBeCloseTo(25_000 * (0.15 * 1.25 + 3 / 36), 6)
  expect(new Building().records.length).toBeGreaterThan(0)
})
