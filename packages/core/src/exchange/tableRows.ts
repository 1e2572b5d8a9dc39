import { own } from '../outcome/own'
import { CellRefusal, headingOf, readCells, refuseCell, type CellRow } from './cells'

/** What is wrong with a cell, by the row as a person counts it (headings are row 1). */
export interface TableProblem {
  readonly row: number
  readonly column: string
  readonly problem: string
}

/** The cells of a row that are not empty, by their column, with the unit of its heading. */
export type Cells<C extends string> = Readonly<Partial<Record<C, { readonly text: string; readonly unit: string }>>>

/** A kind of table: its columns by their headings, and what it needs. */
export interface TableKind<C extends string> {
  readonly columns: readonly C[]
  /** Other words for a column. */
  readonly otherNames: Readonly<Record<string, C>>
  readonly limits: { readonly characters: number; readonly rows: number }
  /** What a table of this kind looks like, for one that is empty. */
  readonly example: string
  /** What is missing among the columns, as a sentence; null where all is there. */
  readonly lacks: (has: (column: C) => boolean) => string | null
}

export interface ReadTable<T> {
  readonly rows: readonly T[]
  readonly problems: readonly TableProblem[]
}

/**
 * Reads a table with headings, CSV or pasted cells, row by row; `readRow` throws a `CellRefusal` for what cannot be taken. With a
 * problem anywhere nothing of it is to be added.
 */
export function readTable<C extends string, T>(
  text: string,
  kind: TableKind<C>,
  readRow: (cells: Cells<C>) => T,
): ReadTable<T> {
  const refused = (row: number, column: string, problem: string): ReadTable<T> => ({
    rows: [],
    problems: [{ row, column, problem }],
  })
  const { characters, rows: most } = kind.limits
  if (text.length > characters) return refused(1, '', `The table is larger than ${characters / 1e6} MB.`)
  const [head, ...body] = readCells(text)
  if (!head || body.length === 0)
    return refused(1, '', `Paste a row of headings and at least one row of values: ${kind.example}.`)
  if (body.length > most) return refused(1, '', `The table has ${body.length} rows; ${most} are allowed at once.`)
  const headings = readHeadings(head.cells, kind)
  if ('problem' in headings) return refused(head.row, headings.column, headings.problem)
  return readRows(body, (cells) => readRow(cellsOf(cells, headings.found)))
}

/** Every row that is understood, and what is wrong with each of the others. */
export function readRows<T>(body: readonly CellRow[], readRow: (cells: CellRow['cells']) => T): ReadTable<T> {
  const rows: T[] = []
  const problems: TableProblem[] = []
  for (const { cells, row } of body) {
    try {
      rows.push(readRow(cells))
    } catch (error) {
      if (!(error instanceof CellRefusal)) throw error
      problems.push({ row, column: error.column, problem: error.message })
    }
  }
  return { rows, problems }
}

interface Heading<C> {
  readonly column: C
  readonly unit: string
}

function readHeadings<C extends string>(
  cells: readonly string[],
  { columns, otherNames, lacks }: TableKind<C>,
): { readonly found: readonly (Heading<C> | null)[] } | { readonly column: string; readonly problem: string } {
  const found: (Heading<C> | null)[] = []
  for (const cell of cells) {
    const { name: plain, unit } = headingOf(cell)
    if (plain === '') {
      found.push(null)
      continue
    }
    const column = columns.find((known) => known === plain) ?? own(otherNames, plain)
    if (!column)
      return { column: cell.slice(0, 40), problem: `Unknown heading. Known headings: ${columns.join(', ')}.` }
    if (found.some((heading) => heading?.column === column))
      return { column: cell.slice(0, 40), problem: `The column ${column} appears twice.` }
    found.push({ column, unit })
  }
  const missing = lacks((column) => found.some((heading) => heading?.column === column))
  return missing === null ? { found } : { column: '', problem: missing }
}

function cellsOf<C extends string>(cells: readonly string[], headings: readonly (Heading<C> | null)[]): Cells<C> {
  if (cells.length > headings.length && cells.slice(headings.length).some(Boolean))
    refuseCell('', 'The row has more cells than the headings.')
  return Object.fromEntries(
    headings.flatMap((heading, i) => {
      const text = cells[i] ?? ''
      return heading && text !== '' ? [[heading.column, { text, unit: heading.unit }] as const] : []
    }),
  ) as Cells<C>
}
