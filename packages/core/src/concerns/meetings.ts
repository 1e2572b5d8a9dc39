import { isHanger, type Column, type Landing } from '../building/frame'
import { expandedAt, floorAbove } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { pointAlong } from '../geometry/course'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'

/**
 * Columns, hangers and forces at a point where several beams meet and nothing tells which of them bears (`building/bearers`): they share
 * equally, and a checker would ask.
 */
export const sharedMeetings = (state: ProjectState): readonly Concern[] =>
  state.floors.flatMap((floor) => [...ofColumns(state, floor), ...ofHangers(state, floor), ...ofForces(state, floor)])

function ofColumns(state: ProjectState, floor: FloorState): readonly Concern[] {
  const above = floorAbove(state, floor)
  if (!above) return []
  const landings = (floor.feetAbove?.landings ?? []).filter(({ on }) => on === 'beam')
  return sharedBy(landings, above.operator.plan.frame.columns).map(({ column, beams }) =>
    concernOf(state, { floor: above, column, beams, on: floor }),
  )
}

function ofHangers(state: ProjectState, floor: FloorState): readonly Concern[] {
  const landings = floor.hung.landings.filter(({ on }) => on === 'beam')
  return sharedBy(landings, floor.operator.plan.frame.columns).flatMap(({ column, beams, up }) => {
    const on = state.floors[state.floors.indexOf(floor) + up]
    return on ? [concernOf(state, { floor, column, beams, on })] : []
  })
}

interface Shared {
  readonly column: Column
  /** Indices into the beams of the floor that bears it. */
  readonly beams: readonly number[]
  readonly up: number
}

/** Columns and hangers, but no stretches of walls, that several beams share. */
function sharedBy(
  landings: readonly (Landing & { readonly up?: number })[],
  columns: readonly Column[],
): readonly Shared[] {
  const byRow = new Map<number, (typeof landings)[number][]>()
  for (const landing of landings) byRow.set(landing.row, [...(byRow.get(landing.row) ?? []), landing])
  return [...byRow].flatMap(([row, own]): readonly Shared[] => {
    const column = columns[row]
    const beams = [...new Set(own.map(({ index }) => index))]
    return column && !column.stretch && beams.length > 1 ? [{ column, beams, up: own[0]?.up ?? 0 }] : []
  })
}

interface Meeting {
  readonly floor: FloorState
  readonly column: Column
  readonly beams: readonly number[]
  readonly on: FloorState
}

function concernOf(state: ProjectState, { floor, column, beams, on }: Meeting): Concern {
  const ids = beams.flatMap((index) => on.operator.plan.frame.beams[index]?.member.id ?? [])
  return {
    code: isHanger(column) ? 'hanger.on-several' : 'column.on-several',
    about: [expandedAt(floor, column.member.id), ...ids.map((id) => expandedAt(on, id))],
    data: { label: labelOf(state.document, column.member.id), level: on.level.name, beams: labelsOf(state, ids) },
  }
}

const labelsOf = ({ document }: ProjectState, ids: readonly string[]): string =>
  ids
    .map((id) => labelOf(document, id))
    .sort()
    .join(', ')

/** Point loads, and the ends of members in space. */
function ofForces(state: ProjectState, floor: FloorState): readonly Concern[] {
  const { frame, sources } = floor.operator.plan
  const beamOf = new Map(frame.beams.map((beam) => [beam.member.id as string, beam]))
  return sources.flatMap((source) => {
    const [record, places]: readonly [string, readonly Point[]] =
      source.kind === 'point'
        ? [source.load.id, [source.at]]
        : source.kind === 'strut'
          ? [source.strut.id, source.strut.path]
          : ['', []]
    return places.flatMap((at): readonly Concern[] => {
      const meeting = source.share.points.flatMap(({ member, s }) => {
        const beam = beamOf.get(member)
        return beam && distance(pointAlong(beam.legs, s), at) <= onLine ? [member] : []
      })
      const ids = [...new Set(meeting)]
      if (ids.length < 2) return []
      const data = { label: labelOf(state.document, record), level: floor.level.name, beams: labelsOf(state, ids) }
      const about = [record, ...ids.map((id) => expandedAt(floor, id))]
      return [{ code: 'load.on-several', about, data }]
    })
  })
}
