import {
  actionsOf,
  buildUps,
  selfWeight,
  walls,
  type Action,
  type OnPlan,
  constructionImposed,
  constructionPermanent,
} from '../actions/cases'
import { imposedOn, keyLoads, type KeyLoads } from '../actions/keyLoads'
import { factoredArea, factoredLine, layerWeight, memberWeight, stretchWeight, trussWeight } from '../actions/ownWeight'
import { flightInputs, flightWeight } from '../actions/stairLoad'
import { stretchesOf } from '../building/bearingWalls'
import type { TrussLengths } from '../building/truss'
import { recordsOf, type Document } from '../document/document'
import { stretchId } from '../document/labels'
import type { BuildUp, ConstructionStage, LoadKey } from '../document/recordKinds'
import type { MaterialWeight, MemberStock, PanelSlab, SectionArea, StairStock, WallStock } from '../document/shapes'
import { legsOf } from '../geometry/course'
import type { LayoutOperator } from '../rundown/operator'
import { endOf, keyExtentOf, type KeyExtent, type RegionSource, type StairSource } from '../rundown/sources'
import { familyOf } from '../standards/families'
import type { FamilyId } from '../standards/family'
import type { Standard } from '../standards/layer'
import { columnsOf } from './cells'
import type { WallLoads } from './heads'
import type { Memo } from './memo'
import { stage } from './stage'

const keyStage = stage(
  'loadKey',
  (key: LoadKey, buildUp: BuildUp | null, standard: Standard, construction: ConstructionStage | null): KeyLoads =>
    keyLoads(key, buildUp ?? undefined, standard, construction),
)

/** The area loads of every load key. */
export function deriveKeys(memo: Memo, document: Document, standard: Standard): ReadonlyMap<string, KeyLoads> {
  const stages = new Map(recordsOf(document, 'constructionStage').map((entry) => [entry.key as string, entry]))
  return new Map(
    recordsOf(document, 'loadKey').map((key) => {
      const buildUp = key.buildUp === null ? undefined : document.records.get(key.buildUp)
      return [
        key.id,
        memo.get(keyStage, key, buildUp?.kind === 'buildUp' ? buildUp : null, standard, stages.get(key.id) ?? null),
      ]
    }),
  )
}

interface Cases {
  readonly actions: readonly Action[]
  readonly caseIds: readonly string[]
}

/** The project's cases: what is on plan decides. */
export const casesStage = stage('cases', (family: FamilyId, plan: OnPlan): Cases => {
  const actions = actionsOf(familyOf(family), plan)
  return { actions, caseIds: actions.flatMap(({ cases }) => cases.map(({ id }) => id)) }
})

/** Own weights: per length of each member, per area of each slab and flight of stairs. */
export interface OwnWeights {
  /** N/m by member id; of bearing walls by stretch, per metre of height. */
  readonly members: ReadonlyMap<string, number>
  /** Pa by panel id. */
  readonly slabs: ReadonlyMap<string, number>
  /** Pa of plan by stair id. */
  readonly stairs: ReadonlyMap<string, number>
}

export const weightsStage = stage(
  'weights',
  (
    members: readonly MemberStock[],
    walls: readonly WallStock[],
    panels: readonly PanelSlab[],
    sections: readonly SectionArea[],
    materials: readonly MaterialWeight[],
    trusses: readonly TrussWeight[],
    stairs: readonly StairStock[],
    /** How often it counts. */
    f: number,
  ): OwnWeights => {
    const [areaOf, widthOf, gammaOf] = [
      new Map(sections.map(({ id, area }) => [id as string, area])),
      new Map(sections.map(({ id, width }) => [id as string, width])),
      new Map(materials.map(({ id, unitWeight }) => [id as string, unitWeight])),
    ]
    const gamma = (material: string) => gammaOf.get(material) ?? 0
    const trussOf = new Map(trusses.map((truss) => [truss.member, truss]))
    const onLine = (g_0: number) => factoredLine.evaluate({ f, g_0 })
    const onArea = (g_0: number) => factoredArea.evaluate({ f, g_0 })
    const perLength = ({ id, section, material }: MemberStock): number => {
      const own = { A: areaOf.get(section) ?? 0, gamma: gamma(material) }
      const truss = trussOf.get(id)
      return truss
        ? trussWeight.evaluate(trussInputs(truss, own, (of) => areaOf.get(of) ?? 0))
        : memberWeight.evaluate(own)
    }
    const perHeight = ({ id, path, section, material, openShare }: WallStock) =>
      stretchesOf(legsOf(path)).map(({ s0, s1 }, k): readonly [string, number] => {
        const own = { t: widthOf.get(section) ?? 0, l: s1 - s0, gamma: gamma(material), o: openShare }
        return [stretchId(id, k), onLine(stretchWeight.evaluate(own))]
      })
    return {
      members: new Map([
        ...members.map((member) => [member.id, onLine(perLength(member))] as const),
        ...walls.flatMap(perHeight),
      ]),
      slabs: new Map(
        panels.flatMap(({ id, slab }) =>
          slab ? [[id, onArea(layerWeight.evaluate({ t: slab.thickness, gamma: gamma(slab.material) }))] as const] : [],
        ),
      ),
      stairs: new Map(
        stairs.map((stair) => [stair.id, onArea(flightWeight.evaluate(flightInputs(stair, gamma(stair.material))))]),
      ),
    }
  },
  ({ members, slabs, stairs }) => 100 * (members.size + slabs.size + stairs.size),
)

/** What a truss weighs by: sections of its lower chord and web, and lengths, m. */
export interface TrussWeight {
  readonly member: string
  readonly bottom: string
  readonly web: string
  readonly lengths: TrussLengths
}

/** The inputs of a truss's weight from its parts and the areas of their sections. */
export const trussInputs = (
  { bottom, web, lengths }: TrussWeight,
  { A, gamma }: { readonly A: number; readonly gamma: number },
  areaOf: (section: string) => number,
) => ({
  A_t: A,
  L_t: lengths.top,
  A_b: areaOf(bottom),
  L_b: lengths.bottom,
  A_w: areaOf(web),
  L_w: lengths.web,
  gamma,
})

/** Which load key a region or a flight of stairs carries: by the patch's or stair's id, with `default` for the layout's own. */
export type KeysInUse = readonly (readonly [of: string, key: string])[]

/** A typed load with the case that it acts in: N/m, N, or N/m² at either end. */
export interface TypedIntensity {
  readonly id: string
  readonly caseId: string
  readonly start: number
  readonly end: number
}

export interface Intensities {
  /** Row by source; columns as `columnsOf` says. */
  readonly values: Float64Array
}

/** Force per unit of every source for every case, then its share of floor area: the one place where loads meet geometry. */
export const intensityStage = stage(
  'intensity',
  (
    operator: LayoutOperator,
    keys: readonly KeyLoads[],
    keyOf: KeysInUse,
    weights: OwnWeights,
    wallLoads: WallLoads,
    typed: readonly TypedIntensity[],
    caseIds: readonly string[],
  ): Intensities => {
    const { count: columns, area: areaColumn, uses, reducible, standing } = columnsOf(caseIds)
    const columnOf = new Map(caseIds.map((id, i) => [id, i]))
    const loads: RegionLoads = {
      keys: new Map(keys.map((entry) => [entry.key.id as string, entry])),
      keyOf: new Map(keyOf),
    }
    const values = new Float64Array(operator.plan.sources.length * columns)
    const typedOf = new Map(typed.map((entry) => [entry.id, entry]))
    let wall = 0
    operator.plan.sources.forEach((source, row) => {
      const add = (column: number | undefined, value: number) => {
        if (column !== undefined) values[row * columns + column] = (values[row * columns + column] ?? 0) + value
      }
      const put: Put = {
        load: (caseId, value) => add(columnOf.get(caseId), value),
        area: (value) => add(areaColumn, value),
        use: (caseId, area) => add(uses.get(caseId), area),
        reducible: (caseId, area, load, kept) => {
          for (const at of [reducible.get(caseId), standing.get(caseId)]) {
            add(at?.area, area)
            add(at?.load, load)
            if (kept === null || !at || at.heavy < 0) continue
            add(at.heavy, load)
            add(at.kept, kept)
          }
        },
      }
      if (source.kind === 'wall') put.load(walls, wallLoads.loads[wall++]?.value ?? 0)
      else if (source.kind === 'line' || source.kind === 'point' || source.kind === 'area')
        putTyped(typedOf.get(source.load.id), endOf(source), put)
      else if (source.kind === 'stair') putStair(source, loads, weights, put)
      else if (source.kind === 'beam' || source.kind === 'strut')
        put.load(selfWeight, weights.members.get(source.id) ?? 0)
      else putRegion(source, loads, weights, put)
    })
    return { values }
  },
  ({ values }) => values.byteLength,
)

/** Puts what a source brings per unit into its row. */
interface Put {
  readonly load: (caseId: string, value: number) => void
  /** Floor area, m² per unit. */
  readonly area: (value: number) => void
  /** Floor area of the category of a case. */
  readonly use: (caseId: string, area: number) => void
  /** Area and load of a case that may be reduced, and what of it stays then; null where all of it may be. */
  readonly reducible: (caseId: string, area: number, load: number, kept: number | null) => void
}

function putTyped(load: TypedIntensity | undefined, end: 'start' | 'end', put: Put): void {
  if (load) put.load(load.caseId, load[end])
}

interface RegionLoads {
  readonly keys: ReadonlyMap<string, KeyLoads>
  readonly keyOf: ReadonlyMap<string, string>
}

function putRegion(source: RegionSource, { keys, keyOf }: RegionLoads, weights: OwnWeights, put: Put): void {
  const { panel, region } = source
  if (region.base) {
    put.load(selfWeight, region.stretch * (weights.slabs.get(panel.panel.id) ?? 0))
    put.area(1)
  }
  const loads = keys.get(keyOf.get(region.patchId ?? 'default') ?? '')
  // what lies in the roof weighs by its true area, what people and stored goods bring goes by the plan
  if (loads) putKey(loads, keyExtentOf(source), region.base ? 1 : 0, put)
}

/** Each end takes half of the flight. */
function putStair(source: StairSource, { keys, keyOf }: RegionLoads, weights: OwnWeights, put: Put): void {
  const extent = keyExtentOf(source)
  put.area(extent.plan)
  put.load(selfWeight, extent.plan * (weights.stairs.get(source.stair.id) ?? 0))
  const loads = keys.get(keyOf.get(source.stair.id) ?? '')
  if (loads) putKey(loads, extent, extent.plan, put)
}

/**
 * Everything that a load key brings, times how much of it lies there and how much of the plan that is.
 * @param floor - how much of the floor area it is: none for what lies on top of another load
 */
function putKey(loads: KeyLoads, { lying, plan }: KeyExtent, floor: number, put: Put): void {
  const { buildUp, construction, cases, partitions, reducible, kept } = loads
  const imposed = imposedOn(loads, plan === 0 ? 1 : lying / plan)
  put.load(buildUps, lying * buildUp.value)
  if (construction.permanent) put.load(constructionPermanent, lying * construction.permanent.value)
  if (construction.imposed) put.load(constructionImposed, plan * construction.imposed.value)
  if (cases === null) return
  put.use(cases.imposed, floor)
  if (imposed) put.load(cases.imposed, plan * imposed.value)
  if (imposed && reducible)
    // what lies on top of another load brings no floor that would keep anything
    put.reducible(cases.imposed, floor, plan * imposed.value, kept && floor > 0 ? plan * kept.value : null)
  if (partitions) put.load(cases.partitions, plan * partitions.value)
}
