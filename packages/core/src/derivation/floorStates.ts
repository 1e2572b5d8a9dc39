import { selfWeight } from '../actions/cases'
import type { KeyLoads } from '../actions/keyLoads'
import type { Floor } from '../building/floors'
import type { Column, FramePlan } from '../building/frame'
import { passingColumns, standFeet, stretchesOnSlab, type FootPlan } from '../building/landings'
import { columnLength } from '../building/slopes'
import type { Document } from '../document/document'
import type { Level } from '../document/recordKinds'
import type { SlopeShape } from '../document/shapes'
import { floorRundown, takeColumns, type FeetOnSlab, type FloorRundown } from '../rundown/floorRundown'
import { sharedOut, type LayoutOperator } from '../rundown/operator'
import { distance } from '../geometry/segment'
import { present } from '../outcome/assert'
import { sumOfShares, type Share } from '../sharing/share'
import type { LineShare, SolvedLayout } from './layouts'
import type { Shares } from './panelShares'
import type { Standard } from '../standards/layer'
import { columnsOf, type Columns } from './cells'
import { ceilingStage, reachPast, wallLoadsStage, type Ceiling, type WallLoads } from './heads'
import { layoutLoads, type LayoutLoads } from './layoutLoads'
import { intensityStage, type Intensities, type OwnWeights } from './loads'
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
  /** The stretches of walls among them that the slab takes. */
  readonly onSlab: FeetOnSlab | null
  /** The same by action of which some members take no load. */
  readonly onSlabOf: ReadonlyMap<string, FeetOnSlab>
}

const feetStage = stage('feet', (above: FramePlan, below: FramePlan): FootPlan => standFeet(above, below))

/** The operator of a layout on one level, where columns from above pass through it. */
const passingStage = stage('passing', (operator: LayoutOperator, passing: readonly Column[]): LayoutOperator => {
  const withPassing = (own: LayoutOperator): LayoutOperator => {
    const { frame } = own.plan
    return { ...own, plan: { ...own.plan, frame: { ...frame, columns: [...frame.columns, ...passing] } } }
  }
  return {
    ...withPassing(operator),
    variants: new Map([...operator.variants].map(([action, variant]) => [action, withPassing(variant)])),
  }
})

const onSlabStage = stage(
  'onSlab',
  (frame: FramePlan, rows: readonly number[], shares: readonly Share[]): FeetOnSlab => ({
    rows,
    shared: sharedOut(frame, shares),
  }),
)

const heldStage = stage('feetHeld', (feet: FootPlan, rows: readonly number[]): FootPlan => {
  const held = new Set(rows)
  return { ...feet, unsupported: feet.unsupported.filter((row) => !held.has(row)) }
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
    { count: columns, ending, ofActions }: Pick<Columns, 'count' | 'ending' | 'ofActions'>,
    above: FloorRundown | null,
    feet: FootPlan | null,
    onSlab: FeetOnSlab | null,
    onSlabOf: readonly (FeetOnSlab | null)[],
  ): FloorRundown => {
    const standing = operator.plan.frame.columns
    const columnWeights = new Float64Array(standing.length * columns)
    standing.forEach(({ member, at }, i) => {
      const length = columnLength(storeyHeight, operator.plan.slopes, slopesBelow, at)
      columnWeights[i * columns + selfWeightColumn] = (weights.members.get(member.id) ?? 0) * length
    })
    const input = {
      columns,
      intensities: intensities.values,
      columnWeights,
      feetAbove: above?.feet ?? new Float64Array(0),
      landings: feet?.landings ?? [],
      onSlab,
      ending,
    }
    const rundown = floorRundown(operator, input)
    ofActions.forEach(([action, own], i) => {
      const variant = operator.variants.get(action)
      if (variant) takeColumns(rundown, floorRundown(variant, { ...input, onSlab: onSlabOf[i] ?? null }), own)
    })
    return rundown
  },
  ({ reactions, beamTotals, tops }) => 8 * (reactions.length + beamTotals.length + 2 * tops.length),
)

/** Every carrying floor from the roof down, since each stands on what is below; answered bottom first. */
export function deriveFloors(
  memo: Memo,
  document: Document,
  levels: readonly Floor[],
  solved: ReadonlyMap<string, SolvedLayout>,
  keys: ReadonlyMap<string, KeyLoads>,
  caseIds: readonly string[],
  standard: Standard,
): readonly FloorState[] {
  const loads = layoutLoads(memo, document, solved, keys, standard)
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
  layout: LayoutLoads,
  aboves: readonly Above[],
  slopesBelow: readonly SlopeShape[],
  caseIds: readonly string[],
): FloorState {
  const { operator, runs, wallBuildUps, weights, keys, keyOf, typed } = layout
  const { level, storeyHeight } = floor
  const [above] = aboves
  const walls = memo.get(wallLoadsStage, operator, runs, wallBuildUps, ceilings(memo, floor, operator, aboves))
  const { passing, standing, carried, feetAbove, onSlab, onSlabOf } = passThrough(memo, layout, above?.state)
  const intensities = memo.get(intensityStage, operator, keys, keyOf, weights, walls, typed, caseIds)
  const { count, ending, ofActions } = columnsOf(caseIds)
  const sparing = ofActions.filter(([action]) => operator.variants.has(action))
  const rundown = memo.get(
    rundownStage,
    standing,
    intensities,
    carried,
    storeyHeight,
    slopesBelow,
    caseIds.indexOf(selfWeight),
    { count, ending, ofActions: sparing },
    above?.state.rundown ?? null,
    feetAbove,
    onSlab,
    sparing.map(([action]) => onSlabOf.get(action) ?? null),
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
    onSlab,
    onSlabOf,
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

function passThrough(
  memo: Memo,
  { operator, weights, lineShare, lineShareOf }: LayoutLoads,
  above: FloorState | undefined,
) {
  const { frame, panels } = operator.plan
  const nothing = {
    passing: 0,
    standing: operator,
    carried: weights,
    feetAbove: null,
    onSlab: null,
    onSlabOf: noneOnSlab,
  }
  if (!above) return nothing
  const upper = above.operator.plan.frame
  const feet = memo.get(feetStage, upper, frame)
  const passing = passingColumns(upper, feet, panels)
  const goesOn = passing.length > 0
  const standing = goesOn ? memo.get(passingStage, operator, passing) : operator
  const carried = goesOn ? memo.get(passingWeightsStage, weights, above.weights, passing) : weights
  const through = goesOn ? memo.get(feetStage, upper, standing.plan.frame) : feet
  const rows = stretchesOnSlab(upper, through, panels)
  const plain = { ...nothing, passing: passing.length, standing, carried, feetAbove: through }
  if (rows.length === 0) return plain
  const by = (share: LineShare): FeetOnSlab =>
    memo.get(
      onSlabStage,
      standing.plan.frame,
      rows,
      rows.map((row) => perForce(memo, upper.columns[row], share)),
    )
  return {
    ...plain,
    feetAbove: memo.get(heldStage, through, rows),
    onSlab: by(lineShare),
    onSlabOf: new Map([...lineShareOf].map(([action, share]) => [action, by(share)])),
  }
}

const noneOnSlab: ReadonlyMap<string, FeetOnSlab> = new Map()

const stretchShareStage = stage('stretchShare', ({ shares: [share] }: Shares, length: number): Share => {
  const ofLine = present(share, 'the one share')
  return sumOfShares({ ...ofLine, applied: 1 }, [[ofLine, 1 / length]])
})

/** How the slab shares one newton that is spread evenly over a stretch. */
function perForce(memo: Memo, column: Column | undefined, lineShare: LineShare): Share {
  const { a, b } = present(column?.stretch, 'a stretch')
  const length = distance(a, b)
  return memo.get(stretchShareStage, lineShare({ index: 0, a, b, length }), length)
}
