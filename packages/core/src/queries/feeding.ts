import type { FramePlan } from '../building/frame'
import { expandedAt, floorIn, hungFrom, orderOf, type Place } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { once } from '../outcome/once'
import { slabLandings } from '../rundown/hungRundown'
import { takersOf, type SparseRows } from '../rundown/operator'

/** What hands load to a beam or column, on its own level and on those that reach it: beams, directly or through others, and panels. */
export interface Feeding {
  readonly beams: readonly string[]
  readonly panels: readonly string[]
}

/** A beam, or a column or hanger, of one of the floors. */
interface Node {
  readonly level: number
  readonly on: 'beam' | 'column'
  readonly index: number
}

const nodeAt = (state: ProjectState, { floor, row }: Place, on: Node['on']): Node => ({
  level: orderOf(state, floor),
  on,
  index: row,
})

const keyOf = ({ level, on, index }: Node): string => `${level}/${on}/${index}`

/** The whole catchment of a beam, column or hanger: what rests on it, stands on it or hangs from it, and all that these bear in turn. */
export function feedingOf(state: ProjectState, place: Place, target: 'beam' | 'column', caseId: string): Feeding {
  const start = nodeAt(state, place, target)
  const found = new Map([[keyOf(start), start]])
  // a map grows while it is walked through
  for (const node of found.values())
    for (const next of borneBy(state, node, caseId)) {
      const key = keyOf(next)
      if (!found.has(key)) found.set(key, next)
    }
  const nodes = [...found.values()]
  return {
    beams: nodes.flatMap((node) => (node.on === 'beam' && node !== start ? expandedBeam(state, node) : [])),
    panels: state.floors.flatMap((own, i) =>
      panelsOf(
        own,
        nodes.filter((node) => node.level === i),
        caseId,
      ),
    ),
  }
}

function expandedBeam({ floors }: ProjectState, { level, index }: Node): readonly string[] {
  const floor = floors[level]
  const id = floor?.operator.plan.frame.beams[index]?.member.id
  return floor && id ? [expandedAt(floor, id)] : []
}

/** By `on/index` of what bears them, the beams of a frame. */
const restingIn = once((frame: FramePlan): ReadonlyMap<string, readonly number[]> => {
  const found = new Map<string, number[]>()
  frame.beams.forEach(({ supports }, i) => {
    for (const { on, index } of supports) {
      const key = `${on}/${index}`
      found.set(key, [...(found.get(key) ?? []), i])
    }
  })
  return found
})

function borneBy(state: ProjectState, { level, on, index }: Node, caseId: string): readonly Node[] {
  const floor = state.floors[level]
  if (!floor) return []
  const resting = restingIn(floor.operator.plan.frame).get(`${on}/${index}`) ?? []
  const beam = on === 'beam' ? floor.operator.plan.frame.beams[index] : undefined
  // what stands on a wall stands on its stretches
  const stretches = beam?.stretches ? beam.supports.map((support) => support.index) : []
  return [
    ...stretches.map((row): Node => ({ level, on: 'column', index: row })),
    ...resting.map((other): Node => ({ level, on: 'beam', index: other })),
    ...standingOn(floor, on, index, caseId).map((row): Node => ({ level: level + 1, on: 'column', index: row })),
    ...hungFrom(state, { floor, row: index }, on).map(({ place }) => nodeAt(state, place, 'column')),
  ]
}

/** Rows of the columns of the floor above that stand on a beam or column, or on the slab that hands them to it. */
function standingOn(floor: FloorState, on: Node['on'], index: number, caseId: string): readonly number[] {
  const { onSlab } = floorIn(floor, caseId)
  const landings = [...(floor.feetAbove?.landings ?? []), ...(onSlab ? slabLandings(onSlab) : [])]
  return landings.flatMap((landing) => (landing.on === on && landing.index === index ? [landing.row] : []))
}

function panelsOf(standing: FloorState, nodes: readonly Node[], caseId: string): readonly string[] {
  if (nodes.length === 0) return []
  const floor = floorIn(standing, caseId)
  const { toBeams, toColumns, plan } = floor.operator
  const rowsOf = (on: Node['on']) => new Set(nodes.flatMap((node) => (node.on === on ? [node.index] : [])))
  const [beams, columns] = [rowsOf('beam'), rowsOf('column')]
  const takes = (block: SparseRows, row: number, taking: ReadonlySet<number>): boolean =>
    takersOf(block, row).some((at) => taking.has(at))
  const found = new Set<string>()
  plan.sources.forEach((source, row) => {
    if (source.kind !== 'region') return
    if (takes(toBeams, row, beams) || takes(toColumns, row, columns))
      found.add(expandedAt(floor, source.panel.panel.id))
  })
  return [...found]
}
