import { pushAll } from '../outcome/lists'
import { selfWeight } from '../actions/cases'
import { isHanger } from '../building/frame'
import { hungPlan, nothingHung, type FloorOver, type HungPlan } from '../building/hangers'
import type { FootPlan } from '../building/landings'
import { uprightExtent } from '../building/upright'
import type { SlopeShape } from '../document/shapes'
import { present } from '../outcome/assert'
import { floorRundown, takeColumns, type FeetOnSlab, type FloorInput, type FloorRundown } from '../rundown/floorRundown'
import { hungOrder } from '../rundown/hungOrder'
import { hungRundown, slabLandings } from '../rundown/hungRundown'
import type { LayoutOperator } from '../rundown/operator'
import { columnsOf, type Columns } from './cells'
import type { Intensities, OwnWeights } from './loads'
import type { Memo } from './memo'
import { stage } from './stage'
import type { StandingFloor } from './standing'

/** What comes down, and goes up, on one floor. */
export interface Rundown {
  readonly rundown: FloorRundown
  /** Where its hangers hang. */
  readonly hung: HungPlan
  /** Rows of hangers that hang from what they hold up: they hand on nothing. */
  readonly rings: readonly number[]
}

/** All that a floor is worked from, beside the feet that come from above. */
interface Worked {
  readonly operator: LayoutOperator
  readonly input: Omit<FloorInput, 'feetAbove'>
  readonly hung: HungPlan
  /** The columns of the blocks that belong to an action of which some members take no load, and its feet on the slab. */
  readonly sparing: readonly {
    readonly action: string
    readonly own: readonly number[]
    readonly onSlab: FeetOnSlab | null
  }[]
}

const workedStage = stage(
  'worked',
  (
    operator: LayoutOperator,
    { values: intensities }: Intensities,
    weights: OwnWeights,
    storeyHeight: number,
    slopesBelow: readonly SlopeShape[],
    feet: FootPlan | null,
    onSlab: FeetOnSlab | null,
    onSlabOf: readonly (FeetOnSlab | null)[],
    hung: HungPlan,
    selfWeightColumn: number,
    { count: columns, ending, ofActions }: Pick<Columns, 'count' | 'ending' | 'ofActions'>,
  ): Worked => {
    const standing = operator.plan.frame.columns
    const columnWeights = new Float64Array(standing.length * columns)
    const storey = { storeyHeight, slopes: operator.plan.slopes, slopesBelow }
    standing.forEach((column, i) => {
      const { rise, run } = uprightExtent(column, hung.rises[i] ?? null, storey)
      const weight = weights.members.get(column.member.id) ?? 0
      columnWeights[i * columns + selfWeightColumn] = weight * Math.hypot(rise, run)
    })
    const input = { columns, intensities, columnWeights, landings: feet?.landings ?? [], onSlab, ending }
    const sparing = ofActions.map(([action, own], i) => ({ action, own, onSlab: onSlabOf[i] ?? null }))
    return { operator, input, hung, sparing }
  },
  ({ input }) => 8 * input.columnWeights.length,
)

const bytesOf = ({ reactions, beamTotals, tops }: FloorRundown): number =>
  8 * (reactions.length + beamTotals.length + 2 * tops.length)

const rundownStage = stage(
  'rundown',
  ({ operator, input: own, sparing }: Worked, above: FloorRundown | null): FloorRundown => {
    const input = { ...own, feetAbove: feetOf(above) }
    const rundown = floorRundown(operator, input)
    for (const { action, own: columns, onSlab } of sparing) {
      const variant = operator.variants.get(action)
      if (variant) takeColumns(rundown, floorRundown(variant, { ...input, onSlab }), columns)
    }
    return rundown
  },
  bytesOf,
)

const feetOf = (above: FloorRundown | null): Float64Array => above?.feet ?? new Float64Array(0)

interface Tied {
  readonly floors: readonly Omit<Rundown, 'hung'>[]
}

/** Floors that hangers tie together, the lowest first: they are worked in one. */
const tiedStage = stage(
  'tied',
  (floors: readonly Worked[], above: FloorRundown | null): Tied => {
    const order = hungOrder(
      floors.map(({ operator, input, hung, sparing }) => ({
        frame: operator.plan.frame,
        landings: [
          ...input.landings,
          ...[input, ...sparing].flatMap(({ onSlab }) => (onSlab ? slabLandings(onSlab) : [])),
        ],
        hung: hung.landings,
      })),
    )
    const workedBy = (action: string | null) =>
      hungRundown(
        floors.map(({ operator, input, hung, sparing }) => {
          const variant = action === null ? undefined : operator.variants.get(action)
          const onSlab = variant ? (sparing.find((one) => one.action === action)?.onSlab ?? null) : input.onSlab
          return {
            operator: variant ?? operator,
            input: { ...input, onSlab, feetAbove: feetOf(above) },
            hung: hung.landings,
          }
        }),
        order,
      )
    const found = workedBy(null)
    const actions = new Map(floors.flatMap(({ sparing }) => sparing.map(({ action, own }) => [action, own] as const)))
    for (const [action, columns] of actions) {
      const other = workedBy(action)
      found.forEach((into, i) => takeColumns(into, other[i] ?? into, columns))
    }
    return {
      floors: found.map((rundown, floor) => ({
        rundown,
        rings: order.rings.filter((ring) => ring.floor === floor).map(({ index }) => index),
      })),
    }
  },
  ({ floors }) => floors.reduce((sum, { rundown }) => sum + bytesOf(rundown), 0),
)

// a result of its own, so that what stands on it is remembered by it
const ofTiedStage = stage('ofTied', ({ floors }: Tied, index: number) => present(floors[index], 'a floor').rundown)

const hungStage = stage(
  'hung',
  (own: LayoutOperator, aboves: readonly LayoutOperator[], elevations: readonly number[]): HungPlan => {
    const seen = [own, ...aboves].map(({ plan: { frame, panels, slopes } }, i): FloorOver => ({
      elevation: elevations[i] ?? 0,
      frame,
      panels,
      slopes,
    }))
    return hungPlan(present(seen[0], 'the floor itself'), seen.slice(1))
  },
)

/** The rundown of every floor, from the roof down; those that hangers tie together in one. Bottom first, as they come. */
export function rundowns(memo: Memo, floors: readonly StandingFloor[], caseIds: readonly string[]): readonly Rundown[] {
  const hung = floors.map((floor, i) => hungOver(memo, floor, floors.slice(i + 1)))
  const worked = floors.map((floor, i) => workedOf(memo, floor, hung[i] ?? nothingHung, caseIds))
  const found: Rundown[] = []
  for (const [from, to] of groupsOf(hung)) {
    const above = found.at(-1)?.rundown ?? null
    const results = floorsWorked(memo, worked.slice(from, to + 1), above)
    pushAll(found, results.map((result, k) => ({ ...result, hung: hung[from + k] ?? nothingHung })).reverse())
  }
  return found.reverse()
}

function hungOver(memo: Memo, { operator, level }: StandingFloor, aboves: readonly StandingFloor[]): HungPlan {
  if (!operator.plan.frame.columns.some(isHanger)) return nothingHung
  return memo.get(
    hungStage,
    operator,
    aboves.map((above) => above.operator),
    [level, ...aboves.map((above) => above.level)].map(({ elevation }) => elevation),
  )
}

function workedOf(
  memo: Memo,
  { floor, operator, loads, weights, slopesBelow, feetAbove, onSlab, onSlabOf }: StandingFloor,
  hung: HungPlan,
  caseIds: readonly string[],
): Worked {
  const { count, ending, ofActions } = columnsOf(caseIds)
  const sparing = ofActions.filter(([action]) => operator.variants.has(action))
  return memo.get(
    workedStage,
    operator,
    loads,
    weights,
    floor.storeyHeight,
    slopesBelow,
    feetAbove,
    onSlab,
    sparing.map(([action]) => onSlabOf.get(action) ?? null),
    hung,
    caseIds.indexOf(selfWeight),
    { count, ending, ofActions: sparing },
  )
}

/** First and last floor of every group that hangers tie together, from the roof down; most are a floor alone. */
function groupsOf(hung: readonly HungPlan[]): readonly (readonly [from: number, to: number])[] {
  const tied = new Set<number>()
  hung.forEach(({ landings }, floor) => {
    for (const { up } of landings) for (let k = 0; k < up; k++) tied.add(floor + k)
  })
  const groups: [number, number][] = []
  for (let floor = hung.length - 1; floor >= 0; floor--) {
    const last = groups.at(-1)
    if (last && tied.has(floor)) last[0] = floor
    else groups.push([floor, floor])
  }
  return groups
}

function floorsWorked(
  memo: Memo,
  worked: readonly Worked[],
  above: FloorRundown | null,
): readonly Omit<Rundown, 'hung'>[] {
  const [alone] = worked
  if (alone && worked.length === 1) return [{ rundown: memo.get(rundownStage, alone, above), rings: [] }]
  const tied = memo.get(tiedStage, worked, above)
  return tied.floors.map(({ rings }, i) => ({ rundown: memo.get(ofTiedStage, tied, i), rings }))
}
