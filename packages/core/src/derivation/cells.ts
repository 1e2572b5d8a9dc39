import type { ProjectState } from './project'

/** Reads one column of blocks that hold a value per case and then the floor area; an unknown case reads 0. */
export type ColumnReader = (block: Float64Array, row: number) => number

const readerOf = (columns: number, column: number): ColumnReader =>
  column < 0 ? () => 0 : (block, row) => block[row * columns + column] ?? 0

export const readCase = ({ caseIds }: Pick<ProjectState, 'caseIds'>, caseId: string): ColumnReader =>
  readerOf(caseIds.length + 1, caseIds.indexOf(caseId))

/** The floor area that stands behind a row. */
export const readArea = ({ caseIds }: Pick<ProjectState, 'caseIds'>): ColumnReader =>
  readerOf(caseIds.length + 1, caseIds.length)

/** All cases of one row, without the area. */
export function caseRow({ caseIds }: Pick<ProjectState, 'caseIds'>, block: Float64Array, row: number): Float64Array {
  const start = row * (caseIds.length + 1)
  return block.subarray(start, start + caseIds.length)
}
