import type { Point } from '../geometry/point'
import type { Region } from '../geometry/polygon'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import { entry } from '../outcome/assert'
import { addTo } from './entries'
import type { Rest, Row } from './rests'

/** Corners at which a plate bends without bound: those that turn into the region by more than a few degrees. */
export function reentrant(region: Region): readonly Point[] {
  const found: Point[] = []
  for (const ring of region)
    ring.forEach((at, i) => {
      const [before, after] = [entry(ring, (i + ring.length - 1) % ring.length), entry(ring, (i + 1) % ring.length)]
      const [ax, ay, bx, by] = [at[0] - before[0], at[1] - before[1], after[0] - at[0], after[1] - at[1]]
      // outlines go counter-clockwise and openings the other way round: a turn to the right is one into the region
      if (ax * by - ay * bx < -straight * Math.hypot(ax, ay) * Math.hypot(bx, by)) found.push(at)
    })
  return found
}

/** Sine of the angle below which a border runs on straight (6 degrees). */
const straight = 0.1

/**
 * Rests near a corner that turns into the region as one with the rest at the corner. What a thin plate presses on beams there has no
 * bound: towards the corner it pulls and towards the support under it presses, without end, while their sum settles. Within the
 * thickness of the plate the theory says nothing, so forces are told apart beyond it only. Force and moments stay.
 */
export function gathered(rests: readonly Rest[], region: Region, within: number): readonly Rest[] {
  const corners = reentrant(region)
  if (corners.length === 0) return rests
  const into = new Map<Rest, Rest[]>()
  const gone = new Set<Rest>()
  for (const corner of corners) {
    const atCorner = rests.filter((rest) => !gone.has(rest) && distance(rest.at, corner) <= onLine)
    const columns = atCorner.filter(({ ownNode }) => ownNode !== null)
    const ends = columns.length > 0 ? columns : atCorner.filter(({ spread }) => spread === null)
    // columns that share a place share this, too: each has its part of the whole
    const heirs = ends.filter(({ part }, i) => i === 0 || part < 1)
    if (heirs.length === 0) continue
    const near = rests.filter((rest) => !heirs.includes(rest) && !gone.has(rest) && distance(rest.at, corner) <= within)
    for (const rest of near) gone.add(rest)
    for (const heir of heirs) into.set(heir, near)
  }
  return rests.flatMap((rest) => (gone.has(rest) ? [] : [withNear(rest, into.get(rest) ?? [])]))
}

function withNear(rest: Rest, near: readonly Rest[]): Rest {
  if (near.length === 0) return rest
  const [row, x, y] = [new Map(rest.row), new Map(rest.couple[0]), new Map(rest.couple[1])]
  const add = (to: Map<number, number>, from: Row, factor: number) => {
    for (const [unknown, value] of from) addTo(to, unknown, factor * value)
  }
  for (const other of near) {
    add(row, other.row, 1)
    const [dx, dy] = [other.at[0] - rest.at[0], other.at[1] - rest.at[1]]
    add(x, other.couple[0], 1)
    add(x, other.row, dx)
    add(y, other.couple[1], 1)
    add(y, other.row, dy)
  }
  return { ...rest, row, couple: [x, y] }
}
