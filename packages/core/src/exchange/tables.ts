export type Cell = string | number | boolean | null

/** A cell that a spreadsheet would take for a formula is defused by a leading apostrophe (OWASP, "CSV injection"). */
function cellOf(value: Cell): string {
  if (typeof value === 'number') return String(Number(value.toFixed(9)))
  const text = value === null ? '' : String(value)
  const safe = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
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

/** The same for the clipboard, as spreadsheets take it: tabs, and the decimal sign of the project. */
export const shownAsTabbed = (rows: readonly (readonly string[])[]): string =>
  rows.map((cells) => cells.map((cell) => (shownNumber.test(cell) ? bare(cell) : cell)).join('\t')).join('\n')

const bare = (shown: string): string => shown.replace(/\u202f/g, '').replace('−', '-')
