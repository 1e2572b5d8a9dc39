import { wallHeight } from '../actions/wallLoad'
import { heightAt } from '../building/slopes'
import { goingOf, stairEnds } from '../building/stairs'
import { barriersOn } from '../derivation/barriers'
import { barrierCase } from '../actions/cases'
import { readCase } from '../derivation/cells'
import { lengthOfColumn } from '../derivation/columnExtents'
import { storeysOf } from '../derivation/storeys'
import { stretchesOn } from '../derivation/surfaceLoads'
import { along, distance } from '../geometry/segment'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf, recordIdOf } from '../document/labels'
import type { Point, Point3 } from '../geometry/point'
import type { WallSource } from '../rundown/sources'

/** A stretch of wall or barrier, a flight of stairs or a stiff element, as a flat surface of four corners; upright ones from their foot. */
export interface SpaceSurface {
  readonly expandedId: string
  readonly kind: 'wall' | 'bearingWall' | 'barrier' | 'stair' | 'stiff' | 'wallSurface'
  readonly label: string
  /** Two at its foot, then two at its top. */
  readonly corners: readonly [Point3, Point3, Point3, Point3]
  /** As it lies, m². */
  readonly area: number
  /** In the case: of a wall N/m downwards, of a bearing wall N/m at its foot, of a flight N/m on each end, of a barrier N/m outwards, of a wall surface N inwards. */
  readonly load: number
}

/** The walls of a floor with their net height, its barriers, its flights of stairs, which climb to the level, and what holds it. */
export function surfacesInSpace(state: ProjectState, floor: FloorState, caseId: string): readonly SpaceSurface[] {
  return [
    ...wallSurfaces(state, floor, caseId),
    ...bearingWalls(state, floor, caseId),
    ...stairSurfaces(state, floor, caseId),
    ...barriers(state, floor, caseId),
    ...stiffSurfaces(state, floor),
    ...pressedSurfaces(state, floor, caseId),
  ]
}

function wallSurfaces(state: ProjectState, floor: FloorState, caseId: string): readonly SpaceSurface[] {
  const at = readCase(state, caseId)
  let wall = -1
  return floor.operator.plan.sources.flatMap((source, row): readonly SpaceSurface[] => {
    if (source.kind !== 'wall') return []
    wall++
    const height = heightOf(state, floor, source, wall)
    if (!height) return []
    const { a, b, length } = source.segment
    return [
      {
        expandedId: expandedAt(floor, source.run.id),
        kind: 'wall',
        label: labelOf(state.document, source.run.id),
        corners: upright(floor, a, b, height),
        area: length * height,
        load: at(floor.intensities, row),
      },
    ]
  })
}

/** Bearing walls from their level down to what they stand on, with what each stretch brings down. */
function bearingWalls(state: ProjectState, floor: FloorState, caseId: string): readonly SpaceSurface[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.frame.columns.flatMap(({ member, stretch }, row): readonly SpaceSurface[] => {
    if (!stretch) return []
    const { a, b, s0, s1 } = stretch
    const height = lengthOfColumn(floor, row)
    return [
      {
        expandedId: expandedAt(floor, recordIdOf(member.id)),
        kind: 'bearingWall',
        label: labelOf(state.document, member.id),
        corners: upright(floor, a, b, -height),
        area: (s1 - s0) * height,
        load: at(floor.rundown.feet, row) / (s1 - s0),
      },
    ]
  })
}

/** The net height of a stretch; nothing where none follows, as of a wall on the top level. */
function heightOf(
  { document }: ProjectState,
  { walls }: FloorState,
  { run }: WallSource,
  index: number,
): number | null {
  const record = document.records.get(run.id)
  const head = walls.heads[index]
  return record?.kind === 'wallRun' && head ? (wallHeight(record, head)?.value ?? null) : null
}

function upright({ level, operator }: FloorState, a: Point, b: Point, height: number): SpaceSurface['corners'] {
  const foot = (at: Point) => level.elevation + heightAt(operator.plan.slopes, at)
  return [
    [...a, foot(a)],
    [...b, foot(b)],
    [...b, foot(b) + height],
    [...a, foot(a) + height],
  ]
}

function stairSurfaces(state: ProjectState, floor: FloorState, caseId: string): readonly SpaceSurface[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, row): readonly SpaceSurface[] => {
    const record = source.kind === 'stair' ? state.document.records.get(source.stair.id) : undefined
    if (source.kind !== 'stair' || record?.kind !== 'stair' || !source.id.endsWith('/0')) return []
    const [foot, head] = stairEnds(record)
    if (!foot || !head) return []
    const top = floor.level.elevation
    return [
      {
        expandedId: expandedAt(floor, record.id),
        kind: 'stair',
        label: record.label,
        corners: [
          [...foot.a, top - record.rise],
          [...foot.b, top - record.rise],
          [...head.b, top],
          [...head.a, top],
        ],
        area: record.width * Math.hypot(goingOf(record), record.rise),
        load: at(floor.intensities, row),
      },
    ]
  })
}

const barriers = (state: ProjectState, floor: FloorState, caseId: string): readonly SpaceSurface[] =>
  barriersOn(state, floor).map(({ barrier, a, b, length, load }): SpaceSurface => ({
    expandedId: expandedAt(floor, barrier.id),
    kind: 'barrier',
    label: barrier.label,
    corners: upright(floor, a, b, barrier.height),
    area: length * barrier.height,
    load: caseId === barrierCase ? (load?.load.value ?? 0) : 0,
  }))

/** From the level down to what they stand on. */
function stiffSurfaces(state: ProjectState, { level }: FloorState): readonly SpaceSurface[] {
  const storey = storeysOf(state).find(({ floor }) => floor.level.id === level.id)
  const foot = level.elevation - (storey?.height ?? 0)
  return (storey?.elements ?? []).map(({ expandedId, record, a, b }): SpaceSurface => ({
    expandedId,
    kind: 'stiff',
    label: record.label,
    corners: [
      [...a, foot],
      [...b, foot],
      [...b, level.elevation],
      [...a, level.elevation],
    ],
    area: distance(a, b) * (level.elevation - foot),
    load: 0,
  }))
}

/** Wall surfaces from their foot to their top, in pieces where a roof over them changes its slope. */
const pressedSurfaces = (state: ProjectState, floor: FloorState, caseId: string): readonly SpaceSurface[] =>
  stretchesOn(state, floor.level.id, caseId).flatMap(({ stretch: { a, b, surface, shape }, on }) =>
    shape.edge.map(({ a: [u0, v0], b: [u1, v1] }): SpaceSurface => {
      const at = (u: number, v: number): Point3 => [...along(a, b, u), floor.level.elevation + v]
      const [left, right] = [v0 + surface.above, v1 + surface.above]
      return {
        expandedId: expandedAt(floor, surface.id),
        kind: 'wallSurface',
        label: surface.label,
        corners: [at(u0, shape.foot), at(u1, shape.foot), at(u1, right), at(u0, left)],
        area: (u1 - u0) * ((left + right) / 2 - shape.foot),
        load: on?.share.applied ?? 0,
      }
    }),
  )
