import { largest, pushAll, smallest } from '../outcome/lists'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { contains, eachEdge, type Region } from '../geometry/polygon'
import { along, distance, footOn, overlapOn, passing, project } from '../geometry/segment'
import { onLine, samePoint } from '../geometry/tolerance'
import type { Carrier } from './rails'

/**
 * A member that a site is a part of: s = from + way · rate · (distance from the site's start). The rate is 1 but for a site that
 * lies on the member by the tolerance of a drawing only.
 */
export interface Owner {
  readonly member: string
  readonly from: number
  readonly way: 1 | -1
  readonly rate: number
}

/** A straight stretch of support within a panel. Members that lie on each other own it together and share equally. */
export interface Site {
  readonly a: Point
  readonly b: Point
  readonly length: number
  /** Along it, from a to b. */
  readonly u: Point
  readonly owners: readonly Owner[]
  /** Places along it at which stretches of a wall begin. */
  readonly stops: readonly number[]
}

interface Part {
  readonly carrier: Carrier
  readonly from: number
  readonly to: number
}

/** The stretches of members that lie within a panel or on its border. */
export function sitesWithin(outline: Region, carriers: readonly Carrier[], reach: number): readonly Site[] {
  return asSites(
    carriers.flatMap((carrier) => {
      const stops = cuts(carrier, outline, reach)
      const parts: Part[] = []
      stops.slice(1).forEach((to, i) => {
        const from = entry(stops, i)
        if (!liesOn(outline, along(carrier.a, carrier.b, (from + to) / 2), reach)) return
        const before = parts.at(-1)
        if (before?.to === from) parts[parts.length - 1] = { ...before, to }
        else parts.push({ carrier, from, to })
      })
      return parts
    }),
  )
}

/** The stretches of members that lie on the border of a panel. */
export function sitesAround(outline: Region, carriers: readonly Carrier[], reach: number): readonly Site[] {
  const parts: Part[] = []
  for (const ring of outline)
    eachEdge(ring, (p, q) => {
      for (const carrier of carriers) {
        const overlap = overlapOn(carrier.a, carrier.b, p, q, reach)
        if (overlap) parts.push({ carrier, ...overlap })
      }
    })
  return asSites(parts)
}

const liesOn = (outline: Region, at: Point, reach: number): boolean => {
  if (contains(outline, at)) return true
  let near = false
  for (const ring of outline) eachEdge(ring, (p, q) => (near ||= footOn(p, q, at, reach) !== undefined))
  return near
}

/** Where a carrier begins, ends, and passes the border of the outline. */
function cuts({ a, b }: Carrier, outline: Region, reach: number): readonly number[] {
  const length = distance(a, b)
  const stops = [0, length]
  for (const ring of outline)
    eachEdge(ring, (p, q) => {
      const [from, to] = [project(a, b, p), project(a, b, q)]
      if (Math.abs(from.off) <= reach) stops.push(from.s)
      pushAll(stops, passing(from, to))
    })
  return rising(stops.filter((s) => s >= 0 && s <= length))
}

/**
 * Rising from first to last; those within a millimetre of the one before are one place, half-way between the outer two, but
 * the first and the last stay where they are. The same from either end. Nothing where all are one place.
 */
function rising(values: number[]): readonly number[] {
  const sorted = values.sort((p, q) => p - q)
  const [first = 0, last = 0] = [sorted[0], sorted.at(-1)]
  if (last - first <= samePoint) return []
  const inner = sorted.filter((value) => value - first > samePoint && last - value > samePoint)
  const places: { from: number; to: number }[] = []
  for (const value of inner) {
    const before = places.at(-1)
    if (before && value - before.to <= samePoint) before.to = value
    else places.push({ from: value, to: value })
  }
  return [first, ...places.map(({ from, to }) => (from === to ? from : (from + to) / 2)), last]
}

/** Parts that lie on one another become one site where they overlap; the first of them stands for all. */
function asSites(parts: readonly Part[]): readonly Site[] {
  const placed = [...parts].sort((p, q) =>
    p.carrier.member === q.carrier.member
      ? p.carrier.from + p.from - q.carrier.from - q.from
      : p.carrier.member < q.carrier.member
        ? -1
        : 1,
  )
  const ends = placed.map(({ carrier: { a, b }, from, to }) => [along(a, b, from), along(a, b, to)] as const)
  const overlaps = overlapsOf(placed, ends)
  const sites: Placed[] = []
  placed.forEach(({ carrier, from: first, to: last }, k) => {
    const [a, b] = ends[k] ?? [carrier.a, carrier.b]
    const on = overlaps.get(k) ?? []
    const stops = rising([0, last - first, ...on.flatMap(({ from, to }) => [from, to])])
    stops.slice(1).forEach((to, i) => {
      const from = entry(stops, i)
      const here = on.filter((entry) => entry.from < (from + to) / 2 && entry.to > (from + to) / 2)
      if (here.some(({ other }) => other < k)) return
      const carriers = [carrier, ...here.flatMap(({ other }) => placed[other]?.carrier ?? [])]
      sites.push({ a: along(a, b, from), b: along(a, b, to), carriers })
    })
  })
  return joinedAtEnds(sites)
}

interface Overlap {
  /** Along the part that it is of, m. */
  readonly from: number
  readonly to: number
  /** The part that lies there too. */
  readonly other: number
}

/** Where parts lie on one another, those of a member that folds back too, by part: whichever of two is looked along, both have the stretch. */
function overlapsOf(
  placed: readonly Part[],
  ends: readonly (readonly [Point, Point])[],
): ReadonlyMap<number, readonly Overlap[]> {
  const found = new Map<number, Overlap[]>()
  const put = (part: number, overlap: Overlap) => found.set(part, [...(found.get(part) ?? []), overlap])
  ends.forEach(([a, b], i) => {
    for (let j = i + 1; j < ends.length; j++) {
      const [p, q] = ends[j] ?? [a, b]
      if (placed[i]?.carrier === placed[j]?.carrier) continue
      const onThis = overlapOn(a, b, p, q, onLine)
      const onThat = overlapOn(p, q, a, b, onLine)
      const here = onThis ?? (onThat && seenAlong(a, b, p, q, onThat))
      const there = onThat ?? (onThis && seenAlong(p, q, a, b, onThis))
      if (here) put(i, { ...here, other: j })
      if (there) put(j, { ...there, other: i })
    }
  })
  return found
}

/** A stretch of p–q as it lies along a–b. */
function seenAlong(a: Point, b: Point, p: Point, q: Point, stretch: { readonly from: number; readonly to: number }) {
  const length = distance(a, b)
  const places = [stretch.from, stretch.to].map((s) => project(a, b, along(p, q, s)).s)
  const held = places.map((s) => Math.min(Math.max(s, 0), length))
  return { from: smallest(held), to: largest(held) }
}

interface Placed {
  readonly a: Point
  readonly b: Point
  readonly carriers: readonly Carrier[]
}

/**
 * Ends that are one point in the setting-out are one point here, so that what is nearest to one of them is nearest to all; an
 * end that lies on another site by the same tolerance lies on it exactly, so that it does not stand out and gather load.
 * Neither depends on the order in which the sites come, or on their direction.
 */
function joinedAtEnds(placed: readonly Placed[]): readonly Site[] {
  const points = middlesOf(placed)
  const met = placed.map(({ carriers }, i) => ({
    a: points[2 * i] ?? origin,
    b: points[2 * i + 1] ?? origin,
    carriers,
  }))
  const onOther = (p: Point): Point => {
    let [least, at] = [meets, p]
    for (const { a, b } of met) {
      const { s, off } = project(a, b, p)
      if (p === a || p === b || Math.abs(off) > least || s <= meets || s >= distance(a, b) - meets) continue
      ;[least, at] = [Math.abs(off), along(a, b, s)]
    }
    return at
  }
  const landed = new Map(points.map((end) => [end, onOther(end)]))
  return met.flatMap(({ carriers, ...of }): Site[] => {
    const [a, b] = [landed.get(of.a) ?? of.a, landed.get(of.b) ?? of.b]
    const length = distance(a, b)
    // what is no longer than the tolerance is a point of what it lies on
    if (length <= onLine) return []
    const u: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
    const owners = carriers.map((carrier) => ownerOf(carrier, a, b))
    const stops = carriers.flatMap((carrier, k) => {
      const { from, way, rate } = owners[k] ?? { from: 0, way: 1, rate: 1 }
      return (carrier.stops ?? []).map((s) => ((s - from) * way) / rate).filter((s) => s > 0 && s < length)
    })
    return [{ a, b, length, u, owners, stops }]
  })
}

const origin: Point = [0, 0]

/** At the tolerance itself what adding and turning leaves behind must not decide. */
const meets = onLine + 1e-6

/** For each end, two by site, the one point of all ends that are joined with it. */
function middlesOf(placed: readonly Placed[]): readonly Point[] {
  const ends = placed.flatMap(({ a, b }) => [a, b])
  const group = ends.map((_, i) => i)
  ends.forEach((p, i) => {
    for (let j = i + 1; j < ends.length; j++) {
      // the two ends of a short site are two points unless another end joins them
      const own = i % 2 === 0 && j === i + 1
      const [from, to] = [group[i], group[j]]
      if (own || from === to || distance(p, ends[j] ?? p) > meets) continue
      group.forEach((of, k) => {
        if (of === to) group[k] = from ?? k
      })
    }
  })
  const middles = new Map([...new Set(group)].map((of) => [of, middleOf(ends.filter((_, i) => group[i] === of))]))
  return ends.map((p, i) => middles.get(group[i] ?? i) ?? p)
}

/** Half-way between the two that are farthest apart, so that it does not count how many lie on one another. */
function middleOf(points: readonly Point[]): Point {
  let [first = origin, last = first, far] = [points[0], points[0], 0]
  points.forEach((p, i) => {
    for (const q of points.slice(i + 1)) {
      const apart = distance(p, q)
      if (apart > far) [first, last, far] = [p, q, apart]
    }
  })
  return far === 0 ? first : [(first[0] + last[0]) / 2, (first[1] + last[1]) / 2]
}

function ownerOf({ member, a, b, from }: Carrier, start: Point, end: Point): Owner {
  const length = distance(a, b)
  const [s, t] = [start, end].map((p) => Math.min(Math.max(project(a, b, p).s, 0), length)) as [number, number]
  const rate = Math.abs(t - s) / distance(start, end)
  // what rounding leaves is none
  return { member, from: from + s, way: t >= s ? 1 : -1, rate: Math.abs(rate - 1) < 1e-9 ? 1 : rate }
}

/** The place on a member for a place on its site. */
export const placeOn = ({ from, way, rate }: Owner, s: number): number => from + way * rate * s
