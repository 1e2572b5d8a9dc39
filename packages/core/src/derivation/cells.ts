import { actionOfCase, reducibleGroupOf } from '../actions/cases'
import { once } from '../outcome/once'
import type { Basis } from '../document/recordKinds'
import { keptGroups } from '../standards/families'

interface Reducible {
  readonly area: number
  readonly load: number
  /** Of the load that of heavy floors, and what of them stays when they are reduced; -1 where the standard keeps nothing. */
  readonly heavy: number
  readonly kept: number
}

/**
 * Where the columns of a block are: the cases, then the floor area, then for each case of imposed load the floor area of its category,
 * m², the part of it whose load may be reduced, and that load, with what heavy floors bring of it and keep where the standard says so;
 * partitions are never reduced. Then all but the first once more without what came from columns that stand on beams.
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
  let next = caseIds.length + 1
  const imposed = caseIds.flatMap((id) => {
    const group = reducibleGroupOf(id)
    if (group === null) return []
    const keeps = keptGroups.has(group)
    const [use, part] = [next, keeps ? 4 : 2]
    next += 1 + 2 * part
    return [{ id, use, part, all: reducibleFrom(use + 1, keeps), standing: reducibleFrom(use + 1 + part, keeps) }]
  })
  const ownOf = new Map(imposed.map(({ id, use, part }) => [id, range(use, 1 + 2 * part)]))
  return {
    count: next,
    area: caseIds.length,
    uses: new Map(imposed.map(({ id, use }) => [id, use])),
    reducible: new Map(imposed.map(({ id, all }) => [id, all])),
    standing: new Map(imposed.map(({ id, standing }) => [id, standing])),
    ending: imposed.flatMap(({ use, part }) => range(use + 1 + part, part)),
    ofActions: [...new Set(caseIds.map(actionOfCase))].map((action) => {
      const own = caseIds.flatMap((id, column) => (actionOfCase(id) === action ? [{ id, column }] : []))
      return [action, [...own.map(({ column }) => column), ...own.flatMap(({ id }) => ownOf.get(id) ?? [])]]
    }),
  }
})

const reducibleFrom = (at: number, keeps: boolean): Reducible => ({
  area: at,
  load: at + 1,
  heavy: keeps ? at + 2 : -1,
  kept: keeps ? at + 3 : -1,
})

const range = (from: number, count: number): readonly number[] => Array.from({ length: count }, (_, i) => from + i)

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

/** Of what may be reduced: its floor area, its load, and of that what heavy floors bring and keep. */
export interface ReducibleReader {
  readonly area: ColumnReader
  readonly load: ColumnReader
  readonly heavy: ColumnReader
  readonly kept: ColumnReader
}

/**
 * What may be reduced in a case of imposed load; null for other cases.
 * @param transferred - whether what columns that stand on beams bring counts
 */
export function readReducible(
  { caseIds }: Cases,
  caseId: string,
  transferred: Basis['transferred'],
): ReducibleReader | null {
  const { count, reducible, standing } = columnsOf(caseIds)
  const at = (transferred === 'reduced' ? reducible : standing).get(caseId)
  return at
    ? {
        area: readerOf(count, at.area),
        load: readerOf(count, at.load),
        heavy: readerOf(count, at.heavy),
        kept: readerOf(count, at.kept),
      }
    : null
}

/** All cases of one row, without the area. */
export function caseRow({ caseIds }: Cases, block: Float64Array, row: number): Float64Array {
  const start = row * columnsOf(caseIds).count
  return block.subarray(start, start + caseIds.length)
}
