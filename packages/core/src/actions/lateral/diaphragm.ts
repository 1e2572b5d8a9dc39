import { largest } from '../../outcome/lists'
import type { Point } from '../../geometry/point'

/** What holds a floor along a line. */
export interface StiffLine {
  /** Any point of the line, m. */
  readonly at: Point
  /** Unit vector along it. */
  readonly along: Point
  /** N/m. */
  readonly stiffness: number
}

/** Horizontal forces on a floor: N along X and Y, and N·m about the origin, counterclockwise from above. */
export interface HorizontalForce {
  readonly fx: number
  readonly fy: number
  readonly moment: number
}

/** The moment of a force about a point, N·m. */
export const momentAbout = ({ fx, fy, moment }: HorizontalForce, [x, y]: Point): number => moment - (x * fy - y * fx)

/** The point of a force's line of action that is nearest to another point, m. */
export function nearestOnLine(force: HorizontalForce, [x, y]: Point): Point {
  const { fx, fy } = force
  const off = momentAbout(force, [x, y]) / (fx * fx + fy * fy)
  return [x + off * fy, y - off * fx]
}

/** How far a line passes a point, m: positive where a force along it turns counterclockwise about the point. */
export const armOf = ({ at, along }: Pick<StiffLine, 'at' | 'along'>, [x, y]: Point): number =>
  (at[0] - x) * along[1] - (at[1] - y) * along[0]

/** Why a force is not held: nothing is there, nothing runs that way, or nothing holds the floor against turning. */
export type Unheld = 'nothing' | 'way' | 'turning'

/** A floor that moves as one rigid body on its lines. */
export interface Diaphragm {
  /** A force through it turns nothing; null where turning or a way is free. */
  readonly centre: Point | null
  /** Sum of stiffness times square of the distance from the centre, N·m; 0 without a centre. */
  readonly turning: number
  /**
   * The force on each line along its direction, N: of the force moved to the centre, and of its moment about the centre. Without a
   * centre all of it stands in `direct`.
   */
  share(force: HorizontalForce): DiaphragmShare
}

export type DiaphragmShare =
  | { readonly held: true; readonly direct: readonly number[]; readonly turning: readonly number[] }
  | { readonly held: false; readonly why: Unheld }

type Triple = readonly [number, number, number]

/** Below this part of the largest, a stiffness or what is left of a force counts as nothing. */
const nothing = 1e-9

/**
 * The floor on its lines as springs: three equations for its two displacements and its turning (common practice; for walls that run
 * in one or two directions the same as EN 1992-1-1, annex I, expression (I.1)).
 */
export function diaphragmOn(lines: readonly StiffLine[]): Diaphragm {
  const stiff = lines.filter(({ stiffness }) => stiffness > 0)
  const middle = meanOf(stiff)
  const reach = Math.max(1, largest(stiff.map(({ at }) => Math.hypot(at[0] - middle[0], at[1] - middle[1]))))
  // turning is counted as the displacement at `reach`, so that the three unknowns are alike
  const vectors = lines.map((line): Triple => [line.along[0], line.along[1], armOf(line, middle) / reach])
  const matrix = matrixOf(lines, vectors)
  const centre = centreOf(matrix, middle, reach)
  const arms = lines.map((line) => (centre ? armOf(line, centre) : 0))
  const turning = lines.reduce((sum, { stiffness }, i) => sum + stiffness * (arms[i] ?? 0) ** 2, 0)

  const solved = (load: Triple): readonly number[] | Unheld => {
    if (stiff.length === 0) return load.every((value) => value === 0) ? lines.map(() => 0) : 'nothing'
    const moves = solve(matrix, load)
    return typeof moves === 'string' ? moves : lines.map(({ stiffness }, i) => stiffness * dot(vectors[i], moves))
  }
  return {
    centre,
    turning,
    share: (force) => {
      const { fx, fy } = force
      const about = centre ? momentAbout(force, centre) : 0
      // with a centre the force goes through it first, and moves the floor without turning it
      const direct = centre ? moved(matrix, lines, [fx, fy]) : solved([fx, fy, momentAbout(force, middle) / reach])
      if (typeof direct === 'string') return { held: false, why: direct }
      const turned = lines.map(({ stiffness }, i) => (about === 0 ? 0 : (about * stiffness * (arms[i] ?? 0)) / turning))
      return { held: true, direct, turning: turned }
    },
  }
}

function meanOf(lines: readonly StiffLine[]): Point {
  const sum = lines.reduce((total, { stiffness }) => total + stiffness, 0)
  if (sum === 0) return [0, 0]
  const mean = (i: 0 | 1) => lines.reduce((total, { at, stiffness }) => total + (at[i] * stiffness) / sum, 0)
  return [mean(0), mean(1)]
}

const dot = (a: Triple | undefined, b: Triple): number => (a ? a[0] * b[0] + a[1] * b[1] + a[2] * b[2] : 0)

type Matrix = readonly [Triple, Triple, Triple]

function matrixOf(lines: readonly StiffLine[], vectors: readonly Triple[]): Matrix {
  const cell = (i: 0 | 1 | 2, j: 0 | 1 | 2) =>
    lines.reduce((sum, { stiffness }, n) => sum + stiffness * (vectors[n]?.[i] ?? 0) * (vectors[n]?.[j] ?? 0), 0)
  const row = (i: 0 | 1 | 2): Triple => [cell(i, 0), cell(i, 1), cell(i, 2)]
  return [row(0), row(1), row(2)]
}

/** The point about which displacement and turning go their own ways. */
function centreOf([[xx, xy, xt], [, yy, yt], [, , tt]]: Matrix, middle: Point, reach: number): Point | null {
  const stiffest = Math.max(xx, yy)
  const determinant = xx * yy - xy * xy
  if (stiffest === 0 || determinant <= nothing * stiffest * stiffest) return null
  // a force along the displacement (u, v) of the centre has no moment about it
  const u = (xt * yy - yt * xy) / determinant
  const v = (yt * xx - xt * xy) / determinant
  const left = tt - u * xt - v * yt
  if (left <= nothing * Math.max(stiffest, tt)) return null
  return [middle[0] + v * reach, middle[1] - u * reach]
}

/** The forces on lines under a force through the centre: all of them move alike. */
function moved([[xx, xy], [, yy]]: Matrix, lines: readonly StiffLine[], [fx, fy]: Point): readonly number[] {
  const determinant = xx * yy - xy * xy
  const [dx, dy] = [(fx * yy - fy * xy) / determinant, (fy * xx - fx * xy) / determinant]
  return lines.map(({ along, stiffness }) => stiffness * (along[0] * dx + along[1] * dy))
}

/**
 * Displacements under a load by elimination, the largest pivot first. Where a pivot vanishes the load on what is left must vanish as
 * well; else it is not held.
 */
function solve(matrix: Matrix, load: Triple): Triple | Unheld {
  const rows = matrix.map((row, i) => [...row, load[i] ?? 0])
  const most = largest(matrix.map((row, i) => row[i] ?? 0))
  const size = largest(load.map(Math.abs))
  const order: number[] = []
  const open = new Set([0, 1, 2])
  while (open.size > 0) {
    const pivot = [...open].reduce((best, i) => (value(rows, i, i) > value(rows, best, best) ? i : best))
    if (value(rows, pivot, pivot) <= nothing * most) break
    open.delete(pivot)
    for (const i of open) {
      const factor = value(rows, i, pivot) / value(rows, pivot, pivot)
      rows[i] = (rows[i] ?? []).map((entry, j) => entry - factor * value(rows, pivot, j))
    }
    order.push(pivot)
  }
  const left = [...open].filter((i) => Math.abs(value(rows, i, 3)) > nothing * size)
  if (left.length > 0) return goesAcross(matrix, load) ? 'way' : 'turning'
  const moves = [0, 0, 0]
  for (const i of order.reverse()) {
    const known = moves.reduce((sum, move, j) => (j === i ? sum : sum + value(rows, i, j) * move), 0)
    moves[i] = (value(rows, i, 3) - known) / value(rows, i, i)
  }
  return [moves[0] ?? 0, moves[1] ?? 0, moves[2] ?? 0]
}

const value = (rows: readonly (readonly number[])[], i: number, j: number): number => rows[i]?.[j] ?? 0

/** Whether all lines run one way and the load has a part across them. */
function goesAcross([[xx, xy], [, yy]]: Matrix, [fx, fy]: Triple): boolean {
  if (xx * yy - xy * xy > nothing * Math.max(xx, yy) ** 2) return false
  const [dx, dy] = xx >= yy ? [xx, xy] : [xy, yy]
  return Math.abs(fy * dx - fx * dy) > nothing * Math.hypot(dx, dy) * Math.hypot(fx, fy)
}
