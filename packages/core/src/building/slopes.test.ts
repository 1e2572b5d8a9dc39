import fc from 'fast-check'
import { holds } from '../../test/holds'
import { rectangle } from '../../test/shapes'
import type { SlopeShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { areaStretch, columnRise, heightAt, meanHeight, slopeAt, stretchesOf, trueAlong, trueLength } from './slopes'

const degrees = Math.PI / 180
/** A duo-pitch roof over 20 m by 12 m with its ridge along x, 30 degrees, eaves 0.5 m over the level. */
const south: SlopeShape = {
  id: 'slope:1',
  outline: rectangle(0, 0, 20, 6),
  pitch: 30 * degrees,
  uphill: Math.PI / 2,
  eaves: 0.5,
}
const north: SlopeShape = { ...south, id: 'slope:2', outline: rectangle(0, 6, 20, 12), uphill: -Math.PI / 2 }
const roof = [south, north]

// facts of the trade (common practice): a 3-4-5 triangle and the 30-60-90 triangle
const ridge = 0.5 + 6 / Math.sqrt(3)

test('heights: at the eaves, at the ridge, half way up, and beside the roof', () => {
  expect(heightAt(roof, [10, 0])).toBeCloseTo(0.5, 12)
  expect(heightAt(roof, [10, 12])).toBeCloseTo(0.5, 12)
  expect(heightAt(roof, [3, 6])).toBeCloseTo(ridge, 12)
  expect(heightAt(roof, [3, 3])).toBeCloseTo((0.5 + ridge) / 2, 12)
  expect(heightAt(roof, [3, -1])).toBe(0)
})

test('true area of 30 degrees is 2 over the root of 3', () => {
  expect(areaStretch(south)).toBeCloseTo(2 / Math.sqrt(3), 12)
})

test('a rafter is cut at the ridge and climbs both sides; a purlin is as long as in plan', () => {
  const rafter = stretchesOf(roof, [5, 0], [5, 12])
  expect(rafter.map(({ s0, s1 }) => [s0, s1])).toEqual([
    [0, 6],
    [6, 12],
  ])
  expect(trueLength(rafter)).toBeCloseTo((2 * 12) / Math.sqrt(3), 9)
  expect(trueAlong(rafter, 6)).toBeCloseTo(12 / Math.sqrt(3), 9)
  for (const y of [0, 3, 6, 12]) expect(trueLength(stretchesOf(roof, [0, y], [20, y]))).toBeCloseTo(20, 9)
})

test('a beam that sticks out of the roof is level there; a verge on the very border climbs', () => {
  const out = stretchesOf([south], [5, -2], [5, 6])
  expect(out.map(({ stretch }) => Number(stretch.toFixed(6)))).toEqual([1, Number((2 / Math.sqrt(3)).toFixed(6))])
  expect(trueLength(stretchesOf(roof, [0, 0], [0, 6]))).toBeCloseTo(12 / Math.sqrt(3), 9)
  // along the verge over the ridge
  expect(stretchesOf(roof, [0, 0], [0, 12])).toHaveLength(2)
})

test('a gable wall under both planes is half of the rise high on average; a wall along the eaves has none of it', () => {
  const rise = ridge - 0.5
  expect(meanHeight(roof, [20, 0], [20, 12])).toBeCloseTo(0.5 + rise / 2, 9)
  expect(meanHeight(roof, [0, 0], [20, 0])).toBeCloseTo(0.5, 9)
  // a quarter of the wall is beside the roof, the rest climbs to the ridge
  expect(meanHeight([south], [5, -2], [5, 6])).toBeCloseTo((0.75 * (0.5 + ridge)) / 2, 9)
  expect(meanHeight([], [0, 0], [1, 0])).toBe(0)
})

test('without a roof nothing is stretched', () => {
  expect(stretchesOf([], [1, 1], [4, 5])).toEqual([{ s0: 0, s1: 5, stretch: 1 }])
})

test('a column reaches up to the roof, and begins on the one that it stands on', () => {
  expect(columnRise(4, roof, [], [5, 6], [5, 6])).toBeCloseTo(4 + ridge, 12)
  expect(columnRise(4, [], roof, [5, 6], [5, 6])).toBeCloseTo(4 - ridge, 12)
  expect(columnRise(3, [], roof, [5, 6], [5, 6])).toBe(0)
})

test('where planes overlap the higher one counts, in whatever order; of equal ones the first', () => {
  const low: SlopeShape = { ...south, id: 'slope:0', eaves: 0 }
  expect(slopeAt([low, south], [3, 3])?.id).toBe('slope:1')
  expect(slopeAt([south, low], [3, 3])?.id).toBe('slope:1')
  expect(slopeAt(roof, [3, 6])?.id).toBe('slope:1')
})

// law: the true length is that of the line through the heights at its ends and at the ridge (Pythagoras)
test('true lengths are those of lines in space, however the roof is turned', () => {
  const coordinate = fc.double({ min: 0.1, max: 5.9, noNaN: true })
  holds(
    fc.property(coordinate, coordinate, coordinate, coordinate, fc.double({ min: -3, max: 3, noNaN: true }), (...v) => {
      const [x0, y0, x1, y1, angle] = v
      const turn = ([x, y]: Point): Point => [
        x * Math.cos(angle) - y * Math.sin(angle),
        x * Math.sin(angle) + y * Math.cos(angle),
      ]
      const turned = roof.map((slope) => ({
        ...slope,
        outline: slope.outline.map(turn),
        uphill: slope.uphill + angle,
      }))
      const [a, b] = [turn([x0, y0]), turn([x1, y1])]
      if (distance(a, b) < 0.01) return
      const wanted = Math.hypot(distance(a, b), heightAt(turned, b) - heightAt(turned, a))
      expect(trueLength(stretchesOf(turned, a, b))).toBeCloseTo(wanted, 6)
    }),
  )
})
