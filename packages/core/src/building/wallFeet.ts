import { splitStretch } from '../document/labels'
import type { Near } from '../geometry/nearby'
import { footOn, overlapOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { bearingAmong, bearersOf, type PlaceOnBeam } from './bearers'
import { groupsOf, placesOnWall, type Stretch } from './bearingWalls'
import { isHanger, type Column, type FramePlan, type Landing } from './frame'

/** The floor below, with what of it is near. */
export interface Ground {
  readonly frame: FramePlan
  readonly columnsNear: Near
  readonly beamsNear: Near
}

type Foot = Omit<Landing, 'row' | 'part'>

/** What is under a stretch, with the part of it that stands there before all parts are made to add up to 1. */
interface Under extends Foot {
  readonly weight: number
}

/** Where the stretches of walls stand, by their row: on what is under each, and over a gap on both sides of it, by lever. */
export function wallFeet(columns: readonly Column[], ground: Ground): ReadonlyMap<number, readonly Landing[]> {
  const walls = new Map<string, { row: number; stretch: Stretch }[]>()
  columns.forEach(({ member, stretch }, row) => {
    if (!stretch) return
    const [wall] = splitStretch(member.id)
    const known = walls.get(wall)
    if (known) known.push({ row, stretch })
    else walls.set(wall, [{ row, stretch }])
  })
  const found = new Map<number, readonly Landing[]>()
  for (const stretches of walls.values()) {
    const own = stretches.map(({ row, stretch }) => partsOf(underStretch(stretch, ground), row))
    stretches.forEach(({ row }, i) => {
      const landings = own[i] ?? []
      found.set(row, landings.length > 0 ? landings : overGap(stretches, own, i))
    })
  }
  return found
}

function partsOf(under: readonly Under[], row: number): readonly Landing[] {
  const whole = under.reduce((sum, { weight }) => sum + weight, 0)
  return under.map(({ weight, ...foot }) => ({ ...foot, row, part: weight / whole }))
}

/** The nearest stretches of the same wall on both sides that stand, each by the distance of the other; none at an end that hangs over. */
function overGap(
  stretches: readonly { readonly row: number; readonly stretch: Stretch }[],
  own: readonly (readonly Landing[])[],
  i: number,
): readonly Landing[] {
  const stands = (landings: readonly Landing[]): boolean => landings.length > 0
  const before = own.slice(0, i).findLastIndex(stands)
  const next = own.slice(i).findIndex(stands)
  if (before < 0 || next < 0) return []
  const after = i + next
  const middle = (k: number) => {
    const stretch = stretches[k]?.stretch
    return stretch ? (stretch.s0 + stretch.s1) / 2 : 0
  }
  const onAfter = (middle(i) - middle(before)) / (middle(after) - middle(before))
  const row = stretches[i]?.row ?? 0
  const sides = [
    [own[before] ?? [], 1 - onAfter],
    [own[after] ?? [], onAfter],
  ] as const
  return sides.flatMap(([landings, side]) => landings.map((one) => ({ ...one, row, part: one.part * side })))
}

/**
 * Walls under a stretch, each by the length that stands on it; else columns, place by place, which bear what ends on them too; else
 * beams along it by their length, the sound ones if there are any; else the beams that cross it, place by place.
 */
function underStretch(stretch: Stretch, { frame, columnsNear, beamsNear }: Ground): readonly Under[] {
  const { a, b } = stretch
  const near = columnsNear([a, b])
  const walls = near.flatMap((index): readonly Under[] => {
    const under = frame.columns[index]?.stretch
    const overlap = under && overlapOn(a, b, under.a, under.b, onLine)
    return overlap ? [{ on: 'column', index, s: 0, weight: overlap.to - overlap.from }] : []
  })
  if (walls.length > 0) return walls
  const columns = near.flatMap((index): readonly Met[] => {
    const column = frame.columns[index]
    const along = column && !column.stretch && !isHanger(column) ? footOn(a, b, column.at, onLine) : undefined
    return along === undefined ? [] : [{ on: 'column', index, s: 0, along }]
  })
  if (columns.length > 0) return placeByPlace(columns, (met) => met)
  const beams = beamsNear([a, b])
  const along = beamsAlong(stretch, frame, beams)
  return along.length > 0 ? along : placeByPlace(beamsAcross(stretch, frame, beams), bearingAmong)
}

/** What meets a stretch at a point, m along it. */
interface Met extends Foot {
  readonly along: number
}

/** Places take alike, however many things are met at each; of a place those take that bear there. */
function placeByPlace<M extends Met>(
  met: readonly M[],
  bears: (there: readonly M[]) => readonly M[],
): readonly Under[] {
  const rising = [...met].sort((p, q) => p.along - q.along)
  return groupsOf(rising, ({ along }) => along, onLine).flatMap((there) => {
    const takers = bears(there)
    return takers.map(({ on, index, s }) => ({ on, index, s, weight: 1 / takers.length }))
  })
}

function beamsAlong({ a, b }: Stretch, frame: FramePlan, beams: readonly number[]): readonly Under[] {
  const bearers = bearersOf(frame)
  const under = beams.flatMap((index) =>
    (frame.beams[index]?.legs ?? []).flatMap((leg) => {
      const overlap = overlapOn(leg.a, leg.b, a, b, onLine)
      if (!overlap) return []
      const s = leg.from + (overlap.from + overlap.to) / 2
      return [{ on: 'beam', index, s, weight: overlap.to - overlap.from } as const]
    }),
  )
  const sound = under.filter(({ index }) => bearers[index]?.sound)
  return sound.length > 0 ? sound : under
}

function beamsAcross(
  { a, b, s0, s1 }: Stretch,
  frame: FramePlan,
  beams: readonly number[],
): readonly (Met & PlaceOnBeam)[] {
  const bearers = bearersOf(frame)
  const leg = { a, b, from: 0, length: s1 - s0 }
  const own = { legs: [leg], stretches: [{ a, b, s0: 0, s1: leg.length }] }
  return beams.flatMap((index) => {
    const [beam, ofBeam] = [frame.beams[index], bearers[index]]
    if (!beam || !ofBeam) return []
    return placesOnWall(beam.legs, own).map(
      ({ s, at }) => ({ on: 'beam', index, s, along: at, bearer: ofBeam }) as const,
    )
  })
}
