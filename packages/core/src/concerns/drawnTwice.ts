import { sameOutline } from '../building/panelEdges'
import { wallSegments } from '../building/wallSegments'
import type { ProjectState } from '../derivation/project'
import { recordsOf, type Document } from '../document/document'
import { once } from '../outcome/once'
import type { AreaLoad, LineLoad, PointLoad, WallRun } from '../document/recordKinds'
import { nearby } from '../geometry/nearby'
import type { Point } from '../geometry/point'
import { distance, overlapOn } from '../geometry/segment'
import { onLine, samePoint } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'

/** Two wall runs on one line: less of an overlap is that of corners and of drawing by hand (10 cm). */
const shared = 0.1

/** Wall runs on one line, and loads drawn twice: they count twice. */
export const drawnTwice = ({ document }: ProjectState): readonly Concern[] => foundIn(document)

const foundIn = once((document: Document): readonly Concern[] => [
  ...pairsOf(recordsOf(document, 'wallRun'), ({ path }) => path).flatMap(([a, b]) => wallConcern(a, b)),
  ...pairsOf(recordsOf(document, 'areaLoad'), ({ outline }) => outline).flatMap(([a, b]) =>
    sameOutline(a.outline, b.outline) && a.angle === b.angle ? loadConcern(a, b) : [],
  ),
  ...pairsOf(recordsOf(document, 'lineLoad'), ({ path }) => path).flatMap(([a, b]) =>
    samePath(a.path, b.path) ? loadConcern(a, b) : [],
  ),
  ...pairsOf(recordsOf(document, 'pointLoad'), ({ path }) => path).flatMap(([a, b]) =>
    samePath(a.path, b.path) ? loadConcern(a, b) : [],
  ),
])

/** Records of one layout whose boxes meet. */
function pairsOf<R extends { readonly layout: string }>(
  records: readonly R[],
  points: (record: R) => readonly Point[],
): readonly (readonly [R, R])[] {
  const near = nearby(records.map(points))
  return records.flatMap((a, i) =>
    near(points(a)).flatMap((k) => {
      const b = records[k]
      return b && k > i && a.layout === b.layout ? [[a, b] as const] : []
    }),
  )
}

function wallConcern(a: WallRun, b: WallRun): readonly Concern[] {
  const [first, second] = [wallSegments(a), wallSegments(b)]
  const length = first.reduce(
    (sum, s) =>
      sum +
      second.reduce((part, t) => {
        const on = overlapOn(s.a, s.b, t.a, t.b, onLine)
        return part + (on ? on.to - on.from : 0)
      }, 0),
    0,
  )
  if (!(length > shared)) return []
  const data = { a: a.label, b: b.label, length }
  return [{ code: 'wall.doubled', about: [a.id, b.id], data }]
}

type Load = AreaLoad | LineLoad | PointLoad

/** Of one sort and value: two loads of different things may well lie on one place. */
function loadConcern(a: Load, b: Load): readonly Concern[] {
  const endOf = (load: Load) => (load.kind === 'pointLoad' ? null : load.endValue)
  const alike = a.nature === b.nature && a.use === b.use && a.value === b.value && endOf(a) === endOf(b)
  if (!alike) return []
  return [{ code: 'load.doubled', about: [a.id, b.id], data: { a: a.label, b: b.label, kind: a.kind } }]
}

const samePath = (a: readonly Point[], b: readonly Point[]): boolean =>
  a.length === b.length &&
  [b, [...b].reverse()].some((path) => a.every((p, i) => distance(p, path[i] ?? p) <= samePoint))
