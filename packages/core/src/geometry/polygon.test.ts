import fc from 'fast-check'
import { holds } from '../../test/holds'
import { rectangle, turned } from '../../test/shapes'
import { difference, intersection, isEmpty, regionOf, union } from './clip'
import {
  boxesTouch,
  boxOf,
  centroid,
  contains,
  corners,
  counterClockwise,
  crossesItself,
  regionArea,
  regionMoments,
  signedArea,
  type Ring,
} from './polygon'

/** The L of a 14.4 × 21 m block with a 7.2 × 12 m wing. */
const ell: Ring = [
  [0, 0],
  [14.4, 0],
  [14.4, 9],
  [21.6, 9],
  [21.6, 21],
  [0, 21],
]

const simple = fc
  .array(fc.double({ min: 1, max: 9, noNaN: true }), { minLength: 3, maxLength: 10 })
  .map((radii): Ring =>
    radii.map((r, i) => [
      r * Math.cos((2 * Math.PI * i) / radii.length),
      r * Math.sin((2 * Math.PI * i) / radii.length),
    ]),
  )

describe('area and first moments', () => {
  test('hand: the L has 14.4 · 21 + 7.2 · 12 = 388.8 m², its centroid by parts', () => {
    expect(signedArea(ell)).toBeCloseTo(388.8, 9)
    const [x, y] = centroid([ell])
    expect(x).toBeCloseTo((302.4 * 7.2 + 86.4 * 18) / 388.8, 9)
    expect(y).toBeCloseTo((302.4 * 10.5 + 86.4 * 15) / 388.8, 9)
  })

  test('clockwise is negative, and is turned round', () => {
    const back = [...ell].reverse()
    expect(signedArea(back)).toBeCloseTo(-388.8, 9)
    expect(signedArea(counterClockwise(back))).toBeCloseTo(388.8, 9)
    expect(counterClockwise(ell)).toBe(ell)
  })

  test('a turn keeps the area and turns the centroid; a shift moves the moments by the area', () => {
    holds(
      fc.property(simple, fc.double({ min: -3, max: 3, noNaN: true }), (ring, angle) => {
        const turn = turned(angle, [2, 1])
        const after = ring.map(turn)
        expect(signedArea(after)).toBeCloseTo(signedArea(ring), 8)
        const [x, y] = turn(centroid([ring]))
        expect(centroid([after])[0]).toBeCloseTo(x, 7)
        expect(centroid([after])[1]).toBeCloseTo(y, 7)
        const [mx] = regionMoments([ring])
        expect(regionMoments([ring.map(([px, py]) => [px + 10, py] as const)])[0]).toBeCloseTo(
          mx + 10 * signedArea(ring),
          7,
        )
      }),
    )
  })

  test('a line has no area and a centroid that is a number', () => {
    const line: Ring = [
      [1, 1],
      [5, 1],
      [3, 1],
    ]
    expect(signedArea(line)).toBe(0)
    expect(centroid([line])).toEqual([1, 1])
    expect(centroid([])).toEqual([0, 0])
  })
})

test('corners: points on a straight side are left out, every turn stays', () => {
  const [a, b, ...rest] = ell
  if (!a || !b) throw new Error('no ring')
  expect(corners([a, [3, 0], [7.2, 1e-8], b, ...rest])).toEqual(ell)
  expect(corners(ell)).toEqual(ell)
})

describe('inside, boxes, crossing', () => {
  test('a hole is outside', () => {
    const withHole = [rectangle(0, 0, 10, 10), [...rectangle(4, 4, 6, 6)].reverse()]
    expect(contains(withHole, [1, 1])).toBe(true)
    expect(contains(withHole, [5, 5])).toBe(false)
    expect(contains(withHole, [11, 5])).toBe(false)
  })

  test('boxes touch at a common edge, and within a tolerance', () => {
    const [a, b] = [boxOf(rectangle(0, 0, 1, 1)), boxOf(rectangle(1, 0, 2, 1))]
    const far = boxOf(rectangle(1.005, 0, 2, 1))
    expect(boxesTouch(a, b)).toBe(true)
    expect(boxesTouch(a, far)).toBe(false)
    expect(boxesTouch(a, far, 0.01)).toBe(true)
  })

  test('an outline that crosses itself', () => {
    const bow: Ring = [
      [0, 0],
      [4, 4],
      [4, 0],
      [0, 4],
    ]
    expect(crossesItself(bow)).toBe(true)
    expect(crossesItself(ell)).toBe(false)
    // touching at a point, or a point twice, is not a crossing
    expect(
      crossesItself([
        [0, 0],
        [4, 0],
        [4, 0],
        [4, 4],
        [2, 0],
        [0, 4],
      ]),
    ).toBe(false)
  })
})

describe('clipping (a library does it; here its promises to us)', () => {
  test('what is cut off and what is left make up the whole, also in moments', () => {
    holds(
      fc.property(simple, simple, fc.double({ min: -4, max: 4, noNaN: true }), (ring, cut, shift) => {
        const a = regionOf(ring)
        const b = regionOf(cut.map(([x, y]) => [x + shift, y] as const))
        const [rest, common] = [difference(a, b), intersection(a, b)]
        // slivers below 1 cm² are left out, at most a few of them
        expect(Math.abs(regionArea(rest) + regionArea(common) - regionArea(a))).toBeLessThan(1e-3)
        expect(regionMoments(rest)[0] + regionMoments(common)[0]).toBeCloseTo(regionMoments(a)[0], 1)
      }),
      { numRuns: 60 },
    )
  })

  test('neighbours become one outline; a hole in the middle stays one', () => {
    const frame = [rectangle(0, 0, 9, 3), rectangle(0, 6, 9, 9), rectangle(0, 0, 3, 9), rectangle(6, 0, 9, 9)]
    const whole = union(frame)
    expect(regionArea(whole)).toBeCloseTo(72, 6)
    expect(whole.filter((ring) => signedArea(ring) < 0)).toHaveLength(1)
    expect(union([])).toEqual([])
  })

  test('slivers are nothing', () => {
    expect(isEmpty(intersection(regionOf(rectangle(0, 0, 5, 5)), regionOf(rectangle(5 - 1e-5, 0, 9, 5))))).toBe(true)
    expect(isEmpty(regionOf(rectangle(0, 0, 1, 1)))).toBe(false)
  })

  test('far from the origin it is as exact', () => {
    const [x, y] = [9e5, -9e5]
    const rest = difference(regionOf(rectangle(x, y, x + 6, y + 4)), regionOf(rectangle(x + 1, y + 1, x + 2, y + 3)))
    expect(regionArea(rest)).toBeCloseTo(22, 4)
  })
})
