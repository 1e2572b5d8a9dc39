import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { even } from '../geometry/density'
import { contains, type Region } from '../geometry/polygon'
import { raysOf } from './besideSite'
import { clustersWithin, positionOf } from './rails'
import type { StripGround } from './stripPieces'
import { crossing, distinct, uAt } from './strips'
import type { Site } from './sites'

/** A line of a plan, from point to point. */
export type Path = readonly Point[]

/** Into so many pieces a border that is no straight line is drawn. */
const curve = 8

/** The borders within a region between what is nearest to one site and to another. */
export function dividingOfSites(sites: readonly Site[], region: Region): readonly Path[] {
  return raysOf(sites, region, even).flatMap(({ site, side, rays: { stops, height, rival } }): readonly Path[] => {
    const at = (s: number, t: number): Point => [
      site.a[0] + s * site.u[0] - side * t * site.u[1],
      site.a[1] + s * site.u[1] + side * t * site.u[0],
    ]
    return stops.slice(1).flatMap((to, k): Path[] => {
      const from = entry(stops, k)
      const middle = (from + to) / 2
      const other = rival(middle)
      // every border is met from both of its sites and drawn once
      if (!other || sites.indexOf(other) < sites.indexOf(site)) return []
      if (!contains(region, at(middle, height(middle)))) return []
      const inner = (t: number) => from + t * (to - from)
      const straight = Math.abs(height(inner(0.01)) + height(inner(0.99)) - 2 * height(middle)) < 1e-6
      const n = straight ? 1 : curve
      return [Array.from({ length: n + 1 }, (_, j) => inner(j / n)).map((s) => at(s, height(s)))]
    })
  })
}

/** Half-way between neighbouring supports of strips, where each has what is on its side of it. */
export function dividingOfStrips(ground: StripGround, spanAngle: number): readonly Path[] {
  const { outline, rails } = ground
  const stops = distinct([...outline, ...rails.map(({ edge }) => edge)].flatMap(({ v0, v1 }) => [v0, v1]))
  const [c, s] = [Math.cos(spanAngle), Math.sin(spanAngle)]
  const at = (u: number, v: number): Point => [u * c - v * s, u * s + v * c]
  return stops.slice(1).flatMap((to, i): Path[] => {
    const from = entry(stops, i)
    const middle = (from + to) / 2
    const borders = crossing(outline, middle)
    const found: Path[] = []
    for (let k = 0; k + 1 < borders.length; k += 2) {
      const [start, end] = [borders[k], borders[k + 1]]
      if (!start || !end) continue
      const clusters = clustersWithin(
        rails,
        { v: middle, from: uAt(start, middle), to: uAt(end, middle) },
        ground,
        new Map(),
      )
      clusters.slice(1).forEach((next, j) => {
        const before = clusters[j]
        if (!before) return
        const half = (v: number) => (positionOf(before, v) + positionOf(next, v)) / 2
        found.push([at(half(from), from), at(half(to), to)])
      })
    }
    return found
  })
}
