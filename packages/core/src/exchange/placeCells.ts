import { recordsOf, type Document } from '../document/document'
import { readPlaces } from '../editing/placeText'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'
import { refuseCell } from './cells'
import type { Cells } from './tableRows'

/** Columns that say where something is: places in words, or coordinates. */
export const placeColumns = ['from', 'to', 'x1', 'y1', 'x2', 'y2'] as const
type PlaceColumn = (typeof placeColumns)[number]

export const placeNames: Readonly<Record<string, PlaceColumn>> = {
  start: 'from',
  at: 'from',
  end: 'to',
  x: 'x1',
  y: 'y1',
}

/** Whether columns say where a row begins. */
export const saysWhere = (has: (column: PlaceColumn) => boolean): boolean => has('from') || (has('x1') && has('y1'))

export interface PlaceGround {
  readonly document: Document
  readonly format: NumberFormat
}

/** From its start to its end, or its start alone. */
export function readPath(cells: Cells<PlaceColumn>, ground: PlaceGround): readonly Point[] {
  const start = pointOf(cells, 'from', 'x1', 'y1', ground)
  const end = pointOf(cells, 'to', 'x2', 'y2', ground, start)
  if (!start) return refuseCell('from', 'The start is missing.')
  if (end && distance(start, end) < onLine) return refuseCell('to', 'Start and end are the same point.')
  return end ? [start, end] : [start]
}

/** Places that a path passes between its start and its end. */
export function placesBetween(
  text: string,
  start: Point,
  { document, format }: PlaceGround,
  { most, what }: { readonly most: number; readonly what: string },
): readonly Point[] {
  const read = readPlaces(text, { grid: recordsOf(document, 'gridLine'), format, last: start })
  if (!read.ok) return refuseCell('via', read.problem)
  return read.points.length <= most ? read.points : refuseCell('via', `${what} has ${most + 2} points at most.`)
}

/** A place in words, or two coordinates; undefined where there is none. */
function pointOf(
  cells: Cells<PlaceColumn>,
  place: 'from' | 'to',
  x: 'x1' | 'x2',
  y: 'y1' | 'y2',
  { document, format }: PlaceGround,
  last?: Point,
): Point | undefined {
  const words = cells[place]
  if (words) {
    const read = readPlaces(words.text, { grid: recordsOf(document, 'gridLine'), format, last })
    if (!read.ok) return refuseCell(place, read.problem)
    const [point, second] = read.points
    return second ? refuseCell(place, 'One point is expected.') : point
  }
  const [atX, atY] = [cells[x], cells[y]]
  if (!atX && !atY) return undefined
  if (!atX || !atY) return refuseCell(atX ? y : x, 'The other coordinate is missing.')
  return [lengthCell(atX, x, format), lengthCell(atY, y, format)]
}

/** A length in its own unit, or in that of its heading. */
export function lengthCell(
  { text, unit }: { readonly text: string; readonly unit: string },
  column: string,
  format: NumberFormat,
): number {
  const read = parseQuantity(text, 'length', format, unit)
  if (!read.ok) return refuseCell(column, read.problem)
  return Math.abs(read.value) <= 1e6 ? read.value : refuseCell(column, 'This is more than 1000 km away.')
}
