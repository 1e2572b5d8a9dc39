import type { Beam, FramePlan } from '../building/frame'
import type { LoadRegion, PanelPlan } from '../building/panelRegions'
import type { WallSegment } from '../building/wallSegments'
import type { LineLoadShape, MemberShape, PointLoadShape, WallShape } from '../document/shapes'
import type { Point } from '../geometry/point'
import { along } from '../geometry/segment'
import { emptyShare, type Share } from '../sharing/share'

/** A load that acts per unit: an area of a panel, a stretch of wall, a typed load, or the weight of a beam along itself. */
export type Source = RegionSource | WallSource | LineSource | PointSource | BeamSource

export interface RegionSource {
  readonly kind: 'region'
  /** `panelId/patchId`, or `panelId/default`. */
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

/** A typed line load along one stretch of its path, per N/m. */
export interface LineSource {
  readonly kind: 'line'
  /** `loadId/segment`. */
  readonly id: string
  readonly load: LineLoadShape
  readonly a: Point
  readonly b: Point
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

export interface BeamSource {
  readonly kind: 'beam'
  /** Id of the member. */
  readonly id: string
  readonly member: MemberShape
  readonly share: Share
}

/** One layout as loads see it: its frame, its panels, and everything that can be loaded. */
export interface LayoutPlan {
  readonly frame: FramePlan
  readonly panels: readonly PanelPlan[]
  readonly sources: readonly Source[]
}

export const regionSource = (panel: PanelPlan, region: LoadRegion, share: Share): RegionSource => ({
  kind: 'region',
  id: `${panel.panel.id}/${region.patchId ?? 'default'}`,
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

export const lineSource = (load: LineLoadShape, { index, a, b }: WallSegment, share: Share): LineSource => ({
  kind: 'line',
  id: `${load.id}/${index}`,
  load,
  a,
  b,
  share,
})

export const pointSource = (load: PointLoadShape, at: Point, share: Share): PointSource => ({
  kind: 'point',
  id: `${load.id}/0`,
  load,
  at,
  share,
})

/** The record that a source comes from. */
export function recordOfSource(source: Source): string {
  switch (source.kind) {
    case 'region':
      return source.panel.panel.id
    case 'wall':
      return source.run.id
    case 'line':
    case 'point':
      return source.load.id
    case 'beam':
      return source.member.id
  }
}

export const beamSource = (beam: Beam): BeamSource => ({
  kind: 'beam',
  id: beam.member.id,
  member: beam.member,
  share: ownLength(beam),
})

function ownLength({ member, a, b, length }: Beam): Share {
  const middle = along(a, b, length / 2)
  return {
    ...emptyShare,
    lines: [{ member: member.id, s0: 0, s1: length, q0: 1, q1: 1 }],
    applied: length,
    appliedMoments: [middle[0] * length, middle[1] * length],
  }
}
