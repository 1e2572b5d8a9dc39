import fc from 'fast-check'
import { holds } from '../../test/holds'
import type { Point } from '../geometry/point'
import { bendingTriangle, poisson } from './bendingTriangle'

const coordinate = fc.double({ min: -3, max: 3, noNaN: true })
const corner = fc.tuple(coordinate, coordinate)
const triangles = fc.tuple(corner, corner, corner).filter(([a, b, c]) => areaOf(a, b, c) > 0.3)

const areaOf = (a: Point, b: Point, c: Point) => ((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1])) / 2

/** Displacements of the corners for w = a0 + a1 x + a2 y + (kx x² + ky y² + 2 kxy x y) / 2. */
const bent = (
  corners: readonly Point[],
  [a0, a1, a2]: readonly number[],
  [kx = 0, ky = 0, kxy = 0]: readonly number[],
) =>
  corners.flatMap(([x, y]) => [
    (a0 ?? 0) + (a1 ?? 0) * x + (a2 ?? 0) * y + (kx * x * x + ky * y * y) / 2 + kxy * x * y,
    (a2 ?? 0) + ky * y + kxy * x,
    -((a1 ?? 0) + kx * x + kxy * y),
  ])

const forcesOf = (stiffness: Float64Array, u: readonly number[]) =>
  u.map((_, i) => u.reduce((sum, value, j) => sum + (stiffness[9 * i + j] ?? 0) * value, 0))

const numbers = fc.tuple(coordinate, coordinate, coordinate)

// B. M. Irons: an element that passes the patch test converges; the discrete Kirchhoff triangle does (Batoz, Bathe, Ho 1980)
test('bends evenly without error: the energy is that of the plate', () => {
  holds(
    fc.property(triangles, numbers, numbers, (corners, rest, [kx, ky, kxy]) => {
      const [D, nu] = [2.5, poisson]
      const u = bent(corners, rest, [kx, ky, kxy])
      const found = forcesOf(bendingTriangle(corners, D), u).reduce((sum, force, i) => sum + force * (u[i] ?? 0), 0)
      // Timoshenko, Theory of Plates and Shells, eq. 46: D ((kx + ky)² - 2 (1 - nu) (kx ky - kxy²))
      const energy = D * ((kx + ky) ** 2 - 2 * (1 - nu) * (kx * ky - kxy * kxy)) * areaOf(...corners)
      expect(Math.abs(found - energy)).toBeLessThan(1e-6 * Math.max(1, Math.abs(energy)) * 100)
    }),
  )
})

test('a plane moves without force, and forces are in balance whatever it does', () => {
  holds(
    fc.property(triangles, numbers, fc.array(coordinate, { minLength: 9, maxLength: 9 }), (corners, rest, any) => {
      const stiffness = bendingTriangle(corners, 1)
      for (const force of forcesOf(stiffness, bent(corners, rest, []))) expect(Math.abs(force)).toBeLessThan(1e-8)
      const forces = forcesOf(stiffness, any)
      const scale = Math.max(1, ...forces.map(Math.abs))
      // the work on each rigid movement
      for (const k of [0, 1, 2]) {
        const move = bent(
          corners,
          [0, 1, 2].map((i) => (i === k ? 1 : 0)),
          [],
        )
        const work = forces.reduce((sum, force, i) => sum + force * (move[i] ?? 0), 0)
        expect(Math.abs(work)).toBeLessThan(1e-9 * scale * 10)
      }
    }),
  )
})
