import { largest, pushAll } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { densityAt, isEven, type Density } from '../geometry/density'
import { eachEdge, type Region } from '../geometry/polygon'
import { rootsOf } from '../geometry/quadratic'
import { linearPieces, type Piece } from './linearPieces'
import type { Site } from './sites'

// Beside a site the points that are nearest to it lie on rays square to it: from its axis at s up to the height at which
// another site is as near. That height is straight over s where the other is met along its length, and a parabola where it
// is met at an end; both are polynomials, so that the places where one gives way to another are roots.

/** A height over s: t = c0 + c1 s + c2 s². */
type Height = readonly [c0: number, c1: number, c2: number]

const heightAt = ([c0, c1, c2]: Height, s: number): number => c0 + (c1 + c2 * s) * s

const slopeAt = ([, c1, c2]: Height, s: number): number => c1 + 2 * c2 * s

/** Coordinates along a site and away from it on one side. */
const frameOf =
  ({ a, u }: Site, side: 1 | -1) =>
  ([x, y]: Point): Point => {
    const [dx, dy] = [x - a[0], y - a[1]]
    return [dx * u[0] + dy * u[1], side * (dy * u[0] - dx * u[1])]
  }

/** Another site as what ends the rays. */
interface Rival {
  readonly site: Site
  readonly heights: readonly Height[]
  /** The height at which it is as near as the axis, over s. */
  readonly at: (s: number) => number
  /** Bounds of that height between two places. */
  readonly atLeast: (from: number, to: number) => number
  readonly atMost: (from: number, to: number) => number
}

function rivalOf(site: Site, p: Point, q: Point): Rival {
  const ends = [p, q].flatMap(toEnd)
  const length = Math.hypot(q[0] - p[0], q[1] - p[1])
  const [us, ut] = [(q[0] - p[0]) / length, (q[1] - p[1]) / length]
  const [ns, nt] = [-ut, us]
  const away = (s: number) => ns * (s - p[0]) - nt * p[1]
  const alongIt = ([1, -1] as const).flatMap((sign): Height[] => {
    const steep = 1 - sign * nt
    return steep > 1e-12 ? [[(sign * -(ns * p[0] + nt * p[1])) / steep, (sign * ns) / steep, 0]] : []
  })
  /** As near as the whole line: below the height everywhere. */
  const toLine = (s: number): number => {
    const sign = away(s) < 0 ? -1 : 1
    const steep = 1 - sign * nt
    return steep <= 1e-12 ? Infinity : (sign * away(s)) / steep
  }
  const met = (s: number): number => {
    const t = toLine(s)
    if (t === Infinity) return t
    const foot = (s - p[0]) * us + (t - p[1]) * ut
    return foot >= -1e-9 && foot <= length + 1e-9 ? t : Infinity
  }
  return {
    site,
    heights: [...ends, ...alongIt],
    at: (s) => ends.reduce((least, end) => Math.min(least, heightAt(end, s)), met(s)),
    // straight lines have their largest and least value at the ends of a stretch, parabolas of this kind their largest
    atLeast: (from, to) => (away(from) < 0 === away(to) < 0 ? Math.min(toLine(from), toLine(to)) : 0),
    atMost: (from, to) =>
      ends.reduce(
        (least, end) => Math.min(least, Math.max(heightAt(end, from), heightAt(end, to))),
        away(from) < 0 === away(to) < 0 ? Math.max(met(from), met(to)) : Infinity,
      ),
  }
}

/** Into so many stretches a site is cut to see which rivals can be the nearest anywhere. */
const stretches = 8

/** Without those that another is nearer than on every stretch. */
function withoutFar(rivals: readonly Rival[], length: number): readonly Rival[] {
  if (rivals.length < 4) return rivals
  const near = new Set<Rival>()
  for (let i = 0; i < stretches; i++) {
    const [from, to] = [(i * length) / stretches, ((i + 1) * length) / stretches]
    const most = rivals.reduce((least, rival) => Math.min(least, rival.atMost(from, to)), Infinity)
    for (const rival of rivals) if (rival.atLeast(from, to) <= most + 1e-6) near.add(rival)
  }
  return rivals.filter((rival) => near.has(rival))
}

/** As near as a point of the plane: a parabola over s. */
const toEnd = ([ps, pt]: Point): readonly Height[] =>
  pt > 1e-9 ? [[(ps * ps + pt * pt) / (2 * pt), -ps / pt, 1 / (2 * pt)]] : []

interface Side {
  readonly s0: number
  readonly s1: number
  readonly t0: number
  readonly t1: number
}

function sidesOf(region: Region, toFrame: (p: Point) => Point): readonly Side[] {
  const sides: Side[] = []
  for (const ring of region)
    eachEdge(ring, (p, q) => {
      const [[ps, pt], [qs, qt]] = [toFrame(p), toFrame(q)]
      if (Math.abs(qs - ps) < 1e-12) return
      sides.push(ps < qs ? { s0: ps, t0: pt, s1: qs, t1: qt } : { s0: qs, t0: qt, s1: ps, t1: pt })
    })
  return sides
}

const onSide = ({ s0, s1, t0, t1 }: Side, s: number): number => t0 + ((t1 - t0) * (s - s0)) / (s1 - s0)

/** The strips on one side of a site: up to where they go, and how they change along it. */
export interface Rays {
  /** Rising places along the site between which every height is one polynomial. */
  readonly stops: readonly number[]
  /** The height of the nearest rival over s. */
  readonly height: (s: number) => number
  /** The rival that is met there. */
  readonly rival: (s: number) => Site | undefined
  /** Load per length at s: of the ray what lies in the region, by the density there. */
  readonly within: (s: number) => number
  /** Whether that is a parabola over s between two stops, as for an even load. */
  readonly isParabola: boolean
}

const noRays: Rays = { stops: [], height: () => 0, rival: () => undefined, within: () => 0, isParabola: true }

function raysBeside(site: Site, sites: readonly Site[], side: 1 | -1, region: Region, density: Density): Rays {
  const toFrame = frameOf(site, side)
  const sides = sidesOf(region, toFrame)
  // over the axis, and away from it
  const densityOn = (s: number) => densityAt(density, [site.a[0] + s * site.u[0], site.a[1] + s * site.u[1]])
  const grows = side * (density.grows[1] * site.u[0] - density.grows[0] * site.u[1])
  if (!sides.some(({ t0, t1 }) => t0 > 0 || t1 > 0)) return noRays
  const every = sites
    .filter((other) => other !== site)
    .map((other) => rivalOf(other, toFrame(other.a), toFrame(other.b)))
  const rivals = [...withoutFar(every, site.length)]
    // those that are near say soonest that another is not the nearest
    .sort((p, q) => (p.at(site.length / 2) < q.at(site.length / 2) ? -1 : 1))
  const height = (s: number) => rivals.reduce((least, { at }) => Math.min(least, at(s)), Infinity)
  const rival = (s: number) =>
    rivals.reduce<Rival | undefined>((best, one) => (one.at(s) < (best?.at(s) ?? Infinity) ? one : best), undefined)
      ?.site
  const within = (s: number): number => {
    const top = height(s)
    const borders = sides.filter(({ s0, s1 }) => s0 <= s && s < s1).map((edge) => onSide(edge, s))
    borders.sort((p, q) => p - q)
    let load = 0
    for (let k = 0; k + 1 < borders.length; k += 2) {
      const [from, to] = [Math.max(entry(borders, k), 0), Math.min(entry(borders, k + 1), top)]
      if (to > from) load += (to - from) * (densityOn(s) + (grows * (from + to)) / 2)
    }
    return load
  }
  return { stops: stopsOf(site, rivals, sides), height, rival, within, isParabola: isEven(density) }
}

/** One side of one site with its rays. */
export interface BesideSite {
  readonly site: Site
  readonly side: 1 | -1
  readonly rays: Rays
}

/** Both sides of every site. */
export const raysOf = (sites: readonly Site[], region: Region, density: Density): readonly BesideSite[] =>
  sites.flatMap((site) =>
    ([1, -1] as const).map((side) => ({ site, side, rays: raysBeside(site, sites, side, region, density) })),
  )

function stopsOf({ length, stops: own }: Site, rivals: readonly Rival[], sides: readonly Side[]): readonly number[] {
  const heights = rivals.flatMap((rival) => rival.heights)
  const borders = sides.map(heightOfSide)
  const stops = [0, length, ...own, ...sides.flatMap(({ s0, s1 }) => [s0, s1])]
  /** Roots count where the two that meet are the nearest rival there. */
  const meet = (one: Height, other: Height): void => {
    for (const s of roots(one, other)) {
      const t = heightAt(one, s)
      if (s < 0 || s > length || t < -1e-6) continue
      const off = 1e-6 * (1 + t) + 1e-8 * Math.max(Math.abs(slopeAt(one, s)), Math.abs(slopeAt(other, s)))
      if (rivals.every(({ at }) => at(s) >= t - off)) stops.push(s)
    }
  }
  heights.forEach((one, i) => {
    for (const other of heights.slice(i + 1)) meet(one, other)
    for (const border of borders) meet(one, border)
  })
  // the axis itself: where a side of the region crosses it
  for (const border of borders) pushAll(stops, roots(border, [0, 0, 0]))
  const sorted = stops.filter((s) => s >= 0 && s <= length).sort((p, q) => p - q)
  return sorted.filter((s, i) => i === 0 || s - entry(sorted, i - 1) > 1e-12)
}

const heightOfSide = ({ s0, s1, t0, t1 }: Side): Height => {
  const slope = (t1 - t0) / (s1 - s0)
  return [t0 - slope * s0, slope, 0]
}

const roots = (p: Height, q: Height): readonly number[] => rootsOf(p[0] - q[0], p[1] - q[1], p[2] - q[2])

/** Ordinates along a site of what lies beside it on one side: straight pieces with exact force and moment. */
export const piecesBeside = (rays: Rays): readonly Piece[] => (rays.isParabola ? ofParabolas(rays) : followed(rays))

/** Where the load varies ordinates are of a higher degree: each stretch is followed by itself. */
function followed({ stops, within }: Rays): readonly Piece[] {
  const samples = [0.02, 0.26, 0.5, 0.74, 0.98]
  const bands = stops.slice(1).flatMap((to, i) => {
    const from = entry(stops, i)
    const peak = largest(samples.map((t) => Math.abs(within(from + t * (to - from)))))
    return peak === 0 ? [] : [{ from, to, peak }]
  })
  const peak = bands.reduce((most, band) => Math.max(most, band.peak), 1e-12)
  return bands.flatMap(({ from, to }) => linearPieces((s) => [within(s)], from, to, peak)[0] ?? [])
}

function ofParabolas({ stops, within }: Rays): readonly Piece[] {
  const bands = stops.slice(1).map((to, i) => bandOf(within, entry(stops, i), to))
  const peak = bands.reduce((most, { at }) => Math.max(most, at(0.02), at(0.5), at(0.98)), 1e-12)
  return bands.flatMap(({ from, to, at }) =>
    // most bands are empty or straight
    Math.abs(at(0) + at(1) - 2 * at(0.5)) <= 1e-12 * peak
      ? [{ s0: from, s1: to, q0: nought(at(0), peak), q1: nought(at(1), peak) }]
      : (linearPieces((s) => [at((s - from) / (to - from))], from, to, peak)[0] ?? []),
  )
}

const nought = (value: number, peak: number): number => (Math.abs(value) < 1e-13 * peak ? 0 : value)

/** The polynomial of a band, which three places within it tell, as a function of 0 to 1. */
function bandOf(within: Rays['within'], from: number, to: number) {
  const h = to - from
  const [p, q, r] = [within(from + 0.25 * h), within(from + 0.5 * h), within(from + 0.75 * h)]
  const at = (t: number): number => {
    const x = 4 * t - 2
    return q + (x * (r - p)) / 2 + (x * x * (p - 2 * q + r)) / 2
  }
  return { from, to, at }
}
