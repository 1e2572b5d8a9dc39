import { barrierCase } from '../actions/cases'
import { listCombinations, countCombinations } from '../combinations/structure'
import { barriersOn } from '../derivation/barriers'
import { balanceOf } from '../derivation/balance'
import { isHanger } from '../building/frame'
import { stretchesAlong } from '../building/slopes'
import { readCase } from '../derivation/cells'
import { effectKinds, effectsOf } from '../derivation/effects'
import { lengthOfColumn } from '../derivation/columnExtents'
import { expandedAt, floorIn, memberLoadsIn } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import { rakingAt } from '../derivation/thrust'
import { sidewaysOn } from '../derivation/sideways'
import { levelNameOf, pressedIn, recordOfRest, restLoads } from '../derivation/surfaceLoads'
import type { Rest } from '../derivation/surfaceRests'
import { allSidewaysForces, allStoreyForces } from '../derivation/storeyForces'
import { shareStoreyForces } from '../derivation/storeyShears'
import type { ProjectState } from '../derivation/project'
import { setsOf, structuresOf, structuresOfSet } from '../derivation/structures'
import { labelOf } from '../document/labels'
import { rowLabel } from '../derivation/namesOnFloor'
import { turningRows } from './turningRows'
import { extremeOf } from '../envelopes/extremes'
import { alongTrueLength, loadsOnColumns, type MemberLoad } from '../rundown/memberLines'
import type { ActionId } from '../standards/family'
import { handedLoad, mergingOf } from './handedLoads'
import { replacedRows } from './replacedValues'

export const resultFormat = 'hedrion-results'
export const resultStages = [
  'cases',
  'memberLoads',
  'memberTorsion',
  'storeyForces',
  'lateralElements',
  'thrusts',
  'horizontalMemberLoads',
  'barriers',
  'combinations',
  'envelopes',
  'overriddenValues',
] as const
export type ResultStage = (typeof resultStages)[number]

/** Combinations are written out up to this many per rule; the count says how many there are. */
export const combinationLimit = 5000

const rowsOf = {
  cases: caseRows,
  memberLoads: (state) => memberLoadRows(state).map(handedRow),
  memberTorsion: turningRows,
  storeyForces: storeyRows,
  lateralElements: stiffElementRows,
  thrusts: thrustRows,
  horizontalMemberLoads: (state) => sidewaysRows(state).map(handedSideways),
  barriers: barrierRows,
  combinations: combinationRows,
  envelopes: envelopeRows,
  overriddenValues: ({ standard }) => replacedRows(standard),
} satisfies Record<ResultStage, (state: ProjectState) => unknown>

/** Everything that leaves for an analysis, as plain JSON in SI units (N, m); keys in a fixed order. */
export function resultsJson(state: ProjectState, only: ResultStage | null) {
  const wanted = resultStages.filter((stage) => only === null || only === stage)
  return {
    format: resultFormat,
    version: 3,
    project: state.basis?.name ?? '',
    units: { force: 'N', length: 'm', lineLoad: 'N/m' },
    axes: 'global axes right-handed, Z up; gravity loads given as positive magnitudes downwards; storey forces signed in global axes',
    standard: state.standard.layers,
    ...Object.fromEntries(wanted.map((stage) => [stage, rowsOf[stage](state)])),
  }
}

/** Every case with its balance, N. */
export function caseRows(state: ProjectState) {
  return state.actions.flatMap(({ id: action, rule, cases }) =>
    cases.map(({ id, name }) => {
      const { applied, onMembers, atSupports, notCarried, handedOn } = balanceOf(state, id)
      return { id, name, action, rule, applied, onMembers, atSupports, notCarried, notInReactions: handedOn !== null }
    }),
  )
}

export interface MemberLoadRow {
  readonly case: string
  readonly id: string
  readonly label: string
  readonly level: string
  readonly from: number
  readonly to: number
  readonly q0: number
  readonly q1: number
}

/**
 * Line loads of every beam by case (from < to: N/m), point loads (from = to: N), and the own weight of columns along
 * their length; places and loads go by the true length of a member, sloping or not. What columns take without a beam stands
 * at their top. Reactions of members on members are left to the analysis.
 */
export function memberLoadRows(state: ProjectState): readonly MemberLoadRow[] {
  return state.floors.flatMap((floor) => state.caseIds.flatMap((caseId) => loadsOfFloor(state, floor, caseId)))
}

function loadsOfFloor(state: ProjectState, floor: FloorState, caseId: string): readonly MemberLoadRow[] {
  const at = readCase(state, caseId)
  const row = (id: string, from: number, to: number, q0: number, q1: number): MemberLoadRow => ({
    case: caseId,
    id: expandedAt(floor, id),
    label: rowLabel(state, floor, id),
    level: floor.level.name,
    from,
    to,
    q0,
    q1,
  })
  const { beams, columns } = floor.operator.plan.frame
  const merging = mergingOf(state.document)
  const onBeams = memberLoadsIn(state, floor, caseId).flatMap((load, i) => {
    const beam = beams[i]
    if (!beam) return []
    const { handed, points } = handedLoad(floor, beam, load, merging)
    return [
      ...handed.map(([from, to, q0, q1]) => row(beam.member.id, from, to, q0, q1)),
      ...points.map(({ s, force }) => row(beam.member.id, s, s, force, 0)),
    ]
  })
  const direct = loadsOnColumns(floorIn(floor, caseId).operator, (source) => at(floor.intensities, source))
  const ofColumns = columns.flatMap(({ member: { id } }, i) => {
    const length = lengthOfColumn(floor, i)
    const own = at(floor.rundown.feet, i) - at(floor.rundown.tops, i)
    const top = direct[i] ?? 0
    return [
      ...(top === 0 ? [] : [row(id, 0, 0, top, 0)]),
      ...(own === 0 ? [] : [row(id, 0, length, own / length, own / length)]),
    ]
  })
  return [...onBeams, ...ofColumns]
}

/** A row along a member as it is handed over: a line load with its values at both ends, or a force. One unit a field. */
export interface HandedRow {
  readonly q0: number | null
  readonly q1: number | null
  readonly force: number | null
}

export const handedRow = <R extends Pick<MemberLoadRow, 'from' | 'to' | 'q0' | 'q1'>>(row: R) =>
  ({
    ...row,
    ...(row.to > row.from ? { q0: row.q0, q1: row.q1, force: null } : { q0: null, q1: null, force: row.q0 }),
  }) satisfies HandedRow

type Sideways = ReturnType<typeof sidewaysRows>[number]

/** The same of what members take sideways. */
export const handedSideways = ({ fx0, fy0, fx1, fy1, ...row }: Sideways) =>
  row.to > row.from
    ? { ...row, qx0: fx0, qy0: fy0, qx1: fx1, qy1: fy1, fx: null, fy: null }
    : { ...row, qx0: null, qy0: null, qx1: null, qy1: null, fx: fx0, fy: fy0 }

/** Total force of the member loads as they stand in the file, by case: to be held against the balance. */
export function memberLoadSums(state: ProjectState): Readonly<Record<string, number>> {
  const sums: Record<string, number> = Object.fromEntries(state.caseIds.map((id) => [id, 0]))
  for (const { case: id, from, to, q0, q1 } of memberLoadRows(state))
    sums[id] = (sums[id] ?? 0) + (to > from ? ((to - from) * (q0 + q1)) / 2 : q0)
  return sums
}

/** Storey forces of every case that has them, with the point where they act. */
export function storeyRows(state: ProjectState) {
  return allStoreyForces(state).flatMap(({ caseId, storeys }) =>
    storeys.map(({ force: { levelId, fx, fy, x, y, z } }) => ({
      case: caseId,
      id: levelId,
      label: labelOf(state.document, levelId),
      level: labelOf(state.document, levelId),
      fx,
      fy,
      x,
      y,
      z: z + (state.basis?.ground ?? 0),
    })),
  )
}

/** What columns and hangers that rake do sideways to their own level, N; the opposite acts at their other end. Their force along themselves is compression. */
export function thrustRows(state: ProjectState) {
  return state.floors.flatMap((floor) =>
    floor.operator.plan.frame.columns.flatMap(({ member, at, far }, row) =>
      far === undefined
        ? []
        : state.caseIds.flatMap((caseId) => {
            const raking = rakingAt(state, { floor, row }, caseId)
            if (!raking || raking.far === 0) return []
            const { thrust, direction, axial } = raking
            return [
              {
                case: caseId,
                id: expandedAt(floor, member.id),
                label: rowLabel(state, floor, member.id),
                level: floor.level.name,
                x0: at[0],
                y0: at[1],
                x1: far[0],
                y1: far[1],
                fx: thrust * direction[0],
                fy: thrust * direction[1],
                axial: isHanger({ member }) ? -axial : axial,
              },
            ]
          }),
    ),
  )
}

/**
 * What members take sideways, in global axes and per true length: lines from `from` to `to` (N/m), forces where the two are equal (N). Of
 * loads that are square to slopes; their vertical part is among the member loads. And of wall surfaces: along columns and members in
 * space from their lower or first end; what goes to the edge of a floor, or to the ground, stands under the surface, along its path.
 */
export function sidewaysRows(state: ProjectState) {
  return [...squareToSlopes(state), ...ofWallSurfaces(state)]
}

function ofWallSurfaces(state: ProjectState) {
  return state.caseIds.flatMap((caseId) =>
    pressedIn(state, caseId).flatMap((pressed) => {
      const { stretch, inward } = pressed
      return restLoads(pressed).flatMap(({ rest, ...load }) => {
        const [recordId, order] = recordOfRest(state, stretch, rest)
        const own = state.floors[order] ?? state.floors[stretch.order]
        const label = labelOf(state.document, recordId ?? stretch.surface.id)
        const row = (from: number, to: number, q0: number, q1: number) => ({
          case: caseId,
          id: own ? expandedAt(own, recordId ?? stretch.surface.id) : '',
          label:
            recordId === null
              ? `${label}, segment ${stretch.index + 1}, ${order < 0 ? 'ground' : 'floor edge'}`
              : label,
          level: levelNameOf(state, order),
          from,
          to,
          fx0: q0 * inward[0],
          fy0: q0 * inward[1],
          fx1: q1 * inward[0],
          fy1: q1 * inward[1],
        })
        const { lines, points } = alongOwnLength(state, rest, load)
        return [...lines.map((line) => row(...line)), ...points.map(({ s, force }) => row(s, s, force, 0))]
      })
    }),
  )
}

/** Of a beam along its true length; what else there is has it already. */
function alongOwnLength({ floors }: ProjectState, { on }: Rest, load: MemberLoad): MemberLoad {
  if (on.kind !== 'beam') return load
  const { frame, slopes } = floors[on.order]?.operator.plan ?? { frame: { beams: [] }, slopes: [] }
  const beam = frame.beams[on.row]
  return beam ? alongTrueLength(load, stretchesAlong(slopes, beam.legs)) : load
}

function squareToSlopes(state: ProjectState) {
  return state.floors.flatMap((floor) =>
    state.caseIds.flatMap((caseId) =>
      sidewaysOn(state, floor, caseId).flatMap(({ memberId, push: [x, y], ...load }) => {
        const beam = floor.operator.plan.frame.beams.find(({ member }) => member.id === memberId)
        const { lines, points } = beam
          ? alongTrueLength(load, stretchesAlong(floor.operator.plan.slopes, beam.legs))
          : load
        const row = (from: number, to: number, q0: number, q1: number) => ({
          case: caseId,
          id: expandedAt(floor, memberId),
          label: rowLabel(state, floor, memberId),
          level: floor.level.name,
          from,
          to,
          fx0: q0 * x,
          fy0: q0 * y,
          fx1: q1 * x,
          fy1: q1 * y,
        })
        return [...lines.map((line) => row(...line)), ...points.map(({ s, force }) => row(s, s, force, 0))]
      }),
    ),
  )
}

/**
 * What every stiff element takes of storey forces, and of all else that pushes levels sideways, in the storey under its level: a force in plan, and the moment in its plane
 * over its foot. N, N·m, m; its stiffness N/m.
 */
export function stiffElementRows(state: ProjectState) {
  return allSidewaysForces(state).flatMap((forces) =>
    shareStoreyForces(state, forces).storeys.flatMap(({ storey, elements }) =>
      elements.map(({ element: { expandedId, record, a, b, along, stiffness }, shear, moment }) => ({
        case: forces.caseId,
        id: expandedId,
        label: record.label,
        level: storey.floor.level.name,
        x0: a[0],
        y0: a[1],
        x1: b[0],
        y1: b[1],
        fx: shear * along[0],
        fy: shear * along[1],
        moment,
        stiffness: stiffness?.value ?? 0,
      })),
    ),
  )
}

/**
 * What presses on every barrier, stretch by stretch: a line load square to it and outwards (it may act inwards as well), at a
 * height over the level, and its moment about the edge of the floor. N/m, N·m/m, m.
 */
export function barrierRows(state: ProjectState) {
  return state.floors.flatMap((floor) =>
    barriersOn(state, floor).flatMap(({ barrier, a, b, outward, load, length, drawn }) => {
      if (!load) return []
      const q = (load.load.value * drawn) / length
      return [
        {
          case: barrierCase,
          id: expandedAt(floor, barrier.id),
          label: barrier.label,
          level: floor.level.name,
          use: barrier.use,
          x0: a[0],
          y0: a[1],
          x1: b[0],
          y1: b[1],
          fx: q * outward[0],
          fy: q * outward[1],
          height: load.place.value,
          moment: (load.moment.value * drawn) / length,
        },
      ]
    }),
  )
}

export interface CombinationRow {
  readonly name: string
  readonly leading: ActionId | null
  readonly factors: Readonly<Record<string, number>>
}

/** The combinations of every rule, written out up to a limit, with the count of all. */
export function combinationRows(state: ProjectState) {
  return structuresOf(state).map((structure) => {
    const { id, clause } = structure.rule
    const list = [...listCombinations(structure, combinationLimit)].map(({ leading, factors }, i): CombinationRow => ({
      name: `${id} ${i + 1}`,
      leading,
      factors: Object.fromEntries(factors.map(({ case: index, factor }) => [state.caseIds[index] ?? '', factor])),
    }))
    return { rule: id, clause, count: countCombinations(structure).toString(), list }
  })
}

/** Most and least of every effect under every set of rules, with the rule that governs, N. */
export function envelopeRows(state: ProjectState) {
  return setsOf(state).flatMap(({ id: set }) => {
    const structures = structuresOfSet(state, set)
    return effectKinds.flatMap((kind) =>
      effectsOf(state, kind).flatMap(({ expandedId, label, levelName, component, combined }) => {
        const [most, least] = [extremeOf(structures, combined, 'most'), extremeOf(structures, combined, 'least')]
        if (!most || !least) return []
        return [
          {
            rule: set,
            effect: kind,
            id: expandedId,
            label,
            level: levelName,
            component,
            max: most.value,
            maxRule: most.rule,
            maxLeading: most.leading,
            min: least.value,
            minRule: least.rule,
            minLeading: least.leading,
          },
        ]
      }),
    )
  })
}
