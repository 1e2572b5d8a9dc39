import { smallest } from '../outcome/lists'
import { isHanger, type Beam, type Column } from '../building/frame'
import { isRoofCase, reducibleGroupOf } from '../actions/cases'
import { reductionsOf, sparedOf, type ReducibleLoad, type Reductions, type Supported } from '../actions/reduction'
import { readArea, readCase, readReducible, type ReducibleReader } from './cells'
import { addedAlong, columnChain, expandedAt, keyShareOf, type ChainPlace, type Place } from './floorQueries'
import { beamFactorIn, reductionRegionOf } from './reductionRegions'
import { hasTransfers, isFloor, leastFloor, levelsSupported } from './supportedLevels'
import type { ProjectState } from './project'
import { recordsOf } from '../document/document'
import type { Basis, ReductionTable } from '../document/recordKinds'
import { once } from '../outcome/once'
import { memberOf } from '../document/labels'
import { floorRundown } from '../rundown/floorRundown'
import { given, tracedSum, type Traced } from '../trace/traced'

/** What of an imposed case a length of a column may be spared. */
export interface ReductionView {
  /** Levels from here up that bring load of the category. */
  readonly storeys: number
  /** Floor area whose load may be reduced, m². */
  readonly area: number
  /** Factors; null where the standard does not reduce columns in that way. */
  readonly byArea: number | null
  readonly byStoreys: number | null
  /** Of the force at the foot the part that may be reduced, N, and all of the foot by the lower of both factors, N. */
  readonly reducible: number
  readonly foot: number
  /** What heavy floors keep, N, where the factor would leave less of them; else 0. */
  readonly kept: number
  /** The foot is that of the length above, which would be more. */
  readonly asAbove: boolean
  /** The foot if what comes from columns on beams were reduced where it is whole, or whole where it is reduced; null where that is the same. */
  readonly otherwise: number | null
}

/**
 * Reductions of every length of a column from the roof down in a case of imposed load, null for a length without any of it; null
 * for other cases and standards.
 */
export function reductionsOfChain(
  state: ProjectState,
  chain: readonly ChainPlace[],
  caseId: string,
  feet: readonly number[],
): readonly (ReductionView | null)[] | null {
  if (!readReducible(state, caseId, 'reduced')) return null
  const transferred = transferredIn(state)
  const chosen = lengthsBy(state, chain, caseId, feet, transferred)
  const others = lengthsBy(state, chain, caseId, feet, transferred === 'reduced' ? 'whole' : 'reduced')
  const rows = chosen.map((row, i) => {
    if (!row) return null
    const whole = feet[i] ?? 0
    const otherwise = others[i]?.foot ?? whole
    return { ...row, otherwise: Math.abs(otherwise - row.foot) > 1e-6 * Math.abs(whole) ? otherwise : null }
  })
  return rows.some((row) => row !== null) ? rows : null
}

type Length = Omit<ReductionView, 'otherwise'>

/** All lengths of a column, with what comes from columns on beams reduced or whole. */
function lengthsBy(
  state: ProjectState,
  chain: readonly ChainPlace[],
  caseId: string,
  feet: readonly number[],
  transferred: Transferred,
): readonly (Length | null)[] {
  let above = -Infinity
  return chain.map(({ part }, i) => {
    const whole = feet[i] ?? 0
    const row = lengthBy(state, chain, i, caseId, whole, transferred)
    // IS 875-2 3.2.1.1, note: where a step leaves less than above, what is above is adopted, as far as there is so much at all
    const adopted = Math.min(part * above, whole)
    const asAbove = row !== null && countsAllFloors(state) && row.foot < adopted
    const foot = asAbove ? adopted : (row?.foot ?? whole)
    above = foot
    return row && { ...row, foot, asAbove }
  })
}

function lengthBy(
  state: ProjectState,
  chain: readonly ChainPlace[],
  index: number,
  caseId: string,
  foot: number,
  transferred: Transferred,
): Omit<Length, 'asAbove'> | null {
  const found = reductionsAt(state, chain, index, caseId, transferred)
  const read = readReducible(state, caseId, transferred)
  const place = chain[index]
  if (!found || !place || !read) return null
  const { storeys, area } = found
  const [byArea, byStoreys] = [found.byArea?.value ?? null, found.byStoreys?.value ?? null]
  const load = withKept(state, loadAt(read, place.floor.rundown.tops, place.row), 'column')
  const factor = Math.min(byArea ?? 1, byStoreys ?? 1)
  const { spared, kept } = sparedOf(load, factor)
  return { storeys, area, byArea, byStoreys, reducible: load.load, kept, foot: foot - spared }
}

type Transferred = Basis['transferred']

export const transferredIn = ({ basis }: Pick<ProjectState, 'basis'>): Transferred => basis?.transferred ?? 'reduced'

/** The project's own table in place of the standard's factors. */
export function ownTable({ document, basis }: Pick<ProjectState, 'document' | 'basis'>): ReductionTable | null {
  const table = basis?.reductionTable ? document.records.get(basis.reductionTable) : undefined
  return table?.kind === 'reductionTable' ? table : null
}

interface ReductionsAt extends Reductions {
  readonly storeys: number
  readonly area: number
}

export function reductionsAt(
  state: ProjectState,
  chain: readonly ChainPlace[],
  index: number,
  caseId: string,
  transferred: Transferred = transferredIn(state),
): ReductionsAt | null {
  const read = readReducible(state, caseId, transferred)
  const group = reducibleGroupOf(caseId)
  const place = chain[index]
  if (!read || group === null || !place) return null
  const down = chain.slice(0, index + 1)
  const added = addedAlong(down, read.area)
  const straight = countsAllFloors(state) ? addedAlong(down, readArea(state)) : added
  const storeys =
    transferred === 'reduced' && hasTransfers(state)
      ? storeysWithTransfers(state, caseId)(place).size
      : straight.filter((brought) => brought > leastFloor).length
  const area = read.area(place.floor.rundown.tops, place.row)
  if (area <= leastFloor) return null
  const terms = added.flatMap((value, i) => {
    const at = chain[i]
    return value > leastFloor && at ? [{ label: `level ${at.floor.level.name}`, value }] : []
  })
  const found = reductionsOf(
    {
      by: 'column',
      group,
      area: tracedSum('A', 'area', 'floor area of the category, distributed as a load', terms),
      storeys,
      ...elementOf(state, place, 'columns', caseId),
    },
    state.standard,
    ownTable(state),
  )
  return found && { ...found, storeys, area }
}

/** The levels that a length of column supports, with those that stand on beams: one counter for a case, asked for many lengths. */
function storeysWithTransfers(state: ProjectState, caseId: string): (place: Place) => ReadonlySet<number> {
  const known = countersOf(state)
  const before = known.get(caseId)
  if (before) return before
  const [all, group, read] = [countsAllFloors(state), reducibleGroupOf(caseId), readReducible(state, caseId, 'reduced')]
  const counter = levelsSupported(state, caseId, {
    area: all || !read ? readArea(state) : read.area,
    counts: (source) => {
      if (all) return isFloor(source)
      const share = keyShareOf(state, source)
      const loads = share && state.keys.get(share.keyId)
      return loads?.cases?.group === group && loads.reducible
    },
  })
  known.set(caseId, counter)
  return counter
}

const countersOf = once<ProjectState, Map<string, (place: Place) => ReadonlySet<number>>>(() => new Map())

const loadAt = (read: ReducibleReader, block: Float64Array, row: number): ReducibleLoad => ({
  load: read.load(block, row),
  heavy: read.heavy(block, row),
  kept: read.kept(block, row),
})

/** What heavy floors keep stays where the standard says so: by IS 875-2 in columns alone (3.2.1.1), and nowhere by an own table, which stands in its place. */
export function withKept(state: ProjectState, load: ReducibleLoad, by: Supported['by']): ReducibleLoad {
  const keeps = !ownTable(state) && (by === 'column' || !countsAllFloors(state))
  return keeps ? load : { ...load, heavy: 0, kept: 0 }
}

/** IS 875-2 3.2.1: the number of floors carried, the roof included; elsewhere, and by an own table, floors that qualify. */
const countsAllFloors = (state: ProjectState): boolean =>
  state.standard.methods['imposed.reduction'] === 'tablesAllFloors' && !ownTable(state)

/** What ASCE 7 asks of the member and of the roof. */
function elementOf(state: ProjectState, { floor, row }: Place, list: 'beams' | 'columns', caseId: string) {
  const beam = list === 'beams' ? floor.operator.plan.frame.beams[row] : undefined
  const column = beam ? undefined : floor.operator.plan.frame.columns[row]
  const id = (beam ?? column)?.member.id
  const own = id === undefined ? null : (memberOf(state.document, id)?.elementFactor ?? null)
  const [usual, what] = beam ? usualOfBeam(beam) : usualOfColumn(column)
  return {
    ...roofOf(state, caseId),
    K_LL: given('K_LL', 'factor', own ?? usual, own === null ? what : 'as entered at the member'),
  }
}

/** Whether a case is one of roofs, and how the flattest of them rises. */
export function roofOf(state: ProjectState, caseId: string) {
  const onRoof = isRoofCase(caseId)
  return {
    onRoof,
    rise: given('F', 'factor', onRoof ? flattestRise(state, caseId) : 0, 'rise of the flattest roof, inches to a foot'),
  }
}

type Usual = readonly [K_LL: number, what: string]

const usualOfBeam = ({ stations }: Beam): Usual =>
  stations.length < 2
    ? [1, 'ASCE 7 table 4.7-1: cantilever']
    : [2, 'ASCE 7 table 4.7-1: beam, no slab cantilevers beyond it']

const usualOfColumn = (column: Column | undefined): Usual =>
  column && isHanger(column)
    ? [1, 'ASCE 7 table 4.7-1: a hanger is not named there']
    : [4, 'ASCE 7 table 4.7-1: column, no slab cantilevers beyond it']

/** Of all that bears load of the case: 0 where any of it lies level. */
function flattestRise(state: ProjectState, caseId: string): number {
  const at = readCase(state, caseId)
  const pitchOf = new Map(recordsOf(state.document, 'slope').map(({ id, pitch }) => [id as string, pitch]))
  const pitches = state.floors.flatMap(({ operator, intensities }) =>
    operator.plan.sources.flatMap((source, row) =>
      source.kind === 'region' && at(intensities, row) !== 0 ? (pitchOf.get(source.region.slopeId ?? '') ?? 0) : [],
    ),
  )
  return pitches.length === 0 ? 0 : 12 * Math.tan(smallest(pitches))
}

/** What of an imposed case a beam may be spared, for the area that it supports. */
export interface BeamReduction {
  /** Floor area whose load may be reduced, with that of members that rest on it, m². */
  readonly area: number
  readonly byArea: number
  /** What the columns on it are spared for storeys, as far as it lands here, N; where the factor for area holds for that too, 0. */
  readonly sparedByStoreys: number
  /** All that lands, with the parts that may be reduced by their factors, N. */
  readonly total: number
}

/** The reduction of all that lands on a beam; null for other cases, without such area, and where the standard has no factor for area. */
export function reductionOfBeam(
  state: ProjectState,
  place: Place,
  caseId: string,
  total: number,
): BeamReduction | null {
  const found = factorOfBeam(state, place, caseId)
  const read = readReducible(state, caseId, ownFloorOf(state))
  const sparedByStoreys = columnsApart(state) ? sparedAbove(state, place, caseId) : 0
  if (!read || (!found && sparedByStoreys === 0)) return null
  const load = withKept(state, loadAt(read, place.floor.rundown.beamTotals, place.row), 'beam')
  const { spared } = sparedOf(load, found?.factor.value ?? 1)
  return {
    area: found?.area ?? 0,
    byArea: found?.factor.value ?? 1,
    sparedByStoreys,
    total: total - spared - sparedByStoreys,
  }
}

/**
 * Where columns are reduced for storeys and beams for area (EN 1991-1-1 6.3.1.2(10) and (11)) what columns bring to a beam keeps their
 * factor, and the beam's is for its own floor: never both on one load. Elsewhere one factor is for all that lands.
 */
export const columnsApart = (state: ProjectState): boolean =>
  state.standard.methods['imposed.columns'] !== undefined && !ownTable(state) && transferredIn(state) === 'reduced'

/** Which of the areas and loads that run down are those of a beam's factor. */
const ownFloorOf = (state: ProjectState): Transferred => (columnsApart(state) ? 'whole' : transferredIn(state))

/** What feet over a floor are spared, run down through its beams: N on each of them. */
function sparedAbove(state: ProjectState, { floor, row }: Place, caseId: string): number {
  const known = sparedOnBeams(state)
  const key = `${caseId} ${floor.level.id}`
  const before = known.get(key)
  if (before) return before[row] ?? 0
  const { operator, feetAbove, onSlab } = floor
  const above = state.floors[state.floors.indexOf(floor) + 1]
  const at = readCase(state, caseId)
  const spared = Float64Array.from(above?.operator.plan.frame.columns ?? [], ({ member }, i) => {
    const foot = above ? reducedFeet(state).get(footKey(expandedAt(above, member.id), caseId)) : undefined
    return foot === undefined || !above ? 0 : at(above.rundown.feet, i) - foot
  })
  const { beamTotals } = floorRundown(operator, {
    columns: 1,
    intensities: new Float64Array(operator.applied.length),
    columnWeights: new Float64Array(operator.plan.frame.columns.length),
    landings: feetAbove?.landings ?? [],
    feetAbove: spared,
    ending: [],
    onSlab: onSlab ?? null,
  })
  known.set(key, beamTotals)
  return beamTotals[row] ?? 0
}

const sparedOnBeams = once<ProjectState, Map<string, Float64Array>>(() => new Map())

export function factorOfBeam(
  state: ProjectState,
  { floor, row }: Place,
  caseId: string,
): { readonly area: number; readonly factor: Traced<'factor'> } | null {
  // what goes down a wall is reduced by its stretches
  if (floor.operator.plan.frame.beams[row]?.stretches) return null
  const group = reducibleGroupOf(caseId)
  const area = readReducible(state, caseId, ownFloorOf(state))?.area(floor.rundown.beamTotals, row) ?? 0
  if (group === null || area <= leastFloor) return null
  const supported = tracedSum('A', 'area', 'floor area of the category, distributed as a load', [
    { label: `level ${floor.level.name}`, value: area },
  ])
  const beam = floor.operator.plan.frame.beams[row]
  const region = beam && reductionRegionOf(state.document, floor.floor.layoutId, beam)
  const own = region ? beamFactorIn(region) : null
  if (own) return { area, factor: own }
  const factor = reductionsOf(
    { by: 'beam', group, area: supported, storeys: 1, ...elementOf(state, { floor, row }, 'beams', caseId) },
    state.standard,
    ownTable(state),
  )?.byArea
  return factor ? { area, factor } : null
}

/** What stands for one length of a column in a case. */
export const footKey = (expandedId: string, caseId: string): string => `${expandedId}/${caseId}`

/** The feet of all lengths of columns of which a part may be reduced, reduced, N. */
export const reducedFeet = once((state: ProjectState): ReadonlyMap<string, number> => {
  const feet = new Map<string, number>()
  const cases = state.caseIds.filter((id) => reducibleGroupOf(id) !== null)
  for (const chain of chainsOf(state))
    for (const caseId of cases) {
      const at = readCase(state, caseId)
      const whole = chain.map(({ floor, row }) => at(floor.rundown.feet, row))
      lengthsBy(state, chain, caseId, whole, transferredIn(state)).forEach((found, i) => {
        const place = chain[i]
        const id = place?.floor.operator.plan.frame.columns[place.row]?.member.id
        if (found && place && id) feet.set(footKey(expandedAt(place.floor, id), caseId), found.foot)
      })
    }
  return feet
})

/** Every column from its top length down, once. */
function chainsOf(state: ProjectState): readonly (readonly ChainPlace[])[] {
  const seen = new Set<string>()
  return [...state.floors].reverse().flatMap((floor) =>
    floor.operator.plan.frame.columns.flatMap(({ member }): (readonly ChainPlace[])[] => {
      const id = expandedAt(floor, member.id)
      if (seen.has(id)) return []
      const chain = columnChain(state, id)
      for (const { floor: at, row } of chain) {
        const own = at.operator.plan.frame.columns[row]?.member.id
        if (own) seen.add(expandedAt(at, own))
      }
      return [chain]
    }),
  )
}
