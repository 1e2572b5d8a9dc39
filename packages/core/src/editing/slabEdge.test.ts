import { rectangle } from '../../test/shapes'
import { signedArea } from '../geometry/polygon'
import type { Point } from '../geometry/point'
import { edgeMoved, freeSides, withOverhangs } from './slabEdge'

const panel = { outline: rectangle(0, 0, 6, 4) }
const area = (...[of, others, by]: Parameters<typeof edgeMoved>) => Math.abs(signedArea(edgeMoved(of, others, by)))

test('a panel alone stands out on all sides, however it was drawn', () => {
  expect(area(panel, [], 0.3)).toBeCloseTo(6.6 * 4.6, 9)
  expect(area({ outline: [...panel.outline].reverse() }, [], 0.3)).toBeCloseTo(6.6 * 4.6, 9)
})

test('a side along a neighbour stays', () => {
  const east = { outline: rectangle(6, 0, 12, 4) }
  expect(edgeMoved(panel, [east], 0.3)).toEqual([
    [-0.3, -0.3],
    [6, -0.3],
    [6, 4.3],
    [-0.3, 4.3],
  ])
})

test('less than zero takes it back; a point on a straight side is no corner', () => {
  expect(area(panel, [], -0.3)).toBeCloseTo(5.4 * 3.4, 9)
  expect(
    edgeMoved(
      {
        outline: [
          [0, 0],
          [3, 0],
          [6, 0],
          [6, 4],
          [0, 4],
        ],
      },
      [],
      0.3,
    ),
  ).toHaveLength(4)
})

test('skew sides keep their distance', () => {
  const ring = edgeMoved(
    {
      outline: [
        [0, 0],
        [6, 0],
        [0, 8],
      ],
    },
    [],
    1,
  )
  // hand: a 6-8-10 triangle has an inscribed circle of 2 m, so its sides grow by 3/2
  expect(Math.abs(signedArea(ring))).toBeCloseTo(24 * 1.5 ** 2, 6)
})

describe('overhangs of free sides', () => {
  const beam = (...path: readonly Point[]) => ({ path })
  const [south, north, west, east] = [
    beam([0, 0], [6, 0]),
    beam([0, 4], [6, 4]),
    beam([0, 0], [0, 4]),
    beam([6, 0], [6, 4]),
  ]
  const overhangs = (...of: Parameters<typeof freeSides>) =>
    Object.fromEntries(freeSides(...of).map(({ facing, overhang }) => [facing, overhang]))

  test('none where the slab ends on its beams; what was typed is what is shown', () => {
    const members = [south, north, west, east]
    expect(overhangs(panel, [], members)).toEqual({ south: 0, east: 0, north: 0, west: 0 })
    const outline = withOverhangs(panel, [], members, ({ facing }) => (facing === 'south' ? 1.2 : null))
    expect(outline).toEqual(rectangle(0, -1.2, 6, 4))
    expect(overhangs({ outline }, [], members)).toEqual({ south: 1.2, east: 0, north: 0, west: 0 })
    // nought brings it back onto the beam
    expect(withOverhangs({ outline }, [], members, () => 0)).toEqual(rectangle(0, 0, 6, 4))
  })

  test('measured from columns where no beam runs along it, and not at all where nothing carries it', () => {
    const outline = rectangle(-0.4, -0.5, 6, 4)
    expect(overhangs({ outline }, [], [beam([0, 0]), beam([0, 4]), east])).toEqual({
      south: 0.5,
      east: 0,
      north: 0,
      west: 0.4,
    })
    expect(overhangs(panel, [], [south])).toEqual({ south: 0, east: null, north: 4, west: null })
  })

  test('a side along a neighbour has none, and two that face one way are told apart', () => {
    expect(Object.keys(overhangs(panel, [{ outline: rectangle(6, 0, 12, 4) }], []))).toEqual(['south', 'north', 'west'])
    const stepped = {
      outline: [
        [0, 0],
        [6, 0],
        [6, 2],
        [3, 2],
        [3, 4],
        [0, 4],
      ] as const,
    }
    expect(Object.keys(overhangs(stepped, [], []))).toEqual(['south', 'east', 'north', 'east 2', 'north 2', 'west'])
  })
})
