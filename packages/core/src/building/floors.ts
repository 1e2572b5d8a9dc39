import type { Level, LevelRange } from '../document/recordKinds'

/** A level in the order of the building, bottom first, with the layout that stands on it. */
export interface Floor {
  readonly level: Level
  readonly index: number
  readonly layoutId: string | null
  /** Height from the next carrying level (or the base) below; 0 at the base. */
  readonly storeyHeight: number
  /** The next floor below that carries a layout, or the base; null at the base itself. */
  readonly below: number | null
  /** The next floor above that carries a layout. */
  readonly above: number | null
}

/** Levels × ranges: which level carries which layout, and how storeys follow each other. */
export function expandFloors(levels: readonly Level[], ranges: readonly LevelRange[]): readonly Floor[] {
  const sorted = [...levels].sort((a, b) => a.elevation - b.elevation || (a.id < b.id ? -1 : 1))
  const indexOf = new Map(sorted.map((level, index) => [level.id as string, index]))
  const layouts: (string | null)[] = sorted.map(() => null)
  for (const { layout, from, to } of ranges)
    for (let i = indexOf.get(from) ?? 0; i <= (indexOf.get(to) ?? -1); i++) if (i > 0) layouts[i] = layout
  return sorted.map((level, index) => {
    const below = index === 0 ? null : previousCarrying(layouts, index)
    const belowLevel = below === null ? undefined : sorted[below]
    return {
      level,
      index,
      layoutId: layouts[index] ?? null,
      storeyHeight: belowLevel ? level.elevation - belowLevel.elevation : 0,
      below,
      above: nextCarrying(layouts, index),
    }
  })
}

function previousCarrying(layouts: readonly (string | null)[], index: number): number {
  for (let i = index - 1; i > 0; i--) if (layouts[i]) return i
  return 0
}

function nextCarrying(layouts: readonly (string | null)[], index: number): number | null {
  for (let i = index + 1; i < layouts.length; i++) if (layouts[i]) return i
  return null
}
