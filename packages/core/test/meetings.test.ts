import { readCase } from '../src/derivation/cells'
import { typedLoads } from '../src/actions/cases'
import type { ProjectState } from '../src/derivation/project'
import { documentOf } from '../src/document/document'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { withOtherIds } from './idsShuffled'

// Sums by hand; that what passes a point bears what stands there, and what ends there does not, is common practice.

/**
 * A girder of 8 m on two columns; at its middle two secondary beams end on it from beams' columns of their own, and a stray beam without
 * a support ends there too. Over the point stands what `put` puts there.
 */
function transfer(put: (of: ReturnType<typeof frame>) => unknown) {
  const parts = frame()
  put(parts)
  return parts
}

function frame() {
  const building = new Building()
  building.level('Base', 0)
  const [first, second] = [building.level('1', 4), building.level('2', 8)]
  const [lower, upper] = [building.layout('Lower', null, first), building.layout('Upper', null, second)]
  for (const x of [0, 8]) building.column(lower, [x, 0])
  for (const y of [-5, 5]) building.column(lower, [4, y])
  const beams = {
    stray: building.beam(lower, [4, 0], [6, 1.5]),
    south: building.beam(lower, [4, -5], [4, 0]),
    north: building.beam(lower, [4, 5], [4, 0]),
    girder: building.beam(lower, [0, 0], [8, 0]),
  }
  return { building, lower, upper, first, second, beams }
}

const totals = (state: ProjectState, caseId: string, names: readonly string[], at: number): readonly number[] => {
  const floor = state.floors[at]
  if (!floor) throw new Error('no floor')
  const read = readCase(state, caseId)
  return names.map((id) =>
    read(
      floor.rundown.beamTotals,
      floor.operator.plan.frame.beams.findIndex(({ member }) => member.id === id),
    ),
  )
}

describe('a column on a transfer girder where secondary beams end', () => {
  const onColumn = ({ building, upper }: ReturnType<typeof frame>) => {
    building.column(upper, [4, 0])
    building.pointLoad(upper, [4, 0], 100_000, { nature: 'permanent' })
  }

  test.each([1, 2, 3, 4, 5, 6])(
    'hand: all of 100 kN goes to the girder, 50 kN to each end, whatever the ids (%d)',
    (seed) => {
      const { building, beams, first } = transfer(onColumn)
      const { other, old } = withOtherIds(building.document, seed)
      const state = deriveProject(new Memo(), other)
      const fresh = new Map([...old].map(([after, before]) => [before, after]))
      const ids = [beams.girder, beams.south, beams.north, beams.stray].map(({ id }) => fresh.get(id) ?? '')
      expect(totals(state, typedLoads, ids, 0)).toEqual([100_000, 0, 0, 0])
      const view = ask(state, { kind: 'member', expandedId: `${ids[0]}@${fresh.get(first.id)}`, caseId: typedLoads })
      expect(view?.supports.map(({ reaction }) => reaction)).toEqual([50_000, 50_000])
      expect(ask(state, { kind: 'concerns' }).filter(({ code }) => code.endsWith('on-several'))).toEqual([])
    },
  )

  test('a force there goes the same way', () => {
    const { building, beams } = transfer(({ building: own, lower }) =>
      own.pointLoad(lower, [4, 0], 60_000, { nature: 'permanent' }),
    )
    const ids = [beams.girder, beams.south, beams.north, beams.stray].map(({ id }) => id)
    expect(totals(building.state(), typedLoads, ids, 0)).toEqual([60_000, 0, 0, 0])
  })

  test('a hanger hangs from the girder over it, not from what ends there', () => {
    const building = new Building()
    building.level('Base', 0)
    const [first, second] = [building.level('1', 4), building.level('2', 8)]
    const [lower, upper] = [building.layout('Lower', null, first), building.layout('Upper', null, second)]
    for (const at of [
      [0, 0],
      [8, 0],
      [4, 5],
    ] as const)
      building.column(upper, at)
    const ending = building.beam(upper, [4, 5], [4, 0])
    const girder = building.beam(upper, [0, 0], [8, 0])
    building.member(lower, 'hanger', [[4, 0]])
    building.pointLoad(lower, [4, 0], 30_000, { nature: 'permanent' })
    expect(totals(building.state(), typedLoads, [girder.id, ending.id], 1)).toEqual([30_000, 0])
  })
})

test('hand: two girders that cross share a column at their crossing, the one on more columns takes it alone', () => {
  const building = new Building()
  building.level('Base', 0)
  const [first, second] = [building.level('1', 4), building.level('2', 8)]
  const [lower, upper] = [building.layout('Lower', null, first), building.layout('Upper', null, second)]
  for (const at of [
    [0, 3],
    [6, 3],
    [3, 0],
    [3, 6],
  ] as const)
    building.column(lower, at)
  const beams = [building.beam(lower, [0, 3], [6, 3]), building.beam(lower, [3, 0], [3, 6])].map(({ id }) => id)
  building.column(upper, [3, 3])
  building.pointLoad(upper, [3, 3], 80_000, { nature: 'permanent' })
  expect(totals(building.state(), typedLoads, beams, 0)).toEqual([40_000, 40_000])
  // a third column under the first one
  building.column(lower, [1.5, 3])
  expect(totals(building.state(), typedLoads, beams, 0)).toEqual([80_000, 0])
})

test('an end that meets two beams alike inside their length rests on both by halves', () => {
  const building = new Building()
  building.level('Base', 0)
  const layout = building.layout('Floor', null, building.level('1', 4))
  for (const at of [
    [0, 0],
    [6, 0],
    [3, 4],
  ] as const)
    building.column(layout, at)
  const twins = [building.beam(layout, [0, 0], [6, 0]), building.beam(layout, [6, 0], [0, 0])].map(({ id }) => id)
  building.beam(layout, [3, 4], [3, 0])
  building.pointLoad(layout, [3, 2], 40_000, { nature: 'permanent' })
  const state = deriveProject(new Memo(), documentOf(building.document.records.values()))
  expect(totals(state, typedLoads, twins, 0)).toEqual([10_000, 10_000])
})
