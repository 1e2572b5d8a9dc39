import { pushAll } from '../outcome/lists'
import { stripOutline, type PanelPlan } from '../building/panelRegions'
import type { Point } from '../geometry/point'
import { contains, eachEdge, nearestOnBorder, type Region } from '../geometry/polygon'
import { along, distance, passing, project } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'

/** A panel under a load, and where on the panel a place of the load stands. */
export interface PanelUnder {
  readonly plan: PanelPlan
  readonly placed: (at: Point) => Point
}

/** On the border itself, but for what turning and adding lengths leaves behind. */
const onBorder = 1e-6

/** A line that is meant to run along a border, but misses it, is at no greater angle to it (5 degrees). */
const askew = (5 * Math.PI) / 180

/**
 * The panels in which a point lies; on a border that panels share, those on both sides. Where there is none, the panels
 * that it misses by no more than the tolerance of a drawing take it, on their border.
 */
export function panelsUnderPoint(at: Point, panels: readonly PanelPlan[]): readonly PanelUnder[] {
  const inside = within([at], panels)
  if (inside.length > 0) return inside
  return panels.flatMap((plan): PanelUnder[] => {
    const nearest = nearestOnBorder(stripOutline(plan), at)
    return nearest.off <= onLine ? [{ plan, placed: () => nearest.at }] : []
  })
}

/**
 * The same for a stretch a–b that ends at every stop (see `stopsAt`): beside all panels, those along whose border it runs take
 * it. So a line may be cut anywhere: no part of it goes to a panel that the whole would not have gone to.
 */
export function panelsUnderStretch(a: Point, b: Point, panels: readonly PanelPlan[]): readonly PanelUnder[] {
  const length = distance(a, b)
  // two places say it: a stretch between borders may pass a corner without going in
  const inside = within(
    [0.25, 0.75].map((part) => along(a, b, part * length)),
    panels,
  )
  if (inside.length > 0) return inside
  return panels.flatMap((plan): PanelUnder[] => {
    const edge = edgeAlong(stripOutline(plan), a, b)
    return edge ? [{ plan, placed: (at) => along(...edge, heldOn(edge, at)) }] : []
  })
}

const within = (places: readonly Point[], panels: readonly PanelPlan[]): readonly PanelUnder[] =>
  panels
    .filter((plan) => places.every((at) => meets(stripOutline(plan), at)))
    .map((plan) => ({ plan, placed: (at) => into(stripOutline(plan), at) }))

const into = (region: Region, at: Point): Point => (contains(region, at) ? at : nearestOnBorder(region, at).at)

const meets = (region: Region, at: Point): boolean =>
  contains(region, at) || nearestOnBorder(region, at).off <= onBorder

type Sides = readonly [Point, Point]

const heldOn = ([p, q]: Sides, at: Point): number => Math.min(Math.max(project(p, q, at).s, 0), distance(p, q))

/** The edge beside which a stretch runs, within the tolerance of a drawing. */
function edgeAlong(region: Region, a: Point, b: Point): Sides | undefined {
  const middle = along(a, b, distance(a, b) / 2)
  let found: Sides | undefined
  for (const ring of region)
    eachEdge(ring, (p, q) => {
      if (!found && isAskew(a, b, p, q) && isBeside(p, q, middle)) found = [p, q]
    })
  return found
}

function isBeside(p: Point, q: Point, at: Point): boolean {
  const { s, off } = project(p, q, at)
  return Math.abs(off) <= onLine && s > 0 && s < distance(p, q)
}

function isAskew(a: Point, b: Point, p: Point, q: Point): boolean {
  const across = (b[0] - a[0]) * (q[1] - p[1]) - (b[1] - a[1]) * (q[0] - p[0])
  return Math.abs(across) <= Math.sin(askew) * distance(a, b) * distance(p, q)
}

/**
 * Where along a–b another panel may count: where it crosses a border, passes a corner, or comes so near to an edge that it runs
 * along it.
 */
export function stopsAt(a: Point, b: Point, region: Region): readonly number[] {
  const length = distance(a, b)
  const found: number[] = []
  for (const ring of region)
    eachEdge(ring, (p, q) => {
      const from = project(a, b, p)
      const to = project(a, b, q)
      if (Math.abs(from.off) <= onLine) found.push(from.s)
      pushAll(found, passing(from, to))
      if (isAskew(a, b, p, q)) pushAll(found, besideStops(a, b, p, q))
    })
  return found.filter((s) => s > 0 && s < length)
}

/** Where a–b comes to lie beside the edge p–q, or leaves it: square to the edge's ends, and at the tolerance from it. */
function besideStops(a: Point, b: Point, p: Point, q: Point): readonly number[] {
  const [start, end] = [project(p, q, a), project(p, q, b)]
  const reached = (from: number, to: number, value: number) =>
    from > value !== to > value ? [(distance(a, b) * (from - value)) / (from - to)] : []
  return [
    ...[0, distance(p, q)].flatMap((value) => reached(start.s, end.s, value)),
    ...[onLine, -onLine].flatMap((value) => reached(start.off, end.off, value)),
  ]
}
