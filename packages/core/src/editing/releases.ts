import type { Edit } from '../document/changes'
import { recordsOf, type Document } from '../document/document'
import type { Member } from '../document/recordKinds'
import { isUpright } from '../document/roles'
import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { alongSpan, onLine } from '../geometry/tolerance'

/** Columns, hangers and walls go up or down: they have no ends that turn. */
const hasEnds = (role: Member['role']): boolean => !isUpright(role) && role !== 'wall'

/** Ends of beams by rule: those that go on in line in another beam are held against turning, all others are pinned. */
export function releaseEdits(document: Document, members: readonly Member[]): readonly Edit[] {
  const layouts = new Set(members.map(({ layout }) => layout))
  const all = recordsOf(document, 'member').filter(({ role, layout }) => hasEnds(role) && layouts.has(layout))
  const near = nearby(all.map(({ path }) => path))
  return members.flatMap((before): readonly Edit[] => {
    if (!hasEnds(before.role)) return []
    const others = near(before.path).flatMap((i) => {
      const other = all[i]
      return other && other.id !== before.id && other.layout === before.layout ? [other] : []
    })
    const ruled = (path: readonly Point[]) =>
      others.some((other) => goesOn(path, other.path)) ? ('fixed' as const) : ('pinned' as const)
    const after = { ...before, startRelease: ruled([...before.path].reverse()), endRelease: ruled(before.path) }
    return after.startRelease === before.startRelease && after.endRelease === before.endRelease
      ? []
      : [{ id: before.id, before, after }]
  })
}

/** Whether a path goes on from its end in another one, within five degrees. */
function goesOn(path: readonly Point[], other: readonly Point[]): boolean {
  const [before, end] = [path.at(-2), path.at(-1)]
  if (!before || !end) return false
  return [other, [...other].reverse()].some(([start, next]) => {
    if (!start || !next || distance(start, end) > onLine) return false
    const turn = Math.abs(bearing(before, end) - bearing(start, next)) % (2 * Math.PI)
    return Math.min(turn, 2 * Math.PI - turn) <= alongSpan
  })
}

const bearing = (a: Point, b: Point): number => Math.atan2(b[1] - a[1], b[0] - a[0])
