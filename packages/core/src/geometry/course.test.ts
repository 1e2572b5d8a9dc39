import fc from 'fast-check'
import { holds } from '../../test/holds'
import { cutAtBends, feetAlong, legsOf, lengthOfLegs, middleAlong, pointAlong } from './course'
import type { Point } from './point'

const corner: readonly Point[] = [
  [0, 0],
  [4, 0],
  [4, 3],
]

test('a corner of 4 and 3 m is 7 m long; half way is 3.5 m along its first side', () => {
  const legs = legsOf(corner)
  expect(lengthOfLegs(legs)).toBe(7)
  expect(middleAlong(corner)).toEqual([3.5, 0])
  expect(pointAlong(legs, 5)).toEqual([4, 1])
  // beyond its ends it goes straight on
  expect(pointAlong(legs, -1)).toEqual([-1, 0])
  expect(pointAlong(legs, 8)).toEqual([4, 4])
})

test('feet: once at a corner that two sides share, twice where it passes a point twice', () => {
  expect(feetAlong(legsOf(corner), [4, 0], 0.01)).toEqual([4])
  expect(feetAlong(legsOf(corner), [2, 0.02], 0.01)).toEqual([])
  const back: readonly Point[] = [...corner, [2, 3], [2, -1]]
  expect(feetAlong(legsOf(back), [2, 0], 0.01)).toEqual([2, 12])
})

test('an interval is cut where it goes round a corner, and only there', () => {
  expect(cutAtBends(legsOf(corner), 3, 6).map(({ s0, s1 }) => [s0, s1])).toEqual([
    [3, 4],
    [4, 6],
  ])
  expect(cutAtBends(legsOf(corner), 1, 2)).toHaveLength(1)
})

test('points that repeat change neither ends nor length by more than they are apart', () => {
  const near = fc.double({ min: -3e-4, max: 3e-4, noNaN: true })
  holds(
    fc.property(fc.array(fc.tuple(near, near), { minLength: 1, maxLength: 4 }), fc.nat(2), (more, at) => {
      const base = corner[at] ?? [0, 0]
      const doubles = more.map(([dx, dy]): Point => [base[0] + dx, base[1] + dy])
      // beside an end they stand inside the line
      const place = at === 2 ? 2 : at + 1
      const legs = legsOf([...corner.slice(0, place), ...doubles, ...corner.slice(place)])
      expect(legs[0]?.a).toEqual([0, 0])
      expect(legs.at(-1)?.b).toEqual([4, 3])
      expect(Math.abs(lengthOfLegs(legs) - 7)).toBeLessThan(3e-3)
      legs.slice(1).forEach((leg, i) => expect(leg.a).toEqual(legs[i]?.b))
    }),
  )
})

test('one point, or the same twice, is no line', () => {
  expect(legsOf([[1, 1]])).toEqual([])
  expect(
    legsOf([
      [1, 1],
      [1, 1],
    ]),
  ).toEqual([])
})
