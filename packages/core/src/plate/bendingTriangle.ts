import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'

/** Poisson's ratio of concrete, uncracked (EN 1992-1-1, 3.1.3(4)). */
export const poisson = 0.2

/**
 * Stiffness of a thin triangle in bending with a flexural stiffness D (Nm): nine by nine, row by row, for deflection, its slope
 * in y and minus its slope in x at each corner. The discrete Kirchhoff triangle: J.-L. Batoz, K.-J. Bathe, L.-W. Ho, A study of
 * three-node triangular plate bending elements, Int. J. Numer. Meth. Engng 15 (1980), 1771 to 1812. Turns are quadratic, the
 * deflection cubic along the sides; it bends evenly without error and needs no shear stiffness.
 */
export function bendingTriangle(corners: readonly [Point, Point, Point], D: number, nu = poisson): Float64Array {
  const sides = [
    sideOf(corners[1], corners[2]),
    sideOf(corners[2], corners[0]),
    sideOf(corners[0], corners[1]),
  ] as const
  const [[x1, y1], [x2, y2], [x3, y3]] = corners
  const twice = (x2 - x1) * (y3 - y1) - (x3 - x1) * (y2 - y1)
  const out = new Float64Array(81)
  // three places at the middles of the sides integrate what is quadratic exactly
  for (const [xi, eta] of [
    [0.5, 0],
    [0.5, 0.5],
    [0, 0.5],
  ] as const) {
    const { bx, by } = turns(sides, xi, eta)
    const inX = ([along, across]: Gradients): Row =>
      along.map((value, i) => ((y3 - y1) * value - (y2 - y1) * entry(across, i)) / twice)
    const inY = ([along, across]: Gradients): Row =>
      along.map((value, i) => ((x2 - x1) * entry(across, i) - (x3 - x1) * value) / twice)
    const [yx, xy] = [inY(bx), inX(by)]
    const twist = yx.map((value, i) => value + entry(xy, i))
    addBending(out, (D * twice) / 6, nu, [inX(bx), inY(by), twist])
  }
  return out
}

/** Adds weight · B' D B for the curvatures in x, in y, and of twist by each displacement. */
function addBending(out: Float64Array, weight: number, nu: number, [kx, ky, twist]: readonly [Row, Row, Row]): void {
  for (let i = 0; i < 9; i++)
    for (let j = 0; j < 9; j++) {
      const own = entry(kx, i) * entry(kx, j) + entry(ky, i) * entry(ky, j)
      const across = entry(kx, i) * entry(ky, j) + entry(ky, i) * entry(kx, j)
      const value = own + nu * across + ((1 - nu) / 2) * entry(twist, i) * entry(twist, j)
      out[9 * i + j] = entry(out, 9 * i + j) + weight * value
    }
}

type Row = readonly number[]

/** Of one turn: what it changes by along the first and along the second side. */
type Gradients = readonly [along: Row, across: Row]

interface Side {
  readonly a: number
  readonly b: number
  readonly c: number
  readonly d: number
  readonly e: number
}

/** Factors of one side (Batoz, Bathe, Ho 1980, appendix), from its first to its second corner. */
function sideOf([xi, yi]: Point, [xj, yj]: Point): Side {
  const [x, y] = [xi - xj, yi - yj]
  const squared = x * x + y * y
  return {
    a: -x / squared,
    b: (0.75 * x * y) / squared,
    c: (0.25 * x * x - 0.5 * y * y) / squared,
    d: -y / squared,
    e: (0.25 * y * y - 0.5 * x * x) / squared,
  }
}

/** What the turns in x and in y change by along xi and eta, for each of the nine displacements. */
function turns(sides: readonly [Side, Side, Side], xi: number, eta: number) {
  // derivatives of the quadratic shape functions of the corners, then of the middles of sides 23, 31, 12
  const corner = [
    [4 * (xi + eta) - 3, 4 * (xi + eta) - 3],
    [4 * xi - 1, 0],
    [0, 4 * eta - 1],
  ] as const
  const middle = [
    [4 * eta, 4 * xi],
    [-4 * eta, 4 - 4 * xi - 8 * eta],
    [4 - 8 * xi - 4 * eta, -4 * xi],
  ] as const
  const along = (direction: 0 | 1) => {
    const bx: number[] = []
    const by: number[] = []
    corner.forEach((own, node) => {
      // of the two sides that meet at a corner, the one that leaves it and the one that comes to it
      const [leaving, coming] = entry(meeting, node)
      const [p, q] = [sides[leaving], sides[coming]]
      const N = own[direction]
      const [Np, Nq] = [middle[leaving][direction], middle[coming][direction]]
      bx.push(1.5 * (p.a * Np - q.a * Nq), q.b * Nq + p.b * Np, N - q.c * Nq - p.c * Np)
      by.push(1.5 * (p.d * Np - q.d * Nq), -N + q.e * Nq + p.e * Np, -q.b * Nq - p.b * Np)
    })
    return [bx, by] as const
  }
  const [[bx1, by1], [bx2, by2]] = [along(0), along(1)]
  return { bx: [bx1, bx2] as Gradients, by: [by1, by2] as Gradients }
}

/** Of sides 23, 31, 12: those that leave each corner and come to it. */
const meeting = [
  [2, 1],
  [0, 2],
  [1, 0],
] as const
