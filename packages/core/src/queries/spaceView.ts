import { farEnd, isHanger, type Column } from '../building/frame'
import { lyingIn } from '../building/panelRegions'
import { heightAt, stretchesAlong } from '../building/slopes'
import { trussParts } from '../building/truss'
import { readCase } from '../derivation/cells'
import { heightsOfColumn } from '../derivation/columnExtents'
import { expandedAt, keyOfRegion, memberLoadsIn } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf, memberOf, sectionAt, sectionOf } from '../document/labels'
import type { Member, Section, Strut } from '../document/recordKinds'
import { trussShape } from '../document/shapes'
import { pointAlong, type Leg } from '../geometry/course'
import { regionOf } from '../geometry/clip'
import type { Point, Point3 } from '../geometry/point'
import type { Ring } from '../geometry/polygon'
import { along } from '../geometry/segment'
import { atBends } from '../rundown/memberLines'
import { surfacesInSpace, type SpaceSurface } from './surfacesInSpace'

/** A member as it stands in space; a truss has one for each of its parts. */
export interface SpaceMember {
  readonly expandedId: string
  readonly label: string
  readonly role: Member['role'] | Strut['role']
  readonly path: readonly Point3[]
  /** Of its section, m: upright and across. */
  readonly depth: number
  readonly width: number
}

/** A part of a panel as it lies in space, with its load in the case. */
export interface SpaceFace {
  readonly expandedId: string
  readonly label: string
  readonly keyId: string | null
  readonly rings: readonly (readonly Point3[])[]
  /** Downwards, per area in plan, Pa. */
  readonly pressure: number
}

/** Load on a member from point to point, N/m of its length in plan, downwards; equal ends are a force, N. */
export interface SpaceLoad {
  readonly expandedId: string
  readonly from: Point3
  readonly to: Point3
  readonly q0: number
  readonly q1: number
}

/** The whole building in space, for one case. */
export interface SpaceView {
  readonly members: readonly SpaceMember[]
  readonly faces: readonly SpaceFace[]
  readonly surfaces: readonly SpaceSurface[]
  /** Typed area loads as they lie, part by part; their pressure in the middle of each part. */
  readonly areaLoads: readonly SpaceFace[]
  readonly loads: readonly SpaceLoad[]
  /** Reactions at the base, N upwards. */
  readonly supports: readonly { readonly expandedId: string; readonly at: Point3; readonly force: number }[]
}

export function spaceView(state: ProjectState, caseId: string): SpaceView {
  const bottom = state.floors[0]
  const at = readCase(state, caseId)
  return {
    members: state.floors.flatMap((floor) => membersInSpace(state, floor)),
    faces: state.floors.flatMap((floor) => facesOf(state, floor, caseId)),
    surfaces: state.floors.flatMap((floor) => surfacesInSpace(state, floor, caseId)),
    areaLoads: state.floors.flatMap((floor) => areaLoadFaces(state, floor, caseId)),
    loads: state.floors.flatMap((floor) => loadsInSpace(state, floor, caseId)),
    supports: (bottom?.operator.plan.frame.columns ?? []).flatMap((column, row) => {
      const { member } = column
      const [, foot] = bottom ? columnPath(bottom, row, column) : []
      return bottom && foot && !isHanger(column)
        ? [{ expandedId: expandedAt(bottom, member.id), at: foot, force: at(bottom.rundown.feet, row) }]
        : []
    }),
  }
}

/** Columns, beams, trusses by their parts, and struts of one floor. */
export function membersInSpace(state: ProjectState, floor: FloorState): readonly SpaceMember[] {
  const { frame, sources, slopes } = floor.operator.plan
  const of = (id: string) => sizeOf(sectionOf(state.document, memberOf(state.document, id)))
  // walls stand as surfaces
  const columns = frame.columns.flatMap((column, row): readonly SpaceMember[] => {
    const { member, stretch } = column
    if (stretch) return []
    const path = columnPath(floor, row, column)
    const [expandedId, label] = [expandedAt(floor, member.id), labelOf(state.document, member.id)]
    return [{ expandedId, label, role: member.role, path, ...of(member.id) }]
  })
  const beams = frame.beams.flatMap(({ member, a, b, legs, stretches }): readonly SpaceMember[] => {
    if (stretches) return []
    const record = memberOf(state.document, member.id)
    const plain = {
      expandedId: expandedAt(floor, member.id),
      label: labelOf(state.document, member.id),
      role: member.role,
    }
    if (!record?.truss) return [{ ...plain, path: beamPath(floor, legs), ...of(member.id) }]
    const sections = {
      top: record.section,
      bottom: record.truss.bottomSection,
      web: record.truss.webSection,
    }
    return trussParts(trussShape(record), slopes).map(({ part, from, to }) => ({
      ...plain,
      path: [from, to].map(([s, z]): Point3 => [...along(a, b, s), floor.level.elevation + z]),
      ...sizeOf(sectionAt(state.document, sections[part])),
    }))
  })
  const struts = sources.flatMap((source): SpaceMember[] => {
    const record = source.kind === 'strut' ? state.document.records.get(source.id) : undefined
    return record?.kind === 'strut' ? [strutInSpace(state, floor, record)] : []
  })
  return [...columns, ...beams, ...struts]
}

function strutInSpace(state: ProjectState, floor: FloorState, strut: Strut): SpaceMember {
  const [a = [0, 0], b = [0, 0]] = strut.path
  const z = floor.level.elevation
  return {
    expandedId: expandedAt(floor, strut.id),
    label: strut.label,
    role: strut.role,
    path: [
      [...a, z + strut.startHeight],
      [...b, z + strut.endHeight],
    ],
    ...sizeOf(sectionAt(state.document, strut.section)),
  }
}

const sizeOf = (section: Section | undefined) => ({ depth: section?.depth ?? 0.2, width: section?.width ?? 0.2 })

/** From its upper end to its lower. */
function columnPath(floor: FloorState, row: number, column: Column): readonly [Point3, Point3] {
  const [low, high] = heightsOfColumn(floor, row)
  const [up, down] = isHanger(column) ? [farEnd(column), column.at] : [column.at, farEnd(column)]
  return [
    [...up, high],
    [...down, low],
  ]
}

/** From end to end, round every bend and over every ridge and valley between. */
function beamPath({ level, operator }: FloorState, legs: readonly Leg[]): readonly Point3[] {
  const { slopes } = operator.plan
  const stops = [0, ...stretchesAlong(slopes, legs).map(({ s1 }) => s1)]
  return stops.map((s) => pointOn(slopes, level.elevation, pointAlong(legs, s)))
}

const pointOn = (slopes: Parameters<typeof heightAt>[0], elevation: number, at: Point): Point3 => [
  ...at,
  elevation + heightAt(slopes, at),
]

/** Where a load varies each part has the mean of both its ends. */
function areaLoadFaces(state: ProjectState, floor: FloorState, caseId: string): readonly SpaceFace[] {
  const read = readCase(state, caseId)
  const { slopes, sources } = floor.operator.plan
  return sources.flatMap((source, row): readonly SpaceFace[] => {
    if (source.kind !== 'area' || source.end !== 0) return []
    const pressure = (read(floor.intensities, row) + read(floor.intensities, row + 1)) / 2
    return lyingIn(regionOf(source.load.outline), slopes).flatMap(({ region, slope }) =>
      region.length === 0
        ? []
        : [
            {
              expandedId: expandedAt(floor, source.load.id),
              label: labelOf(state.document, source.load.id),
              keyId: null,
              rings: region.map((ring) => ring.map((at) => pointOn(slope ? [slope] : [], floor.level.elevation, at))),
              pressure,
            },
          ],
    )
  })
}

function facesOf(state: ProjectState, floor: FloorState, caseId: string): readonly SpaceFace[] {
  const read = readCase(state, caseId)
  const { slopes, sources } = floor.operator.plan
  return sources.flatMap((source, row): SpaceFace[] => {
    if (source.kind !== 'region') return []
    const own = slopes.filter(({ id }) => id === source.region.slopeId)
    const lift = (ring: Ring) => ring.map((at) => pointOn(own, floor.level.elevation, at))
    return [
      {
        expandedId: expandedAt(floor, source.panel.panel.id),
        label: labelOf(state.document, source.panel.panel.id),
        keyId: keyOfRegion(state, source),
        rings: source.region.region.map(lift),
        pressure: read(floor.intensities, row),
      },
    ]
  })
}

export function loadsInSpace(state: ProjectState, floor: FloorState, caseId: string): readonly SpaceLoad[] {
  const { frame, slopes } = floor.operator.plan
  return memberLoadsIn(state, floor, caseId).flatMap(({ lines, points }, i) => {
    const beam = frame.beams[i]
    if (!beam) return []
    const expandedId = expandedAt(floor, beam.member.id)
    const at = (s: number) => pointOn(slopes, floor.level.elevation, pointAlong(beam.legs, s))
    return [
      ...lines
        .flatMap((line) => atBends(beam.legs, line))
        .map(({ line: [s0, s1, q0, q1] }): SpaceLoad => ({
          expandedId,
          from: at(s0),
          to: at(s1),
          q0,
          q1,
        })),
      ...points.map(({ s, force }): SpaceLoad => ({ expandedId, from: at(s), to: at(s), q0: force, q1: force })),
    ]
  })
}
