import { recordsOf, type Document } from '../document/document'
import type { GridLine, Layout } from '../document/recordKinds'
import { freeLabel } from '../editing/shaped'
import { displayFactor, type Quantity } from '../units/quantity'
import { unitOf, type NumberFormat } from '../units/format'
import { labelsOn } from './labelCells'
import { csvOf } from './tables'

interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly format: NumberFormat
}

/** A row of each table as the project takes it: on its grid, with its sections, in its units. */
export interface TableExamples {
  readonly members: string
  readonly loads: string
  readonly walls: string
}

/**
 * What the tables show as an example: accepted as it stands, in any project.
 */
export function tableExamples({ document, layout, format }: Ground): TableExamples {
  const taken = labelsOn(document, layout, ['member', 'strut', 'lineLoad', 'pointLoad', 'wallRun'])
  const where = positions(recordsOf(document, 'gridLine'))
  const [section, material] = [recordsOf(document, 'section')[0], recordsOf(document, 'material')[0]]
  const metric = format.system === 'metric'
  return {
    members: table(
      ['label', ...where.headings, 'section', 'material'],
      [
        freeLabel('B1', taken),
        ...where.span,
        section?.name ?? (metric ? 'IPE 300' : 'W12X26'),
        material?.name ?? 'Structural steel',
      ],
    ),
    loads: table(
      ['source', ...where.startHeadings, `load, ${unitOf('force', format)}`],
      ['chiller', ...where.start, rounded(34_500, 'force', format)],
    ),
    walls: table(
      ['label', ...where.headings, `weight, ${unitOf('pressure', format)}`],
      [freeLabel('W1', taken), ...where.span, rounded(2500, 'pressure', format)],
    ),
  }
}

const rounded = (value: number, quantity: Quantity, { system }: NumberFormat): string =>
  String(Math.max(1, Math.round(value / displayFactor(quantity, system))))

const table = (headings: readonly string[], cells: readonly string[]): string => csvOf([headings, cells]).trimEnd()

interface Positions {
  readonly headings: readonly string[]
  readonly span: readonly string[]
  readonly startHeadings: readonly string[]
  readonly start: readonly string[]
}

/** Between two intersections of the grid; by coordinates where there are none. */
function positions(grid: readonly GridLine[]): Positions {
  const ofAxis = (axis: 'x' | 'y') => grid.filter((line) => line.axis === axis).sort((a, b) => a.at - b.at)
  const [first, second] = ofAxis('x')
  const [across] = ofAxis('y')
  if (!first || !second || !across)
    return {
      headings: ['x1', 'y1', 'x2', 'y2'],
      span: ['0', '2', '6', '2'],
      startHeadings: ['x1', 'y1'],
      start: ['3', '2'],
    }
  const [from, to] = [first, second].map(({ label }) => `${across.label}/${label}`)
  return { headings: ['from', 'to'], span: [from ?? '', to ?? ''], startHeadings: ['from'], start: [from ?? ''] }
}
