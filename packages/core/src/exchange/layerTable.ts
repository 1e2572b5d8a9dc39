import type { BuildUp } from '../document/recordKinds'
import type { NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'
import type { Quantity } from '../units/quantity'
import { headingOf, readCells, refuseCell, type CellRow } from './cells'
import { readRows, type TableProblem } from './tableRows'

type Layer = BuildUp['layers'][number]

export interface ReadLayers {
  readonly layers: readonly Layer[]
  readonly problems: readonly TableProblem[]
}

export const layerTableLimits = { characters: 100_000, layers: 40 } as const

const columns = {
  name: null,
  thickness: 'smallLength',
  'unit weight': 'unitWeight',
  load: 'pressure',
} as const satisfies Record<string, Quantity | null>
type Column = keyof typeof columns
const limits = { smallLength: [0, 10], unitWeight: [0, 2e5], pressure: [-1e6, 1e6] } as const

interface Heading {
  readonly column: Column
  readonly unit: string
}

/**
 * Reads layers of a build-up from pasted cells or CSV: name, thickness and unit weight, or name and load. Headings say which is
 * which, with a unit (`thickness, mm`); without them three cells are a layer by thickness and two one by load, in the
 * project's units. All or nothing: with a problem anywhere nothing is to be added.
 */
export function readLayerTable(text: string, format: NumberFormat): ReadLayers {
  const refused = (row: number, problem: string): ReadLayers => ({
    layers: [],
    problems: [{ row, column: '', problem }],
  })
  if (text.length > layerTableLimits.characters) return refused(1, 'The table is larger than 100 kB.')
  const rows = readCells(text)
  const [first] = rows
  if (!first) return refused(1, 'Paste one row per layer: name, thickness, unit weight; or name, load.')
  const headings = headingsOf(first)
  const body = headings ? rows.slice(1) : rows
  if (body.length === 0) return refused(first.row, 'The table has headings but no layers.')
  if (body.length > layerTableLimits.layers)
    return refused(
      1,
      `The table has ${body.length} rows; a build-up can have at most ${layerTableLimits.layers} layers.`,
    )
  const { rows: layers, problems } = readRows(body, (cells) => readLayer(cells, headings ?? usual(cells), format))
  return { layers, problems }
}

/** The headings of a first row that has a name among them; null where it is a layer itself. */
function headingsOf({ cells }: CellRow): readonly (Heading | null)[] | null {
  const found = cells.map((cell): Heading | null => {
    const { name, unit } = headingOf(cell)
    const column = (Object.keys(columns) as Column[]).find((known) => known === name)
    return column ? { column, unit } : null
  })
  return found.some((heading) => heading?.column === 'name') ? found : null
}

const usual = (cells: readonly string[]): readonly Heading[] =>
  (cells.filter(Boolean).length > 2
    ? (['name', 'thickness', 'unit weight', 'load'] as const)
    : (['name', 'load'] as const)
  ).map((column) => ({ column, unit: '' }))

function readLayer(cells: readonly string[], headings: readonly (Heading | null)[], format: NumberFormat): Layer {
  if (cells.slice(headings.length).some(Boolean)) refuseCell('', 'The row has more cells than columns.')
  const textOf = (column: Column): { readonly text: string; readonly unit: string } => {
    const at = headings.findIndex((heading) => heading?.column === column)
    return { text: cells[at] ?? '', unit: headings[at]?.unit ?? '' }
  }
  const valueOf = (column: Exclude<Column, 'name'>): number | null => {
    const { text, unit } = textOf(column)
    return text === '' ? null : amount(text, unit, column, format)
  }
  const name = textOf('name').text
  if (name === '') refuseCell('name', 'The layer name is missing.')
  if (name.length > 60) refuseCell('name', 'A name can have at most 60 characters.')
  const [thickness, unitWeight, load] = [valueOf('thickness'), valueOf('unit weight'), valueOf('load')]
  if (load !== null && (thickness !== null || unitWeight !== null))
    refuseCell('load', 'Enter either thickness and unit weight, or a load.')
  if (load === null && (thickness === null || unitWeight === null))
    refuseCell(thickness === null ? 'thickness' : 'unit weight', 'Enter thickness and unit weight, or a load.')
  return { name, thickness, unitWeight, load, source: '' }
}

function amount(text: string, unit: string, column: Exclude<Column, 'name'>, format: NumberFormat): number {
  const quantity = columns[column]
  const read = parseQuantity(text, quantity, format, unit)
  if (!read.ok) return refuseCell(column, read.problem)
  const [least, greatest] = limits[quantity]
  return read.value >= least && read.value <= greatest
    ? read.value
    : refuseCell(column, `This is outside ${least} to ${greatest} (SI units).`)
}
