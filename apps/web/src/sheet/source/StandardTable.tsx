import { formatQuantity, formatValue, unitOf, type NumberFormat, type SourceTable } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { TableOut } from '../../ui/TableOut'
import { SymbolText } from '../SymbolText'
import { TableFrame } from './tableFrame'
import { useMarkedRow } from './useMarkedRow'

interface StandardTableProps {
  readonly table: SourceTable
  /** Rows that the project takes. */
  readonly taken: readonly string[]
}

/** The table of the standard that a parameter stands in: its row marked, its value framed, and what the project takes said. */
export function StandardTable({ table, taken }: StandardTableProps) {
  const format = useFormat()
  const frame = useMarkedRow<HTMLDivElement>(table.row)
  const { heading, rows, row: own, column } = table
  const heads = headsOf(table, format)
  const cellTexts = ({ cells }: SourceTable['rows'][number]) =>
    cells.map((cell, i) =>
      !cell
        ? '–'
        : heads[i]?.same
          ? formatValue(cell.value, cell.quantity, format)
          : formatQuantity(cell.value, cell.quantity, format),
    )
  const takes = (id: string) => (taken.includes(id) ? 'uses it' : '')
  const text = () => [
    [heading, ...heads.map(({ symbol, unit }) => [symbol, unit].filter(Boolean).join(', ')), 'this project'],
    ...rows.map((row) => [row.name, ...cellTexts(row), takes(row.id)]),
  ]
  return (
    <>
      <TableFrame ref={frame} tabIndex={0} role="region" aria-label={`Table of the standard, by ${heading}`}>
        <table>
          <thead>
            <tr>
              <th>{heading}</th>
              {heads.map((head, i) => (
                <th key={i}>
                  {head.symbol && <SymbolText name={head.symbol} />} {head.unit}
                </th>
              ))}
              {taken.length > 0 && <th>this project</th>}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id} aria-current={row.id === own || undefined}>
                <th scope="row">
                  {table.id === 'single' && row.cells[0] && <SymbolText name={row.cells[0].symbol} />} {row.name}
                </th>
                {cellTexts(row).map((cell, i) => (
                  <td key={i} data-read={(row.id === own && i === column) || undefined}>
                    {cell}
                  </td>
                ))}
                {taken.length > 0 && <td data-words>{takes(row.id)}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </TableFrame>
      <TableOut name={`table of the standard by ${heading}`} rows={text} />
    </>
  )
}

/** Symbol and unit of each column; units stand at the values where they differ. */
function headsOf({ id, rows }: SourceTable, format: NumberFormat) {
  return (rows[0]?.cells ?? []).map((_, i) => {
    const cells = rows.flatMap(({ cells }) => cells[i] ?? [])
    const [first] = cells
    const same = first !== undefined && cells.every(({ quantity }) => quantity === first.quantity)
    return {
      same,
      symbol: id === 'single' ? null : (first?.symbol ?? null),
      unit: same ? unitOf(first.quantity, format) : '',
    }
  })
}
