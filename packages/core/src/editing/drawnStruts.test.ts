import { Building } from '../../test/build'
import type { Point } from '../geometry/point'
import { seededRandom } from '../document/document'
import { strutInPlane, type SpaceTool, type UprightPlane } from './drawnStruts'

/** Base at 0, a floor on levels 1 and 2 at 3 and 6 m, a roof at 9 m. */
function block() {
  const building = new Building()
  const [, one, two, three] = [0, 3, 6, 9].map((z, i) => building.level(String(i), z))
  const floors = building.layout('Floors', null, one, two)
  const roof = building.layout('Roof', null, three)
  const draw = (tool: SpaceTool, from: Point, to: Point, plane: UprightPlane = { axis: 'x', depth: 4 }) => {
    const made = strutInPlane(tool, [from, to], plane, building.document, seededRandom(1))
    if (!made.ok || made.record.kind !== 'strut') throw new Error('not made')
    const { layout, path, startHeight, endHeight, role, label } = made.record
    return { layout, path, heights: [startHeight, endHeight], role, label, levelId: made.levelId }
  }
  return { building, floors, roof, one, two, three, draw }
}

test('a brace over the lowest storey belongs to the level at its top, with heights from there', () => {
  const { draw, floors, one } = block()
  expect(draw('strut', [0, 0], [5, 3])).toEqual({
    layout: floors.id,
    path: [
      [0, 4],
      [5, 4],
    ],
    heights: [-3, 0],
    role: 'brace',
    label: 'K1',
    levelId: one?.id,
  })
})

test('seen from the east the way to the right is y', () => {
  const { draw } = block()
  expect(draw('girt', [1, 1.5], [4, 1.5], { axis: 'y', depth: 7 })).toMatchObject({
    path: [
      [7, 1],
      [7, 4],
    ],
    heights: [-1.5, -1.5],
    role: 'girt',
  })
})

test('a post up to the roof, one past the highest level, and one that ends a hand over its level', () => {
  const { draw, roof, floors, two, three } = block()
  expect(draw('post', [2, 6], [2, 9])).toMatchObject({ layout: roof.id, heights: [-3, 0], levelId: three?.id })
  expect(draw('post', [2, 6], [2, 11])).toMatchObject({ layout: roof.id, heights: [-3, 2] })
  expect(draw('tie', [2, 6.05], [4, 6.05])).toMatchObject({ layout: floors.id, levelId: two?.id })
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
  expect(draw('tie', [0, 3], [5, 3]).label).toBe('K2')
  const bare = new Building()
  bare.level('Base', 0)
  const plane = { axis: 'x', depth: 0 } as const
  expect(
    strutInPlane(
      'strut',
      [
        [0, 0],
        [1, 3],
      ],
      plane,
      bare.document,
      seededRandom(1),
    ),
  ).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/^No level carries a layout/),
  })
})
