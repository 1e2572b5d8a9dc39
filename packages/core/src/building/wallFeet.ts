import { splitStretch } from '../document/labels'
import type { Near } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { footOn, overlapOn } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { placesOnWall, type Stretch } from './bearingWalls'
import { isHanger, type Column, type FramePlan, type Landing } from './frame'

/** The floor below, with what of it is near. */
export interface Ground {
  readonly frame: FramePlan
  readonly columnsNear: Near
  readonly beamsNear: Near
}

type Foot = Omit<Landing, 'row' | 'part'>

/** What is under a stretch, with the length of it that stands there; 0 for what is met at a point. */
interface Under extends Foot {
  readonly length: number
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

/** Each takes by the length that stands on it; things met at points share equally where nothing is under the length of it. */
function partsOf(under: readonly Under[], row: number): readonly Landing[] {
  const along = under.filter(({ length }) => length > 0)
  const takers = along.length > 0 ? along : under.map((one) => ({ ...one, length: 1 }))
  const whole = takers.reduce((sum, { length }) => sum + length, 0)
  return takers.map(({ length, ...foot }) => ({ ...foot, row, part: length / whole }))
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

/** Walls under a stretch; else columns, which bear what ends on them too; else beams, those along it by their length. */
function underStretch({ a, b, s0, s1 }: Stretch, { frame, columnsNear, beamsNear }: Ground): readonly Under[] {
  const ends: readonly Point[] = [a, b]
  const near = columnsNear(ends)
  const walls = near.flatMap((index): readonly Under[] => {
    const stretch = frame.columns[index]?.stretch
    const overlap = stretch && overlapOn(a, b, stretch.a, stretch.b, onLine)
    return overlap ? [{ on: 'column', index, s: 0, length: overlap.to - overlap.from }] : []
  })
  if (walls.length > 0) return walls
  const columns = near.flatMap((index): readonly Under[] => {
    const column = frame.columns[index]
    if (!column || column.stretch || isHanger(column) || footOn(a, b, column.at, onLine) === undefined) return []
    return [{ on: 'column', index, s: 0, length: 0 }]
  })
  if (columns.length > 0) return columns
  const leg = { a, b, from: 0, length: s1 - s0 }
  return beamsNear(ends).flatMap((index): readonly Under[] => {
    const beam = frame.beams[index]
    if (!beam) return []
    const along = beam.legs.flatMap((under): readonly Under[] => {
      const overlap = overlapOn(under.a, under.b, a, b, onLine)
      if (!overlap) return []
      return [{ on: 'beam', index, s: under.from + (overlap.from + overlap.to) / 2, length: overlap.to - overlap.from }]
    })
    if (along.length > 0) return along
    const crossed = placesOnWall(beam.legs, { legs: [leg], stretches: [{ a, b, s0: 0, s1: leg.length }] })
    return crossed.map(({ s }) => ({ on: 'beam', index, s, length: 0 }))
  })
}
