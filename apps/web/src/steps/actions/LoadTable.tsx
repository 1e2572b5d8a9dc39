import { loadTableLimits, readLoadTable, tableExamples, type Layout } from '@hedrion/core'
import { useCallback } from 'react'
import { useWords } from '../../compute/useWords'
import { useAnswer, useDocument, useFormat } from '../../compute/SessionContext'
import { useEdit } from '../../compute/useEdit'
import { countOf } from '../../sheet/countOf'
import { TableSection, type TableReading } from '../../sheet/TableSection'

/** Point loads and line loads of a layout from a table, such as a list of machines. */
export function LoadTable({ layout }: { readonly layout: Layout }) {
  const inWords = useWords()
  const document = useDocument()
  const format = useFormat()
  const edit = useEdit()
  const standard = useAnswer({ kind: 'standard' })
  const read = useCallback(
    (text: string): TableReading => {
      const uses = Object.keys(standard?.uses ?? {})
      const { rows, problems } = readLoadTable(text, { document, layout, format, random: Math.random, uses })
      const words = { pointLoad: 'point load', lineLoad: 'line load' } as const
      const count = (['pointLoad', 'lineLoad'] as const)
        .flatMap((kind) => {
          const own = rows.filter((row) => row.kind === kind).length
          return own === 0 ? [] : [countOf(own, words[kind])]
        })
        .join(', ')
      return {
        problems,
        count,
        labels: rows.map(({ label }) => label),
        beside: layout.name,
        add: () => edit.add(`Loads from a table: ${count}`, rows),
      }
    },
    [document, layout, format, edit, standard],
  )
  return (
    <TableSection
      title="Loads from a table"
      about="One row per load, e.g. an equipment list or walls as line loads."
      help={inWords(
        'Headings: source, from, load; to for a line load; use for an imposed load; label, nature; or x1, y1, x2, y2 instead of from and to. Units as in “load, kN”.',
      )}
      label="Table of loads"
      example={tableExamples({ document, layout, format }).loads}
      limit={loadTableLimits.characters}
      read={read}
    />
  )
}
