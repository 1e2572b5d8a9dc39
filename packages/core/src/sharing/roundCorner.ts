import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { densityAt, type Density } from '../geometry/density'
import { eachEdge, regionArea, type Region } from '../geometry/polygon'
import { footOnSite, type Corner, type SiteEnd } from './nearest'
import type { Site } from './sites'

// Round the free end of a member, or an outer corner that members share, the nearest point is the corner itself. Seen from
// there in polar coordinates every border (half-way to another end, half-way to a line, a side of the region) has the form
// 1/r = α + β·ω, so that the angles at which one gives way to another are roots of A cos θ + B sin θ = C.

/** Areas below this are what rounding leaves, m². */
const rounding = 1e-14
/** A corner as near as this to a site lies on it, m. */
const onIt = 1e-9

/** A straight line where alpha is 0; a parabola about the corner where alpha is the size of beta. */
interface Border {
  readonly alpha: number
  readonly beta: Point
}

const dot = (p: Point, q: Point): number => p[0] * q[0] + p[1] * q[1]
const cross = (p: Point, q: Point): number => p[0] * q[1] - p[1] * q[0]
const toward = (angle: number): Point => [Math.cos(angle), Math.sin(angle)]
const reach = ({ alpha, beta }: Border, w: Point): number => {
  const inverse = alpha + dot(beta, w)
  return inverse > 1e-12 ? 1 / inverse : Infinity
}

/** Area and its first moments about the corner. */
interface Moments {
  readonly area: number
  readonly first: Point
}

const nothing: Moments = { area: 0, first: [0, 0] }
const plus = (p: Moments, q: Moments, sign: 1 | -1): Moments => ({
  area: p.area + sign * q.area,
  first: [p.first[0] + sign * q.first[0], p.first[1] + sign * q.first[1]],
})
/** Of a triangle with the corner. */
const triangle = (area: number, p: Point, q: Point): Moments => ({
  area,
  first: [(area * (p[0] + q[0])) / 3, (area * (p[1] + q[1])) / 3],
})

/** What lies between the corner and a border over a band of angles in which it is reached: a triangle, or a piece of a parabola. */
function within(border: Border, from: number, to: number): Moments {
  const { alpha, beta } = border
  if (alpha === 0) {
    const [v, w] = [toward(from), toward(to)]
    const [r, s] = [reach(border, v), reach(border, w)]
    return triangle((r * s * Math.sin(to - from)) / 2, [r * v[0], r * v[1]], [s * w[0], s * w[1]])
  }
  const middle = Math.atan2(beta[1], beta[0])
  const half = (angle: number) => Math.tan(normal(angle - middle) / 2)
  const [u, v] = [half(from), half(to)]
  const between = (primitive: (u: number) => number) => primitive(v) - primitive(u)
  // r = (1 + u²) / 2α with u the tangent of half the angle to the axis of the parabola
  const area = between((x) => x + x ** 3 / 3) / (4 * alpha ** 2)
  const onAxis = between((x) => x - x ** 5 / 5) / (12 * alpha ** 3)
  const across = between((x) => x ** 2 / 2 + x ** 4 / 4) / (6 * alpha ** 3)
  const [c, s] = toward(middle)
  return { area, first: [onAxis * c - across * s, onAxis * s + across * c] }
}

/** The same for a side of the region: a triangle that stays one however near to the corner the side runs. */
function toSide({ p, q }: Side, from: number, to: number): Moments {
  const twice = cross(p, q)
  const part = (angle: number) => {
    const w = toward(angle)
    const [cp, cq] = [cross(w, p), cross(w, q)]
    return cp === cq ? 0 : Math.min(Math.max(cp / (cp - cq), 0), 1)
  }
  const [s, t] = [part(from), part(to)]
  const on = (k: number): Point => [p[0] + k * (q[0] - p[0]), p[1] + k * (q[1] - p[1])]
  return triangle(Math.abs(twice * (t - s)) / 2, on(s), on(t))
}

/** Another site: what of it is as near as the corner, by direction. */
interface Rival {
  readonly borders: readonly Border[]
  readonly at: (w: Point) => readonly Border[]
}

function rivalOf(site: Site, [x, y]: Point): Rival {
  const [p, q]: readonly [Point, Point] = [
    [site.a[0] - x, site.a[1] - y],
    [site.b[0] - x, site.b[1] - y],
  ]
  const ends = [p, q].map((end): Border => {
    const square = dot(end, end)
    return { alpha: 0, beta: [(2 * end[0]) / square, (2 * end[1]) / square] }
  })
  const { u } = site
  const n: Point = [-u[1], u[0]]
  const away = -dot(n, p)
  const sign = away < 0 ? -1 : 1
  const gap = Math.abs(away)
  // the corner may be on the line of a site, beyond its ends
  const line: Border | undefined =
    gap <= onIt ? undefined : { alpha: 1 / gap, beta: [(-sign * n[0]) / gap, (-sign * n[1]) / gap] }
  const isMet = (w: Point): boolean => {
    if (!line) return false
    const r = reach(line, w)
    const foot = r * dot(w, u) - dot(p, u)
    return r < Infinity && foot >= -1e-9 && foot <= site.length + 1e-9
  }
  const all = line ? [...ends, line] : ends
  return { borders: all, at: (w) => (isMet(w) ? all : ends) }
}

interface Side {
  readonly p: Point
  readonly q: Point
}

/** Something met along a direction, at r, and what lies before it over a band. */
interface Passing {
  readonly r: number
  readonly before: (from: number, to: number) => Moments
}

/** Where the line through the corner along w passes sides of the region, by distance of either sign. */
function passings(sides: readonly Side[], w: Point): readonly Passing[] {
  const found: Passing[] = []
  for (const side of sides) {
    const [cp, cq] = [cross(w, side.p), cross(w, side.q)]
    if (cp > 0 === cq > 0) continue
    const r = dot(w, side.p) + ((dot(w, side.q) - dot(w, side.p)) * cp) / (cp - cq)
    found.push({ r, before: (from, to) => (r <= 0 ? nothing : toSide(side, from, to)) })
  }
  return found.sort((a, b) => a.r - b.r)
}

/** The load of what of a region is nearest to a corner, by the end that takes it: the one that it lies nearest to by angle. */
export function loadsRound(
  { at, ends }: Corner,
  sites: readonly Site[],
  region: Region,
  density: Density,
): ReadonlyMap<SiteEnd, number> {
  const loads = new Map<SiteEnd, number>()
  if (areaBehind(region, at, ends) <= rounding) return loads
  const others = sites.filter((site) => !ends.some((end) => end.site === site))
  // what lies behind an end that stands on another site is as near to that site
  if (others.some((site) => footOnSite(site, at).gap <= onIt)) return loads
  const rivals = others.map((site) => rivalOf(site, at))
  const atCorner = densityAt(density, at)
  const sides = sidesFrom(region, at)
  const stops = [
    ...ends.flatMap(({ inward }) => [...angles(inward), ...angles(perpendicular(inward))]),
    ...halves(ends),
    ...meetings(rivals, sides),
  ]
  for (const [from, to] of bands(stops)) {
    const w = toward((from + to) / 2)
    if (ends.some(({ inward }) => dot(inward, w) > 0)) continue
    const { area, first } = inBand(rivals, sides, from, to)
    if (area <= rounding) continue
    const taker = ends.reduce((best, end) => (dot(end.inward, w) > dot(best.inward, w) ? end : best))
    loads.set(taker, (loads.get(taker) ?? 0) + atCorner * area + dot(density.grows, first))
  }
  return loads
}

/** What of the region lies within reach over a band in which no border gives way to another. */
function inBand(rivals: readonly Rival[], sides: readonly Side[], from: number, to: number): Moments {
  const w = toward((from + to) / 2)
  const far = rivals
    .flatMap((rival) => rival.at(w))
    .map((border): Passing => ({ r: reach(border, w), before: (p, q) => within(border, p, q) }))
    .reduce((least, passing) => (passing.r < least.r ? passing : least), { r: Infinity, before: () => nothing })
  const borders = passings(sides, w)
  let found = nothing
  for (let k = 0; k + 1 < borders.length; k += 2) {
    const [start, end] = [borders[k], borders[k + 1]]
    if (!start || !end || end.r <= 0 || start.r >= far.r) continue
    found = plus(found, (end.r < far.r ? end : far).before(from, to), 1)
    found = plus(found, start.before(from, to), -1)
  }
  return found
}

function sidesFrom(region: Region, [x, y]: Point): readonly Side[] {
  const sides: Side[] = []
  for (const ring of region)
    eachEdge(ring, ([px, py], [qx, qy]) => sides.push({ p: [px - x, py - y], q: [qx - x, qy - y] }))
  return sides
}

/** A side of the region as a border; one that runs through the corner borders nothing. */
function borderOf({ p, q }: Side): readonly Border[] {
  const c = cross(p, q)
  return Math.abs(c) < 1e-12 ? [] : [{ alpha: 0, beta: [(q[1] - p[1]) / c, (p[0] - q[0]) / c] }]
}

/** What of a region lies behind all ends, as seen from their corner, m². */
function areaBehind(region: Region, at: Point, ends: readonly SiteEnd[]): number {
  let rings = region.map((ring) => ring.map(([x, y]): Point => [x - at[0], y - at[1]]))
  for (const { inward } of ends) rings = rings.map((ring) => cutBehind(ring, inward))
  return regionArea(rings)
}

/** The part of a ring on the side that a direction turns its back on (Sutherland and Hodgman). */
function cutBehind(ring: readonly Point[], inward: Point): Point[] {
  const kept: Point[] = []
  eachEdge(ring, (p, q) => {
    const [from, to] = [dot(inward, p), dot(inward, q)]
    if (from <= 0) kept.push(p)
    if (from > 0 !== to > 0) {
      const t = from / (from - to)
      kept.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])])
    }
  })
  return kept
}

const perpendicular = ([x, y]: Point): Point => [-y, x]
const angles = ([x, y]: Point): readonly number[] => [Math.atan2(y, x), Math.atan2(-y, -x)]

/** Between angles, once round. */
function bands(list: readonly number[]): readonly (readonly [from: number, to: number])[] {
  const rising = list.map((angle) => (angle < 0 ? angle + 2 * Math.PI : angle)).sort((p, q) => p - q)
  return rising
    .map((from, i) => [from, rising[i + 1] ?? entry(rising, 0) + 2 * Math.PI] as const)
    .filter(([from, to]) => to > from)
}

/** Bisectors between ends. */
const halves = (ends: readonly SiteEnd[]): readonly number[] =>
  ends.flatMap(({ inward: p }, i) => ends.slice(i + 1).flatMap(({ inward: q }) => angles([p[0] + q[0], p[1] + q[1]])))

/** Angles at which one border gives way to another, and those of the corners of the region. */
function meetings(rivals: readonly Rival[], sides: readonly Side[]): readonly number[] {
  const borders = [...rivals.flatMap((rival) => rival.borders), ...sides.flatMap(borderOf)]
  const found = sides.flatMap(({ p }) => angles(p))
  borders.forEach((one, i) => {
    for (const other of borders.slice(i + 1)) {
      const [a, b] = [one.beta[0] - other.beta[0], one.beta[1] - other.beta[1]]
      const size = Math.hypot(a, b)
      const cosine = (other.alpha - one.alpha) / size
      // borders that only touch, as half-way to a line and to its end do, have one angle, which rounding may lose
      if (size < 1e-12 || Math.abs(cosine) > 1 + 1e-9) continue
      const [middle, off] = [Math.atan2(b, a), Math.acos(Math.max(-1, Math.min(cosine, 1)))]
      found.push(normal(middle + off), normal(middle - off))
    }
  })
  return found
}

/** An angle between -π and π. */
const normal = (angle: number): number => Math.atan2(Math.sin(angle), Math.cos(angle))
