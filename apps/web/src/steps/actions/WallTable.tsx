import { readWallTable, tableExamples, wallTableLimits, type Layout } from '@hedrion/core'
import { useCallback } from 'react'
import { useDocument, useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { countOf } from '../../sheet/countOf'
import { TableSection, type TableReading } from '../../sheet/TableSection'

/** Wall runs of a layout from a table, such as a list of partitions and facades. */
export function WallTable({ layout }: { readonly layout: Layout }) {
  const document = useDocument()
  const format = useFormat()
  const edit = useEdit()
  const read = useCallback(
    (text: string): TableReading => {
      const { rows, problems } = readWallTable(text, { document, layout, format, random: Math.random })
      const count = rows.length === 0 ? '' : countOf(rows.length, 'wall run')
      return {
        problems,
        count,
        labels: rows.map(({ label }) => label),
        beside: layout.name,
        add: () => edit.add(`Walls from a table: ${count}`, rows),
      }
    },
    [document, layout, format, edit],
  )
  return (
    <TableSection
      title="Walls from a table"
      about="One row per wall run, for this layout."
      help="Headings: from, to, weight; via for intermediate points; height, or less: beam, slab, both, nothing; openings as a ratio (0.2, 20 %) or by sizes; label; or x1, y1, x2, y2 instead of from and to. Units as in “weight, kN/m²”."
      label="Table of walls"
      example={tableExamples({ document, layout, format }).walls}
      limit={wallTableLimits.characters}
      read={read}
    />
  )
}
