import { endsAt, endsBetween, loadAlong } from './lineEnds'

test('hand: a trapezoid of 2 to 8 over 6 m is 30, its centre at l / 3 · (q1 + 2 q2) / (q1 + q2)', () => {
  // common practice
  const { force, moments } = loadAlong([1, 2], [7, 2], [2, 8])
  expect(force).toBeCloseTo(30, 12)
  expect(moments[0] / force).toBeCloseTo(1 + (6 / 3) * (18 / 10), 12)
  expect(moments[1] / force).toBeCloseTo(2, 12)
})

test('a part of a line has the values of its ends, and parts add up to the whole', () => {
  expect(endsAt([2, 8], 0.25)).toBe(3.5)
  expect(endsBetween([2, 8], 0.25, 0.5)).toEqual([3.5, 5])
  const parts = [
    loadAlong([0, 0], [2, 1], endsBetween([2, 8], 0, 0.5)),
    loadAlong([2, 1], [4, 2], endsBetween([2, 8], 0.5, 1)),
  ]
  const whole = loadAlong([0, 0], [4, 2], [2, 8])
  expect(parts.reduce((sum, { force }) => sum + force, 0)).toBeCloseTo(whole.force, 12)
  expect(parts.reduce((sum, { moments }) => sum + moments[0], 0)).toBeCloseTo(whole.moments[0], 12)
})
