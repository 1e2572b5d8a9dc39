import { once } from '../outcome/once'
import type { Point } from '../geometry/point'
import { along, distance, footOn, project } from '../geometry/segment'
import { sameSupport } from '../geometry/tolerance'
import type { Share } from '../sharing/share'
import type { Rest, RestOn } from './surfaceRests'
import type { SurfaceStretch } from './surfaces'

/** A force square to a stretch that reaches a level, N inwards, at a place in plan; −1 is the base. */
export interface AtLevel {
  readonly order: number
  readonly at: Point
  readonly force: number
}

export interface HandedDown {
  readonly atLevels: readonly AtLevel[]
  /** What finds nothing to go to from the end of a girt, a post or a column, N. */
  readonly loose: number
}

/** A force on a piece of what rests in the plane, at s along it. */
interface On {
  readonly rest: Rest
  readonly s: number
  readonly force: number
}

/**
 * From what takes pressure to the levels that hold it: beams and edges of slabs are held by their floor; columns span between the floors at their
 * ends, posts between theirs, girts between the columns and posts that they meet, each span by itself.
 */
function handDown(stretch: SurfaceStretch, share: Share): HandedDown {
  const atLevels: AtLevel[] = []
  let loose = 0
  const levels = (order: number, at: Point, force: number) => atLevels.push({ order, at, force })
  const hand = ({ rest, s, force }: On, seen: ReadonlySet<string>): void => {
    if (force === 0) return
    const { on } = rest
    if (on.kind === 'beam' || on.kind === 'edge') return void levels(on.order, inPlan(stretch, placeOn(rest, s)), force)
    if (on.kind === 'column') {
      const { column } = on
      if (column.under === null) return void (loose += force)
      const up = (s - on.s0) / (on.s1 - on.s0)
      levels(column.order, column.top, force * up)
      return void levels(column.under, column.foot, force * (1 - up))
    }
    const stations = seen.has(rest.key) ? [] : stationsOf(stretch, rest)
    const parts = byLever(stations, s, force)
    if (parts.length === 0) loose += force
    for (const { station, part } of parts)
      if (station.to.kind === 'level') levels(station.to.order, inPlan(stretch, station.at), part)
      else hand({ rest: station.to.rest, s: station.to.s, force: part }, new Set([...seen, rest.key]))
  }
  for (const on of forcesOf(stretch, share)) hand(on, new Set())
  return { atLevels, loose }
}

/** What one unit of pressure all over, and one that grows to one unit at the foot, brings to levels. */
export const handedDown = once((stretch: SurfaceStretch) => ({
  even: handDown(stretch, stretch.shares.even),
  growing: stretch.shares.growing && handDown(stretch, stretch.shares.growing),
}))

const inPlan = ({ a, b }: SurfaceStretch, [u]: Point): Point => along(a, b, u)

const placeOn = ({ a, b }: Rest, s: number): Point => along(a, b, s)

/** Lines as two forces each, which keep force and moment, cut where a girt or post is held so that each part lies in one span. */
function forcesOf(stretch: SurfaceStretch, share: Share): readonly On[] {
  const points = share.points.flatMap(({ member, s, force }): readonly On[] => {
    const rest = stretch.rests.get(member)
    return rest ? [{ rest, s, force }] : []
  })
  const lines = share.lines.flatMap((line): readonly On[] => {
    const rest = stretch.rests.get(line.member)
    if (!rest) return []
    const inside = stationsOf(stretch, rest).map(({ s }) => s)
    const stops = [line.s0, ...inside.filter((s) => s > line.s0 && s < line.s1), line.s1]
    return stops.slice(1).flatMap((s1, i): readonly On[] => {
      const s0 = stops[i] ?? line.s0
      const q = (s: number) => line.q0 + ((line.q1 - line.q0) * (s - line.s0)) / (line.s1 - line.s0)
      const [q0, q1, h] = [q(s0), q(s1), s1 - s0]
      return [
        { rest, s: s0, force: (h * (2 * q0 + q1)) / 6 },
        { rest, s: s1, force: (h * (q0 + 2 * q1)) / 6 },
      ]
    })
  })
  return [...points, ...lines]
}

/** Where a girt or post is held. */
interface Station {
  readonly s: number
  readonly at: Point
  readonly to:
    | { readonly kind: 'level'; readonly order: number }
    | { readonly kind: 'rest'; readonly rest: Rest; readonly s: number }
}

const stationsOn = once(({ rests }: SurfaceStretch): ReadonlyMap<string, readonly Station[]> => {
  const all = [...rests.values()]
  return new Map(
    all.flatMap((rest) => (rest.on.kind === 'strut' ? [[rest.key, findStations(rest, all)] as const] : [])),
  )
})

const stationsOf = (stretch: SurfaceStretch, rest: Rest): readonly Station[] => stationsOn(stretch).get(rest.key) ?? []

/** What holds a girt or post, in order along it; of what meets it at one place a floor goes before a column, a column before a post or girt. */
function findStations(rest: Rest, all: readonly Rest[]): readonly Station[] {
  const found: Station[] = []
  const others = all
    .filter(({ key, on }) => key !== rest.key && mayHold(rest.on, on))
    .sort((p, q) => ranks[p.on.kind] - ranks[q.on.kind] || (p.key < q.key ? -1 : 1))
  for (const other of others)
    for (const { s, t } of meetings(rest, other)) {
      if (found.some((known) => Math.abs(known.s - s) <= sameSupport)) continue
      const to = isFloor(other.on)
        ? ({ kind: 'level', order: other.on.order } as const)
        : ({ kind: 'rest', rest: other, s: t } as const)
      found.push({ s, at: placeOn(rest, s), to })
    }
  return found.sort((p, q) => p.s - q.s)
}

const ranks = { beam: 0, edge: 0, column: 1, strut: 2 } as const

const isFloor = (on: RestOn): on is Extract<RestOn, { kind: 'beam' | 'edge' }> =>
  on.kind === 'beam' || on.kind === 'edge'

/** Girts rest on columns and posts, posts on floors and on girts that they end at; both end at floors. */
function mayHold(own: RestOn, other: RestOn): boolean {
  if (own.kind !== 'strut' || isFloor(other)) return true
  if (other.kind === 'column') return own.strut.role === 'girt'
  return other.kind === 'strut' && own.strut.role !== other.strut.role
}

/** Where a girt or post meets another piece within 50 mm: s along the one, t along the other. */
function meetings(own: Rest, other: Rest): readonly { readonly s: number; readonly t: number }[] {
  const length = distance(own.a, own.b)
  const isGirt = own.on.kind === 'strut' && own.on.strut.role === 'girt'
  // a girt is held wherever a column or post crosses it; all else holds at ends only
  const inside = isGirt && !isFloor(other.on) ? crossingsOf(own, other) : []
  const ends = [0, length].flatMap((s) => {
    const t = footOn(other.a, other.b, along(own.a, own.b, s), sameSupport)
    return t === undefined || (!isGirt && isGirtEnd(other, t)) ? [] : [{ s, t }]
  })
  return [...ends, ...inside.filter(({ s }) => ends.every((end) => Math.abs(end.s - s) > sameSupport))]
}

/** A post that meets the end of a girt holds it, and not the other way round. */
const isGirtEnd = ({ a, b, on }: Rest, t: number): boolean =>
  on.kind === 'strut' && (t <= sameSupport || t >= distance(a, b) - sameSupport)

function crossingsOf(own: Rest, other: Rest): readonly { readonly s: number; readonly t: number }[] {
  const [p, q] = [project(other.a, other.b, own.a), project(other.a, other.b, own.b)]
  if (p.off === q.off || p.off > 0 === q.off > 0) return []
  const part = p.off / (p.off - q.off)
  const t = p.s + (q.s - p.s) * part
  if (t < -sameSupport || t > distance(other.a, other.b) + sameSupport) return []
  return [{ s: distance(own.a, own.b) * part, t: Math.min(Math.max(t, 0), distance(other.a, other.b)) }]
}

/** A force between two stations goes to both by lever; past the last ones too, the far one lifting; one station alone lets it turn away. */
function byLever(
  stations: readonly Station[],
  s: number,
  force: number,
): readonly { readonly station: Station; readonly part: number }[] {
  if (stations.length < 2) return []
  const next = stations.findIndex((station) => station.s >= s)
  const index = next < 0 ? stations.length - 1 : Math.max(1, next)
  const [from, to] = [stations[index - 1], stations[index]]
  if (!from || !to) return []
  const up = (s - from.s) / (to.s - from.s)
  return [
    { station: from, part: force * (1 - up) },
    { station: to, part: force * up },
  ]
}
