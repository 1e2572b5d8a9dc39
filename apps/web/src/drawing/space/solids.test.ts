import type { Point3, SpaceFace, SpaceLoad, SpaceMember, SpaceSurface } from '@hedrion/core'
import {
  barsOf,
  largestOf,
  linesOf,
  loadLines,
  namedLevels,
  ordinateHeight,
  quadPlaces,
  quadsOf,
  trianglesOf,
} from './solids'

const face = (...rings: readonly (readonly Point3[])[]): SpaceFace => ({
  expandedId: 'panel:1@level:1',
  label: 'P1',
  keyId: null,
  rings,
  pressure: 0,
})
const square = (x0: number, x1: number, z: (x: number) => number, holes = false): readonly Point3[] => {
  const ring: readonly Point3[] = [
    [x0, x0, z(x0)],
    [x1, x0, z(x1)],
    [x1, x1, z(x1)],
    [x0, x1, z(x0)],
  ]
  return holes ? [...ring].reverse() : ring
}

/** Area in space by the cross product of two sides of each triangle. */
function areaOf(positions: Float32Array): number {
  let sum = 0
  for (let i = 0; i < positions.length; i += 9) {
    const [ax, ay, az, bx, by, bz, cx, cy, cz] = positions.subarray(i, i + 9)
    const u = [(bx ?? 0) - (ax ?? 0), (by ?? 0) - (ay ?? 0), (bz ?? 0) - (az ?? 0)] as const
    const v = [(cx ?? 0) - (ax ?? 0), (cy ?? 0) - (ay ?? 0), (cz ?? 0) - (az ?? 0)] as const
    sum += Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]) / 2
  }
  return sum
}

describe('faces as triangles', () => {
  test('a floor with a hole has its net area', () => {
    const { positions, faces } = trianglesOf([
      face(
        square(0, 6, () => 3),
        square(2, 4, () => 3, true),
      ),
    ])
    expect(areaOf(positions)).toBeCloseTo(36 - 4, 5)
    expect(new Set(faces)).toEqual(new Set([0]))
  })

  test('a roof that climbs 3 in 4 has five quarters of its area in plan', () => {
    expect(areaOf(trianglesOf([face(square(0, 4, (x) => 0.75 * x))]).positions)).toBeCloseTo(16 * 1.25, 5)
  })

  test('parts that lie apart keep their own holes', () => {
    const { positions } = trianglesOf([
      face(
        square(0, 3, () => 0),
        square(10, 13, () => 0),
        square(11, 12, () => 0, true),
      ),
    ])
    expect(areaOf(positions)).toBeCloseTo(9 + 9 - 1, 5)
  })

  test('an upright wall and a sloping flight keep their area, and their hatch runs along the foot and up', () => {
    const wall: SpaceSurface['corners'] = [
      [0, 0, 3],
      [5, 0, 3],
      [5, 0, 5.7],
      [0, 0, 5.7],
    ]
    // 3 up on 4 along: 5 m by 1.2 m
    const flight: SpaceSurface['corners'] = [
      [1, 0, 0],
      [2.2, 0, 0],
      [2.2, 4, 3],
      [1, 4, 3],
    ]
    const surfaces = [wall, flight].map((corners): SpaceSurface => ({
      expandedId: 'x',
      kind: 'wall',
      label: '',
      corners,
      area: 0,
      load: 0,
    }))
    expect(areaOf(quadsOf(surfaces).positions)).toBeCloseTo(5 * 2.7 + 1.2 * 5, 4)
    const places = [...quadPlaces(surfaces)]
    expect(Math.max(...places.filter((_, i) => i % 2 === 0))).toBeCloseTo(5, 5)
    expect(Math.max(...places.filter((_, i) => i % 2 === 1))).toBeCloseTo(5, 5)
  })

  test('each triangle knows its face', () => {
    const { faces } = trianglesOf([face(square(0, 1, () => 0)), face(square(2, 3, () => 0))])
    expect([...faces]).toEqual([0, 0, 1, 1])
  })
})

test('a rafter over a ridge is two bars of one member', () => {
  const rafter: SpaceMember = {
    expandedId: 'member:1@level:1',
    label: 'R1',
    role: 'rafter',
    path: [
      [0, 0, 6],
      [0, 12, 8],
      [0, 24, 6],
    ],
    depth: 0.4,
    width: 0.2,
  }
  const bars = barsOf([rafter])
  expect(bars.map(({ member, a, b }) => [member, a[1], b[1]])).toEqual([
    [0, 0, 12],
    [0, 12, 24],
  ])
  expect([...linesOf(bars)]).toEqual([0, 0, 6, 0, 12, 8, 0, 12, 8, 0, 24, 6])
})

describe('loads as arrows', () => {
  const load = (q0: number, q1 = q0, length = 2): SpaceLoad => ({
    expandedId: 'member:1@level:1',
    from: [0, 0, 3],
    to: [length, 0, 3],
    q0,
    q1,
  })
  const heights = (lines: Float32Array) => [...lines].filter((_, i) => i % 3 === 2)

  test('the largest is as tall as said, others in proportion; all stand on the member', () => {
    const lines = loadLines([load(8000), load(2000)], 1)
    expect(Math.max(...heights(lines))).toBeCloseTo(4, 6)
    expect(Math.min(...heights(lines))).toBe(3)
    expect(Math.max(...heights(loadLines([load(2000), load(8000)], 2)))).toBeCloseTo(5, 6)
  })

  test('a head points down at the member, and up where the load lifts', () => {
    // the first three lines are the stem and the two sides of the head, which end at its tip
    const tipOf = (q: number) => loadLines([load(q)], 1)[6 + 5]
    expect(tipOf(1000)).toBe(3)
    expect(tipOf(-1000)).toBe(4)
  })

  test('line loads and forces have scales of their own', () => {
    expect(largestOf([load(-5000), load(20_000, 20_000, 0)])).toEqual({ line: 5000, point: 20_000 })
  })
})

test('names of levels stand apart, from below; ordinates stay within half a storey', () => {
  const tower = Array.from({ length: 41 }, (_, i) => ({ name: String(i), z: 3.5 * i }))
  expect(namedLevels(tower, 10).map(({ name }) => name)).toEqual([
    '0',
    '3',
    '6',
    '9',
    '12',
    '15',
    '18',
    '21',
    '24',
    '27',
    '30',
    '33',
    '36',
    '39',
  ])
  expect(ordinateHeight(tower, 72)).toBe(1.75)
  const hall = [-0.6, 0, 6].map((z) => ({ name: String(z), z }))
  expect(ordinateHeight(hall, 20)).toBeCloseTo(1.8, 9)
})
