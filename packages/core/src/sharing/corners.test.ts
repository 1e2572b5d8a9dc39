import fc from 'fast-check'
import { holds } from '../../test/holds'
import { columnAt } from '../../test/shapes'
import { regionOf } from '../geometry/clip'
import type { Point } from '../geometry/point'
import type { Ring } from '../geometry/polygon'
import { auditShare } from './audit'
import { cornerSupports, shareToCorners } from './corners'

const onColumns = (ring: Ring, points: readonly Point[] = ring) =>
  cornerSupports(
    regionOf(ring),
    [],
    points.map((at, i) => columnAt(String(i), at)),
    [],
  )
const bay: Ring = [
  [0, 0],
  [8, 0],
  [8, 6],
  [0, 6],
]
const forces = (share: ReturnType<typeof shareToCorners>) =>
  share.onColumns.map(({ force }) => Number(force.toFixed(9)) + 0)

describe('to corner supports', () => {
  test('common practice: a quarter of an even load to each corner of a rectangle', () => {
    expect(forces(shareToCorners(onColumns(bay), 48, [48 * 4, 48 * 3]))).toEqual([12, 12, 12, 12])
  })

  test('hand: a force at a corner of a rectangle is spread so that its moments are kept: 3/4, 1/4, −1/4, 1/4', () => {
    expect(forces(shareToCorners(onColumns(bay), 1, [0, 0]))).toEqual([0.75, 0.25, -0.25, 0.25])
  })

  test('hand: three corners take a force by its place in their triangle', () => {
    expect(forces(shareToCorners(onColumns(bay, bay.slice(0, 3)), 1, [4, 0]))).toEqual([0.5, 0.5, 0])
  })

  test('two corners, or three in one line, cannot keep the moments: nothing is carried', () => {
    expect(shareToCorners(onColumns(bay, bay.slice(0, 2)), 48, [192, 144]).notCarried).toBe(48)
    const row: Ring = [
      [0, 0],
      [4, -0.001],
      [8, 0],
      [4, 6],
    ]
    expect(shareToCorners(onColumns(row, row.slice(0, 3)), 10, [40, 20]).notCarried).toBe(10)
  })

  test('force and both moments are kept wherever the corners and the load lie, and no other forces are smaller', () => {
    const number = fc.integer({ min: -900, max: 900 }).map((cm) => cm / 100)
    holds(
      fc.property(fc.integer({ min: 3, max: 8 }), number, number, fc.nat(1000), (n, x, y, turn) => {
        const ring = Array.from({ length: n }, (_, i): Point => {
          const r = 3 + ((i * 7 + turn) % 5)
          return [r * Math.cos((2 * Math.PI * i) / n + turn), r * Math.sin((2 * Math.PI * i) / n + turn)]
        })
        const share = shareToCorners(onColumns(ring), 5, [5 * x, 5 * y])
        const { force, moments, scale } = auditShare(share, [])
        for (const left of [force, ...moments]) expect(Math.abs(left)).toBeLessThanOrEqual(1e-9 * scale * 20)
        // any system of forces in balance that is added makes the sum of squares larger
        const at = share.onColumns
        const [a, b, c, d] = at
        if (!a || !b || !c || !d) return
        const balanced = [
          tripleOf(b.at, c.at, d.at),
          -tripleOf(a.at, c.at, d.at),
          tripleOf(a.at, b.at, d.at),
          -tripleOf(a.at, b.at, c.at),
        ]
        const along = balanced.reduce((sum, value, i) => sum + value * (at[i]?.force ?? 0), 0)
        expect(Math.abs(along)).toBeLessThanOrEqual(1e-6 * scale * 100)
      }),
    )
  })
})

/** Twice the area of a triangle: forces in proportion to these on four points are in balance. */
const tripleOf = (p: Point, q: Point, r: Point): number => (q[0] - p[0]) * (r[1] - p[1]) - (r[0] - p[0]) * (q[1] - p[1])
