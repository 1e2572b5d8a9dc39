import type { FramePlan } from '../building/frame'
import { once } from '../outcome/once'
import type { Source } from '../rundown/sources'
import { slabLandings } from '../rundown/hungRundown'
import { takersOf } from '../rundown/operator'
import { readArea, type ColumnReader } from './cells'
import { floorIn, hungAt, orderOf, type Place } from './floorQueries'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

/** Floor that a level brings to a column counts from here on, m². */
export const leastFloor = 0.01

/** By beam of a frame, the columns that what lands on it reaches, through other beams too; none of beams in a ring. */
const reachedFrom = once((frame: FramePlan): readonly ReadonlySet<number>[] => {
  const reached = frame.beams.map(() => new Set<number>())
  // what a beam rests on comes after it
  for (const beam of [...frame.order].reverse())
    for (const { on, index } of frame.beams[beam]?.supports ?? [])
      for (const row of on === 'column' ? [index] : (reached[index] ?? [])) reached[beam]?.add(row)
  return reached
})

/** Whether columns stand on beams or slabs anywhere, or floors hang: else all that a column bears is straight over it. */
const transfersOf = once((state: ProjectState) => ({
  any: state.floors.some(
    ({ feetAbove, onSlab, hung }) =>
      (feetAbove?.landings ?? []).some(({ on }) => on === 'beam') ||
      (onSlab?.rows.length ?? 0) > 0 ||
      hung.landings.length > 0,
  ),
}))
export const hasTransfers = (state: ProjectState): boolean => transfersOf(state).any

/** Which floor counts: that of some sources, and how much of it comes down. */
export interface CountedFloor {
  readonly counts: (source: Source) => boolean
  readonly area: ColumnReader
}

/**
 * The levels whose floor comes down a length of column in a case, its own and those that reach it over transfer beams, slabs and
 * hangers, by their place among the floors.
 */
export function levelsSupported(
  state: ProjectState,
  caseId: string,
  { counts, area }: CountedFloor,
): (place: Place) => ReadonlySet<number> {
  const floors = state.floors.map((floor) => floorIn(floor, caseId))
  // asked for only where something arrives over beams
  const brought = once((floor: FloorState) => rowsBrought(floor, counts))
  const lengths = new Map<string, Borne>()
  const lengthAt = (level: number, row: number): Borne => {
    const key = `${level}/${row}`
    const before = lengths.get(key)
    if (before) return before
    const { standing, arriving } = borneBy(state, floors, level, row)
    const fromAbove = standing.reduce((sum, [of, at, part]) => sum + part * areaOf(floors[of]?.rundown.feet, at), 0)
    const own = areaOf(floors[level]?.rundown.tops, row) - fromAbove
    // what arrives over beams cannot be told from the floor of the level itself by its area
    const floor = floors[level]
    const brings = floor !== undefined && (arriving.length === 0 ? own > leastFloor : brought(floor).has(row))
    const made = { level, brings, bears: [...standing, ...arriving] }
    lengths.set(key, made)
    return made
  }
  const areaOf = (block: Float64Array | undefined, row: number) => (block ? area(block, row) : 0)
  return ({ floor, row }) => {
    // hangers may lead back to where one has been: each length counts once
    const met = new Set([lengthAt(orderOf(state, floor), row)])
    for (const { bears } of met) for (const [level, at] of bears) met.add(lengthAt(level, at))
    return new Set([...met].flatMap(({ level, brings }) => (brings ? [level] : [])))
  }
}

/** A length of column: its floor, whether that brings it floor of its own, and what it bears. */
interface Borne {
  readonly level: number
  readonly brings: boolean
  readonly bears: readonly Length[]
}

/** Whether a source is floor: of a panel, or of a flight of stairs. */
export const isFloor = ({ kind }: Source): boolean => kind === 'region' || kind === 'stair'

/** The levels that any floor comes from, of whatever use. */
export const levelsBorne = once((state: ProjectState) =>
  levelsSupported(state, '', { counts: isFloor, area: readArea(state) }),
)

/** Rows of the columns of a floor to which it brings floor of its own, through its beams too. */
function rowsBrought({ operator }: FloorState, counts: (source: Source) => boolean): ReadonlySet<number> {
  const reached = reachedFrom(operator.plan.frame)
  const rows = new Set<number>()
  operator.plan.sources.forEach((source, k) => {
    if (!counts(source)) return
    for (const row of takersOf(operator.toColumns, k)) rows.add(row)
    for (const beam of takersOf(operator.toBeams, k)) for (const row of reached[beam] ?? []) rows.add(row)
  })
  return rows
}

/** A length of column by the place of its floor, its row there, and how much of it is borne: less for stretches of wall. */
type Length = readonly [level: number, row: number, part: number]

/** Lengths that stand on a length of column itself, and those that reach it over beams and slabs, or hang. */
function borneBy(
  state: ProjectState,
  floors: readonly FloorState[],
  level: number,
  row: number,
): { readonly standing: readonly Length[]; readonly arriving: readonly Length[] } {
  const floor = floors[level]
  if (!floor) return { standing: [], arriving: [] }
  const reached = reachedFrom(floor.operator.plan.frame)
  const comes = (on: 'beam' | 'column', index: number): boolean =>
    on === 'column' ? index === row : reached[index]?.has(row) === true
  const above = (of: number, part = 1): Length => [level + 1, of, part]
  const landed = (floor.feetAbove?.landings ?? []).filter(({ on, index }) => comes(on, index))
  const throughSlab = (floor.onSlab ? slabLandings(floor.onSlab) : []).filter(({ on, index }) => comes(on, index))
  const hanging = hungAt(state, floor).filter(
    ({ place, landing: { on, index } }) => comes(on, index) && !place.floor.rings.includes(place.row),
  )
  return {
    standing: landed.flatMap(({ on, row: of, part }) => (on === 'column' ? [above(of, part)] : [])),
    arriving: [
      ...landed.flatMap(({ on, row: of }) => (on === 'beam' ? [above(of)] : [])),
      ...throughSlab.map(({ row: of }) => above(of)),
      ...hanging.map(({ place }): Length => [orderOf(state, place.floor), place.row, 1]),
    ],
  }
}
