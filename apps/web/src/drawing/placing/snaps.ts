import { distance, gridCrossings, type FloorView, type GridLine, type Point } from '@hedrion/core'

/** Points of a plan that a drawn point may fall on: crossings of grid lines, ends of members, corners of outlines. */
export function snapPoints(floor: FloorView | null | undefined, grid: readonly GridLine[]): readonly Point[] {
  const all: Point[] = [
    ...gridCrossings(grid),
    ...(floor?.columns ?? []).map(({ at }) => at),
    ...(floor?.beams ?? []).flatMap(({ path }) => path),
    ...(floor?.regions ?? []).flatMap(({ region }) => region.flat()),
    ...(floor?.openings ?? []).flatMap(({ outline }) => outline),
  ]
  const seen = new Set<string>()
  return all.filter(([x, y]) => {
    const key = `${x.toFixed(3)} ${y.toFixed(3)}`
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}

/** The snap within a reach, or the point itself rounded to 0.1 m. */
export function snapped(at: Point, snaps: readonly Point[], reach: number): Point {
  let best: Point | undefined
  for (const snap of snaps)
    if (distance(snap, at) <= reach && (!best || distance(snap, at) < distance(best, at))) best = snap
  return best ?? [Math.round(at[0] * 10) / 10, Math.round(at[1] * 10) / 10]
}

/** Where a drawing by keys begins: the snap farthest down and left. */
export const firstSnap = (snaps: readonly Point[]): Point =>
  snaps.reduce<Point | undefined>(
    (best, at) => (!best || at[0] + at[1] < best[0] + best[1] ? at : best),
    undefined,
  ) ?? [0, 0]

/** The next snap in a direction; what lies straight ahead is preferred. */
export function nextSnap(from: Point, [dx, dy]: Point, snaps: readonly Point[]): Point {
  let best: { readonly at: Point; readonly cost: number } | undefined
  for (const at of snaps) {
    const ahead = (at[0] - from[0]) * dx + (at[1] - from[1]) * dy
    const aside = Math.abs((at[0] - from[0]) * dy - (at[1] - from[1]) * dx)
    if (ahead <= 1e-6) continue
    const cost = ahead + 4 * aside
    if (!best || cost < best.cost) best = { at, cost }
  }
  return best?.at ?? from
}
