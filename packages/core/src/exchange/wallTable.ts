import { newId, type Document, type Random } from '../document/document'
import type { Layout, WallRun } from '../document/recordKinds'
import { letters } from '../editing/drawn'
import { readOpenings } from '../editing/openingText'
import { usualWall } from '../editing/usual'
import type { NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'
import { refuseCell } from './cells'
import { labelsOn, readLabel } from './labelCells'
import { lengthCell, placeColumns, placeNames, placesBetween, readPath, saysWhere } from './placeCells'
import { readTable, type Cells, type ReadTable, type TableKind } from './tableRows'

export const wallTableLimits = { characters: 1_000_000, rows: 2000 } as const

const columns = ['label', ...placeColumns, 'via', 'weight', 'height', 'less', 'openings'] as const
type Column = (typeof columns)[number]
type WallCells = Cells<Column>

const table: TableKind<Column> = {
  columns,
  otherNames: { mark: 'label', name: 'label', through: 'via', rule: 'less', ...placeNames },
  limits: wallTableLimits,
  example: 'from, to, weight',
  lacks: (has) => (saysWhere(has) ? null : 'The start is missing: add a column from, or x1 and y1.'),
}

/** What is taken off the storey height, in words. */
const rules = { beam: 'lessBeam', slab: 'lessSlab', both: 'lessBoth', nothing: 'storey' } as const
const isRule = (text: string): text is keyof typeof rules => text in rules

interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly format: NumberFormat
  readonly random: Random
}

/**
 * Reads wall runs of a layout from a table, CSV or pasted cells: from, to and places that a run passes; what it weighs per area (else as
 * the project's walls do); a typed height, or what is taken off the storey height (beam, slab, both, nothing); openings as a part of its
 * face or by their sizes. All or nothing.
 */
export function readWallTable(text: string, ground: Ground): ReadTable<WallRun> {
  const taken = labelsOn(ground.document, ground.layout, ['wallRun'])
  return readTable(text, table, (cells) => {
    const run = readRow(cells, ground, taken)
    taken.add(run.label)
    return run
  })
}

function readRow(cells: WallCells, ground: Ground, taken: ReadonlySet<string>): WallRun {
  const [start, end] = readPath(cells, ground)
  if (!start || !end) return refuseCell('to', 'A wall run must have an end.')
  const between = cells.via ? placesBetween(cells.via.text, start, ground, { most: 498, what: 'A wall run' }) : []
  const usual = usualWall(ground.document)
  const weight = readWeight(cells, ground.format)
  return {
    kind: 'wallRun',
    id: newId('wallRun', ground.random),
    layout: ground.layout.id,
    label: readLabel(cells, letters.wallRun, taken),
    path: [start, ...between, end],
    closed: false,
    ...usual,
    ...(weight === null ? {} : { weight, buildUp: null }),
    ...readHeight(cells, ground.format),
    ...readOpeningCell(cells, ground.format),
  }
}

function readWeight({ weight }: WallCells, format: NumberFormat): number | null {
  if (!weight) return null
  const read = parseQuantity(weight.text, 'pressure', format, weight.unit)
  if (!read.ok) return refuseCell('weight', read.problem)
  return read.value >= 0 && read.value <= 1e5
    ? read.value
    : refuseCell('weight', 'The wall weight must be 0 to 100 kN/m².')
}

function readHeight({ height, less }: WallCells, format: NumberFormat): Pick<WallRun, 'heightRule' | 'height'> {
  if (height && less) return refuseCell('less', 'Enter a height or a height rule, not both.')
  if (height) {
    const value = lengthCell(height, 'height', format)
    return value > 0 && value <= 100
      ? { heightRule: 'typed', height: value }
      : refuseCell('height', 'The wall height must be above 0 and up to 100 m.')
  }
  const rule = less?.text.toLowerCase() ?? 'beam'
  if (!isRule(rule)) return refuseCell('less', `“${rule.slice(0, 40)}” is not one of ${Object.keys(rules).join(', ')}.`)
  return { heightRule: rules[rule], height: null }
}

/** A part of its face, as 0.2 or 20 %, or sizes. */
function readOpeningCell(
  { openings }: WallCells,
  format: NumberFormat,
): Partial<Pick<WallRun, 'openingShare' | 'openingSizes'>> {
  if (!openings) return {}
  if (/^[\d.,\s]+%?\s*$/.test(openings.text)) {
    const read = parseQuantity(openings.text, 'factor', format, openings.unit)
    if (!read.ok) return refuseCell('openings', read.problem)
    return read.value >= 0 && read.value <= 1
      ? { openingShare: read.value }
      : refuseCell('openings', 'Openings must be 0 to 1 of the wall area, or 0 to 100 %.')
  }
  const read = readOpenings(openings.text, format)
  return read.ok ? { openingSizes: read.sizes } : refuseCell('openings', read.problem)
}
