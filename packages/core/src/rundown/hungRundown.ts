import type { Landing } from '../building/frame'
import type { HungLanding } from '../building/hangers'
import {
  emptyRundown,
  handOn,
  land,
  standOnSlab,
  takeWhatComes,
  weighColumn,
  type FeetOnSlab,
  type FloorInput,
  type FloorRundown,
} from './floorRundown'
import type { HungOrder, TiedFloor } from './hungOrder'
import { takersOf, type LayoutOperator } from './operator'

/** A floor that hangers tie to others; the feet above are those over the highest of them, and of no account for the others. */
export interface HungFloor {
  readonly operator: LayoutOperator
  readonly input: FloorInput
  readonly hung: readonly HungLanding[]
}

/** A floor while it is worked. */
interface Working extends HungFloor {
  readonly out: FloorRundown
  readonly stuck: ReadonlySet<number>
}

/** Floors that hangers tie together for all cases at once, the lowest first: member by member, up where they hang and down where they stand. */
export function hungRundown(floors: readonly HungFloor[], { order, rings }: HungOrder): readonly FloorRundown[] {
  const working = floors.map((floor): Working => ({
    ...floor,
    out: emptyRundown(floor.operator, floor.input.columns),
    stuck: new Set(floor.operator.plan.frame.loop),
  }))
  const goes = goesTo(floors, rings)
  working.forEach(({ operator, input, stuck, out }, i) => {
    const top = i === floors.length - 1
    takeWhatComes(operator, stuck, top ? input : { ...input, landings: [], onSlab: null }, out)
  })
  for (const { floor, on, index } of order) {
    const own = working[floor]
    if (!own) continue
    if (on === 'column') standOrHang(own, index, goes[floor]?.get(index) ?? [], working)
    else if (!own.stuck.has(index)) handOn(own.operator, own.stuck, index, own.out)
  }
  return working.map(({ out }) => out)
}

/** A column or hanger with its own weight, onto what it stands on or hangs from. */
function standOrHang({ input, out }: Working, row: number, goes: readonly Goes[], working: readonly Working[]): void {
  weighColumn(input.columnWeights, row, out)
  const feet = { columns: out.columns, feetAbove: out.feet, ending: input.ending }
  for (const { floor, landing, onSlab } of goes) {
    const target = working[floor]
    if (!target) continue
    if (landing) land(target.operator, target.stuck, landing, feet, target.out)
    else if (target.input.onSlab) standOnSlab(target.input.onSlab, onSlab, feet, target.out)
  }
}

/** Where a column or hanger goes: on a member of a floor, or as one of the feet on its slab. */
type Goes =
  | { readonly floor: number; readonly landing: Landing; readonly onSlab?: never }
  | { readonly floor: number; readonly onSlab: number; readonly landing?: never }

/** By floor and row what the columns and hangers stand on or hang from. */
function goesTo(
  floors: readonly HungFloor[],
  rings: HungOrder['rings'],
): readonly ReadonlyMap<number, readonly Goes[]>[] {
  const found = floors.map(() => new Map<number, Goes[]>())
  const add = (floor: number, row: number, goes: Goes): void => {
    const known = found[floor]?.get(row)
    if (known) known.push(goes)
    else found[floor]?.set(row, [goes])
  }
  floors.forEach(({ input, hung }, floor) => {
    if (floor + 1 < floors.length) {
      for (const landing of input.landings) add(floor + 1, landing.row, { floor, landing })
      input.onSlab?.rows.forEach((row, onSlab) => add(floor + 1, row, { floor, onSlab }))
    }
    for (const landing of hung)
      if (!rings.some((ring) => ring.floor === floor && ring.index === landing.row))
        add(floor, landing.row, { floor: floor + landing.up, landing })
  })
  return found
}

/** Members to which the slab hands feet that stand on it. */
export function slabLandings({ rows, shared }: FeetOnSlab): TiedFloor['landings'] {
  return rows.flatMap((row, k) =>
    (['beam', 'column'] as const).flatMap((on) => {
      const block = on === 'beam' ? shared.toBeams : shared.toColumns
      return [...takersOf(block, k)].map((at) => ({ row, on, index: at }))
    }),
  )
}
