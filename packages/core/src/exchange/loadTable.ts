import { newId, type Document, type Random } from '../document/document'
import type { Layout, LineLoad, PointLoad } from '../document/recordKinds'
import { letters } from '../editing/drawn'
import type { NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'
import { refuseCell } from './cells'
import { labelsOn, readLabel } from './labelCells'
import { placeColumns, placeNames, readPath, saysWhere } from './placeCells'
import { readTable, type Cells, type ReadTable, type TableKind } from './tableRows'

export const loadTableLimits = { characters: 1_000_000, rows: 2000 } as const

const columns = ['label', 'source', 'nature', 'use', ...placeColumns, 'load', 'end load'] as const
type Column = (typeof columns)[number]

const table: TableKind<Column> = {
  columns,
  otherNames: {
    mark: 'label',
    what: 'source',
    name: 'source',
    equipment: 'source',
    category: 'use',
    value: 'load',
    weight: 'load',
    'load at the end': 'end load',
    'load to': 'end load',
    ...placeNames,
  },
  limits: loadTableLimits,
  example: 'source, from, load',
  lacks: (has) => {
    if (!saysWhere(has)) return 'The position is missing: add a column from, or x1 and y1.'
    return has('load') ? null : 'The load value is missing: add a column load, with a unit as in “load, kN”.'
  },
}

interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly format: NumberFormat
  readonly random: Random
  /** Ids of the uses that the standard knows. */
  readonly uses: readonly string[]
}

/**
 * Reads point loads and line loads of a layout from a table: CSV or pasted cells, such as a list of machines. A row with one place is a
 * force, one with two a load along the line between them, which may end with another value; it is permanent unless its nature or its use says imposed. All or
 * nothing.
 */
export function readLoadTable(text: string, ground: Ground): ReadTable<PointLoad | LineLoad> {
  const taken = labelsOn(ground.document, ground.layout, ['lineLoad', 'pointLoad'])
  return readTable(text, table, (cells) => {
    const load = readRow(cells, ground, taken)
    taken.add(load.label)
    return load
  })
}

function readRow(cells: Cells<Column>, ground: Ground, taken: ReadonlySet<string>): PointLoad | LineLoad {
  const path = readPath(cells, ground)
  const kind = path.length === 1 ? 'pointLoad' : 'lineLoad'
  const label = readLabel(cells, letters[kind], taken)
  const what = cells.source?.text ?? ''
  if (what.length > 60) refuseCell('source', 'At most 60 characters are allowed.')
  const { layout, format, random } = ground
  const base = { layout: layout.id, label, what, ...readNature(cells, ground), path }
  if (kind === 'pointLoad') {
    if (cells['end load']) refuseCell('end load', 'A point load has no end value.')
    return { kind, id: newId(kind, random), ...base, value: readLoad(cells, 'load', 'force', 1e9, format) }
  }
  const endValue = cells['end load'] ? readLoad(cells, 'end load', 'lineLoad', 1e7, format) : null
  return { kind, id: newId(kind, random), ...base, value: readLoad(cells, 'load', 'lineLoad', 1e7, format), endValue }
}

/** A load with a use is imposed; without one it is permanent unless it says otherwise. */
function readNature(cells: Cells<Column>, { uses }: Ground): Pick<PointLoad, 'nature' | 'use'> {
  const use = cells.use?.text ?? null
  const nature = cells.nature?.text.toLowerCase() ?? (use === null ? 'permanent' : 'imposed')
  if (nature !== 'permanent' && nature !== 'imposed')
    return refuseCell('nature', `“${nature.slice(0, 40)}” is not permanent or imposed.`)
  if (use !== null && nature === 'permanent') return refuseCell('use', 'A permanent load cannot have a use.')
  if (use !== null && !uses.includes(use))
    return refuseCell('use', `“${use.slice(0, 40)}” is not a use of this standard: ${uses.slice(0, 12).join(', ')} …`)
  return { nature, use }
}

function readLoad(
  cells: Cells<Column>,
  column: 'load' | 'end load',
  quantity: 'force' | 'lineLoad',
  most: number,
  format: NumberFormat,
): number {
  const cell = cells[column]
  if (!cell) return refuseCell(column, 'The load value is missing.')
  const read = parseQuantity(cell.text, quantity, format, cell.unit)
  if (!read.ok) return refuseCell(column, read.problem)
  return Math.abs(read.value) <= most ? read.value : refuseCell(column, 'This is too large for a load of a building.')
}
