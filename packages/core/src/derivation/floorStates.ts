import { selfWeight } from '../actions/cases'
import { caseOfTyped, typedLoadsOf } from '../actions/typedLoads'
import type { KeyLoads } from '../actions/keyLoads'
import type { Floor } from '../building/floors'
import type { Column, FramePlan } from '../building/frame'
import { passingColumns, standFeet, type FootPlan } from '../building/landings'
import { columnLength } from '../building/slopes'
import { trussLengths, trussParts } from '../building/truss'
import { recordsOf, type Document } from '../document/document'
import type { BuildUp, Level, Member, Panel, Patch, Strut, WallRun } from '../document/recordKinds'
import {
  materialWeight,
  memberStock,
  panelSlab,
  sectionArea,
  trussShape,
  type SlopeShape,
  type TrussShape,
} from '../document/shapes'
import { floorRundown, type FloorRundown } from '../rundown/floorRundown'
import type { LayoutOperator } from '../rundown/operator'
import type { Standard } from '../standards/layer'
import { ceilingStage, reachPast, wallLoadsStage, type Ceiling, type Depths, type WallLoads } from './heads'
import { byLayout } from './layouts'
import {
  intensityStage,
  weightsStage,
  type Intensities,
  type KeyOfRegion,
  type OwnWeights,
  type TrussWeight,
  type TypedIntensity,
} from './loads'
import type { Memo } from './memo'
import { stage } from './stage'

/** One carrying level with its loads and results. */
export interface FloorState {
  readonly floor: Floor
  readonly level: Level
  readonly operator: LayoutOperator
  /** How many of its columns, the last ones, belong to a level above and pass through this one. */
  readonly passing: number
  /** Of the roof that its columns stand on, if they do. */
  readonly slopesBelow: readonly SlopeShape[]
  /** Row by source, column by case, then floor area. */
  readonly intensities: Float64Array
  readonly walls: WallLoads
  readonly weights: OwnWeights
  readonly rundown: FloorRundown
  /** How the columns of the floor above stand on this floor; null at the top. */
  readonly feetAbove: FootPlan | null
}

const feetStage = stage('feet', (above: FramePlan, below: FramePlan): FootPlan => standFeet(above, below))

/** The operator of a layout on one level, where columns from above pass through it. */
const passingStage = stage('passing', (operator: LayoutOperator, passing: readonly Column[]): LayoutOperator => {
  const { frame } = operator.plan
  return { ...operator, plan: { ...operator.plan, frame: { ...frame, columns: [...frame.columns, ...passing] } } }
})

const passingWeightsStage = stage(
  'passingWeights',
  (weights: OwnWeights, above: OwnWeights, passing: readonly Column[]): OwnWeights => ({
    ...weights,
    members: new Map([
      ...weights.members,
      ...passing.map(({ member }) => [member.id, above.members.get(member.id) ?? 0] as const),
    ]),
  }),
)

const rundownStage = stage(
  'rundown',
  (
    operator: LayoutOperator,
    intensities: Intensities,
    weights: OwnWeights,
    storeyHeight: number,
    slopesBelow: readonly SlopeShape[],
    selfWeightColumn: number,
    columns: number,
    above: FloorRundown | null,
    feet: FootPlan | null,
  ): FloorRundown => {
    const standing = operator.plan.frame.columns
    const columnWeights = new Float64Array(standing.length * columns)
    standing.forEach(({ member, at }, i) => {
      const length = columnLength(storeyHeight, operator.plan.slopes, slopesBelow, at)
      columnWeights[i * columns + selfWeightColumn] = (weights.members.get(member.id) ?? 0) * length
    })
    return floorRundown(operator, {
      columns,
      intensities: intensities.values,
      columnWeights,
      feetAbove: above?.feet ?? new Float64Array(0),
      landings: feet?.landings ?? [],
    })
  },
  ({ reactions, beamTotals, tops }) => 8 * (reactions.length + beamTotals.length + 2 * tops.length),
)

/** What a layout contributes to every level that it stands on. */
interface LayoutLoads {
  readonly operator: LayoutOperator
  readonly runs: readonly WallRun[]
  readonly wallBuildUps: readonly BuildUp[]
  readonly weights: OwnWeights
  readonly beamDepths: Depths
  readonly slabDepths: Depths
  readonly keys: readonly KeyLoads[]
  readonly keyOf: KeyOfRegion
  readonly typed: readonly TypedIntensity[]
}

/** The load keys that a layout uses: its default, then those of its patches. */
export function keyOfRegions(document: Document, layoutId: string, patches: readonly Patch[]): KeyOfRegion {
  const layout = document.records.get(layoutId)
  const own = layout?.kind === 'layout' ? layout.defaultKey : null
  return [...(own ? [['default', own] as const] : []), ...patches.map(({ id, key }) => [id, key] as const)]
}

function layoutLoads(
  memo: Memo,
  document: Document,
  operators: ReadonlyMap<string, LayoutOperator>,
  keys: ReadonlyMap<string, KeyLoads>,
  standard: Standard,
): ReadonlyMap<string, LayoutLoads> {
  const members = byLayout(recordsOf(document, 'member'))
  const struts = byLayout(recordsOf(document, 'strut'))
  const panels = byLayout(recordsOf(document, 'panel'))
  const patches = byLayout(recordsOf(document, 'patch'))
  const runs = byLayout(recordsOf(document, 'wallRun'))
  const typed = byLayout(typedLoadsOf(document))
  return new Map(
    [...operators].map(([id, operator]) => {
      const [ownMembers, ownPanels] = [members.get(id) ?? [], panels.get(id) ?? []]
      const keyOf = keyOfRegions(document, id, patches.get(id) ?? [])
      const used = [...new Set(keyOf.map(([, key]) => key))].sort()
      return [
        id,
        {
          operator,
          runs: runs.get(id) ?? [],
          wallBuildUps: buildUpsOf(document, runs.get(id) ?? []),
          weights: weightsOf(memo, document, operator.plan.slopes, {
            members: ownMembers,
            struts: struts.get(id) ?? [],
            panels: ownPanels,
          }),
          beamDepths: ownMembers.map((member) => [member.id, depthOf(document, member)] as const),
          slabDepths: ownPanels.flatMap(({ id: panel, slab }) => (slab ? [[panel, slab.thickness] as const] : [])),
          keys: used.flatMap((key) => keys.get(key) ?? []),
          keyOf,
          typed: (typed.get(id) ?? []).flatMap((load): TypedIntensity[] => {
            const caseId = caseOfTyped(load, standard)
            return caseId === null ? [] : [{ id: load.id, caseId, value: load.value }]
          }),
        },
      ]
    }),
  )
}

/** Only those that a wall of the layout is made of. */
function buildUpsOf(document: Document, runs: readonly WallRun[]): readonly BuildUp[] {
  const used = new Set<string>(runs.flatMap(({ buildUp }) => buildUp ?? []))
  return used.size === 0 ? [] : recordsOf(document, 'buildUp').filter(({ id }) => used.has(id))
}

function depthOf(document: Document, member: Member): number {
  const section = document.records.get(member.section)
  return section?.kind === 'section' ? section.depth : 0
}

/** Only sections and materials in use go in, so that others can change without a new result. */
function weightsOf(
  memo: Memo,
  document: Document,
  slopes: readonly SlopeShape[],
  { members, struts, panels }: OfLayout,
): OwnWeights {
  const used = new Set<string>()
  for (const { section, material } of [...members, ...struts]) used.add(section).add(material)
  const trusses = members.filter(({ truss }) => truss !== null)
  for (const { truss } of trusses) if (truss) used.add(truss.bottomSection).add(truss.webSection)
  for (const { slab } of panels) if (slab) used.add(slab.material)
  const inUse = <T extends { readonly id: string }>(records: readonly T[]) => records.filter(({ id }) => used.has(id))
  return memo.get(
    weightsStage,
    [...members, ...struts].map(memberStock),
    panels.map(panelSlab),
    inUse(recordsOf(document, 'section')).map(sectionArea),
    inUse(recordsOf(document, 'material')).map(materialWeight),
    trusses.map((member) => memo.get(trussStage, trussShape(member), slopes)),
  )
}

interface OfLayout {
  readonly members: readonly Member[]
  readonly struts: readonly Strut[]
  readonly panels: readonly Panel[]
}

const trussStage = stage('truss', (shape: TrussShape, slopes: readonly SlopeShape[]): TrussWeight => ({
  member: shape.id,
  bottom: shape.truss?.bottomSection ?? '',
  web: shape.truss?.webSection ?? '',
  lengths: trussLengths(trussParts(shape, slopes)),
}))

/** Every carrying floor from the roof down, since each stands on what is below; answered bottom first. */
export function deriveFloors(
  memo: Memo,
  document: Document,
  levels: readonly Floor[],
  operators: ReadonlyMap<string, LayoutOperator>,
  keys: ReadonlyMap<string, KeyLoads>,
  caseIds: readonly string[],
  standard: Standard,
): readonly FloorState[] {
  const loads = layoutLoads(memo, document, operators, keys, standard)
  const states: FloorState[] = []
  const aboves: Above[] = []
  for (const floor of [...levels].reverse()) {
    const layout = loads.get(floor.layoutId ?? '')
    if (!layout) continue
    const below = loads.get(levels[floor.below ?? -1]?.layoutId ?? '')
    const state: FloorState = floorState(memo, floor, layout, aboves, below?.operator.plan.slopes ?? [], caseIds)
    states.unshift(state)
    aboves.unshift({ state, layout })
  }
  return states
}

interface Above {
  readonly state: FloorState
  readonly layout: LayoutLoads
}

function floorState(
  memo: Memo,
  floor: Floor,
  { operator, runs, wallBuildUps, weights, keys, keyOf, typed }: LayoutLoads,
  aboves: readonly Above[],
  slopesBelow: readonly SlopeShape[],
  caseIds: readonly string[],
): FloorState {
  const { level, storeyHeight } = floor
  const [above] = aboves
  const walls = memo.get(wallLoadsStage, operator, runs, wallBuildUps, ceilings(memo, floor, operator, aboves))
  const { passing, standing, carried } = passThrough(memo, operator, weights, above?.state)
  const feetAbove = above ? memo.get(feetStage, above.state.operator.plan.frame, standing.plan.frame) : null
  const intensities = memo.get(intensityStage, operator, keys, keyOf, weights, walls, typed, caseIds)
  const rundown = memo.get(
    rundownStage,
    standing,
    intensities,
    carried,
    storeyHeight,
    slopesBelow,
    caseIds.indexOf(selfWeight),
    caseIds.length + 1,
    above?.state.rundown ?? null,
    feetAbove,
  )
  return {
    floor,
    level,
    operator: standing,
    passing,
    slopesBelow,
    intensities: intensities.values,
    walls,
    weights: carried,
    rundown,
    feetAbove,
  }
}

/** The levels over the walls of a floor: the next one, and those after it for walls that lie beside what it has. */
function ceilings(
  memo: Memo,
  { level }: Floor,
  operator: LayoutOperator,
  aboves: readonly Above[],
): readonly Ceiling[] {
  const found: Ceiling[] = []
  for (const { state, layout } of aboves) {
    const { beamDepths, slabDepths } = layout
    const height = state.level.elevation - level.elevation
    const ceiling = memo.get(ceilingStage, layout.operator, height, beamDepths, slabDepths)
    found.push(ceiling)
    if (!reachPast(operator, ceiling)) break
  }
  return found
}

function passThrough(memo: Memo, operator: LayoutOperator, weights: OwnWeights, above: FloorState | undefined) {
  const { frame, panels } = operator.plan
  const passing = above ? passingColumns(above.operator.plan.frame, frame, panels) : []
  if (!above || passing.length === 0) return { passing: 0, standing: operator, carried: weights }
  return {
    passing: passing.length,
    standing: memo.get(passingStage, operator, passing),
    carried: memo.get(passingWeightsStage, weights, above.weights, passing),
  }
}
