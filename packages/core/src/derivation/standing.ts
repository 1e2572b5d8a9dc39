import type { Floor } from '../building/floors'
import type { Column, FramePlan } from '../building/frame'
import { passingColumns, standFeet, stretchesOnSlab, type FootPlan } from '../building/landings'
import { segmentOf } from '../building/wallSegments'
import type { Level } from '../document/recordKinds'
import type { SlopeShape } from '../document/shapes'
import { distance } from '../geometry/segment'
import { present } from '../outcome/assert'
import type { FeetOnSlab } from '../rundown/floorRundown'
import { sharedOut, type LayoutOperator } from '../rundown/operator'
import { sumOfShares, type Share } from '../sharing/share'
import { ceilingStage, reachPast, wallLoadsStage, type Ceiling, type WallLoads } from './heads'
import type { LayoutLoads } from './layoutLoads'
import type { LineShare } from './layouts'
import { intensityStage, type Intensities, type OwnWeights } from './loads'
import type { Memo } from './memo'
import type { Shares } from './panelShares'
import { stage } from './stage'

/** One carrying level with its loads, and how the columns over it stand on it. */
export interface StandingFloor {
  readonly floor: Floor
  readonly level: Level
  readonly operator: LayoutOperator
  /** How many of its columns, the last ones, belong to a level above and pass through this one. */
  readonly passing: number
  /** Of the roof that its columns stand on, if they do. */
  readonly slopesBelow: readonly SlopeShape[]
  /** Row by source, column by case, then floor area. */
  readonly loads: Intensities
  readonly walls: WallLoads
  readonly weights: OwnWeights
  /** How the columns of the floor above stand on this floor; null at the top. */
  readonly feetAbove: FootPlan | null
  /** The stretches of walls among them that the slab takes. */
  readonly onSlab: FeetOnSlab | null
  /** The same by action of which some members take no load. */
  readonly onSlabOf: ReadonlyMap<string, FeetOnSlab>
  readonly layout: LayoutLoads
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

/** @param aboves - the floors over it, the next one first */
export function standingFloor(
  memo: Memo,
  floor: Floor,
  layout: LayoutLoads,
  aboves: readonly StandingFloor[],
  slopesBelow: readonly SlopeShape[],
  caseIds: readonly string[],
): StandingFloor {
  const { operator, runs, wallBuildUps, weights, keys, keyOf, typed } = layout
  const walls = memo.get(wallLoadsStage, operator, runs, wallBuildUps, ceilings(memo, floor, operator, aboves))
  const { passing, standing, carried, feetAbove, onSlab, onSlabOf } = passThrough(memo, layout, aboves[0])
  return {
    floor,
    level: floor.level,
    operator: standing,
    passing,
    slopesBelow,
    loads: memo.get(intensityStage, operator, keys, keyOf, weights, walls, typed, caseIds),
    walls,
    weights: carried,
    feetAbove,
    onSlab,
    onSlabOf,
    layout,
  }
}

/** The levels over the walls of a floor: the next one, and those after it for walls that lie beside what it has. */
function ceilings(
  memo: Memo,
  { level }: Floor,
  operator: LayoutOperator,
  aboves: readonly StandingFloor[],
): readonly Ceiling[] {
  const found: Ceiling[] = []
  for (const { level: over, layout } of aboves) {
    const { beamDepths, slabDepths } = layout
    const height = over.elevation - level.elevation
    const ceiling = memo.get(ceilingStage, layout.operator, height, beamDepths, slabDepths)
    found.push(ceiling)
    if (!reachPast(operator, ceiling)) break
  }
  return found
}

function passThrough(
  memo: Memo,
  { operator, weights, lineShare, lineShareOf }: LayoutLoads,
  above: StandingFloor | undefined,
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
  return memo.get(stretchShareStage, lineShare(segmentOf(0, a, b)), length)
}
