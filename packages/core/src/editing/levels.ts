import { tidy } from '../geometry/tolerance'
import type { Edit } from '../document/changes'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { Layout, Level, LevelRange } from '../document/recordKinds'
import { expandFloors, type Floor } from '../building/floors'

/** The levels of the document from the base up, with the layout on each. */
export const floorsOf = (document: Document): readonly Floor[] =>
  expandFloors(recordsOf(document, 'level'), recordsOf(document, 'levelRange'))

const rising = (document: Document): readonly Level[] =>
  [...recordsOf(document, 'level')].sort((a, b) => a.elevation - b.elevation)

/** Another height of the storey below a level: it and all above move together. */
export function storeyHeightEdits(document: Document, level: Level, height: number): readonly Edit[] {
  const levels = rising(document)
  const index = levels.findIndex(({ id }) => id === level.id)
  const below = levels[index - 1]
  if (!below) return []
  const shift = below.elevation + height - level.elevation
  return levels.slice(index).map((before) => ({
    id: before.id,
    before,
    after: { ...before, elevation: tidy(before.elevation + shift) },
  }))
}

/** Heights of the storeys from the base up, m. */
export const storeyHeights = (levels: readonly Pick<Level, 'elevation'>[]): readonly number[] => {
  const elevations = levels.map(({ elevation }) => elevation).sort((a, b) => a - b)
  return elevations.slice(1).map((elevation, i) => tidy(elevation - (elevations[i] ?? elevation)))
}

/** Other heights of all storeys, from the base up, as many as there are; the base stays. */
export function storeyHeightsEdits(document: Document, heights: readonly number[]): readonly Edit[] {
  const [base, ...others] = rising(document)
  let elevation = base?.elevation ?? 0
  return others.flatMap((before, i) => {
    elevation = tidy(elevation + (heights[i] ?? 0))
    return elevation === before.elevation ? [] : [{ id: before.id, before, after: { ...before, elevation } }]
  })
}

/** Another layout on a level: ranges are split and joined so that every other level keeps its own. */
export function layoutOfLevelEdits(
  document: Document,
  level: Level,
  layout: Layout['id'] | null,
  random: Random,
): readonly Edit[] {
  return standingEdits(document, (floor) => (floor.level.id === level.id ? layout : floor.layoutId), random)
}

/** Another choice of layouts for the levels that are there. */
export function standingEdits(
  document: Document,
  layoutOf: (floor: Floor) => string | null,
  random: Random,
): readonly Edit[] {
  const floors = floorsOf(document)
  return rangeEdits(
    document,
    floors.map((floor) => floor.level),
    floors.map((floor) => layoutOf(floor) as Layout['id'] | null),
    random,
  )
}

/**
 * Another elevation of a level; every level keeps its layout, also where they change places. A level that would be the
 * base keeps it too, which is refused with the change: the base carries none.
 */
export function elevationEdits(document: Document, before: Level, after: Level, random: Random): readonly Edit[] {
  const levels = rising(document).map((level) => (level.id === before.id ? after : level))
  return [{ id: before.id, before, after }, ...keptRanges(document, levels, random)]
}

/** A level at an elevation, without a layout; all others keep theirs, and their elevations. */
export function levelAtEdits(document: Document, elevation: number, random: Random): readonly Edit[] {
  const name = freeNames(document)()
  const level: Level = { kind: 'level', id: newId('level', random), name, elevation: tidy(elevation) }
  return [{ id: level.id, before: null, after: level }, ...keptRanges(document, [...rising(document), level], random)]
}

/** Ranges by which levels at other elevations keep their layouts; a level that is new has none. */
function keptRanges(document: Document, levels: readonly Level[], random: Random): readonly Edit[] {
  const layouts = new Map<string, string | null>(floorsOf(document).map(({ level, layoutId }) => [level.id, layoutId]))
  const sorted = [...levels].sort((a, b) => a.elevation - b.elevation)
  const kept = sorted.map(({ id }) => (layouts.get(id) ?? null) as Layout['id'] | null)
  return rangeEdits(document, sorted, kept, random)
}

/** Numbers that no level has for its name, one after another. */
function freeNames(document: Document): () => string {
  const names = new Set(recordsOf(document, 'level').map(({ name }) => name))
  let number = names.size - 1
  return () => {
    while (names.has(String(number))) number++
    names.add(String(number))
    return String(number)
  }
}

/** Levels above the top one with its layout: one as high as the storey below it, or one for each storey height, m. */
export function addLevelEdits(document: Document, random: Random, heights?: readonly number[]): readonly Edit[] {
  const floors = floorsOf(document)
  const [top, below] = [floors.at(-1), floors.at(-2)]
  if (!top) return []
  const usual = below ? top.level.elevation - below.level.elevation : 3
  const nextName = freeNames(document)
  let elevation = top.level.elevation
  const added = (heights ?? [usual]).map((height): Level => {
    elevation = tidy(elevation + height)
    return { kind: 'level', id: newId('level', random), name: nextName(), elevation }
  })
  const levels = [...floors.map(({ level }) => level), ...added]
  const layouts = [...floors, ...added.map(() => top)].map(({ layoutId }) => layoutId as Layout['id'] | null)
  return [
    ...added.map((level): Edit => ({ id: level.id, before: null, after: level })),
    ...rangeEdits(document, levels, layouts, random),
  ]
}

/** A level away; what its layout is stays on the others. */
export function removeLevelEdits(document: Document, level: Level, random: Random): readonly Edit[] {
  const floors = floorsOf(document)
  const left = floors.filter((floor) => floor.level.id !== level.id)
  const layouts = left.map(({ layoutId }, i) => (i === 0 ? null : (layoutId as Layout['id'] | null)))
  return [
    ...rangeEdits(
      document,
      left.map((floor) => floor.level),
      layouts,
      random,
    ),
    ...recordsOf(document, 'storeyForces')
      .filter(({ forces }) => forces.some((entry) => entry.level === level.id))
      .map((before): Edit => {
        const forces = before.forces.filter((entry) => entry.level !== level.id)
        return { id: before.id, before, after: { ...before, forces } }
      }),
    { id: level.id, before: level, after: null },
  ]
}

/** Ranges that say of each level which layout it has; ranges that are the same as before are kept. */
function rangeEdits(
  document: Document,
  levels: readonly Level[],
  layouts: readonly (Layout['id'] | null)[],
  random: Random,
): readonly Edit[] {
  const wanted: { layout: Layout['id']; from: Level['id']; to: Level['id'] }[] = []
  levels.forEach(({ id }, i) => {
    const layout = layouts[i]
    if (!layout) return
    const last = wanted.at(-1)
    if (last && last.layout === layout && last.to === levels[i - 1]?.id) last.to = id
    else wanted.push({ layout, from: id, to: id })
  })
  const same = (a: Pick<LevelRange, 'layout' | 'from' | 'to'>, b: Pick<LevelRange, 'layout' | 'from' | 'to'>) =>
    a.layout === b.layout && a.from === b.from && a.to === b.to
  const before = recordsOf(document, 'levelRange')
  const gone = before.filter((range) => !wanted.some((entry) => same(entry, range)))
  const fresh = wanted.filter((entry) => !before.some((range) => same(entry, range)))
  return [
    ...gone.map((range): Edit => ({ id: range.id, before: range, after: null })),
    ...fresh.map((entry): Edit => {
      const after: LevelRange = { kind: 'levelRange', id: newId('levelRange', random), ...entry }
      return { id: after.id, before: null, after }
    }),
  ]
}
