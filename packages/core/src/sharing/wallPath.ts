import { entry } from '../outcome/assert'
import { stripOutline, type PanelPlan } from '../building/panelRegions'
import type { WallSegment } from '../building/wallSegments'
import type { Point } from '../geometry/point'
import { meanOf } from '../geometry/polygon'
import { along, distance, overlapOn, project } from '../geometry/segment'
import { onLine, samePoint } from '../geometry/tolerance'
import { feetBearing } from './feetUnder'
import { groundOf, sharerOf, type Standing } from './ground'
import type { Ground } from './sharer'
import { endsBetween, loadAlong, type Ends } from './lineEnds'
import { panelsUnderPoint, panelsUnderStretch, stopsAt } from './panelsAt'
import type { Carrier } from './rails'
import { emptyShare, sumOfShares, type Share } from './share'

interface Stretch {
  readonly from: number
  readonly to: number
}

interface LoadedStretch extends Stretch {
  readonly ends: Ends
}

/**
 * A line load along a stretch of wall, straight between its values at both ends: onto beams under it (those that lie on each other
 * share equally), else onto the panel under it by its rule, else not carried.
 */
export function shareWall(segment: WallSegment, ends: Ends, panels: readonly PanelPlan[], standing: Standing): Share {
  const { a, b, length, drawn } = segment
  const { force, moments } = loadAlong(a, b, ends)
  const more = drawn / length
  const whole: Share = { ...emptyShare, applied: force * more, appliedMoments: [moments[0] * more, moments[1] * more] }
  const parts = stretches(segment, standing.carriers).flatMap(({ from, to, under }): readonly Part[] => {
    const stretch = { from, to, ends: endsBetween(ends, from / length, to / length) }
    return under.length > 0
      ? under.map((carrier) => [onBeam(segment, carrier, stretch), 1 / under.length] as const)
      : onPanels(segment, stretch, panels, standing)
  })
  return sumOfShares(whole, more === 1 ? parts : parts.map(([share, part]) => [share, part * more] as const))
}

type Part = readonly [share: Share, part: number]

/** Cuts the segment where a beam under it begins or ends; each part knows the beams that it stands on. */
function stretches(
  segment: WallSegment,
  carriers: readonly Carrier[],
): readonly (Stretch & { readonly under: readonly Carrier[] })[] {
  const overlaps = carriers.flatMap((carrier) => {
    const overlap = overlapOn(segment.a, segment.b, carrier.a, carrier.b, onLine)
    return overlap ? [{ ...overlap, carrier }] : []
  })
  const stops = sorted([0, segment.length, ...overlaps.flatMap(({ from, to }) => [from, to])])
  return between(stops).map(({ from, to }) => {
    const middle = (from + to) / 2
    return { from, to, under: overlaps.filter((o) => o.from < middle && o.to > middle).map(({ carrier }) => carrier) }
  })
}

/** Rising values; those within the tolerance of the one before are left out. */
const sorted = (values: readonly number[]): readonly number[] =>
  [...values].sort((p, q) => p - q).filter((value, i, all) => i === 0 || value - (all[i - 1] ?? value) > 1e-9)

const between = (stops: readonly number[]): readonly Stretch[] =>
  stops.slice(1).map((to, i) => ({ from: entry(stops, i), to }))

/** The force of the stretch is kept where the beam's axis and the wall's path differ by the tolerance. */
function onBeam(segment: WallSegment, carrier: Carrier, { from, to, ends }: LoadedStretch): Share {
  const [p, q] = [from, to].map((s) => project(carrier.a, carrier.b, along(segment.a, segment.b, s)).s) as [
    number,
    number,
  ]
  const s0 = Math.max(0, Math.min(p, q))
  const s1 = Math.min(distance(carrier.a, carrier.b), Math.max(p, q))
  const scale = (to - from) / (s1 - s0)
  // the wall may be drawn against its beam
  const [q0, q1] = p <= q ? ends : [ends[1], ends[0]]
  const { member, from: start } = carrier
  return { ...emptyShare, lines: [{ member, s0: start + s0, s1: start + s1, q0: q0 * scale, q1: q1 * scale }] }
}

function onPanels(
  segment: WallSegment,
  stretch: LoadedStretch,
  panels: readonly PanelPlan[],
  standing: Standing,
): readonly Part[] {
  const { a, b } = segment
  const inner = panels
    .flatMap((plan) => stopsAt(a, b, stripOutline(plan)))
    .filter((s) => s > stretch.from + 1e-9 && s < stretch.to - 1e-9)
  return between(sorted([stretch.from, ...inner, stretch.to])).flatMap(({ from, to }): readonly Part[] => {
    const [start, end] = [along(a, b, from), along(a, b, to)]
    const whole = stretch.to - stretch.from
    const ends = endsBetween(stretch.ends, (from - stretch.from) / whole, (to - stretch.from) / whole)
    const under = panelsUnderStretch(start, end, panels)
    if (under.length === 0) return [[{ ...emptyShare, notCarried: loadAlong(start, end, ends).force }, 1]]
    return under.map(({ plan, placed }) => [
      lineOn(groundOf(plan, standing), placed(start), placed(end), ends, to - from),
      1 / under.length,
    ])
  })
}

/** A line that was moved onto the border may be shorter there: its force is that of the length drawn. */
function lineOn(ground: Ground, a: Point, b: Point, ends: Ends, drawn: number): Share {
  const length = distance(a, b)
  // in its middle, whichever way the wall was drawn
  if (length < samePoint) {
    const force = (drawn * (ends[0] + ends[1])) / 2
    return sumOfShares(emptyShare, [[sharerOf(ground).point(meanOf([a, b])), force]])
  }
  const share = sharerOf(ground).line(a, b, ends)
  return Math.abs(length - drawn) <= 1e-9 ? share : sumOfShares(emptyShare, [[share, drawn / length]])
}

/**
 * One unit of force at a point: onto a column there, else onto the beams that bear there (`bearers`), else onto the panel under it by
 * its rule, else not carried. What nothing tells apart shares equally.
 */
export function shareForce(at: Point, panels: readonly PanelPlan[], standing: Standing): Share {
  const alone: Share = { ...emptyShare, applied: 1, appliedMoments: at }
  const columns = standing.columns.filter((entry) => !entry.stretch && distance(entry.at, at) <= onLine)
  if (columns.length > 0)
    return { ...alone, onColumns: columns.map(({ member }) => ({ member: member.id, at, force: 1 / columns.length })) }
  const under = feetBearing(at, standing.carriers, standing.bearers)
  if (under.length > 0)
    return { ...alone, points: under.map(({ member, s }) => ({ member, s, force: 1 / under.length })) }
  // on a border that panels share they take it by equal parts, whichever way their outlines were drawn
  const plans = panelsUnderPoint(at, panels)
  if (plans.length === 0) return { ...alone, notCarried: 1 }
  const shares = plans.map(({ plan, placed }) => sharerOf(groundOf(plan, standing)).point(placed(at)))
  return sumOfShares(
    alone,
    shares.map((share) => [share, 1 / shares.length] as const),
  )
}
