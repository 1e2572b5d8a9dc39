import fc from 'fast-check'
import { holds } from '../../test/holds'
import { rectangle, turned } from '../../test/shapes'
import type { Point } from '../geometry/point'
import { eachEdge, signedArea, type Ring } from '../geometry/polygon'
import { nearestGap, ringRound, ringsOf, type Line } from './rings'

const line = (a: Point, b: Point): Line => ({ a, b })
const sides = (ring: Ring): readonly Line[] => {
  const found: Line[] = []
  eachEdge(ring, (a, b) => found.push(line(a, b)))
  return found
}
const areas = (lines: readonly Line[]) =>
  ringsOf(lines)
    .map((ring) => Number(signedArea(ring).toFixed(6)))
    .sort((p, q) => p - q)

test('four beams close one ring, whichever way they were drawn, overshooting or ending on each other', () => {
  expect(areas(sides(rectangle(0, 0, 6, 4)))).toEqual([24])
  expect(
    areas([line([6, 0], [0, 0]), line([0, -1], [0, 5]), line([-1, 4], [7, 4]), line([6, 4.005], [6, 0.005])]),
  ).toEqual([expect.closeTo(24, 1)])
})

test('a beam across parts a ring, one that hangs in the air does not', () => {
  const bay = sides(rectangle(0, 0, 6, 4))
  expect(areas([...bay, line([2, 0], [2, 4])])).toEqual([8, 16])
  expect(areas([...bay, line([2, 0], [2, 3])])).toEqual([24])
  expect(areas([...bay, line([2, 0], [2, 3]), line([2, 3], [3, 3])])).toEqual([24])
})

test('the smallest ring round a point; none beside it', () => {
  const rings = ringsOf([...sides(rectangle(0, 0, 10, 10)), ...sides(rectangle(2, 2, 4, 4))])
  expect(signedArea(ringRound(rings, [3, 3]) ?? [])).toBeCloseTo(4, 9)
  expect(signedArea(ringRound(rings, [8, 8]) ?? [])).toBeCloseTo(100, 9)
  expect(ringRound(rings, [11, 5])).toBeUndefined()
})

test('corners only: a beam that ends on a side leaves no corner there', () => {
  expect(ringsOf([...sides(rectangle(0, 0, 6, 4)), line([3, 4], [3, 8])])[0]).toHaveLength(4)
})

test('an open ring: where its ends come nearest', () => {
  const open = [line([0, 0], [6, 0]), line([6, 0], [6, 4]), line([6, 4], [0, 4]), line([0, 4], [0, 0.35])]
  expect(ringsOf(open)).toEqual([])
  expect(nearestGap(open)).toEqual({ from: [0, 0], to: [0, expect.closeTo(0.35, 9)], length: expect.closeTo(0.35, 9) })
  expect(nearestGap(sides(rectangle(0, 0, 6, 4)))).toBeNull()
})

// law: a grid of n by m bays has n · m rings that fill it, whatever its bays, turned and shuffled
test('the bays of a grid', () => {
  const spans = fc.array(fc.integer({ min: 10, max: 90 }), { minLength: 1, maxLength: 4 })
  holds(
    fc.property(spans, spans, fc.double({ min: -3, max: 3, noNaN: true }), fc.nat(), (across, up, angle, seed) => {
      const at = (list: readonly number[]) => list.reduce((all, d) => [...all, (all.at(-1) ?? 0) + d / 10], [0])
      const [xs, ys] = [at(across), at(up)]
      const [east, north] = [xs.at(-1) ?? 0, ys.at(-1) ?? 0]
      const turn = turned(angle)
      const lines = [
        ...xs.map((x) => line(turn([x, 0]), turn([x, north]))),
        ...ys.map((y) => line(turn([0, y]), turn([east, y]))),
      ]
      const cut = seed % lines.length
      const rings = ringsOf([...lines.slice(cut), ...lines.slice(0, cut)])
      expect(rings).toHaveLength(across.length * up.length)
      expect(rings.reduce((sum, ring) => sum + signedArea(ring), 0)).toBeCloseTo(east * north, 6)
    }),
  )
})
