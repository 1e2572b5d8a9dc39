import { crossingsOf } from '../building/grid'
import type { GridLine } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { refuse, orRefused } from '../outcome/refusal'
import { formatValue, type NumberFormat } from '../units/format'
import { gridPoint, readPlace, type Placed } from './placeText'
import { pointsOf, withPoints, type Drawn } from './shaped'

/** Below this a point is at a crossing of the grid, m. */
const atCrossing = 1e-3

/** Kinds whose path may gain and lose points. */
const bendable: ReadonlySet<Drawn['kind']> = new Set(['member', 'wallRun', 'lineLoad', 'barrier', 'wallSurface'])

/** A point as one would type it: the crossing of grid lines that it is at, or its coordinates. */
export function pointText([x, y]: Point, grid: readonly GridLine[], format: NumberFormat): string {
  for (const [i, a] of grid.entries())
    for (const b of grid.slice(i + 1))
      if (crossingsOf(a, b).some((crossing) => distance(crossing, [x, y]) <= atCrossing)) {
        // a name that is read as another place is none
        const name = a.axis === 'y' ? `${a.label}/${b.label}` : `${b.label}/${a.label}`
        const read = gridPoint(name, grid)
        if (read && distance(read, [x, y]) <= atCrossing) return name
      }
  return `${formatValue(x, 'length', format)}; ${formatValue(y, 'length', format)}`
}

/** All points of a record, joined by `to`. */
export const pointsText = (record: Drawn, grid: readonly GridLine[], format: NumberFormat): string =>
  pointsOf(record)
    .map((point) => pointText(point, grid, format))
    .join(' to ')

export type Repointed = { readonly ok: true; readonly record: Drawn } | { readonly ok: false; readonly problem: string }

/**
 * A record with the points of a text. What of the text is as it was keeps its point to the last digit, whatever the format shows.
 * Refused where there are too few points, or where a record of its kind has a fixed number of them.
 */
export function withPointsText(
  record: Drawn,
  text: string,
  grid: readonly GridLine[],
  format: NumberFormat,
): Repointed {
  const before = pointsOf(record)
  const texts = before.map((point) => pointText(point, grid, format))
  const kept = (part: string, i: number): Point | undefined => before[texts[i] === part ? i : texts.indexOf(part)]
  const read = orRefused((): Placed => {
    const points: Point[] = []
    for (const [i, part] of text
      .trim()
      .split(/\s+to\s+/i)
      .entries())
      points.push(kept(part.trim(), i) ?? readPlace(part.trim(), { grid, format, last: points.at(-1) }))
    return { ok: true, points: checked(record, points) }
  })
  return read.ok ? { ok: true, record: withPoints(record, read.points) } : read
}

function checked(record: Drawn, points: readonly Point[]): readonly Point[] {
  const before = pointsOf(record).length
  if (!('path' in record)) return points.length >= 3 ? points : refuse('An outline has at least 3 corners.')
  if (before === 1 || !bendable.has(record.kind))
    return points.length === before
      ? points
      : refuse(before === 1 ? 'Enter one point.' : `Enter ${before} points, joined by “to”.`)
  if (points.length < 2) return refuse('Enter at least 2 points, joined by “to”.')
  return points.every((point, i) => i === 0 || distance(point, points[i - 1] ?? point) > 0)
    ? points
    : refuse('Two successive points are the same.')
}
