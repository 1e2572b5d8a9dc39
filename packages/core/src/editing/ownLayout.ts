import type { Floor } from '../building/floors'
import type { Edit } from '../document/changes'
import { cut } from '../document/cut'
import { newId, type Document, type Random } from '../document/document'
import type { Layout, Level, Member } from '../document/recordKinds'
import { floorsOf, standingEdits } from './levels'
import { drawnOf, type Drawn } from './shaped'
import { withCopiesSpared } from './sparedMembers'

const drawnOn = (document: Document, layout: string): readonly Drawn[] =>
  drawnOf(document).filter((record) => record.layout === layout)

/** Only the level, or it and those above it as far as the layout goes on without a gap. */
export type OwnReach = 'this' | 'up'

interface Part {
  readonly layoutId: string
  /** Indices of the floors that would have the copy, the second not among them. */
  readonly from: number
  readonly to: number
}

/** The floors that a copy would stand on; null where the level has no layout, or where no level would keep the one it has. */
function partOf(floors: readonly Floor[], level: Level, reach: OwnReach): Part | null {
  const from = floors.findIndex((floor) => floor.level.id === level.id)
  const layoutId = floors[from]?.layoutId
  if (!layoutId) return null
  let to = from + 1
  if (reach === 'up') while (floors[to]?.layoutId === layoutId) to++
  const kept = floors.some((floor, i) => floor.layoutId === layoutId && (i < from || i >= to))
  return kept ? { layoutId, from, to } : null
}

/** The copies that a level can have for its own; the second only where it is another than the first. */
export function ownReaches(document: Document, level: Level): readonly OwnReach[] {
  const floors = floorsOf(document)
  const [only, up] = [partOf(floors, level, 'this'), partOf(floors, level, 'up')]
  return [...(only ? ['this' as const] : []), ...(up && up.to > up.from + 1 ? ['up' as const] : [])]
}

/**
 * A copy of its layout for a level, so that it can differ: with all that is drawn on it, each copy keeping its origin.
 * Nothing where the level has no layout, or where no level would keep the one it has.
 */
export function ownLayoutEdits(document: Document, level: Level, reach: OwnReach, random: Random): readonly Edit[] {
  const floors = floorsOf(document)
  const part = partOf(floors, level, reach)
  const before = document.records.get(part?.layoutId ?? '')
  if (!part || before?.kind !== 'layout') return []
  const moves = (i: number) => i >= part.from && i < part.to
  const layout: Layout = {
    ...before,
    id: newId('layout', random),
    origin: before.id,
    name: nameOf(before, level, reach),
  }
  const ids = new Map(drawnOn(document, before.id).map((record) => [record.id as string, newId(record.kind, random)]))
  const copies = drawnOn(document, before.id).map((record): Drawn => {
    const copy = { ...record, id: ids.get(record.id), origin: record.id, layout: layout.id } as Drawn
    return withCopiesSpared(copy, (id) => ids.get(id) as Member['id'] | undefined)
  })
  return [
    ...[layout, ...copies].map((after): Edit => ({ id: after.id, before: null, after })),
    ...standingEdits(document, (floor) => (moves(floor.index) ? layout.id : floor.layoutId), random),
  ]
}

/** "Reading floor, level 2" or "Reading floor, from level 2", within the length of a name. */
function nameOf({ name }: Layout, level: Level, reach: OwnReach): string {
  const tail = reach === 'this' ? `, level ${level.name}` : `, from level ${level.name}`
  return cut(`${cut(name, Math.max(0, 40 - tail.length))}${tail}`, 40)
}

/** The layout that a level's own one was copied from, where it is still there. */
export function followable(document: Document, layoutId: string | null): Layout | null {
  const own = document.records.get(layoutId ?? '')
  const origin = own?.kind === 'layout' ? document.records.get(own.origin ?? '') : undefined
  return origin?.kind === 'layout' ? origin : null
}

/** A level follows the layout again that its own was copied from; a copy that no level keeps goes with all it holds. */
export function followAgainEdits(document: Document, level: Level, random: Random): readonly Edit[] {
  const floors = floorsOf(document)
  const own = floors.find((floor) => floor.level.id === level.id)?.layoutId ?? null
  const origin = followable(document, own)
  if (!origin || own === null) return []
  const keeps = floors.some((floor) => floor.layoutId === own && floor.level.id !== level.id)
  const held = keeps ? [] : [...drawnOn(document, own), document.records.get(own)]
  return [
    ...standingEdits(document, (floor) => (floor.level.id === level.id ? origin.id : floor.layoutId), random),
    ...held.flatMap((gone): Edit[] => (gone ? [{ id: gone.id, before: gone, after: null }] : [])),
  ]
}
