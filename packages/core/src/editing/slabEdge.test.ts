import { rectangle } from '../../test/shapes'
import { signedArea } from '../geometry/polygon'
import { edgeMoved } from './slabEdge'

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
