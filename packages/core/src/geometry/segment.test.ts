import fc from 'fast-check'
import { holds } from '../../test/holds'
import { turned } from '../../test/shapes'
import { nearby } from './nearby'
import type { Point } from './point'
import { boxesTouch, boxOf } from './polygon'
import { along, distance, overlapOn, project } from './segment'

const point = fc.tuple(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: -50, max: 50, noNaN: true }))

test('along and project undo each other, whatever the direction', () => {
  holds(
    fc.property(point, point, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, t) => {
      fc.pre(distance(a, b) > 0.01)
      const s = t * distance(a, b)
      const found = project(a, b, along(a, b, s))
      expect(found.s).toBeCloseTo(s, 7)
      expect(found.off).toBeCloseTo(0, 7)
    }),
  )
})

test('left of the line is positive', () => {
  expect(project([0, 0], [4, 0], [1, 2])).toEqual({ s: 1, off: 2 })
  expect(project([4, 0], [0, 0], [1, 2])).toEqual({ s: 3, off: -2 })
})

test('a line without length gives numbers', () => {
  expect(along([1, 2], [1, 2], 3)).toEqual([1, 2])
  expect(project([1, 2], [1, 2], [4, 2])).toEqual({ s: 3, off: 0 })
})

describe('what of one line lies on another', () => {
  const overlap = (p: Point, q: Point, tolerance = 0.01) => overlapOn([0, 0], [6, 0], p, q, tolerance)

  test.each([
    [[1, 0], [4, 0], { from: 1, to: 4 }],
    [[4, 0], [1, 0], { from: 1, to: 4 }],
    [[-2, 0], [9, 0], { from: 0, to: 6 }],
    [[1, 0.009], [4, -0.009], { from: 1, to: 4 }],
    [[1, 0.011], [4, 0], undefined],
    [[6, 0], [9, 0], undefined],
    [[7, 0], [9, 0], undefined],
    [[1, 0], [1, 5], undefined],
  ] as const)('%j to %j', (p, q, wanted) => expect(overlap(p, q)).toEqual(wanted))

  test('turning both changes nothing', () => {
    const turn = turned(1.1, [3, -2])
    const found = overlapOn(turn([0, 0]), turn([6, 0]), turn([2, 0]), turn([8, 0]), 0.01)
    expect(found?.from).toBeCloseTo(2, 9)
    expect(found?.to).toBeCloseTo(6, 9)
  })
})

describe('things nearby', () => {
  test('the same as looking at every box', () => {
    const things = fc.array(fc.array(point, { minLength: 1, maxLength: 4 }), { maxLength: 40 })
    holds(
      fc.property(things, fc.array(point, { minLength: 1, maxLength: 3 }), (boxes, probe) => {
        const found = nearby(boxes, 0.5)(probe)
        const wanted = boxes.flatMap((points, i) => (boxesTouch(boxOf(points), boxOf(probe), 0.5) ? [i] : []))
        expect(found).toEqual(wanted)
      }),
    )
  })

  test('nothing is near nothing', () => expect(nearby([])([[0, 0]])).toEqual([]))
})
