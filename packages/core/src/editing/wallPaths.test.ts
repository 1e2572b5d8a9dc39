import { Building } from '../../test/build'
import { rectangle } from '../../test/shapes'
import type { Point } from '../geometry/point'
import { signedArea } from '../geometry/polygon'
import { movedAside, onSlabEdge, pathsAlong, pathsRound } from './wallPaths'

const path = (...points: readonly Point[]) => ({ path: points, closed: false })

describe('aside', () => {
  test('a closed run outwards and inwards, however it was drawn', () => {
    const ring = rectangle(0, 0, 6, 4)
    for (const drawn of [ring, [...ring].reverse()]) {
      const area = (by: number) => Math.abs(signedArea(movedAside({ path: drawn, closed: true }, by).path))
      expect(area(0.15)).toBeCloseTo(6.3 * 4.3, 9)
      expect(area(-0.15)).toBeCloseTo(5.7 * 3.7, 9)
    }
  })

  test('an open run to its left, its corners kept', () => {
    expect(movedAside(path([0, 0], [6, 0], [6, 4]), 0.2).path).toEqual([
      [0, 0.2],
      [5.8, 0.2],
      [5.8, 4],
    ])
    expect(movedAside(path([0, 0], [3, 0], [6, 0]), -0.2).path).toEqual([
      [0, -0.2],
      [3, -0.2],
      [6, -0.2],
    ])
  })
})

test('round a panel and its neighbour as one, round two openings apart as two', () => {
  expect(pathsRound([rectangle(0, 0, 6, 4), rectangle(6, 0, 12, 4)]).map(({ path: ring }) => ring.length)).toEqual([4])
  expect(pathsRound([rectangle(0, 0, 1, 1), rectangle(3, 0, 4, 1)])).toHaveLength(2)
})

describe('along beams', () => {
  const beam = (a: Point, b: Point) => ({ path: [a, b] })
  test('beams that go on from each other are one path, drawn either way and in any order', () => {
    const found = pathsAlong([beam([6, 4], [6, 0]), beam([0, 0], [3, 0]), beam([6, 0], [3, 0])])
    expect(found).toHaveLength(1)
    expect(found[0]?.closed).toBe(false)
    expect(found[0]?.path).toHaveLength(4)
  })

  test('four beams round a bay close; beams apart are runs of their own', () => {
    const bay = [beam([0, 0], [6, 0]), beam([6, 4], [6, 0]), beam([6, 4], [0, 4]), beam([0, 0], [0, 4])]
    expect(pathsAlong(bay)).toEqual([{ path: expect.any(Array), closed: true }])
    expect(pathsAlong(bay)[0]?.path).toHaveLength(4)
    expect(pathsAlong([beam([0, 0], [6, 0]), beam([0, 4], [6, 4])])).toHaveLength(2)
  })
})

describe('on the slab edge', () => {
  /** A floor on two beams 5 m apart, which stands out 1.5 m to the south. */
  function cantilever() {
    const building = new Building()
    building.level('Base', 0)
    const level = building.level('1', 3)
    const layout = building.layout('Floor', null, level)
    for (const y of [0, 5]) {
      building.beam(layout, [0, y], [8, y])
      for (const x of [0, 8]) building.column(layout, [x, y])
    }
    building.panel(layout, rectangle(0, -1.5, 8, 5))
    const wall = building.wall(
      layout,
      [
        [0, 0],
        [8, 0],
      ],
      { heightRule: 'typed', height: 1, weight: 5000 },
    )
    return { building, layout, wall }
  }

  test('an open run goes to the edge that runs along it; a side without one stays', () => {
    const { building, layout, wall } = cantilever()
    expect(onSlabEdge(building.document, wall)?.path).toEqual([
      [0, -1.5],
      [8, -1.5],
    ])
    const corner = {
      layout: layout.id,
      path: [
        [1, 3],
        [1, 0],
        [7, 0],
      ] as const,
      closed: false,
    }
    expect(onSlabEdge(building.document, corner)?.path).toEqual([
      [0, 3],
      [0, -1.5],
      [7, -1.5],
    ])
    const inside = {
      layout: layout.id,
      path: [
        [1, -1],
        [7, -1],
      ] as const,
      closed: false,
    }
    expect(onSlabEdge(building.document, inside)?.path).toEqual([
      [1, -1.5],
      [7, -1.5],
    ])
  })

  test('a closed run goes all round', () => {
    const { building, layout } = cantilever()
    const round = onSlabEdge(building.document, { layout: layout.id, path: rectangle(0, 0, 8, 5), closed: true })
    expect(round?.closed).toBe(true)
    expect(Math.abs(signedArea(round?.path ?? []))).toBeCloseTo(8 * 6.5, 9)
  })
})
