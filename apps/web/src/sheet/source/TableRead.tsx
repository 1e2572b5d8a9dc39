import { formatQuantity, formatValue, unitOf, type Traced } from '@hedrion/core'
import { useFormat } from '../../compute/SessionContext'
import { TableOut } from '../../ui/TableOut'
import { SymbolText } from '../SymbolText'
import { CurvePicture } from './CurvePicture'
import { TableFrame } from './tableFrame'
import { useMarkedRow } from './useMarkedRow'

type TableBasis = Extract<Traced['basis'], { kind: 'table' }>

/** A table that was read at a number of this building: its curve with the place on it, its row marked, its points framed. */
export function TableRead({
  basis: { table, row, inputs },
  value,
}: {
  readonly basis: TableBasis
  readonly value: number
}) {
  const format = useFormat()
  const frame = useMarkedRow<HTMLDivElement>(row)
  const { axis, rows, symbol, quantity } = table
  const at = inputs[0]?.value ?? NaN
  const read = readAt(axis.at, at)
  const text = () => [
    [
      [axis.symbol, unitOf(axis.quantity, format)].filter(Boolean).join(', '),
      ...axis.at.map((point) => formatValue(point, axis.quantity, format)),
    ],
    ...Object.entries(rows).map(([name, values]) => [
      name,
      ...values.map((cell) => formatValue(cell, quantity, format)),
    ]),
  ]
  return (
    <>
      <CurvePicture table={table} row={row} at={at} value={value} />
      <TableFrame ref={frame} tabIndex={0} role="region" aria-label={`${table.clause}, row ${row} is marked`}>
        <table>
          <caption>
            <SymbolText name={symbol} /> {unitOf(quantity, format)} by <SymbolText name={axis.symbol} />, read at{' '}
            {formatQuantity(at, axis.quantity, format)}
          </caption>
          <thead>
            <tr>
              <th>
                <SymbolText name={axis.symbol} /> {unitOf(axis.quantity, format)}
              </th>
              {axis.at.map((point) => (
                <th key={point}>{formatValue(point, axis.quantity, format)}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {Object.entries(rows).map(([name, values]) => (
              <tr key={name} aria-current={name === row || undefined}>
                <th scope="row">{name}</th>
                {values.map((cell, i) => (
                  <td key={i} data-read={(name === row && read.includes(i)) || undefined}>
                    {formatValue(cell, quantity, format)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </TableFrame>
      <TableOut name={table.clause} rows={text} />
    </>
  )
}

/** The points between which a number lies, or the one that it is at or beyond. */
function readAt(points: readonly number[], at: number): readonly number[] {
  const above = points.findIndex((point) => point >= at)
  if (above === -1) return [points.length - 1]
  return above === 0 || points[above] === at ? [above] : [above - 1, above]
}
