import { smallest } from '../outcome/lists'
import { reducibleGroupOf } from '../actions/cases'
import { areaOfOneWaySlab } from '../actions/liveReduction'
import { reductionsOf, sparedOf, type ReducibleLoad } from '../actions/reduction'
import type { ReductionRegion } from '../document/recordKinds'
import { intersection, regionOf } from '../geometry/clip'
import { regionArea } from '../geometry/polygon'
import { parameterIf } from '../standards/layer'
import { stripGround } from '../sharing/oneWay'
import { edgesOf, turnTo } from '../sharing/strips'
import { stripRange, stripStatics } from '../sharing/stripStatics'
import { given, type Traced } from '../trace/traced'
import { readReducible, type ReducibleReader } from './cells'
import type { FloorState } from './floorStates'
import { panelGrounds } from './panelGrounds'
import type { ProjectState } from './project'
import { reductionRegionsOn } from './reductionRegions'
import { ownTable, roofOf, transferredIn, withKept } from './reductions'
import { leastFloor } from './supportedLevels'

/** What slabs are spared of an imposed case in one region of a level. */
export interface SlabReduction {
  readonly region: ReductionRegion
  readonly floor: FloorState
  /** Floor of the category in it, net of openings, m². */
  readonly area: number
  /** Imposed load on that floor that may be reduced, and what the factor leaves of it, N. */
  readonly load: number
  readonly reduced: number
  readonly factor: Traced<'factor'>
}

/** Slabs by the regions drawn on the plans, in an imposed case; those of others stay as they are. */
export function slabReductions(state: ProjectState, caseId: string): readonly SlabReduction[] {
  const group = reducibleGroupOf(caseId)
  const read = readReducible(state, caseId, transferredIn(state))
  if (group === null || !read) return []
  return state.floors.flatMap((floor) =>
    reductionRegionsOn(state.document, floor.floor.layoutId).flatMap((region): readonly SlabReduction[] => {
      const { area, ...load } = reducibleIn(floor, region, read)
      const factor = area > leastFloor ? slabFactor(state, floor, region, caseId, group, area) : null
      if (!factor) return []
      const reduced = load.load - sparedOf(withKept(state, load, 'beam'), factor.value).spared
      return [{ region, floor, area, load: load.load, reduced, factor }]
    }),
  )
}

/** Floor whose load may be reduced within a region, and that load; openings left out, what lies on top counts as load alone. */
function reducibleIn(
  { operator, intensities }: FloorState,
  { outline }: ReductionRegion,
  read: ReducibleReader,
): ReducibleLoad & { readonly area: number } {
  const clip = regionOf(outline)
  let [area, load, heavy, kept] = [0, 0, 0, 0]
  operator.plan.sources.forEach((source, row) => {
    if (source.kind !== 'region') return
    const [perArea, pressure] = [read.area(intensities, row), read.load(intensities, row)]
    if (perArea === 0 && pressure === 0) return
    const within = regionArea(intersection(source.region.region, clip))
    area += perArea * within
    load += pressure * within
    heavy += read.heavy(intensities, row) * within
    kept += read.kept(intensities, row) * within
  })
  return { area, load, heavy, kept }
}

function slabFactor(
  state: ProjectState,
  floor: FloorState,
  region: ReductionRegion,
  caseId: string,
  group: string,
  value: number,
): Traced<'factor'> | null {
  const { label, slabs, slabFactor: typed } = region
  if (slabs === 'whole') return null
  if (slabs === 'typed') return given('alpha', 'factor', typed ?? 1, `as entered for slabs of region ${label}`)
  const area = oneWayArea(
    state,
    floor,
    region,
    given('A', 'area', value, `floor area of the category in region ${label}`),
  )
  // ASCE 7 table 4.7-1: members not preceding, two-way slabs among them
  const slab = { ...roofOf(state, caseId), K_LL: given('K_LL', 'factor', 1, 'ASCE 7 table 4.7-1: slab') }
  return reductionsOf({ by: 'beam', group, area, storeys: 1, ...slab }, state.standard, ownTable(state))?.byArea ?? null
}

/** Of a one-way slab no more counts than its span by a width across it, where the standard says so: by the shortest span under the region. */
function oneWayArea(
  state: ProjectState,
  floor: FloorState,
  region: ReductionRegion,
  A: Traced<'area'>,
): Traced<'area'> {
  const w = parameterIf(state.standard, 'reduction.slabWidth')
  const span = w === null ? Infinity : shortestSpan(state, floor, region)
  if (w === null || !Number.isFinite(span)) return A
  const L = given('L', 'length', span, `shortest one-way span under region ${region.label}`)
  return areaOfOneWaySlab({ A, w: { ...w, quantity: 'factor' }, L })
}

/** Where strips across a panel are looked at, as parts of its width under the region. */
const looks = [1 / 6, 1 / 2, 5 / 6]

function shortestSpan(state: ProjectState, floor: FloorState, { outline }: ReductionRegion): number {
  const clip = regionOf(outline)
  const spans = panelGrounds(state, floor).flatMap(({ plan, ground }) => {
    const under = ground.rule === 'oneWay' ? intersection(plan.net, clip) : []
    if (regionArea(under) <= leastFloor) return []
    const strips = stripGround(ground)
    const [from, to] = stripRange({ outline: edgesOf(under, turnTo(ground.spanAngle)) })
    return looks.flatMap((part) =>
      stripStatics(strips, ground.spanAngle, from + part * (to - from), [{ region: under, q: 1 }]).flatMap(
        ({ supports, steps }) =>
          steps.flatMap(({ first, second }) =>
            first === second ? [] : [(supports[second]?.u ?? Infinity) - (supports[first]?.u ?? 0)],
          ),
      ),
    )
  })
  return smallest(spans)
}
