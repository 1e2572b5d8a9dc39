import type { Point } from '../geometry/point'
import { contains, eachEdge, type Region } from '../geometry/polygon'
import { along, distance, footOn, overlapOn, project } from '../geometry/segment'
import { onLine, samePoint } from '../geometry/tolerance'
import type { Carrier } from './rails'

/** A member that a site is a part of: s = from + way · (distance from the site's start). */
export interface Owner {
  readonly member: string
  readonly from: number
  readonly way: 1 | -1
}

/** A straight stretch of support within a panel. Members that lie on each other own it together and share equally. */
export interface Site {
  readonly a: Point
  readonly b: Point
  readonly length: number
  /** Along it, from a to b. */
  readonly u: Point
  readonly owners: readonly Owner[]
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
        const from = stops[i] ?? 0
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
      if (from.off > 0 !== to.off > 0) stops.push(from.s + ((to.s - from.s) * from.off) / (from.off - to.off))
    })
  return rising(stops.filter((s) => s >= 0 && s <= length))
}

/** Rising from first to last, without those within a millimetre of either or of the one before; nothing where all are. */
function rising(values: number[]): readonly number[] {
  const sorted = values.sort((p, q) => p - q)
  const [first = 0, last = 0] = [sorted[0], sorted.at(-1)]
  if (last - first <= samePoint) return []
  const inner = sorted.filter((value) => value - first > samePoint && last - value > samePoint)
  return [first, ...inner.filter((value, i) => i === 0 || value - (inner[i - 1] ?? 0) > samePoint), last]
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
      const from = stops[i] ?? 0
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
  return { from: Math.min(...held), to: Math.max(...held) }
}

interface Placed {
  readonly a: Point
  readonly b: Point
  readonly carriers: readonly Carrier[]
}

/**
 * Ends that are one point in the setting-out are one point here, so that what is nearest to one of them is nearest to all; an
 * end that lies on another site by the same tolerance lies on it exactly, so that it does not stand out and gather load.
 */
function joinedAtEnds(placed: readonly Placed[]): readonly Site[] {
  const ends: Point[] = []
  const joined = (p: Point): Point => {
    const there = ends.find((end) => distance(end, p) <= onLine)
    if (!there) ends.push(p)
    return there ?? p
  }
  const met = placed.map(({ a, b, carriers }) => ({ a: joined(a), b: joined(b), carriers }))
  const onOther = (p: Point): Point => {
    for (const { a, b } of met) {
      const { s, off } = project(a, b, p)
      if (p !== a && p !== b && Math.abs(off) <= onLine && s > onLine && s < distance(a, b) - onLine)
        return along(a, b, s)
    }
    return p
  }
  const landed = new Map(ends.map((end) => [end, onOther(end)]))
  return met.flatMap(({ carriers, ...of }): Site[] => {
    const [a, b] = [landed.get(of.a) ?? of.a, landed.get(of.b) ?? of.b]
    const length = distance(a, b)
    // what is no longer than the tolerance is a point of what it lies on
    if (length <= onLine) return []
    const u: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
    return [{ a, b, length, u, owners: carriers.map((carrier) => ownerOf(carrier, a, b)) }]
  })
}

function ownerOf({ member, a, b, from }: Carrier, start: Point, end: Point): Owner {
  const [s, t] = [project(a, b, start).s, project(a, b, end).s]
  return { member, from: from + Math.min(Math.max(s, 0), distance(a, b)), way: t >= s ? 1 : -1 }
}

/** The place on a member for a place on its site. */
export const placeOn = ({ from, way }: Owner, s: number): number => from + way * s
