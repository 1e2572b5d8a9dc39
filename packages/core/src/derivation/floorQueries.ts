import { actionOfCase } from '../actions/cases'
import { isHanger } from '../building/frame'
import type { HungLanding } from '../building/hangers'
import { expanded, splitExpanded } from '../document/labels'
import { readArea, readCase, type ColumnReader } from './cells'
import { memberLoads, type MemberLoad } from '../rundown/memberLines'
import { keyExtentOf, type KeyExtent, type RegionSource, type Source, type StairSource } from '../rundown/sources'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

export const floorAt = (state: ProjectState, levelId: string): FloorState | undefined =>
  state.floors.find(({ level }) => level.id === levelId)

/** A floor as one case sees it: members that take no load of its action take none. */
export function floorIn(floor: FloorState, caseId: string): FloorState {
  const action = actionOfCase(caseId)
  const operator = floor.operator.variants.get(action)
  return operator ? { ...floor, operator, onSlab: floor.onSlabOf.get(action) ?? null } : floor
}

/** The floor on a level, as one case sees it. */
export function floorSeen(state: ProjectState, levelId: string, caseId: string): FloorState | undefined {
  const floor = floorAt(state, levelId)
  return floor && floorIn(floor, caseId)
}

/** What lands on every beam of a floor directly in a case, in the order of its beams. */
export function memberLoadsIn(state: ProjectState, floor: FloorState, caseId: string): readonly MemberLoad[] {
  const at = readCase(state, caseId)
  return memberLoads(floorIn(floor, caseId).operator, (source) => at(floor.intensities, source))
}

/** Where a floor stands among the carrying ones, seen by whichever case. */
export const orderOf = (state: ProjectState, { level }: FloorState): number =>
  state.floors.findIndex((floor) => floor.level.id === level.id)

/** The carrying floor above, or undefined at the top. */
export const floorAbove = (state: ProjectState, floor: FloorState): FloorState | undefined =>
  state.floors[orderOf(state, floor) + 1]

/** The carrying floor below, or undefined over the base. */
export const floorBelow = (state: ProjectState, floor: FloorState): FloorState | undefined =>
  state.floors[orderOf(state, floor) - 1]

export interface Place {
  readonly floor: FloorState
  /** Index among the floor's beams or columns. */
  readonly row: number
}

/** Where an expanded member stands among the beams or columns of its floor. */
export function placeOf(state: ProjectState, expandedId: string, list: 'beams' | 'columns'): Place | undefined {
  const [id, levelId] = splitExpanded(expandedId)
  const floor = floorAt(state, levelId)
  const row = floor?.operator.plan.frame[list].findIndex(({ member }) => member.id === id) ?? -1
  return floor && row >= 0 ? { floor, row } : undefined
}

/** Floor area, counted once: regions that lie on top of others do not count again. */
export function floorArea(state: ProjectState, floor: FloorState): number {
  const area = readArea(state)
  return floor.operator.plan.sources.reduce(
    (sum, { share }, row) => sum + share.applied * area(floor.intensities, row),
    0,
  )
}

/** A length of a column, and the part of the force of the length before it that enters it: a wall that lands may share itself out. */
export interface ChainPlace extends Place {
  readonly part: number
}

/**
 * The lengths of one column from the roof down, as far as columns stand on columns; of a hanger from the lowest up, as far as hangers
 * hang from hangers: in the order in which load comes together.
 */
export function columnChain(state: ProjectState, expandedId: string): readonly ChainPlace[] {
  const start = placeOf(state, expandedId, 'columns')
  if (!start) return []
  const chain: Place[] = [start]
  for (let next = lengthAbove(state, start); next; next = lengthAbove(state, next)) chain.unshift(next)
  for (let next = lengthBelow(state, start); next; next = lengthBelow(state, next)) chain.push(next)
  return chain.map((place, i) => {
    const before = chain[i - 1]
    return { ...place, part: before ? partEntering(state, before, place) : 1 }
  })
}

/** The part of the force of one length that enters another. */
function partEntering(state: ProjectState, from: Place, into: Place): number {
  if (hangsAt(from))
    return hungOn(state, from).reduce(
      (sum, { on, part, place }) =>
        on === 'column' && place.floor === into.floor && place.row === into.row ? sum + part : sum,
      0,
    )
  const landings = into.floor.feetAbove?.landings ?? []
  return landings.reduce(
    (sum, { row, on, index, part }) => (row === from.row && on === 'column' && index === into.row ? sum + part : sum),
    0,
  )
}

/** What each length of a chain adds to what comes from the one before it. */
export const addedAlong = (chain: readonly ChainPlace[], read: ColumnReader): readonly number[] =>
  chain.map(({ floor, row, part }, i) => {
    const before = chain[i - 1]
    return read(floor.rundown.tops, row) - (before ? part * read(before.floor.rundown.feet, before.row) : 0)
  })

function lengthAbove(state: ProjectState, { floor, row }: Place): Place | undefined {
  if (hangsAt({ floor, row })) return hungFrom(state, { floor, row }, 'column').find(({ part }) => part > 0.5)?.place
  const above = floorAbove(state, floor)
  const landing = floor.feetAbove?.landings.find(
    ({ on, index, part }) => on === 'column' && index === row && part > 0.5,
  )
  return above && landing && { floor: above, row: landing.row }
}

function lengthBelow(state: ProjectState, { floor, row }: Place): Place | undefined {
  if (hangsAt({ floor, row })) {
    return hungOn(state, { floor, row }).find(({ on, part }) => on === 'column' && part > 0.5)?.place
  }
  const below = floorBelow(state, floor)
  const landing = below?.feetAbove?.landings.find((candidate) => candidate.row === row && candidate.part > 0.5)
  return below && landing?.on === 'column' ? { floor: below, row: landing.index } : undefined
}

/** Whether what is in a row of the columns of a floor is a hanger. */
export const hangsAt = ({ floor, row }: Place): boolean => {
  const column = floor.operator.plan.frame.columns[row]
  return column !== undefined && isHanger(column)
}

/** What holds a hanger, or what hangs: at s along a beam, and the part of its force that goes there. */
export interface Hung {
  readonly on: 'beam' | 'column'
  readonly s: number
  readonly part: number
  readonly place: Place
}

/** What a hanger hangs from, several things where nothing tells them apart; nothing for one that hangs from what it holds up. */
export function hungOn(state: ProjectState, { floor, row }: Place): readonly Hung[] {
  if (floor.rings.includes(row)) return []
  const own = orderOf(state, floor)
  return floor.hung.landings.flatMap(({ row: of, on, s, part, up, index }): readonly Hung[] => {
    const target = of === row ? state.floors[own + up] : undefined
    return target ? [{ on, s, part, place: { floor: target, row: index } }] : []
  })
}

/** Hangers whose upper end is at a floor, each with what it meets there. */
export function hungAt(
  state: ProjectState,
  floor: FloorState,
): readonly { readonly place: Place; readonly landing: HungLanding }[] {
  const own = orderOf(state, floor)
  return state.floors
    .slice(0, own)
    .flatMap((below, i) =>
      below.hung.landings.flatMap((landing) =>
        i + landing.up === own ? [{ place: { floor: below, row: landing.row }, landing }] : [],
      ),
    )
}

/** Hangers that hang from a beam or hanger, with where on it. */
export const hungFrom = (state: ProjectState, { floor, row }: Place, target: Hung['on']): readonly Hung[] =>
  hungAt(state, floor).flatMap(({ place, landing: { on, index, s, part } }) =>
    on === target && index === row && !place.floor.rings.includes(place.row) ? [{ on, s, part, place }] : [],
  )

export const expandedAt = (floor: FloorState, id: string): string => expanded(id, floor.level.id)

/** The load key of a region: of its patch, else the default of its layout. */
export function keyOfRegion(state: ProjectState, { region, panel }: RegionSource): string | null {
  const record = state.document.records.get(region.patchId ?? panel.panel.layout)
  return record?.kind === 'patch' ? record.key : record?.kind === 'layout' ? record.defaultKey : null
}

/** A load key with what one unit of a source brings of it. */
export interface KeyShare extends KeyExtent {
  readonly keyId: string
}

/** The load key of a region or a flight of stairs; null for what has none. */
export function keyShareOf(state: ProjectState, source: Source): KeyShare | null {
  if (source.kind !== 'region' && source.kind !== 'stair') return null
  const keyId = source.kind === 'region' ? keyOfRegion(state, source) : keyOfStair(state, source)
  return keyId === null ? null : { keyId, ...keyExtentOf(source) }
}

function keyOfStair({ document }: ProjectState, { stair }: StairSource): string | null {
  const record = document.records.get(stair.id)
  return record?.kind === 'stair' ? record.key : null
}
