import type { Beam, FramePlan } from '../building/frame'
import type { LoadRegion, PanelPlan } from '../building/panelRegions'
import { stretchesAlong, trueLength } from '../building/slopes'
import { goingOf } from '../building/stairs'
import type { WallSegment } from '../building/wallSegments'
import type {
  AreaLoadShape,
  LineLoadShape,
  MemberShape,
  PointLoadShape,
  SlopeShape,
  StairShape,
  StrutShape,
  WallShape,
} from '../document/shapes'
import type { Point } from '../geometry/point'
import { pointAlong } from '../geometry/course'
import { distance } from '../geometry/segment'
import type { Ends } from '../sharing/lineEnds'
import { emptyShare, sumOfShares, type Share } from '../sharing/share'
import type { AreaShare, Sideways } from '../sharing/areaLoad'

/**
 * A load that acts per unit: an area of a panel, a stretch of wall, a typed load, an end of a flight of stairs, or the weight of
 * a beam or strut along itself.
 */
export type Source =
  RegionSource | WallSource | LineSource | PointSource | AreaSource | StairSource | BeamSource | StrutSource

export interface RegionSource {
  readonly kind: 'region'
  /** `panelId/patchId` or `panelId/default`, and the slope that the region lies in. */
  readonly id: string
  readonly panel: PanelPlan
  readonly region: LoadRegion
  readonly share: Share
}

export interface WallSource {
  readonly kind: 'wall'
  /** `runId/segment`. */
  readonly id: string
  readonly run: WallShape
  readonly segment: WallSegment
  readonly share: Share
}

/** A typed line load along one stretch of its path: per N/m, or per N/m at one of its ends, falling from its beginning or rising to its end. */
export interface LineSource {
  readonly kind: 'line'
  /** `loadId/segment`, with `/end` for what rises to its end. */
  readonly id: string
  readonly load: LineLoadShape
  readonly a: Point
  readonly b: Point
  readonly end: number
  /** Parts of the length of the path at which it begins and ends. */
  readonly along: Ends
  readonly share: Share
}

/** A typed force at a point, per N. */
export interface PointSource {
  readonly kind: 'point'
  /** `loadId/0`. */
  readonly id: string
  readonly load: PointLoadShape
  readonly at: Point
  readonly share: Share
}

/** A typed area load: per N/m², or per N/m² at one of its ends, falling from its beginning or rising to its end. */
export interface AreaSource {
  readonly kind: 'area'
  /** `loadId/0` for what falls from its beginning, `loadId/1` for what rises to its end. */
  readonly id: string
  readonly load: AreaLoadShape
  readonly end: number
  readonly share: Share
  /** What of it slopes turn sideways, where it is square to them. */
  readonly sideways: readonly Sideways[]
}

/** One end of a flight of stairs, per N/m across its width. */
export interface StairSource {
  readonly kind: 'stair'
  /** `stairId/0` for the lower end, `stairId/1` for the upper one. */
  readonly id: string
  readonly stair: StairShape
  readonly a: Point
  readonly b: Point
  readonly share: Share
}

/** What of a load key one unit of a source brings: m² per unit, in plan and as it lies. */
export interface KeyExtent {
  readonly plan: number
  readonly lying: number
}

/** A region brings it by its area, which is larger where it lies in the roof; each end of a flight of stairs brings half of its length. */
export function keyExtentOf(source: RegionSource | StairSource): KeyExtent {
  if (source.kind === 'region') return { plan: 1, lying: source.region.stretch }
  const half = goingOf(source.stair) / 2
  return { plan: half, lying: half }
}

export interface BeamSource {
  readonly kind: 'beam'
  /** Id of the member. */
  readonly id: string
  readonly member: MemberShape
  readonly share: Share
}

/** The weight of a member in space per N/m of true length: half at each end. */
export interface StrutSource {
  readonly kind: 'strut'
  /** Id of the strut. */
  readonly id: string
  readonly strut: StrutShape
  readonly share: Share
}

/** One layout as loads see it: its frame, its panels, the slopes of its roof, and everything that can be loaded. */
export interface LayoutPlan {
  readonly frame: FramePlan
  readonly panels: readonly PanelPlan[]
  readonly slopes: readonly SlopeShape[]
  readonly sources: readonly Source[]
}

export const regionSource = (panel: PanelPlan, region: LoadRegion, share: Share): RegionSource => ({
  kind: 'region',
  id: [panel.panel.id, region.patchId ?? 'default', ...(region.slopeId ? [region.slopeId] : [])].join('/'),
  panel,
  region,
  share,
})

export const wallSource = (run: WallShape, segment: WallSegment, share: Share): WallSource => ({
  kind: 'wall',
  id: `${run.id}/${segment.index}`,
  run,
  segment,
  share,
})

export const lineSource = (
  load: LineLoadShape,
  { index, a, b }: WallSegment,
  end: number,
  along: Ends,
  share: Share,
): LineSource => ({
  kind: 'line',
  id: `${load.id}/${index}${end === 1 ? '/end' : ''}`,
  load,
  a,
  b,
  end,
  along,
  share,
})

export const pointSource = (load: PointLoadShape, at: Point, share: Share): PointSource => ({
  kind: 'point',
  id: `${load.id}/0`,
  load,
  at,
  share,
})

export const areaSource = (load: AreaLoadShape, end: number, { share, sideways }: AreaShare): AreaSource => ({
  kind: 'area',
  id: `${load.id}/${end}`,
  load,
  end,
  share,
  sideways,
})

export const stairSource = (stair: StairShape, { index, a, b }: WallSegment, share: Share): StairSource => ({
  kind: 'stair',
  id: `${stair.id}/${index}`,
  stair,
  a,
  b,
  share,
})

/** Which value of its load a source brings: the one at the far end for what rises to the end of a line or area load. */
export const endOf = (source: Source): 'start' | 'end' =>
  (source.kind === 'area' || source.kind === 'line') && source.end === 1 ? 'end' : 'start'

/** The record that a source comes from. */
export function recordOfSource(source: Source): string {
  switch (source.kind) {
    case 'region':
      return source.panel.panel.id
    case 'wall':
      return source.run.id
    case 'line':
    case 'point':
    case 'area':
      return source.load.id
    case 'stair':
      return source.stair.id
    case 'beam':
      return source.member.id
    case 'strut':
      return source.strut.id
  }
}

/** A beam weighs by its true length, wherever it climbs a slope. */
export const beamSource = (beam: Beam, slopes: readonly SlopeShape[]): BeamSource => ({
  kind: 'beam',
  id: beam.member.id,
  member: beam.member,
  share: ownLength(beam, slopes),
})

function ownLength({ member, legs }: Beam, slopes: readonly SlopeShape[]): Share {
  const stretches = stretchesAlong(slopes, legs)
  const moment = (axis: 0 | 1) =>
    stretches.reduce((sum, { s0, s1, stretch }) => sum + pointAlong(legs, (s0 + s1) / 2)[axis] * (s1 - s0) * stretch, 0)
  return {
    ...emptyShare,
    lines: stretches.map(({ s0, s1, stretch }) => ({ member: member.id, s0, s1, q0: stretch, q1: stretch })),
    applied: trueLength(stretches),
    appliedMoments: [moment(0), moment(1)],
  }
}

/** True length of a member in space, m. */
export function strutLength({ path: [a, b], startHeight, endHeight }: StrutShape): number {
  return a && b ? Math.hypot(distance(a, b), endHeight - startHeight) : 0
}

/** Half of the weight goes to what is at each end in plan. */
export function strutSource(strut: StrutShape, shareForceAt: (at: Point) => Share): StrutSource {
  const length = strutLength(strut)
  const [a = [0, 0], b = [0, 0]] = strut.path
  const whole: Share = {
    ...emptyShare,
    applied: length,
    appliedMoments: [(length * (a[0] + b[0])) / 2, (length * (a[1] + b[1])) / 2],
  }
  const halves = [a, b].map((end) => [shareForceAt(end), length / 2] as const)
  return { kind: 'strut', id: strut.id, strut, share: sumOfShares(whole, halves) }
}
