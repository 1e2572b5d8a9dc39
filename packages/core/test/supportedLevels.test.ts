import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { expanded } from '../src/document/labels'
import type { Layout, LoadKey, Member } from '../src/document/recordKinds'
import type { Basis } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { randomBuilding } from './randomBuilding'
import { rectangle } from './shapes'
import { columnChain, placeOf } from '../src/derivation/floorQueries'
import { readArea } from '../src/derivation/cells'
import { hasTransfers, leastFloor, levelsBorne } from '../src/derivation/supportedLevels'
import fc from 'fast-check'
import { holds } from './holds'

const near = (value: number) => expect.closeTo(value, 6) as number

/** Whether a length stands on several, or several on one: a chain of lengths follows one alone. */
const isParted = ({ floors }: ProjectState) =>
  floors.some(({ feetAbove }) => {
    const landings = feetAbove?.landings ?? []
    const under = new Set(landings.map(({ index }) => index))
    return under.size < landings.length || landings.some(({ part }) => part < 1 - 1e-9)
  })

/** A bay of 6 by 10 m on four columns, its two beams along the short sides. */
function bay(building: Building, layout: Layout, x: number): readonly Member[] {
  const columns = rectangle(x, 0, x + 6, 10).map((at) => building.column(layout, at))
  building.beam(layout, [x, 0], [x + 6, 0])
  building.beam(layout, [x, 10], [x + 6, 10])
  building.panel(layout, rectangle(x, 0, x + 6, 10))
  return columns
}

/** On level 1 two beams of 12 m on four columns, with a floor of their own or without; over their thirds floors of 6 by 10 m. */
function transfer(more: { storeys: number; own?: boolean; basis?: Partial<Basis>; use?: Partial<LoadKey> }) {
  const { storeys, own = true, basis = {}, use = {} } = more
  const building = new Building(basis)
  const levels = Array.from({ length: storeys + 2 }, (_, i) => building.level(i === 0 ? 'Base' : String(i), 3 * i))
  const office = building.key(3000, use)
  const floor = building.layout('Transfer', office, levels[1])
  const upper = building.layout('Upper', office, levels[2], levels.at(-1))
  const [corner] = rectangle(0, 0, 12, 10).map((at) => building.column(floor, at))
  building.beam(floor, [0, 0], [12, 0])
  building.beam(floor, [0, 10], [12, 10])
  if (own) building.panel(floor, rectangle(0, 0, 12, 10))
  const [over] = bay(building, upper, 3)
  const state = building.state()
  const view = (column: Member | undefined, level: number, caseId = 'imposed/B') =>
    ask(state, { kind: 'column', expandedId: expanded(column?.id ?? '', levels[level]?.id ?? ''), caseId })
  return { state, corner, over, view }
}

describe('how many levels a column supports', () => {
  test('hand: five floors on a transfer beam, and the floor of the beam: six at its columns, five to one over it', () => {
    const { view, corner, over } = transfer({ storeys: 5 })
    expect(view(corner, 1)?.rows.map(({ levels }) => levels)).toEqual([6])
    expect(view(over, 2)?.rows.map(({ levels }) => levels)).toEqual([1, 2, 3, 4, 5])
  })

  test('hand: a transfer level without a floor of its own is none', () => {
    const { view, corner } = transfer({ storeys: 5, own: false })
    expect(view(corner, 1)?.rows.map(({ levels }) => levels)).toEqual([5])
  })

  test('hand: a floor that hangs under a beam counts at the columns of that beam', () => {
    const building = new Building()
    const [, low, high] = ['Base', '1', '2'].map((name, i) => building.level(name, 3 * i))
    const office = building.key(3000)
    const [hung, top] = [building.layout('Hung', office, low), building.layout('Top', office, high)]
    const [corner] = bay(building, top, 0)
    for (const at of [
      [2, 0],
      [4, 0],
      [2, 10],
      [4, 10],
    ] as const)
      building.column(hung, at, { role: 'hanger' })
    building.beam(hung, [2, 0], [4, 0])
    building.beam(hung, [2, 10], [4, 10])
    building.panel(hung, rectangle(2, 0, 4, 10))
    const state = building.state()
    const view = ask(state, {
      kind: 'column',
      expandedId: expanded(corner?.id ?? '', high?.id ?? ''),
      caseId: 'imposed/B',
    })
    // it goes past the level that hangs, in two lengths
    expect(view?.rows.map(({ levels }) => levels)).toEqual([2, 2])
  })

  // law: where nothing is transferred it is the lengths of the chain that bring floor
  test('in random buildings: as the chain says where nothing is transferred, and never more than there are floors', () => {
    holds(
      fc.property(fc.nat(1e6), (seed) => {
        const state = deriveProject(new Memo(), randomBuilding(seed))
        const [area, borne] = [readArea(state), levelsBorne(state)]
        for (const { operator, level } of state.floors)
          for (const { member } of operator.plan.frame.columns) {
            const id = expanded(member.id, level.id)
            const place = placeOf(state, id, 'columns')
            if (!place) throw new Error('no place')
            const count = borne(place).size
            expect(count).toBeLessThanOrEqual(state.floors.length)
            // who bears floor, and not slivers of many levels alone, bears that of some level
            const sliver = state.floors.length * leastFloor
            if (area(place.floor.rundown.tops, place.row) > sliver) expect(count).toBeGreaterThan(0)
            if (hasTransfers(state) || isParted(state)) continue
            const chain = columnChain(state, id)
            const down = chain.slice(0, chain.findIndex(({ floor }) => floor.level.id === level.id) + 1)
            const brought = down.filter(({ floor, row }, i) => {
              const above = down[i - 1]
              const before = above ? area(above.floor.rundown.feet, above.row) : 0
              return area(floor.rundown.tops, row) - before > leastFloor
            })
            expect(count).toBe(brought.length)
          }
      }),
      { numRuns: 20 },
    )
  })
})

describe('reductions for storeys count the floors that are transferred', () => {
  // EN 1991-1-1 (6.2), from memory: α_n = (2 + (n − 2) ψ_0)/n; six floors of offices: (2 + 4 · 0.7)/6 = 0.8
  test('EN: six floors at a column under a transfer beam', () => {
    const { view, corner } = transfer({ storeys: 5, use: { use: 'B', imposed: null } })
    expect(view(corner, 1)?.reductions?.[0]).toMatchObject({ storeys: 6, byStoreys: near(0.8) })
  })

  test('by choice what is transferred stays whole: one floor of its own', () => {
    const { view, corner } = transfer({ storeys: 5, use: { use: 'B', imposed: null }, basis: { transferred: 'whole' } })
    expect(view(corner, 1)?.reductions?.[0]).toMatchObject({ storeys: 1, byStoreys: near(1) })
  })

  // IS 875-2 3.2.1, from memory: 40 % are spared from five floors to ten
  test('IS: six floors that it carries, those over the beam among them', () => {
    const { view, corner } = transfer({ storeys: 5, basis: { family: 'IS' }, use: { use: 'offices', imposed: null } })
    expect(view(corner, 1, 'imposed/IL')?.reductions?.[0]).toMatchObject({ storeys: 6, byStoreys: near(0.6) })
  })
})
