import { smallest } from '../outcome/lists'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { samePoint } from '../geometry/tolerance'
import type { Site } from './sites'

/** An end of a site: where along it, and the way from the end into it. */
export interface SiteEnd {
  readonly site: Site
  readonly s: number
  readonly at: Point
  readonly inward: Point
}

/** Ends of sites that meet in one point: a shared corner, or the free end of one. */
export interface Corner {
  readonly at: Point
  readonly ends: readonly SiteEnd[]
}

export function cornersOf(sites: readonly Site[]): readonly Corner[] {
  const corners: { at: Point; ends: SiteEnd[] }[] = []
  for (const end of sites.flatMap(endsOf)) {
    const there = corners.find(({ at }) => distance(at, end.at) <= samePoint)
    if (there) there.ends.push(end)
    else corners.push({ at: end.at, ends: [end] })
  }
  return corners
}

const endsOf = (site: Site): readonly SiteEnd[] => [
  { site, s: 0, at: site.a, inward: site.u },
  { site, s: site.length, at: site.b, inward: [-site.u[0], -site.u[1]] },
]

/** A foot of a point on a site. */
export interface Foot {
  readonly site: Site
  readonly s: number
  readonly at: Point
  readonly gap: number
}

export function footOnSite(site: Site, [x, y]: Point): Foot {
  const { a, u, length } = site
  const s = Math.min(Math.max((x - a[0]) * u[0] + (y - a[1]) * u[1], 0), length)
  const at: Point = [a[0] + s * u[0], a[1] + s * u[1]]
  return { site, s, at, gap: distance(at, [x, y]) }
}

/**
 * Distances that differ by less than this are equal: 10 nm, what rounding leaves at coordinates of 1e6 m. More would take feet for equal that are
 * millimetres apart: a foot s beside the end of a site is farther by s² / 2 D only.
 */
const equal = 1e-8

/**
 * The nearest feet of a point. Of those that are one point (a corner that sites share) the one counts whose site turns least
 * away from the point, which halves what belongs to the corner by the bisector; other equals count alike.
 */
export function nearestFeet(sites: readonly Site[], p: Point): readonly Foot[] {
  const feet = sites.map((site) => footOnSite(site, p))
  const least = smallest(feet.map(({ gap }) => gap))
  const near = feet.filter(({ gap }) => gap - least <= equal)
  return near.filter((foot) =>
    near.every((other) => distance(foot.at, other.at) > samePoint || turn(foot, p) >= turn(other, p) - equal),
  )
}

/** How far a site goes the way of a point that is nearest to its end, as a cosine times the distance; 0 at an inner foot. */
function turn({ site, s, at }: Foot, [x, y]: Point): number {
  const inward = s <= samePoint ? 1 : s >= site.length - samePoint ? -1 : 0
  return inward * ((x - at[0]) * site.u[0] + (y - at[1]) * site.u[1])
}
