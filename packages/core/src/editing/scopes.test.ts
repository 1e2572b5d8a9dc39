import { Building } from '../../test/build'
import { rectangle } from '../../test/shapes'
import { recordsOf } from '../document/document'
import type { Drawn } from './shaped'
import { scopesOf } from './scopes'

/** Two bays of 6 x 5 m with beams across, girders along, on two layouts. */
function floors() {
  const building = new Building()
  const [lower, upper] = [building.layout('Floors'), building.layout('Roof')]
  const heavy = building.sectionOf({ name: 'heavy' })
  const bay = (layout: typeof lower) => ({
    beams: [0, 6, 12].map((x) => building.beam(layout, [x, 0], [x, 5])),
    girders: [0, 5].flatMap((y) =>
      [0, 6].map((x) =>
        building.member(
          layout,
          'girder',
          [
            [x, y],
            [x + 6, y],
          ],
          { section: heavy.id },
        ),
      ),
    ),
    panels: [0, 6].map((x) => building.panel(layout, rectangle(x, 0, x + 6, 5))),
    column: building.column(layout, [0, 0]),
  })
  const [floor, roof] = [bay(lower), bay(upper)]
  return { building, lower, heavy, floor, roof }
}

const idsOf = (records: readonly Drawn[]) => records.map(({ id }) => id).sort()

function scopes(building: Building, record: Drawn) {
  const { document } = building
  const found = scopesOf(record, recordsOf(document, record.kind), recordsOf(document, 'panel'))
  return new Map(found.map(({ kind, records }) => [kind, idsOf(records)]))
}

test('an edge beam: those like it, all on the edge, those like it everywhere', () => {
  const { building, floor, roof } = floors()
  const [left, , right] = floor.beams
  if (!left || !right) throw new Error('no beams')
  const found = scopes(building, left)
  expect([...found.keys()]).toEqual(['alike', 'edge', 'everywhere'])
  expect(found.get('alike')).toEqual(idsOf(floor.beams))
  expect(found.get('edge')).toEqual(idsOf([left, right, ...floor.girders]))
  expect(found.get('everywhere')).toEqual(idsOf([...floor.beams, ...roof.beams]))
})

test('an inner beam has no edge; another section sets it apart from those of its role', () => {
  const { building, floor, heavy } = floors()
  const inner = floor.beams[1]
  if (!inner) throw new Error('no beam')
  expect(scopes(building, inner).has('edge')).toBe(false)
  const strong = building.add({ ...inner, id: 'member:strong0000000', label: 'B90', section: heavy.id })
  const found = scopes(building, strong)
  expect(found.has('alike')).toBe(false)
  expect(found.get('layout')).toEqual(idsOf([...floor.beams, strong]))
})

test('a beam beside nothing is no edge beam, nor is one of no length or a column', () => {
  const { building, lower, floor } = floors()
  expect(scopes(building, building.beam(lower, [20, 0], [20, 5])).has('edge')).toBe(false)
  expect(scopes(building, floor.column).has('edge')).toBe(false)
  const point = {
    ...floor.column,
    role: 'beam' as const,
    path: [
      [0, 0],
      [0, 0],
    ] as const,
  }
  expect(scopesOf(point, [point], floor.panels)).toEqual([])
})

test('panels are alike by slab and by the axis of their span; half a turn is the same', () => {
  const { building, lower, floor } = floors()
  const [first] = floor.panels
  if (!first) throw new Error('no panel')
  const turned = building.panel(lower, rectangle(12, 0, 18, 5), { spanAngle: first.spanAngle + Math.PI })
  building.panel(lower, rectangle(18, 0, 24, 5), { spanAngle: first.spanAngle + Math.PI / 2 })
  const found = scopes(building, first)
  expect(found.get('alike')).toEqual(idsOf([...floor.panels, turned]))
  expect(found.get('layout')).toHaveLength(4)
})

test('patches are alike by their load key, wall runs by weight and rule; a lone record has no wider scope', () => {
  const { building, lower, roof } = floors()
  const [a, b] = [building.key(3000), building.key(5000)]
  const patches = [a, a, b].map((key, i) => building.patch(lower, key, rectangle(i, 0, i + 1, 1)))
  const walls = [2000, 2000, 3000].map((weight) =>
    building.wall(
      lower,
      [
        [0, 0],
        [0, 5],
      ],
      { weight },
    ),
  )
  for (const list of [patches, walls]) {
    const [first, second, third] = list
    if (!first || !second || !third) throw new Error('too few')
    expect(scopes(building, first).get('alike')).toEqual(idsOf([first, second]))
    expect(scopes(building, first).get('layout')).toEqual(idsOf(list))
    expect(scopes(building, third).has('alike')).toBe(false)
  }
  expect([...scopes(building, roof.column).keys()]).toEqual(['everywhere'])
})
