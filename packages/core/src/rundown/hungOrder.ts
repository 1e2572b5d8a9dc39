import { pushAll } from '../outcome/lists'
import { entry } from '../outcome/assert'
import { isHanger, type FramePlan, type Landing } from '../building/frame'
import type { HungLanding } from '../building/hangers'
import { peel } from '../building/supportOrder'

/** One of the floors that hangers tie together; the lowest comes first. */
export interface TiedFloor {
  readonly frame: FramePlan
  /** How the columns of the floor over it stand on this one. */
  readonly landings: readonly Pick<Landing, 'row' | 'on' | 'index'>[]
  readonly hung: readonly HungLanding[]
}

/** A beam or column of one of the floors. */
export interface Carrier {
  readonly floor: number
  readonly on: 'beam' | 'column'
  readonly index: number
}

export interface HungOrder {
  /** Beams and columns in the order in which they hand on, each after all that it bears. */
  readonly order: readonly Carrier[]
  /** Hangers that hang from what they hold up themselves: they hand on nothing. */
  readonly rings: readonly Carrier[]
}

/** The order in which floors hand on that hangers tie together: member by member, since load goes up in one place and down in another. */
export function hungOrder(floors: readonly TiedFloor[]): HungOrder {
  const carriers = floors.flatMap(({ frame }, floor): readonly Carrier[] => [
    ...frame.beams.map((_, index): Carrier => ({ floor, on: 'beam', index })),
    ...frame.columns.map((_, index): Carrier => ({ floor, on: 'column', index })),
  ])
  const next = handedTo(floors, carriers.length)
  const waiting = new Set(carriers.keys())
  for (const node of orderOf(next)) waiting.delete(node)
  const hangers = [...waiting].filter((node) => {
    const { floor = 0, on, index = 0 } = carriers[node] ?? {}
    const column = on === 'column' && floors[floor]?.frame.columns[index]
    return column && isHanger(column)
  })
  const rings = hangers.filter((node) => reaches(next, node))
  for (const node of rings) next[node] = []
  const of = (node: number): readonly Carrier[] => carriers.slice(node, node + 1)
  return { order: orderOf(next).flatMap(of), rings: rings.flatMap(of) }
}

/** What each beam and column hands to: those of the first floor come first, its beams before its columns. */
function handedTo(floors: readonly TiedFloor[], count: number): number[][] {
  const next: number[][] = Array.from({ length: count }, () => [])
  let start = 0
  const starts = floors.map(({ frame }) => {
    const own = start
    start += frame.beams.length + frame.columns.length
    return own
  })
  const nodeOf = (floor: number, { on, index }: Pick<Carrier, 'on' | 'index'>): number =>
    entry(starts, floor) + index + (on === 'column' ? entry(floors, floor).frame.beams.length : 0)
  const column = (floor: number, index: number): number => nodeOf(floor, { on: 'column', index })
  floors.forEach(({ frame, landings, hung }, floor) => {
    // what stands in a ring of its own floor hands on nothing
    const stuck = new Set(frame.loop)
    frame.beams.forEach(({ supports }, index) => {
      if (!stuck.has(index)) next[nodeOf(floor, { on: 'beam', index })] = supports.map((under) => nodeOf(floor, under))
    })
    if (floor + 1 < floors.length)
      for (const landing of landings) next[column(floor + 1, landing.row)]?.push(nodeOf(floor, landing))
    for (const landing of hung) next[column(floor, landing.row)]?.push(nodeOf(floor + landing.up, landing))
  })
  return next
}

function orderOf(next: readonly (readonly number[])[]): readonly number[] {
  const from: number[][] = next.map(() => [])
  next.forEach((targets, node) => targets.forEach((target) => from[target]?.push(node)))
  return peel(next, from, new Set())
}

/** Whether a node comes back to itself. */
function reaches(next: readonly (readonly number[])[], node: number): boolean {
  const seen = new Set<number>()
  const open = [...entry(next, node)]
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at === node) return true
    if (seen.has(at)) continue
    seen.add(at)
    pushAll(open, entry(next, at))
  }
  return false
}
