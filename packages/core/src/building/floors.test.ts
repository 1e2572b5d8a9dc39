import { Building } from '../../test/build'
import { recordsOf } from '../document/document'
import { expandFloors } from './floors'

const building = new Building()
const [cellar, ground, first, mezzanine, second, roof] = (
  [
    ['Cellar', -3],
    ['Ground', 0],
    ['1', 3.2],
    ['Mezzanine', 4.6],
    ['2', 6.4],
    ['Roof', 10],
  ] as const
).map(([name, elevation]) => building.level(name, elevation))
if (!cellar || !ground || !first || !mezzanine || !second || !roof) throw new Error('levels')
const floorLayout = building.layout('Floor', null, ground, first)
const upper = building.layout('Upper', null, second)
const roofLayout = building.layout('Roof', null, roof)
const floors = (levels = recordsOf(building.document, 'level')) =>
  expandFloors(levels, recordsOf(building.document, 'levelRange'))

test('levels in the order of the building with their layouts; the base has none', () => {
  expect(floors().map(({ level, layoutId }) => [level.name, layoutId])).toEqual([
    ['Cellar', null],
    ['Ground', floorLayout.id],
    ['1', floorLayout.id],
    ['Mezzanine', null],
    ['2', upper.id],
    ['Roof', roofLayout.id],
  ])
  expect(floors([...recordsOf(building.document, 'level')].reverse())).toEqual(floors())
})

test('a storey goes down to the next level that carries; a level without layout is passed by', () => {
  const heights = Object.fromEntries(floors().map(({ level, storeyHeight }) => [level.name, storeyHeight]))
  expect(heights).toEqual({
    Cellar: 0,
    Ground: 3,
    '1': expect.closeTo(3.2),
    Mezzanine: expect.closeTo(1.4),
    '2': expect.closeTo(3.2),
    Roof: expect.closeTo(3.6),
  })
  const second = floors()[4]
  expect([second?.below, second?.above]).toEqual([2, 5])
  expect(floors()[0]).toMatchObject({ below: null, above: 1 })
  expect(floors().at(-1)?.above).toBeNull()
})

test('no levels, no floors', () => expect(expandFloors([], [])).toEqual([]))
