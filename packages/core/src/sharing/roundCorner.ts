import type { Point } from '../geometry/point'
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

/** Area between the corner and a border over a band of angles in which it is reached: a triangle, or a piece of a parabola. */
function areaWithin(border: Border, from: number, to: number): number {
  const { alpha, beta } = border
  if (alpha === 0) return (reach(border, toward(from)) * reach(border, toward(to)) * Math.sin(to - from)) / 2
  const middle = Math.atan2(beta[1], beta[0])
  const half = (angle: number) => Math.tan(normal(angle - middle) / 2)
  const primitive = (u: number) => u + (u * u * u) / 3
  return (primitive(half(to)) - primitive(half(from))) / (4 * alpha * alpha)
}

/** The same for a side of the region: a triangle that stays one however near to the corner the side runs. */
function areaToSide({ p, q }: Side, from: number, to: number): number {
  const twice = cross(p, q)
  const part = (angle: number) => {
    const w = toward(angle)
    const [cp, cq] = [cross(w, p), cross(w, q)]
    return cp === cq ? 0 : Math.min(Math.max(cp / (cp - cq), 0), 1)
  }
  return Math.abs(twice * (part(to) - part(from))) / 2
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

/** Something met along a direction, at r, and the area up to it over a band. */
interface Passing {
  readonly r: number
  readonly area: (from: number, to: number) => number
}

/** Where the line through the corner along w passes sides of the region, by distance of either sign. */
function passings(sides: readonly Side[], w: Point): readonly Passing[] {
  const found: Passing[] = []
  for (const side of sides) {
    const [cp, cq] = [cross(w, side.p), cross(w, side.q)]
    if (cp > 0 === cq > 0) continue
    const r = dot(w, side.p) + ((dot(w, side.q) - dot(w, side.p)) * cp) / (cp - cq)
    found.push({ r, area: (from, to) => (r <= 0 ? 0 : areaToSide(side, from, to)) })
  }
  return found.sort((a, b) => a.r - b.r)
}

/** What of a region is nearest to a corner, m² by the end that takes it: the one that it lies nearest to by angle. */
export function areasRound({ at, ends }: Corner, sites: readonly Site[], region: Region): ReadonlyMap<SiteEnd, number> {
  const areas = new Map<SiteEnd, number>()
  if (areaBehind(region, at, ends) <= rounding) return areas
  const others = sites.filter((site) => !ends.some((end) => end.site === site))
  // what lies behind an end that stands on another site is as near to that site
  if (others.some((site) => footOnSite(site, at).gap <= onIt)) return areas
  const rivals = others.map((site) => rivalOf(site, at))
  const sides = sidesFrom(region, at)
  const stops = [
    ...ends.flatMap(({ inward }) => [...angles(inward), ...angles(perpendicular(inward))]),
    ...halves(ends),
    ...meetings(rivals, sides),
  ]
  for (const [from, to] of bands(stops)) {
    const w = toward((from + to) / 2)
    if (ends.some(({ inward }) => dot(inward, w) > 0)) continue
    const area = areaInBand(rivals, sides, from, to)
    if (area <= rounding) continue
    const taker = ends.reduce((best, end) => (dot(end.inward, w) > dot(best.inward, w) ? end : best))
    areas.set(taker, (areas.get(taker) ?? 0) + area)
  }
  return areas
}

/** What of the region lies within reach over a band in which no border gives way to another. */
function areaInBand(rivals: readonly Rival[], sides: readonly Side[], from: number, to: number): number {
  const w = toward((from + to) / 2)
  const far = rivals
    .flatMap((rival) => rival.at(w))
    .map((border): Passing => ({ r: reach(border, w), area: (p, q) => areaWithin(border, p, q) }))
    .reduce((least, passing) => (passing.r < least.r ? passing : least), { r: Infinity, area: () => 0 })
  const borders = passings(sides, w)
  let area = 0
  for (let k = 0; k + 1 < borders.length; k += 2) {
    const [start, end] = [borders[k], borders[k + 1]]
    if (!start || !end || end.r <= 0 || start.r >= far.r) continue
    area += (end.r < far.r ? end : far).area(from, to) - start.area(from, to)
  }
  return area
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
    .map((from, i) => [from, rising[i + 1] ?? (rising[0] ?? 0) + 2 * Math.PI] as const)
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
