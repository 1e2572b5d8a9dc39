import { entry } from '../outcome/assert'
import type { Bearer } from '../building/bearers'
import type { Column } from '../building/frame'
import type { Point } from '../geometry/point'
import { corners as cornersOfRing, meanOf, type Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { feetBearing } from './feetUnder'
import type { Carrier } from './rails'
import { emptyShare, sumOfShares, type Share } from './share'

/** What stands under a corner of a panel, where it truly is within the tolerance, and what one unit of force there hands on. */
export interface CornerSupport {
  readonly at: Point
  readonly share: Share
}

/** The corners of an outline under which there is a column, or else members. */
export function cornerSupports(
  outline: Region,
  carriers: readonly Carrier[],
  columns: readonly Column[],
  bearers: readonly Bearer[],
): readonly CornerSupport[] {
  return outline.flatMap(cornersOfRing).flatMap((at): CornerSupport[] => {
    const share = standsOn(at, carriers, columns, bearers)
    return share ? [{ at: share.appliedMoments, share }] : []
  })
}

function standsOn(
  at: Point,
  carriers: readonly Carrier[],
  columns: readonly Column[],
  bearers: readonly Bearer[],
): Share | undefined {
  const under = columns.filter((entry) => !entry.stretch && distance(entry.at, at) <= onLine)
  if (under.length > 0)
    return {
      ...emptyShare,
      onColumns: under.map((column) => ({ member: column.member.id, at: column.at, force: 1 / under.length })),
      applied: 1,
      appliedMoments: meanOf(under.map((column) => column.at)),
    }
  const feet = feetBearing(at, carriers, bearers)
  if (feet.length === 0) return undefined
  return {
    ...emptyShare,
    points: feet.map(({ member, s }) => ({ member, s, force: 1 / feet.length })),
    applied: 1,
    appliedMoments: meanOf(feet.map((foot) => foot.at)),
  }
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
    supports.map(({ share }, k) => [share, entry(forces, k)] as const),
  )
}

function planarForces(points: readonly Point[], force: number, [mx, my]: Point): readonly number[] | undefined {
  const n = points.length
  if (n < 3) return undefined
  const [cx, cy] = meanOf(points)
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
