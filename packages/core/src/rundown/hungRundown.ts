import { isHanger, type Landing } from '../building/frame'
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
import type { LayoutOperator } from './operator'

/** A floor that hangers tie to others; the feet above are those over the highest of them, and of no account for the others. */
export interface HungFloor {
  readonly operator: LayoutOperator
  readonly input: FloorInput
  readonly hung: readonly HungLanding[]
}

/** Floors that hangers tie together for all cases at once, the lowest first: member by member, up where they hang and down where they stand. */
export function hungRundown(floors: readonly HungFloor[], { order, rings }: HungOrder): readonly FloorRundown[] {
  const outs = floors.map(({ operator, input }) => emptyRundown(operator, input.columns))
  const stuck = floors.map(({ operator }) => new Set(operator.plan.frame.loop))
  const goes = goesTo(floors, rings)
  floors.forEach(({ operator, input }, i) => {
    const top = i === floors.length - 1
    const outside = top ? input : { ...input, landings: [], onSlab: null }
    const out = outs[i]
    if (out) takeWhatComes(operator, stuck[i] ?? new Set(), outside, out)
  })
  for (const { floor, on, index } of order) {
    const [own, out] = [floors[floor], outs[floor]]
    if (!own || !out) continue
    if (on === 'beam') {
      if (!stuck[floor]?.has(index)) handOn(own.operator, stuck[floor] ?? new Set(), index, out)
      continue
    }
    weighColumn(own.input.columnWeights, index, out)
    const feet = { columns: out.columns, feetAbove: out.feet, ending: own.input.ending }
    for (const { floor: to, landing, onSlab } of goes[floor]?.get(index) ?? []) {
      const [target, into] = [floors[to], outs[to]]
      if (!target || !into) continue
      if (landing) land(target.operator, stuck[to] ?? new Set(), landing, feet, into)
      else if (target.input.onSlab) standOnSlab(target.input.onSlab, onSlab, feet, into)
    }
  }
  return outs
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
      const { start, index } = on === 'beam' ? shared.toBeams : shared.toColumns
      return [...index.subarray(start[k] ?? 0, start[k + 1] ?? 0)].map((at) => ({ row, on, index: at }))
    }),
  )
}
