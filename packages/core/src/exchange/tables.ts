export type Cell = string | number | boolean | null

/** What a spreadsheet may take for the start of a formula, in the wide forms of East Asian scripts too (OWASP, "CSV injection"). */
const opensFormula = /^[\s\u00a0]*[=+\-@\uff1d\uff0b\uff0d\uff20]|^[\t\r\n]/
const plainNumber = /^[+-]?\d+([.,]\d+)?$/

/** A cell that a spreadsheet would take for a formula is defused by a leading apostrophe; plain numbers stay. */
const defused = (text: string): string => (opensFormula.test(text) && !plainNumber.test(text) ? `'${text}` : text)

function cellOf(value: Cell): string {
  if (typeof value === 'number') return String(Number(value.toFixed(9)))
  const safe = defused(value === null ? '' : String(value))
  return /[",\n\r]/.test(safe) ? `"${safe.replace(/"/g, '""')}"` : safe
}

/** RFC 4180: commas, CRLF, quotes doubled. */
export const csvOf = (rows: readonly (readonly Cell[])[]): string =>
  rows.map((cells) => cells.map(cellOf).join(',')).join('\r\n') + '\r\n'

/** A number as the screen shows it: grouped by thin spaces, with a true minus, a point or a comma. */
const shownNumber = /^[−+]?\d{1,3}(\u202f\d{3})*([.,]\d+)?$|^[−+]?\d+([.,]\d+)?$/

/** A table as the screen shows it, as CSV: its numbers with a point and nothing that is not a digit. */
export const shownAsCsv = (rows: readonly (readonly string[])[]): string =>
  csvOf(
    rows.map((cells) =>
      cells.map((cell) => (shownNumber.test(cell) ? Number(bare(cell).replace(',', '.').replace('+', '')) : cell)),
    ),
  )

/** The same for the clipboard, as spreadsheets take it: tabs, which no cell holds, and the decimal sign of the project. */
export const shownAsTabbed = (rows: readonly (readonly string[])[]): string =>
  rows.map((cells) => cells.map(tabbed).join('\t')).join('\n')

const tabbed = (cell: string): string =>
  shownNumber.test(cell) ? bare(cell) : defused(cell.replace(/[\t\r\n]+/g, ' '))

const bare = (shown: string): string => shown.replace(/\u202f/g, '').replace('−', '-')
