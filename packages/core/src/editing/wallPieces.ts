import type { Edit } from '../document/changes'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { WallRun } from '../document/recordKinds'
import { lengthAlong, legsOf, pointAlong } from '../geometry/course'
import type { Point } from '../geometry/point'
import { onLine } from '../geometry/tolerance'
import { freeLabel } from './shaped'

/** The edits that leave a run with other paths: the first keeps the record and its openings by size, others become runs of their own. */
function withPaths(
  document: Document,
  run: WallRun,
  paths: readonly (readonly Point[])[],
  random: Random,
): readonly Edit[] {
  const [first, ...others] = paths.filter((path) => lengthAlong(path) > onLine)
  if (!first) return [{ id: run.id, before: run, after: null }]
  const taken = new Set(
    recordsOf(document, 'wallRun').flatMap(({ layout, label }) => (layout === run.layout ? [label] : [])),
  )
  const pieces = others.map((path): WallRun => {
    const label = freeLabel(run.label, taken)
    taken.add(label)
    return { ...run, id: newId('wallRun', random), label, path, closed: false, openingSizes: [] }
  })
  return [
    { id: run.id, before: run, after: { ...run, path: first, closed: false } },
    ...pieces.map((after): Edit => ({ id: after.id, before: null, after })),
  ]
}

/**
 * A run without a stretch, by the steps of its path from one up to another (not included): a closed one opens there, an open one
 * becomes shorter or two.
 */
export function withoutStretch(
  document: Document,
  run: WallRun,
  from: number,
  to: number,
  random: Random,
): readonly Edit[] {
  const { path, closed } = run
  if (!isClosed(run)) return withPaths(document, run, [path.slice(0, from + 1), path.slice(to)], random)
  const ring = closed ? [...path, ...path, ...path.slice(0, 1)] : path
  return withPaths(document, run, [ring.slice(to, path.length + from + 1)], random)
}

/** A run cut at a length along it, m from its start: a closed one opens there, an open one becomes two. Null beyond its ends. */
export function cutAt(document: Document, run: WallRun, s: number, random: Random): readonly Edit[] | null {
  const points = isClosed(run) ? [...run.path, ...run.path.slice(0, 1)] : run.path
  const legs = legsOf(points)
  const length = lengthAlong(points)
  if (s <= onLine || s >= length - onLine) return null
  const at = pointAlong(legs, s)
  const ends = points.slice(1).map((_, i) => lengthAlong(points.slice(0, i + 2)))
  const before = [...points.slice(0, 1), ...points.slice(1).filter((_, i) => (ends[i] ?? 0) < s - onLine), at]
  const after = [at, ...points.slice(1).filter((_, i) => (ends[i] ?? 0) > s + onLine)]
  const paths = isClosed(run) ? [[...after, ...before.slice(1)]] : [before, after]
  return withPaths(document, run, paths, random)
}

const isClosed = ({ closed, path }: WallRun): boolean => closed && path.length > 2
