import { actionOfCase, reducibleGroupOf } from '../actions/cases'
import { once } from '../document/once'
import type { Basis } from '../document/recordKinds'

interface Reducible {
  readonly area: number
  readonly load: number
}

/**
 * Where the columns of a block are: the cases, then the floor area, then for each case of imposed load the floor area of its category,
 * m², the part of it whose load may be reduced, and that load; partitions are never reduced. Then the last two once more without what
 * came from columns that stand on beams.
 */
export interface Columns {
  readonly count: number
  readonly area: number
  readonly uses: ReadonlyMap<string, number>
  readonly reducible: ReadonlyMap<string, Reducible>
  /** The same without what came over a beam from a column. */
  readonly standing: ReadonlyMap<string, Reducible>
  /** Columns that end where a column stands on a beam. */
  readonly ending: readonly number[]
  /** Which columns belong to the cases of an action. */
  readonly ofActions: readonly (readonly [action: string, columns: readonly number[]])[]
}

export const columnsOf = once((caseIds: readonly string[]): Columns => {
  const imposed = caseIds.filter((id) => reducibleGroupOf(id) !== null)
  const first = (i: number) => caseIds.length + 1 + 5 * i
  return {
    count: first(imposed.length),
    area: caseIds.length,
    uses: new Map(imposed.map((id, i) => [id, first(i)])),
    reducible: new Map(imposed.map((id, i) => [id, { area: first(i) + 1, load: first(i) + 2 }])),
    standing: new Map(imposed.map((id, i) => [id, { area: first(i) + 3, load: first(i) + 4 }])),
    ending: imposed.flatMap((_, i) => [first(i) + 3, first(i) + 4]),
    ofActions: [...new Set(caseIds.map(actionOfCase))].map((action) => [
      action,
      [
        ...caseIds.flatMap((id, column) => (actionOfCase(id) === action ? [column] : [])),
        ...imposed.flatMap((id, i) => (actionOfCase(id) === action ? [0, 1, 2, 3, 4].map((k) => first(i) + k) : [])),
      ],
    ]),
  }
})

/** What says which columns there are. */
interface Cases {
  readonly caseIds: readonly string[]
}

/** Reads one column of blocks; an unknown case reads 0. */
export type ColumnReader = (block: Float64Array, row: number) => number

const readerOf = (columns: number, column: number): ColumnReader =>
  column < 0 ? () => 0 : (block, row) => block[row * columns + column] ?? 0

export const readCase = ({ caseIds }: Cases, caseId: string): ColumnReader =>
  readerOf(columnsOf(caseIds).count, caseIds.indexOf(caseId))

/** The floor area that stands behind a row. */
export const readArea = ({ caseIds }: Cases): ColumnReader =>
  readerOf(columnsOf(caseIds).count, columnsOf(caseIds).area)

/** The floor area of each category, by its case of imposed load. */
export function readUses({ caseIds }: Cases): readonly (readonly [string, ColumnReader])[] {
  const { count, uses } = columnsOf(caseIds)
  return [...uses].map(([caseId, column]) => [caseId, readerOf(count, column)])
}

/**
 * The area whose load may be reduced in a case of imposed load, and that load; null for other cases.
 * @param transferred - whether what columns that stand on beams bring counts
 */
export function readReducible(
  { caseIds }: Cases,
  caseId: string,
  transferred: Basis['transferred'],
): { readonly area: ColumnReader; readonly load: ColumnReader } | null {
  const { count, reducible, standing } = columnsOf(caseIds)
  const at = (transferred === 'reduced' ? reducible : standing).get(caseId)
  return at ? { area: readerOf(count, at.area), load: readerOf(count, at.load) } : null
}

/** All cases of one row, without the area. */
export function caseRow({ caseIds }: Cases, block: Float64Array, row: number): Float64Array {
  const start = row * columnsOf(caseIds).count
  return block.subarray(start, start + caseIds.length)
}
