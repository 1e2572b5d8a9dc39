import { PerspectiveCamera, Vector3 } from 'three'
import { levelPlane } from '../sight'
import { sightOf } from './sightOf'

/** Looks at the origin from a place, in a picture of 800 by 600 pixels. */
function from(x: number, y: number, z: number) {
  const camera = new PerspectiveCamera(32, 800 / 600, 0.1, 500)
  camera.up.set(0, 0, 1)
  camera.position.set(x, y, z)
  camera.lookAt(new Vector3(0, 0, 0))
  return sightOf(camera, 800, 600)
}

test('what is looked at is in the middle; what is behind the viewer is not seen', () => {
  const sight = from(20, -30, 15)
  const [x, y] = sight.seen([0, 0, 0]) ?? []
  expect(x).toBeCloseTo(400, 6)
  expect(y).toBeCloseTo(300, 6)
  expect(sight.seen([40, -60, 30])).toBeNull()
  expect(sight.away([0, 0, 0])).toBeCloseTo(Math.hypot(20, 30, 15), 9)
})

test('a place of a level is found again under the pixels where it is seen', () => {
  const sight = from(20, -30, 15)
  for (const [x, y, z] of [
    [0, 0, 0],
    [7.2, -3, 3.5],
    [-4, 6, 7],
  ] as const) {
    const pixels = sight.seen([x, y, z]) ?? [NaN, NaN]
    const at = sight.atElevation(pixels, z) ?? [NaN, NaN]
    expect(at[0]).toBeCloseTo(x, 6)
    expect(at[1]).toBeCloseTo(y, 6)
  }
  // past the horizon there is no floor
  expect(sight.atElevation([400, -4000], 0)).toBeNull()
})

test('higher is further up in the picture; nearer is larger', () => {
  const sight = from(0, -30, 10)
  const [low, high] = [sight.seen([0, 0, 0]), sight.seen([0, 0, 3])]
  expect(high?.[1]).toBeLessThan(low?.[1] ?? NaN)
  const [near, far] = [levelPlane(sight, 0, [0, -10]), levelPlane(sight, 0, [0, 10])]
  expect(near.pixelsPerMetre).toBeGreaterThan(far.pixelsPerMetre)
})

test.each([
  ['the south', [0, -30], [1, 0], [0, 1]],
  ['the east', [30, 0], [0, 1], [-1, 0]],
  ['the north', [0, 30], [-1, 0], [0, -1]],
  ['the south-east', [19, -28], [1, 0], [0, 1]],
] as const)('from %s, right and up on the screen are ways of the plan', (_, [x, y], right, up) => {
  const sight = from(x, y, 12)
  // without the sign of a nought
  const way = (direction: readonly [number, number]) => sight.onPlan(direction).map((part) => part + 0)
  expect(way([1, 0])).toEqual(right)
  expect(way([0, 1])).toEqual(up)
  expect(way([0, -1])).toEqual(up.map((part) => 0 - part))
})
