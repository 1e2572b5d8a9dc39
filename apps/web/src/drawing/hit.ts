import { contains, distance, project, type Point, largest, smallest } from '@hedrion/core'
import type { Target } from './scene'
import { toScreen, type Viewport } from './viewport'

/** Pixels within which a click meets a point or a line. */
const reach = 8

/** Small things lie over large ones: points first, then lines, then areas, the last drawn on top. */
export function hit(targets: readonly Target[], view: Viewport, at: Point): Target | undefined {
  const near = targets
    .map((target) => ({ target, off: offOf(target, view, at) }))
    .filter(({ off, target }) => (target.shape.kind === 'area' ? off === 0 : off <= reach))
  const rank = { point: 0, path: 1, area: 2 } as const
  near.sort(
    (p, q) =>
      rank[p.target.shape.kind] - rank[q.target.shape.kind] || p.off - q.off || sizeOf(p.target) - sizeOf(q.target),
  )
  return near[0]?.target
}

function offOf({ shape }: Target, view: Viewport, at: Point): number {
  if (shape.kind === 'point') return distance(toScreen(view, shape.at), at)
  if (shape.kind === 'path')
    return offPath(
      shape.points.map((point) => toScreen(view, point)),
      at,
    )
  const region = shape.region.map((ring) => ring.map((point) => toScreen(view, point)))
  return contains(region, at) ? 0 : Infinity
}

function offPath(points: readonly Point[], at: Point): number {
  let least = Infinity
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1], points[i]]
    if (!a || !b) continue
    const { s, off } = project(a, b, at)
    const length = distance(a, b)
    const beyond = s < 0 ? -s : s > length ? s - length : 0
    least = Math.min(least, Math.hypot(off, beyond))
  }
  return least
}

/** Of areas that lie on one another the smaller is meant. */
function sizeOf({ shape }: Target): number {
  if (shape.kind !== 'area') return 0
  const xs = shape.region.flat().map(([x]) => x)
  const ys = shape.region.flat().map(([, y]) => y)
  return (largest(xs) - smallest(xs)) * (largest(ys) - smallest(ys))
}

export const middleOf = ({ shape }: Target): Point => {
  const points = shape.kind === 'point' ? [shape.at] : shape.kind === 'path' ? shape.points : shape.region.flat()
  const n = points.length || 1
  return [points.reduce((sum, [x]) => sum + x, 0) / n, points.reduce((sum, [, y]) => sum + y, 0) / n]
}

/** Where picking by keys begins: the column farthest down and left. */
export function firstTarget(targets: readonly Target[]): Target | undefined {
  const cost = (target: Target) => middleOf(target)[0] + middleOf(target)[1]
  return targets
    .filter(({ kind }) => kind === 'column')
    .reduce<Target | undefined>((best, target) => (!best || cost(target) < cost(best) ? target : best), undefined)
}

/** The nearest other target in a direction, for the arrow keys; what lies straight ahead is preferred. */
export function neighbour(targets: readonly Target[], from: Target, [dx, dy]: Point): Target | undefined {
  const start = middleOf(from)
  let best: { target: Target; cost: number } | undefined
  for (const target of targets) {
    if (target.id === from.id || target.kind !== from.kind) continue
    const [x, y] = middleOf(target)
    const ahead = (x - start[0]) * dx + (y - start[1]) * dy
    const aside = Math.abs((x - start[0]) * dy - (y - start[1]) * dx)
    if (ahead <= 0.01 || aside > 2 * ahead) continue
    const cost = ahead + 2 * aside
    if (!best || cost < best.cost) best = { target, cost }
  }
  return best?.target
}
