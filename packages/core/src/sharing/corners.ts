import type { Column } from '../building/frame'
import type { Point } from '../geometry/point'
import { corners as cornersOfRing, type Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { feetUnder } from './feetUnder'
import type { Carrier } from './rails'
import { emptyShare, sumOfShares, type Share } from './share'

/** A corner of a panel that something stands under, and what one unit of force there hands on. */
export interface CornerSupport {
  readonly at: Point
  readonly share: Share
}

/** The corners of an outline under which there is a column, or else members. */
export function cornerSupports(
  outline: Region,
  carriers: readonly Carrier[],
  columns: readonly Column[],
): readonly CornerSupport[] {
  return outline.flatMap(cornersOfRing).flatMap((at): CornerSupport[] => {
    const share = standsOn(at, carriers, columns)
    return share ? [{ at, share }] : []
  })
}

function standsOn(at: Point, carriers: readonly Carrier[], columns: readonly Column[]): Share | undefined {
  const alone: Share = { ...emptyShare, applied: 1, appliedMoments: at }
  const column = columns.find((entry) => distance(entry.at, at) <= onLine)
  if (column) return { ...alone, onColumns: [{ member: column.member.id, at: column.at, force: 1 }] }
  const feet = feetUnder(at, carriers)
  if (feet.length === 0) return undefined
  return { ...alone, points: feet.map(({ member, s }) => ({ member, s, force: 1 / feet.length })) }
}

/**
 * One load on the corners: of all forces that keep its force and both moments those with the least sum of squares. Such forces
 * lie on a plane over the corners. Not carried where the corners are fewer than three or in one line.
 */
export function shareToCorners(supports: readonly CornerSupport[], applied: number, moments: Point): Share {
  const alone: Share = { ...emptyShare, applied, appliedMoments: moments }
  const forces = planarForces(
    supports.map(({ at }) => at),
    applied,
    moments,
  )
  if (!forces) return { ...alone, notCarried: applied }
  return sumOfShares(
    alone,
    supports.map(({ share }, k) => [share, forces[k] ?? 0] as const),
  )
}

/** Whether forces at these points can keep any moment: three of them span a triangle of some size. */
export const spanPlane = (points: readonly Point[]): boolean =>
  planarForces(points, 1, points[0] ?? [0, 0]) !== undefined

function planarForces(points: readonly Point[], force: number, [mx, my]: Point): readonly number[] | undefined {
  const n = points.length
  if (n < 3) return undefined
  const [cx, cy] = [mean(points, 0), mean(points, 1)]
  let [xx, xy, yy] = [0, 0, 0]
  for (const [x, y] of points) {
    xx += (x - cx) ** 2
    xy += (x - cx) * (y - cy)
    yy += (y - cy) ** 2
  }
  const spread = xx * yy - xy * xy
  // corners in one line within a thousandth of their length
  if (spread <= 1e-6 * (xx + yy) ** 2) return undefined
  const [ex, ey] = [mx - force * cx, my - force * cy]
  const [gx, gy] = [(yy * ex - xy * ey) / spread, (xx * ey - xy * ex) / spread]
  return points.map(([x, y]) => force / n + gx * (x - cx) + gy * (y - cy))
}

const mean = (points: readonly Point[], axis: 0 | 1): number =>
  points.reduce((sum, p) => sum + p[axis], 0) / points.length
