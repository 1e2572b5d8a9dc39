import { pushAll } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { loadOver, type Density } from '../geometry/density'
import type { Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { addLines } from './addLines'
import { piecesBeside, raysOf } from './besideSite'
import { endsBetween, loadAlong, type Ends } from './lineEnds'
import { breaksAlong } from './nearestAlong'
import { cornersOf, nearestFeet, type Foot } from './nearest'
import type { Carrier } from './rails'
import { loadsRound } from './roundCorner'
import { emptyShare, type Share, type ShareLine, type SharePoint } from './share'
import { placeOn, type Site } from './sites'

/** Shares a load over a region: every point goes to the nearest point of the sites (docs/methods/two-way.md). */
export function shareAreaToNearest(
  sites: readonly Site[],
  carriers: readonly Carrier[],
  region: Region,
  density: Density,
): Share {
  const { force: applied, moments: appliedMoments } = loadOver(region, density)
  const alone: Share = { ...emptyShare, applied, appliedMoments }
  if (sites.length === 0) return { ...alone, notCarried: applied }
  const lines = raysOf(sites, region, density).flatMap(({ site, rays }) =>
    piecesBeside(rays).flatMap(({ s0, s1, q0, q1 }) => (q0 === 0 && q1 === 0 ? [] : linesOn(site, s0, s1, q0, q1))),
  )
  const points = cornersOf(sites).flatMap((corner) =>
    [...loadsRound(corner, sites, region, density)].flatMap(([{ site, s }, load]) => pointsOn(site, s, load)),
  )
  return { ...alone, lines: addLines(lines, carriers), points: joined(points) }
}

/** Shares a line load along a–b. */
export function shareLineToNearest(
  sites: readonly Site[],
  carriers: readonly Carrier[],
  a: Point,
  b: Point,
  ends: Ends,
): Share {
  const length = distance(a, b)
  const { force: applied, moments: appliedMoments } = loadAlong(a, b, ends)
  const alone: Share = { ...emptyShare, applied, appliedMoments }
  if (sites.length === 0) return { ...alone, notCarried: applied }
  const at = (t: number): Point => [a[0] + ((b[0] - a[0]) * t) / length, a[1] + ((b[1] - a[1]) * t) / length]
  const lines: ShareLine[] = []
  const points: SharePoint[] = []
  const stops = breaksAlong(sites, a, b)
  stops.slice(1).forEach((to, i) => {
    const from = entry(stops, i)
    const feet = nearestFeet(sites, at((from + to) / 2))
    for (const foot of feet) {
      const [first, last] = endsBetween(ends, from / length, to / length).map((q) => q / feet.length) as [
        number,
        number,
      ]
      const rate = runOn(foot, b, a, length)
      const half = (Math.abs(rate) * (to - from)) / 2
      if (2 * half < tiny) pushAll(points, pointsOn(foot.site, foot.s, ((to - from) * (first + last)) / 2))
      else {
        // the line may run against the site
        const [q0, q1] = (rate > 0 ? [first, last] : [last, first]).map((q) => q / Math.abs(rate)) as [number, number]
        pushAll(lines, linesOn(foot.site, foot.s - half, foot.s + half, q0, q1))
      }
    }
  })
  return { ...alone, lines: addLines(lines, carriers), points: joined(points) }
}

/** A length that only rounding makes, m. */
const tiny = 1e-12

/** How far the foot moves along its site for each metre of the line; 0 where it stays at an end. */
function runOn({ site, s }: Foot, b: Point, a: Point, length: number): number {
  if (s <= 0 || s >= site.length) return 0
  return ((b[0] - a[0]) * site.u[0] + (b[1] - a[1]) * site.u[1]) / length
}

/** Shares one unit of force at a point. */
export function sharePointToNearest(sites: readonly Site[], at: Point): Share {
  const alone: Share = { ...emptyShare, applied: 1, appliedMoments: at }
  if (sites.length === 0) return { ...alone, notCarried: 1 }
  const feet = nearestFeet(sites, at)
  return { ...alone, points: joined(feet.flatMap(({ site, s }) => pointsOn(site, s, 1 / feet.length))) }
}

/** One value along all sites, the same per length. */
export function shareAreaEvenly(
  sites: readonly Site[],
  carriers: readonly Carrier[],
  region: Region,
  density: Density,
): Share {
  const { force: applied, moments: appliedMoments } = loadOver(region, density)
  const alone: Share = { ...emptyShare, applied, appliedMoments }
  const length = sites.reduce((sum, site) => sum + site.length, 0)
  if (length === 0) return { ...alone, notCarried: applied }
  const q = applied / length
  return {
    ...alone,
    lines: addLines(
      sites.flatMap((site) => linesOn(site, 0, site.length, q, q)),
      carriers,
    ),
  }
}

/** A stretch of load along a site, by equal parts on the members that own it. */
function linesOn({ owners }: Site, s0: number, s1: number, q0: number, q1: number): readonly ShareLine[] {
  return owners.map((owner) => {
    const [from, to] = [placeOn(owner, s0), placeOn(owner, s1)]
    const { member } = owner
    const part = 1 / owners.length / owner.rate
    return owner.way > 0
      ? { member, s0: from, s1: to, q0: q0 * part, q1: q1 * part }
      : { member, s0: to, s1: from, q0: q1 * part, q1: q0 * part }
  })
}

const pointsOn = ({ owners }: Site, s: number, force: number): readonly SharePoint[] =>
  owners.map((owner) => ({ member: owner.member, s: placeOn(owner, s), force: force / owners.length }))

/** Forces at one place of a member as one. */
function joined(points: readonly SharePoint[]): readonly SharePoint[] {
  const found = new Map<string, SharePoint>()
  for (const point of points) {
    const key = `${point.member} ${Math.round(point.s * 1e6)}`
    const known = found.get(key)
    found.set(key, known ? { ...known, force: known.force + point.force } : point)
  }
  return [...found.values()].sort((p, q) => (p.member === q.member ? p.s - q.s : p.member < q.member ? -1 : 1))
}
