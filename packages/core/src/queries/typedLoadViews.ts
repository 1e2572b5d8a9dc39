import { isTypedLoad, valueAt } from '../actions/typedLoads'
import { readCase } from '../derivation/cells'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import type { AreaLoad } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import type { Ring } from '../geometry/polygon'

/** A stretch of a typed line load, or a typed point load, as the plan draws it. */
export interface TypedLoadView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly what: string
  readonly kind: 'line' | 'point'
  readonly a: Point
  /** The same as `a` for a point. */
  readonly b: Point
  /** In the case, N/m or N. */
  readonly load: number
  /** N/m or N as typed, whatever the case. */
  readonly value: number
  /** The part that nothing carries, N per unit. */
  readonly notCarried: number
}

/** A typed area load as the plan draws it. */
export interface AreaLoadView {
  readonly id: string
  readonly expandedId: string
  readonly label: string
  readonly what: string
  readonly outline: Ring
  /** The way from its beginning to its end, from global X. */
  readonly angle: number
  /** Where it begins and where it ends, N/m² as typed. */
  readonly value: number
  readonly endValue: number
  readonly measured: AreaLoad['measured']
  /** Whether it acts in the case. */
  readonly acts: boolean
  /** The part that nothing carries, N per unit. */
  readonly notCarried: number
}

/** Typed area loads of a floor, whatever the case. */
export function areaLoadViews(state: ProjectState, floor: FloorState, caseId: string): readonly AreaLoadView[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, row): AreaLoadView[] => {
    const record = source.kind === 'area' && source.end === 0 ? state.document.records.get(source.load.id) : undefined
    if (record?.kind !== 'areaLoad') return []
    const { id, label, what, outline, angle, value, measured } = record
    const [falling = 0, rising = 0] = [row, row + 1].map((k) => at(floor.intensities, k))
    const notCarried = [row, row + 1].reduce((sum, k) => sum + (floor.operator.notCarried[k] ?? 0), 0)
    const expandedId = expandedAt(floor, id)
    return [
      {
        id,
        expandedId,
        label,
        what,
        outline,
        angle,
        value,
        endValue: valueAt(record, 'end'),
        measured,
        acts: falling !== 0 || rising !== 0,
        notCarried,
      },
    ]
  })
}

/** Line loads stretch by stretch, and point loads. */
export function typedViews(state: ProjectState, floor: FloorState, caseId: string): readonly TypedLoadView[] {
  const at = readCase(state, caseId)
  return floor.operator.plan.sources.flatMap((source, row): TypedLoadView[] => {
    if (source.kind !== 'line' && source.kind !== 'point') return []
    const record = state.document.records.get(source.load.id)
    if (!isTypedLoad(record) || record.kind === 'areaLoad') return []
    const { id, label, what, value } = record
    return [
      {
        id,
        expandedId: expandedAt(floor, id),
        label,
        what,
        kind: source.kind,
        a: source.kind === 'line' ? source.a : source.at,
        b: source.kind === 'line' ? source.b : source.at,
        load: at(floor.intensities, row),
        value,
        notCarried: floor.operator.notCarried[row] ?? 0,
      },
    ]
  })
}
