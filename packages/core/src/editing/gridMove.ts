import { isOnGridLine } from '../building/grid'
import type { Edit } from '../document/changes'
import type { Document } from '../document/document'
import type { GridLine } from '../document/recordKinds'
import type { Point } from '../geometry/point'
import { onLine, tidy, tidyPoint } from '../geometry/tolerance'
import { drawnOf, pointsOf, withPoints } from './shaped'

/**
 * Another place of a grid line. Every drawn point on it goes with it where that is wanted: members, panels, patches and walls stretch.
 * Lines across the grid and rings move; a skew line has two places of its own.
 */
export function gridMoveEdits(document: Document, line: GridLine, at: number, takesAlong: boolean): readonly Edit[] {
  const own: Edit = { id: line.id, before: line, after: { ...line, at } }
  if (!takesAlong || at === line.at) return [own]
  const move = mover(line, at)
  const moved = drawnOf(document).flatMap((before): Edit[] => {
    const points = pointsOf(before)
    if (!points.some((point) => isOnGridLine(line, point, onLine))) return []
    const after = withPoints(
      before,
      points.map((point) => (isOnGridLine(line, point, onLine) ? move(point) : point)),
    )
    return [{ id: before.id, before, after }]
  })
  return [own, ...moved]
}

function mover({ axis, at: from, path: [centre] }: GridLine, at: number): (point: Point) => Point {
  if (axis === 'x') return ([x, y]) => [tidy(x + at - from), y]
  if (axis === 'y') return ([x, y]) => [x, tidy(y + at - from)]
  const [cx, cy] = centre ?? [0, 0]
  return ([x, y]) => tidyPoint([cx + ((x - cx) * at) / from, cy + ((y - cy) * at) / from])
}
