import { dsvFormat } from 'd3-dsv'

/** A row of a table with its number as a person counts it, from 1. */
export interface CellRow {
  readonly cells: readonly string[]
  readonly row: number
}

/** Rows that are not empty, of CSV with comma or semicolon or of cells pasted from a spreadsheet (tabs). */
export const readCells = (text: string): readonly CellRow[] =>
  dsvFormat(separatorOf(text))
    .parseRows(text.replace(/^\uFEFF/, ''))
    .map((cells, i) => ({ cells: cells.map((cell) => cell.trim()), row: i + 1 }))
    .filter(({ cells }) => cells.some(Boolean))

/** The separator that the first line has most of. */
function separatorOf(text: string): string {
  const first = text.split(/\r?\n/).find((line) => line.trim() !== '') ?? ''
  const count = (sign: string) => first.split(sign).length
  return ['\t', ';', ','].reduce((best, sign) => (count(sign) > count(best) ? sign : best))
}

/** A heading with its unit: `x1, mm`, `load (kN/m²)`, `y2 [m]`. */
export function headingOf(cell: string): { readonly name: string; readonly unit: string } {
  const [, name = '', unit = ''] = /^([^,([]*)[,([]?\s*([^)\]]*)[)\]]?$/.exec(cell) ?? []
  return { name: name.trim().toLowerCase(), unit: unit.trim() }
}

/** A cell that cannot be taken as it is, with the column that it stands in. */
export class CellRefusal extends Error {
  constructor(
    readonly column: string,
    message: string,
  ) {
    super(message)
  }
}

export const refuseCell = (column: string, problem: string): never => {
  throw new CellRefusal(column, problem)
}
