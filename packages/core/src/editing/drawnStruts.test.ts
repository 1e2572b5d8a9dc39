import { Building } from '../../test/build'
import type { Point3 } from '../geometry/point'
import { seededRandom } from '../document/document'
import { strutBetween, type SpaceTool } from './drawnStruts'

/** Base at 0, a floor on levels 1 and 2 at 3 and 6 m, a roof at 9 m. */
function block() {
  const building = new Building()
  const [, one, two, three] = [0, 3, 6, 9].map((z, i) => building.level(String(i), z))
  const floors = building.layout('Floors', null, one, two)
  const roof = building.layout('Roof', null, three)
  const draw = (tool: SpaceTool, from: Point3, to: Point3) => {
    const made = strutBetween(tool, [from, to], building.document, seededRandom(1))
    if (!made.ok || made.record.kind !== 'strut') throw new Error('not made')
    const { layout, path, startHeight, endHeight, role, label } = made.record
    return { layout, path, heights: [startHeight, endHeight], role, label, levelId: made.levelId }
  }
  return { building, floors, roof, one, two, three, draw }
}

test('a brace over the lowest storey belongs to the level at its top, with heights from there', () => {
  const { draw, floors, one } = block()
  expect(draw('strut', [0, 4, 0], [5, 7, 3])).toEqual({
    layout: floors.id,
    path: [
      [0, 4],
      [5, 7],
    ],
    heights: [-3, 0],
    role: 'brace',
    label: 'K1',
    levelId: one?.id,
  })
})

test('a post up to the roof, one past the highest level, and one that ends a hand over its level', () => {
  const { draw, roof, floors, two, three } = block()
  expect(draw('post', [2, 4, 6], [2, 4, 9])).toMatchObject({ layout: roof.id, heights: [-3, 0], levelId: three?.id })
  expect(draw('post', [2, 4, 6], [2, 4, 11])).toMatchObject({ layout: roof.id, heights: [-3, 2] })
  expect(draw('tie', [2, 4, 6.05], [4, 4, 6.05])).toMatchObject({ layout: floors.id, levelId: two?.id })
  expect(draw('chord', [0, 0, 9], [6, 0, 9])).toMatchObject({ role: 'chord', layout: roof.id, heights: [0, 0] })
  expect(draw('trussMember', [0, 0, 9], [1, 0, 7.8])).toMatchObject({
    role: 'web',
    layout: roof.id,
    heights: [0, -1.2],
  })
})

test('labels count on; without a layout there is nothing for it to belong to', () => {
  const { building, draw, floors } = block()
  building.strut(
    floors,
    [
      [0, 0],
      [1, 0],
    ],
    [-3, 0],
    { label: 'K1' },
  )
  expect(draw('tie', [0, 0, 3], [5, 0, 3]).label).toBe('K2')
  const bare = new Building()
  bare.level('Base', 0)
  expect(
    strutBetween(
      'strut',
      [
        [0, 0, 0],
        [1, 0, 3],
      ],
      bare.document,
      seededRandom(1),
    ),
  ).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/^No level has a layout yet\./),
  })
})
