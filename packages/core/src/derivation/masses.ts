import { farEnd, isHanger } from '../building/frame'
import { massShareOfUse } from '../actions/massShare'
import { selfWeight } from '../actions/cases'
import { imposedOn, type KeyLoads } from '../actions/keyLoads'
import { isTypedLoad, valueAt } from '../actions/typedLoads'
import { once } from '../outcome/once'
import type { Point } from '../geometry/point'
import { endOf, type Source } from '../rundown/sources'
import { familyOf } from '../standards/families'
import { parameterIf, type Standard } from '../standards/layer'
import { tracedSum, type Traced, type TracedTerm } from '../trace/traced'
import { caseRow, readCase } from './cells'
import { floorAbove, hungAt, keyShareOf, type KeyShare } from './floorQueries'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

/** What counts for the mass of a level, as weight in N: by where it comes from. */
export interface MassParts {
  readonly permanent: number
  readonly columns: number
  readonly imposed: number
  readonly partitions: number
  readonly additionalSeismicMass: number
}

export interface LevelMass {
  readonly levelId: string
  readonly levelName: string
  /** N; mass is weight over g. */
  readonly weight: number
  readonly parts: MassParts
  /** Centre of the mass in plan; null where there is none. */
  readonly centre: Point | null
}

/** Every carrying level from the top, with what its floor, its walls and half of the columns above and below weigh. */
export const levelMasses = once((state: ProjectState): readonly LevelMass[] =>
  [...state.floors].reverse().map((floor) => levelMass(state, floor)),
)

const partNames: readonly (readonly [part: keyof MassParts, label: string])[] = [
  ['permanent', 'permanent: slabs, build-ups, beams, walls, applied loads'],
  ['columns', 'half of the columns and hangers above and below'],
  ['imposed', 'share of the imposed load'],
  ['partitions', 'partitions'],
  ['additionalSeismicMass', 'additional seismic mass'],
]

/** What counts for the mass of a level, part by part. */
export function tracedWeight({ standard }: ProjectState, { parts }: LevelMass): Traced<'force'> {
  const terms = partNames.flatMap(([part, label]): TracedTerm[] => {
    const value = parts[part]
    return value === 0 ? [] : [{ label, value }]
  })
  return tracedSum('W', 'force', familyOf(standard.family).mass.clause, terms)
}

interface Tally {
  readonly parts: Record<keyof MassParts, number>
  x: number
  y: number
}

function levelMass(state: ProjectState, floor: FloorState): LevelMass {
  const tally: Tally = {
    parts: { permanent: 0, columns: 0, imposed: 0, partitions: 0, additionalSeismicMass: 0 },
    x: 0,
    y: 0,
  }
  floor.operator.plan.sources.forEach((source, row) => {
    const { applied, appliedMoments } = source.share
    for (const [part, intensity] of partsOf(state, floor, source, row)) {
      tally.parts[part] += intensity * applied
      tally.x += intensity * appliedMoments[0]
      tally.y += intensity * appliedMoments[1]
    }
  })
  addColumns(state, floor, tally)
  const weight = Object.values(tally.parts).reduce((sum, part) => sum + part, 0)
  return {
    levelId: floor.level.id,
    levelName: floor.level.name,
    weight,
    parts: tally.parts,
    centre: weight === 0 ? null : [tally.x / weight, tally.y / weight],
  }
}

/** Weight per unit of a source, part by part: Pa, N/m or N. */
function partsOf(state: ProjectState, floor: FloorState, source: Source, row: number): readonly Part[] {
  // a pressure square to a slope is no weight
  if (source.kind === 'area' && source.load.measured === 'square') return []
  const permanent = permanentAt(state, floor, row)
  if (source.kind === 'line' || source.kind === 'point' || source.kind === 'area')
    return permanent === 0 ? typedImposed(state, source.load.id, endOf(source)) : [['permanent', permanent]]
  const share = keyShareOf(state, source)
  const loads = share ? state.keys.get(share.keyId) : undefined
  return [['permanent', permanent], ...(share && loads ? ofKey(state, loads, share) : [])]
}

type Part = readonly [part: keyof MassParts, perUnit: number]

function permanentAt({ caseIds }: ProjectState, floor: FloorState, row: number): number {
  const values = caseRow({ caseIds }, floor.intensities, row)
  return caseIds.reduce((sum, id, i) => sum + (id.startsWith('permanent/') ? (values[i] ?? 0) : 0), 0)
}

/** What of a load key counts beside what is permanent. A load that belongs to no case does not. */
function ofKey({ standard }: ProjectState, loads: KeyLoads, { plan, lying }: KeyShare): readonly Part[] {
  const { additionalSeismicMass, massShare, cases } = loads
  const imposed = imposedOn(loads, plan === 0 ? 1 : lying / plan)
  const only: Part = ['additionalSeismicMass', lying * (additionalSeismicMass?.value ?? 0)]
  if (cases === null) return [only]
  const share = plan * massShare.value
  return [only, ['imposed', share * (imposed?.value ?? 0)], ['partitions', partitionMass(standard, loads, plan, share)]]
}

/** What partitions weigh where they are typed, and at least so much where an allowance is asked for (ASCE 7 12.7.2, item 2). */
function partitionMass(standard: Standard, { key, partitions }: KeyLoads, plan: number, share: number): number {
  const allowance = partitions?.value ?? 0
  switch (familyOf(standard.family).mass.partitions) {
    case 'share':
      return share * allowance
    case 'whole':
      return plan * allowance
    case 'atLeast': {
      const least = parameterIf(standard, 'mass.partitions.least')?.value ?? allowance
      const known = key.partitionRule === 'typed' ? allowance : 0
      return allowance > 0 ? plan * Math.max(known, least) : 0
    }
  }
}

/** A typed imposed load counts by the share of its use, and where that goes by the intensity, a line or force by the lower. */
function typedImposed(
  { document, standard }: ProjectState,
  id: string,
  end: 'start' | 'end',
): readonly (readonly [keyof MassParts, number])[] {
  const load = document.records.get(id)
  if (!isTypedLoad(load) || load.nature !== 'imposed') return []
  const perArea = load.kind === 'areaLoad' ? Math.abs(valueAt(load, end)) : 0
  return [['imposed', massShareOfUse(load.use, perArea, standard).value * valueAt(load, end)]]
}

/** Half of the columns and hangers of a floor, and of those of other floors whose other end is at it. */
function addColumns(state: ProjectState, floor: FloorState, tally: Tally): void {
  const read = readCase(state, selfWeight)
  const add = ({ rundown }: FloorState, row: number, [x, y]: Point, part = 0.5): void => {
    const weight = (read(rundown.feet, row) - read(rundown.tops, row)) * part
    tally.parts.columns += weight
    tally.x += weight * x
    tally.y += weight * y
  }
  const loose = new Set(floor.hung.unsupported)
  // a hanger that hangs from nothing has no other end
  floor.operator.plan.frame.columns.forEach(({ at }, row) => add(floor, row, at, loose.has(row) ? 1 : 0.5))
  const above = floorAbove(state, floor)
  above?.operator.plan.frame.columns.forEach((column, row) => {
    if (!isHanger(column)) add(above, row, farEnd(column))
  })
  for (const { place, landing } of hungAt(state, floor)) {
    const hanger = place.floor.operator.plan.frame.columns[place.row]
    if (hanger) add(place.floor, place.row, farEnd(hanger), 0.5 * landing.part)
  }
}
