import { largest, pushAll } from '../outcome/lists'
import { entry } from '../outcome/assert'
import { stripOutline, type PanelPlan } from '../building/panelRegions'
import type { Point } from '../geometry/point'
import { contains, eachEdge, nearestOnBorder, type Region } from '../geometry/polygon'
import { along, distance, passing, project } from '../geometry/segment'
import { samePoint } from '../geometry/tolerance'
import { limitsOn, sparesOn } from './ground'
import { angleTo, usualLimits, type Carrier, type Limits } from './rails'
import { sitesWithin } from './sites'

/**
 * Whether a member supports a panel: it does; it lies too far off it; it runs along the span; the panel spares it; it takes no load
 * at all; it is a member in space, as bracing is, which bears itself alone.
 */
export type Verdict = 'counts' | 'offPanel' | 'alongSpan' | 'spared' | 'takesNone' | 'inSpace'

/** A stretch of a member that lies on a panel, or so near to it that the limits decide. */
export interface Candidate {
  readonly member: string
  readonly a: Point
  readonly b: Point
  readonly verdict: Verdict
  /** How far off the panel the stretch lies where it is farthest, m; 0 on it. Of a member in space: off its plane. */
  readonly off: number
  /** Angle to the span, 0 to π/2; null where the rule has no span. */
  readonly angle: number | null
}

/** What is shorter beside a panel only ends there, m. */
export const shortestMeant = 0.3

/** Off by more than this times the reach, and by more than 100 mm, nobody meant it as a support. */
const farther = 10

/**
 * Every member at a panel, and what the limits of its supports make of it. A panel that goes to its corners has none: what stands
 * under these is all that counts.
 */
export function candidatesOf(
  plan: PanelPlan,
  limits: Limits,
  carriers: readonly Carrier[],
  takesLoad: (member: string) => boolean,
): readonly Candidate[] {
  const { panel, outline } = plan
  if (panel.sharing === 'corners') return []
  const own = limitsOn(panel, limits)
  const spares = sparesOn(panel, own)
  return carriers.flatMap((carrier): readonly Candidate[] => {
    const { member, bent } = carrier
    const angle = panel.sharing === 'oneWay' ? angleTo(carrier, panel.spanAngle) : null
    const isAlong = angle !== null && angle < own.along && !bent
    const stretches =
      angle === null || isAlong
        ? stretchesAt(outline, carrier, own.reach)
        : stretchesMet(stripOutline(plan), carrier, own.reach, panel.spanAngle)
    return stretches.map(({ a, b, within }) => {
      const verdict = !takesLoad(member)
        ? 'takesNone'
        : spares(carrier)
          ? 'spared'
          : !within
            ? 'offPanel'
            : isAlong
              ? 'alongSpan'
              : 'counts'
      return { member, a, b, verdict, off: offOf(outline, a, b), angle }
    })
  })
}

/** A member in space over or under a panel: its axis in plan, and how far its ends are off the plane of the roof or floor there, m. */
export interface Brace {
  readonly member: string
  readonly a: Point
  readonly b: Point
  readonly off: number
}

/** Bracing lies under what it braces by the depth of that at most; what is farther off is no matter of the panel. */
const bracingOff = 0.5

/** Bracing in the plane of a panel, which takes none of its load. */
export function bracingOf({ outline }: PanelPlan, braces: readonly Brace[]): readonly Candidate[] {
  return braces.flatMap(({ member, a, b, off }): readonly Candidate[] => {
    if (off > bracingOff) return []
    const carrier: Carrier = { member, a, b, from: 0, bent: false }
    return stretchesAt(outline, carrier, usualLimits.reach).flatMap(({ a: from, b: to, within }) =>
      within && isMeant(carrier, from, to)
        ? [{ member, a: from, b: to, verdict: 'inSpace', off: off < samePoint ? 0 : off, angle: null }]
        : [],
    )
  })
}

interface Stretch {
  readonly a: Point
  readonly b: Point
  /** Within the reach; else only near. */
  readonly within: boolean
}

const nearOf = (reach: number): number => Math.max(0.1, farther * reach)

/** Whether a stretch beside a panel is long enough to have been meant. */
const isMeant = (carrier: Carrier, a: Point, b: Point): boolean =>
  distance(a, b) > Math.min(shortestMeant, distance(carrier.a, carrier.b) / 2)

/** By the way off the border, as what is nearest is found. */
function stretchesAt(outline: Region, carrier: Carrier, reach: number): readonly Stretch[] {
  const within = sitesWithin(outline, [carrier], reach)
  if (within.length > 0) return within.map(({ a, b }) => ({ a, b, within: true }))
  return sitesWithin(outline, [carrier], nearOf(reach)).flatMap(({ a, b }) =>
    isMeant(carrier, a, b) ? [{ a, b, within: false }] : [],
  )
}

/** By the way off the border along the span, as strips meet their supports. */
function stretchesMet(outline: Region, carrier: Carrier, reach: number, way: number): readonly Stretch[] {
  const { a, b } = carrier
  const length = distance(a, b)
  const moved = ([x, y]: Point, by: number): Point => [x + by * Math.cos(way), y + by * Math.sin(way)]
  const shifts = [0, reach, -reach, nearOf(reach), -nearOf(reach)]
  const stops = [0, length]
  for (const ring of outline)
    eachEdge(ring, (p, q) => {
      for (const by of shifts) {
        const [from, to] = [project(a, b, moved(p, by)), project(a, b, moved(q, by))]
        pushAll(stops, [from.s, ...passing(from, to)])
      }
    })
  const rising = stops.filter((s) => s >= 0 && s <= length).sort((s, t) => s - t)
  const isMet = (at: Point, by: number) => [0, by, -by].some((shift) => contains(outline, moved(at, shift)))
  const found: Stretch[] = []
  rising.slice(1).forEach((to, i) => {
    const from = entry(rising, i)
    const middle = along(a, b, (from + to) / 2)
    const within = isMet(middle, reach)
    if (to - from < samePoint || (!within && !isMet(middle, nearOf(reach)))) return
    const start = along(a, b, from)
    const before = found.at(-1)
    const goesOn = before?.within === within && distance(before.b, start) < samePoint
    if (goesOn) found[found.length - 1] = { ...before, b: along(a, b, to) }
    else found.push({ a: start, b: along(a, b, to), within })
  })
  return found.filter((stretch) => stretch.within || isMeant(carrier, stretch.a, stretch.b))
}

function offOf(outline: Region, a: Point, b: Point): number {
  const places = [a, along(a, b, distance(a, b) / 2), b]
  const offs = places.map((at) => (contains(outline, at) ? 0 : nearestOnBorder(outline, at).off))
  const most = largest(offs)
  return most < samePoint ? 0 : most
}
