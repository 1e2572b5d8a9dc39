import { Building } from '../../test/build'
import { seededRandom } from '../document/document'
import type { Point } from '../geometry/point'
import { tools, type Tool } from './drawn'
import { drawsUpright, drawUpright, type UprightPlane } from './drawnUpright'

/** Base at 0, a floor on levels 1 and 2 at 3 and 6 m, level 3 without any, a roof at 12 m; one column there already. */
function block() {
  const building = new Building()
  const [, one, two, , top] = [0, 3, 6, 9, 12].map((z, i) => building.level(String(i), z))
  const floors = building.layout('Floors', null, one, two)
  const roof = building.layout('Roof', null, top)
  building.column(floors, [0, 0])
  const draw = (tool: Tool, points: readonly Point[], plane: UprightPlane = { axis: 'x', depth: 4 }) =>
    drawUpright(tool, points, plane, building.document, seededRandom(1))
  return { building, floors, roof, one, two, top, draw }
}

test('what lies in the plane lies on the level that it is drawn at', () => {
  const { draw, floors, roof, two, top } = block()
  const beam = draw('beam', [
    [1, 6],
    [5, 6.05],
  ])
  expect(beam).toMatchObject({ ok: true, levelId: two?.id })
  expect(beam.ok && beam.record).toMatchObject({
    kind: 'member',
    role: 'beam',
    layout: floors.id,
    path: [
      [1, 4],
      [5, 4],
    ],
  })
  const column = draw('column', [[2, 12]], { axis: 'y', depth: 7 })
  expect(column).toMatchObject({ levelId: top?.id, record: { role: 'column', layout: roof.id, path: [[7, 2]] } })
})

test('a member in space goes from joint to joint in the plane, seen from the south and from the east', () => {
  const { draw, one } = block()
  const points: readonly Point[] = [
    [1, 0],
    [4, 3],
  ]
  expect(draw('strut', points)).toMatchObject({
    levelId: one?.id,
    record: {
      path: [
        [1, 4],
        [4, 4],
      ],
      startHeight: -3,
      endHeight: 0,
    },
  })
  expect(draw('strut', points, { axis: 'y', depth: 7 })).toMatchObject({
    record: {
      path: [
        [7, 1],
        [7, 4],
      ],
    },
  })
})

test('a raking column goes down to the next level that carries, whichever end was drawn first', () => {
  const { draw, roof } = block()
  const [high, foot]: readonly [Point, Point] = [
    [1, 12],
    [2.5, 6],
  ]
  for (const points of [
    [high, foot],
    [foot, high],
  ])
    expect(draw('rakingColumn', points)).toMatchObject({
      record: {
        layout: roof.id,
        path: [
          [1, 4],
          [2.5, 4],
        ],
      },
    })
  expect(draw('rakingColumn', [high, [2.5, 3]])).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/A raking column runs from a level to the next level below with a/),
  })
})

test.each<[Tool, readonly Point[], RegExp]>([
  [
    'beam',
    [
      [0, 9],
      [4, 9],
    ],
    /^A beam is drawn at a level with a layout: 1, 2, 4\.$/,
  ],
  [
    'beam',
    [
      [0, 3],
      [4, 6],
    ],
    /^A beam is on one level; on a slope, draw it on the plan and it/,
  ],
  ['rakingColumn', [[0, 3]], /needs 2 points/],
  ['strut', [[0, 3]], /Two points are needed\./],
])('%s %j', (tool, points, problem) => {
  expect(block().draw(tool, points)).toMatchObject({ ok: false, problem: expect.stringMatching(problem) })
})

test('without a layout nothing can be drawn; rings and what is found in them are not drawn upright', () => {
  const bare = new Building()
  bare.level('Base', 0)
  expect(drawUpright('column', [[0, 3]], { axis: 'x', depth: 0 }, bare.document, seededRandom(1))).toMatchObject({
    ok: false,
    problem: expect.stringMatching(/^No level has a layout yet\./),
  })
  const left = (Object.keys(tools) as Tool[]).filter((tool) => !drawsUpright(tool))
  expect(left.sort()).toEqual(
    ['areaLoad', 'opening', 'panel', 'panelInRing', 'patch', 'patchInRing', 'reductionRegion', 'slope', 'stair'].sort(),
  )
})
