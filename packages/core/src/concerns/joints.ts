import { pushAll } from '../outcome/lists'
import { isBent, pointsOfBeam, type Beam, type FramePlan } from '../building/frame'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { once } from '../outcome/once'
import { together, type Piece, type Together } from '../geometry/crowds'
import { nearby, type Near } from '../geometry/nearby'
import { entry } from '../outcome/assert'
import type { Point } from '../geometry/point'
import { feetAlong, type Leg } from '../geometry/course'
import { along, distance, overlapOn, project } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'

/** An end that misses by more than the tolerance and less than this was meant to meet (10 cm; common practice). */
const missed = 0.1

/** Members lie on each other where they share more than this: less is an overlap of drawing by hand (10 cm). */
const shared = 0.1

type Found = Omit<Concern, 'data'> & { readonly data: (label: (id: string) => string) => Concern['data'] }

/** A frame is looked through once: an edit of a load keeps it. */
const foundIn = once((frame: FramePlan): readonly Found[] => [...doubledAndCrossing(frame), ...nearMisses(frame)])

/** Members drawn twice, ends that just miss what they were to stand on, and beams that cross without a joint. */
export function jointConcerns({ document, floors }: ProjectState): readonly Concern[] {
  const frames = new Map(floors.map(({ floor, operator }) => [floor.layoutId, operator.plan.frame]))
  const label = (id: string) => labelOf(document, id)
  return [...frames.values()].flatMap((frame) =>
    foundIn(frame).map((found): Concern => ({ ...found, data: found.data(label) })),
  )
}

/** Every pair of beams that come near each other is looked at once; there are many, and most meet end to end. */
function doubledAndCrossing(frame: FramePlan): readonly Found[] {
  const { beams, columns } = frame
  const { firsts, copies } = withoutCopies(beams)
  const { pairs, crowds } = together(
    firsts.flatMap((i) => entry(beams, i).legs.map(({ a, b }): Piece => ({ of: i, a, b }))),
  )
  const onColumn = nearby(columns.map(({ at }) => [at]))
  const found: Found[] = []
  for (const [i, k] of [...copies, ...pairs].sort(([p, q], [r, t]) => p - r || q - t)) {
    const [first, second] = [entry(beams, i), entry(beams, k)]
    if (!meetEndToEnd(first, second))
      pushAll(found, [...doubled(first, second), ...crosses(first, second, columns, onColumn)])
  }
  return [...found, ...crowded(beams, crowds)]
}

/** Beams drawn again at the same place stand for one, each beside the first: all pairs of many copies would say no more. */
function withoutCopies(beams: readonly Beam[]) {
  const at = new Map<string, number>()
  const copies: (readonly [number, number])[] = []
  const firsts = beams.flatMap((beam, i) => {
    const points = pointsOfBeam(beam).map(([x, y]) => `${Math.round(x / onLine)} ${Math.round(y / onLine)}`)
    const place = points.join() < [...points].reverse().join() ? points.join() : [...points].reverse().join()
    const first = at.get(place)
    if (first === undefined) {
      at.set(place, i)
      return [i]
    }
    copies.push([first, i])
    return []
  })
  return { firsts, copies }
}

const endsAt = ({ a, b }: Beam, { at, size }: Together['crowds'][number]): boolean =>
  distance(a, at) <= size || distance(b, at) <= size

/** Records that a concern points at, at most. */
const mostAbout = 20

/** The place where most pass; the cells beside it say the same. Those that end there, as rafters at the post of a round roof, cross nothing. */
function crowded(beams: readonly Beam[], crowds: Together['crowds']): readonly Found[] {
  const [densest] = crowds
    .map((place) => ({ ...place, of: place.of.filter((i) => !endsAt(entry(beams, i), place)) }))
    .filter(({ of }) => of.length > 1)
    .sort((p, q) => q.of.length - p.of.length || p.at[0] - q.at[0] || p.at[1] - q.at[1])
  if (!densest) return []
  const about = densest.of.map((i) => entry(beams, i).member.id)
  const data = () => ({ count: about.length, size: densest.size, x: densest.at[0], y: densest.at[1] })
  return [{ code: 'member.crowd', about: about.slice(0, mostAbout), data }]
}

const meetEndToEnd = (first: Beam, second: Beam): boolean =>
  !isBent(first) &&
  !isBent(second) &&
  (goApart(first.a, first.b, second.a, second.b) ||
    goApart(first.a, first.b, second.b, second.a) ||
    goApart(first.b, first.a, second.a, second.b) ||
    goApart(first.b, first.a, second.b, second.a))

/** From one point to different sides: they neither lie on each other nor cross. */
const goApart = (a: Point, u: Point, b: Point, v: Point): boolean =>
  Math.abs(a[0] - b[0]) <= onLine &&
  Math.abs(a[1] - b[1]) <= onLine &&
  (u[0] - a[0]) * (v[0] - b[0]) + (u[1] - a[1]) * (v[1] - b[1]) <= 0

function doubled(first: Beam, second: Beam): readonly Found[] {
  const length = sharedLength(first, second)
  if (length <= shared) return []
  const whole = length >= Math.max(first.length, second.length) - 2 * onLine
  const [a, b] = [first.member.id, second.member.id]
  const data = (label: (id: string) => string) => ({
    a: label(a),
    b: label(b),
    length,
    whole: Number(whole),
  })
  return [{ code: 'member.doubled', about: [a, b], data }]
}

/** How much of two beams lies on each other, piece by piece. */
const sharedLength = (first: Beam, second: Beam): number =>
  first.legs.reduce(
    (sum, p) =>
      second.legs.reduce((within, q) => {
        const overlap = overlapOn(p.a, p.b, q.a, q.b, onLine)
        return overlap ? within + overlap.to - overlap.from : within
      }, sum),
    0,
  )

interface Target {
  readonly id: string
  readonly at: Point
  readonly gap: number
}

interface LooseEnd {
  readonly beam: Beam
  readonly index: number
  readonly end: 'start' | 'end'
  readonly at: Point
}

const isLoose = ({ supports, length }: Beam, s: number): boolean =>
  length >= onLine && !supports.some((support) => Math.abs(support.s - s) <= onLine)

const looseEnds = ({ beams }: FramePlan): readonly LooseEnd[] =>
  beams.flatMap((beam, index): LooseEnd[] => [
    ...(isLoose(beam, 0) ? [{ beam, index, end: 'start' as const, at: beam.a }] : []),
    ...(isLoose(beam, beam.length) ? [{ beam, index, end: 'end' as const, at: beam.b }] : []),
  ])

/** What an end could have been meant to meet: columns, ends of beams, then their lines; the nearest of the first kind. */
function nearMisses(frame: FramePlan): readonly Found[] {
  const { beams, columns } = frame
  const ends = looseEnds(frame)
  if (ends.length === 0) return []
  const columnsNear = nearby(
    columns.map(({ at }) => [at]),
    missed,
  )
  const beamsNear = nearby(beams.map(pointsOfBeam), missed)
  return ends.flatMap(({ beam, index, end, at }): Found[] => {
    const others = beamsNear([at]).flatMap((k) => (k === index ? [] : (beams[k] ?? [])))
    if (others.some((other) => meets(other, at))) return []
    const targets: readonly (readonly Target[])[] = [
      columnsNear([at]).flatMap((k) => targetsOf(columns[k]?.member.id, [columns[k]?.at], at)),
      others.flatMap(({ member, a, b }) => targetsOf(member.id, [a, b], at)),
      others.flatMap((other) => targetsOf(other.member.id, [footInside(other, at)], at)),
    ]
    const [target] = targets.map(nearest).filter((found) => found !== undefined)
    if (!target) return []
    const data = (label: (id: string) => string) => ({
      label: label(beam.member.id),
      other: label(target.id),
      gap: target.gap,
      end,
      x: target.at[0],
      y: target.at[1],
    })
    return [{ code: 'member.near-miss', about: [beam.member.id, target.id], data }]
  })
}

const meets = ({ legs }: Beam, point: Point): boolean => feetAlong(legs, point, onLine).length > 0

/** The foot of a point on the line of a beam, inside the piece that is nearest. */
function footInside({ legs }: Beam, point: Point): Point | undefined {
  const feet = legs.flatMap(({ a, b, length }) => {
    const { s, off } = project(a, b, point)
    return s > 0 && s < length ? [{ at: along(a, b, s), off: Math.abs(off) }] : []
  })
  return feet.sort((p, q) => p.off - q.off)[0]?.at
}

const targetsOf = (id: string | undefined, points: readonly (Point | undefined)[], end: Point): readonly Target[] =>
  points.flatMap((at): Target[] => {
    const gap = at ? distance(at, end) : Infinity
    return id !== undefined && at && gap > onLine && gap <= missed ? [{ id, at, gap }] : []
  })

const nearest = (targets: readonly Target[]): Target | undefined =>
  targets.reduce<Target | undefined>((best, target) => (best && best.gap <= target.gap ? best : target), undefined)

function crosses(first: Beam, second: Beam, columns: FramePlan['columns'], onColumn: Near): readonly Found[] {
  const [a, b] = [first.member.id, second.member.id]
  return crossingsOf(first, second)
    .filter((at) => !onColumn([at]).some((i) => distance(entry(columns, i).at, at) <= onLine))
    .map((at) => {
      const data = (label: (id: string) => string) => ({ a: label(a), b: label(b), x: at[0], y: at[1] })
      return { code: 'member.crossing', about: [a, b], data }
    })
}

/** Where two beams cross inside both, piece by piece. */
const crossingsOf = (first: Beam, second: Beam): readonly Point[] =>
  first.legs.flatMap((p) =>
    second.legs.flatMap((q) => {
      const at = crossing(p, q)
      return at ? [at] : []
    }),
  )

/** Where two pieces cross inside both; none where one ends on the other. */
function crossing(first: Leg, second: Leg): Point | undefined {
  const [from, to] = [project(first.a, first.b, second.a), project(first.a, first.b, second.b)]
  if (Math.abs(from.off) <= onLine || Math.abs(to.off) <= onLine || from.off > 0 === to.off > 0) return undefined
  const s = from.s + ((to.s - from.s) * from.off) / (from.off - to.off)
  return s > onLine && s < first.length - onLine ? along(first.a, first.b, s) : undefined
}
