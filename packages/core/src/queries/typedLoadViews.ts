import { isTypedLoad, valueAt } from '../actions/typedLoads'
import { readCase } from '../derivation/cells'
import { expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import type { AreaLoad } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import type { Ring } from '../geometry/polygon'
import type { Source } from '../rundown/sources'
import { endsBetween, type Ends } from '../sharing/lineEnds'

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
  /** In the case, N/m at a and at b, straight between them; N, alike, at a point. */
  readonly loads: Ends
  /** N/m where its path begins and where it ends, or N, as typed, whatever the case. */
  readonly values: Ends
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

/** The rows of a load that begins at a row: one where it is even, two where it varies, by its value at each end; none within one. */
function rowsOf(sources: readonly Source[], row: number): readonly number[] {
  const [source, next] = [sources[row], sources[row + 1]]
  if (source?.kind !== 'line' && source?.kind !== 'area') return [row]
  if (source.end === 1) return []
  return (next?.kind === 'line' || next?.kind === 'area') && next.end === 1 ? [row, row + 1] : [row]
}

/** What rows bring at the beginning and at the end of a load, per unit: one row both, two rows one each. */
function endsOf(read: (row: number) => number, [first, second]: readonly number[]): Ends {
  const start = first === undefined ? 0 : read(first)
  return [start, second === undefined ? start : read(second)]
}

const lostOf = ({ operator }: FloorState, rows: readonly number[]): number =>
  rows.reduce((sum, row) => sum + (operator.notCarried[row] ?? 0), 0)

/** Typed area loads of a floor, whatever the case. */
export function areaLoadViews(state: ProjectState, floor: FloorState, caseId: string): readonly AreaLoadView[] {
  const at = readCase(state, caseId)
  const { sources } = floor.operator.plan
  return sources.flatMap((source, row): AreaLoadView[] => {
    const rows = rowsOf(sources, row)
    const record = source.kind === 'area' && rows.length > 0 ? state.document.records.get(source.load.id) : undefined
    if (record?.kind !== 'areaLoad') return []
    const { id, label, what, outline, angle, value, measured } = record
    const loads = endsOf((k) => at(floor.intensities, k), rows)
    return [
      {
        id,
        expandedId: expandedAt(floor, id),
        label,
        what,
        outline,
        angle,
        value,
        endValue: valueAt(record, 'end'),
        measured,
        acts: loads.some((load) => load !== 0),
        notCarried: lostOf(floor, rows),
      },
    ]
  })
}

/** Line loads stretch by stretch, and point loads. */
export function typedViews(state: ProjectState, floor: FloorState, caseId: string): readonly TypedLoadView[] {
  const at = readCase(state, caseId)
  const { sources } = floor.operator.plan
  return sources.flatMap((source, row): TypedLoadView[] => {
    if (source.kind !== 'line' && source.kind !== 'point') return []
    const rows = rowsOf(sources, row)
    const record = rows.length > 0 ? state.document.records.get(source.load.id) : undefined
    if (!isTypedLoad(record) || record.kind === 'areaLoad') return []
    const { id, label, what, value } = record
    const ends = endsOf((k) => at(floor.intensities, k), rows)
    const [a, b, loads] =
      source.kind === 'line' ? [source.a, source.b, endsBetween(ends, ...source.along)] : [source.at, source.at, ends]
    return [
      {
        id,
        expandedId: expandedAt(floor, id),
        label,
        what,
        kind: source.kind,
        a,
        b,
        loads,
        values: [value, valueAt(record, 'end')],
        notCarried: lostOf(floor, rows),
      },
    ]
  })
}
