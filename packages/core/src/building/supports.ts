import { entry } from '../outcome/assert'
import { largest } from '../outcome/lists'
import type { MemberShape } from '../document/shapes'
import { feetAlong, pointAlong, type Leg } from '../geometry/course'
import type { Point } from '../geometry/point'
import { nearby, nearLine, type Near } from '../geometry/nearby'
import { distance, project } from '../geometry/segment'
import { onLine, sameSupport } from '../geometry/tolerance'
import { placesOnWall, type Stretch } from './bearingWalls'
import { pointsOfBeam, type Column, type Support } from './frame'

/** A beam while its supports are being found. */
export interface Draft {
  readonly member: MemberShape
  readonly a: Point
  readonly b: Point
  readonly legs: readonly Leg[]
  readonly length: number
  readonly supports: Support[]
  /** Of a bearing wall, with a support under each; undefined for a beam. */
  readonly stretches?: readonly Stretch[]
}

/**
 * Finds the supports of every beam: columns on its line, walls that it lies on, beams under its ends, tips of beams that stand
 * already. Walls have theirs.
 */
export function findSupports(drafts: readonly Draft[], columns: readonly Column[]): void {
  const columnsNear = nearLine(columns.map(({ at }) => [at]))
  const draftsNear = nearby(drafts.map(pointsOfBeam))
  const beams = drafts.filter(({ stretches }) => !stretches)
  const walls = drafts.flatMap(({ stretches }, index) => (stretches ? [index] : []))
  const wallsNear = nearLine(walls.map((index) => pointsOfBeam(entry(drafts, index))))
  for (const draft of beams) standOnColumns(draft, columns, columnsNear(pointsOfBeam(draft)))
  for (const draft of beams)
    standOnWalls(
      draft,
      drafts,
      wallsNear(pointsOfBeam(draft)).map((i) => entry(walls, i)),
    )
  for (const draft of beams) standOnBeams(draft, drafts, draftsNear)
  standOnTips(beams, drafts, draftsNear)
}

function standOnColumns(draft: Draft, columns: readonly Column[], near: readonly number[]): void {
  for (const index of near) {
    const column = columns[index]
    if (!column) continue
    for (const s of feetAlong(draft.legs, column.at, onLine)) draft.supports.push({ s, on: 'column', index, at: 0 })
  }
}

function standOnWalls(draft: Draft, drafts: readonly Draft[], near: readonly number[]): void {
  for (const index of near) {
    const other = drafts[index]
    if (!other?.stretches) continue
    for (const { s, at } of placesOnWall(draft.legs, { legs: other.legs, stretches: other.stretches }))
      // a column there bears it
      if (!draft.supports.some((support) => support.on === 'column' && Math.abs(support.s - s) <= onLine))
        draft.supports.push({ s, on: 'beam', index, at })
  }
}

const freeEnds = (draft: Draft): readonly { readonly point: Point; readonly s: number }[] =>
  [
    { point: draft.a, s: 0 },
    { point: draft.b, s: draft.length },
  ].filter(({ s }) => !draft.supports.some((support) => Math.abs(support.s - s) <= onLine))

/** An end inside the length of another beam stands on it; of several, on the one with most columns, or on all that have as many. */
function standOnBeams(draft: Draft, drafts: readonly Draft[], near: Near): void {
  for (const { point, s } of freeEnds(draft)) {
    const under = near([point]).flatMap((index) => {
      const other = drafts[index]
      if (!other || other === draft) return []
      const at = insideOf(other, point, s === 0 ? draft.legs[0] : draft.legs.at(-1))
      return at === undefined ? [] : [{ other, index, at }]
    })
    for (const { index, at } of withMostColumns(under)) draft.supports.push({ s, on: 'beam', index, at })
  }
}

interface Under {
  readonly other: Draft
  readonly index: number
  readonly at: number
}

function withMostColumns(under: readonly Under[]): readonly Under[] {
  const most = largest(under.map(({ other }) => columnCount(other)))
  return under.filter(({ other }) => columnCount(other) === most)
}

const columnCount = (draft: Draft): number => draft.supports.filter(({ on }) => on === 'column').length

/** Where inside the length of a beam a point lies, for an end that comes to it in a piece of its own. */
function insideOf({ legs, length }: Draft, point: Point, coming: Leg | undefined): number | undefined {
  for (const leg of legs) {
    const { s, off } = project(leg.a, leg.b, point)
    const at = leg.from + s
    const within = s >= -onLine && s <= leg.length + onLine && at > onLine && at < length - onLine
    if (within && Math.abs(off) <= onLine && coming && !parallel(leg, coming)) return at
  }
  return undefined
}

/** Within a thousandth: a beam that runs along another does not stand on it. */
function parallel(p: Leg, q: Leg): boolean {
  const cross = (p.b[0] - p.a[0]) * (q.b[1] - q.a[1]) - (p.b[1] - p.a[1]) * (q.b[0] - q.a[0])
  return Math.abs(cross) < 1e-3 * p.length * q.length
}

const isFixedAt = ({ member, length }: Draft, s: number): boolean =>
  (s <= onLine && member.startRelease === 'fixed') || (s >= length - onLine && member.endRelease === 'fixed')

/** Two supports apart from each other, or one at an end that is held against turning. */
export function isStable(draft: Draft): boolean {
  if (draft.stretches) return true
  const stops = draft.supports.map(({ s }) => s).sort((p, q) => p - q)
  const [first, last] = [stops[0], stops.at(-1)]
  if (first === undefined || last === undefined) return false
  return last - first >= sameSupport ? standsApart(draft, stops) : isFixedAt(draft, first)
}

/** A bent beam may come back to where it began: each of its spans has ends apart in plan as well. */
const standsApart = ({ legs }: Draft, stops: readonly number[]): boolean =>
  legs.length === 1 ||
  stops.every((s, i) => {
    const before = stops[i - 1]
    return (
      before === undefined ||
      s - before < sameSupport ||
      distance(pointAlong(legs, before), pointAlong(legs, s)) >= sameSupport
    )
  })

/**
 * An end that meets the tip of a beam that stands by itself hangs on that tip (the edge beam of a balcony). In rounds: what stands
 * when a round begins decides, so that the order of the beams does not.
 */
function standOnTips(beams: readonly Draft[], drafts: readonly Draft[], near: Near): void {
  let waiting = beams.filter((draft) => !isStable(draft))
  for (let changed = true; changed;) {
    const hung = waiting.flatMap((draft) =>
      freeEnds(draft).flatMap((end) =>
        tipsAt(draft, end.point, drafts, near).map(({ index, at }) => ({
          draft,
          support: { s: end.s, on: 'beam', index, at } as const,
        })),
      ),
    )
    for (const { draft, support } of hung) draft.supports.push(support)
    waiting = waiting.filter((draft) => !isStable(draft))
    changed = hung.length > 0
  }
}

/** Tips at a point of beams that stand by themselves: those with most columns. */
function tipsAt(draft: Draft, point: Point, drafts: readonly Draft[], near: Near): readonly Under[] {
  const meets = (p: Point) => distance(p, point) <= onLine
  return withMostColumns(
    near([point]).flatMap((index): readonly Under[] => {
      const other = drafts[index]
      if (!other || other === draft || !isStable(other)) return []
      if (meets(other.a)) return [{ other, index, at: 0 }]
      return meets(other.b) ? [{ other, index, at: other.length }] : []
    }),
  )
}
