import fc from 'fast-check'
import { holds } from './holds'
import { isHorizontal } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { Memo } from '../src/derivation/memo'
import { deriveProject, type ProjectState } from '../src/derivation/project'
import { documentOf, recordsOf, type Document } from '../src/document/document'
import type { Rec } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { along, distance } from '../src/geometry/segment'
import { Building } from './build'
import { randomBuilding } from './randomBuilding'
import { rectangle } from './shapes'

const stateOf = (document: Document): ProjectState => deriveProject(new Memo(), document)
const gravityOf = ({ caseIds }: ProjectState) => caseIds.filter((id) => !isHorizontal(id))
const changed = (document: Document, change: (record: Rec) => readonly Rec[]): Document =>
  documentOf([...document.records.values()].flatMap(change))

/** A floor with everything on it, on so many levels of 3 m; walls have typed heights, columns weigh nothing. */
function stack(levels: number) {
  const building = new Building()
  building.level('Base', 0)
  const all = Array.from({ length: levels }, (_, i) => building.level(String(i + 1), 3 * (i + 1)))
  const steel = building.material({ unitWeight: 78_500 })
  const layers = building.buildUp([{ name: 'screed', thickness: 0.05, unitWeight: 20_000, load: null, source: '' }])
  const [key, other] = [building.key(2000, { buildUp: layers.id, partitionWeight: 900 }), building.key(5000)]
  const layout = building.layout('Floor', key, all[0], all.at(-1))
  for (const x of [0, 6]) for (const y of [0, 5]) building.column(layout, [x, y])
  for (const y of [0, 5]) building.beam(layout, [0, y], [6, y], { material: steel.id })
  building.panel(layout, rectangle(0, 0, 6, 5))
  building.patch(layout, other, rectangle(1, 1, 3, 3))
  building.wall(layout, [[0, 0] as Point, [6, 0]], { heightRule: 'typed', height: 2.5 })
  building.pointLoad(layout, [2, 2], 10_000, { nature: 'permanent' })
  return building.state()
}

test('a layout repeated n times gives n times the load, case by case', () => {
  const once = stack(1)
  holds(
    fc.property(fc.integer({ min: 2, max: 40 }), (n) => {
      const many = stack(n)
      expect(many.caseIds).toEqual(once.caseIds)
      for (const id of gravityOf(once)) {
        expect(balanceOf(many, id).applied).toBeCloseTo(n * balanceOf(once, id).applied, 4)
        expect(balanceOf(many, id).atSupports).toBeCloseTo(n * balanceOf(once, id).atSupports, 4)
      }
    }),
    { numRuns: 12 },
  )
})

/** All that lands on every beam, for every gravity case. */
const landed = (state: ProjectState): readonly number[] =>
  state.floors.flatMap(({ operator, rundown }) =>
    gravityOf(state).flatMap((id) =>
      operator.plan.frame.beams.map((_, row) => readCase(state, id)(rundown.beamTotals, row)),
    ),
  )

function expectSame(a: readonly number[], b: readonly number[], within = 1e-6): void {
  expect(b).toHaveLength(a.length)
  const scale = Math.max(1, ...a.map(Math.abs))
  a.forEach((value, i) => expect(Math.abs((b[i] ?? NaN) - value)).toBeLessThan(within * scale))
}

test('a wall run or a line load in two parts does what it does in one, wherever it is parted', () => {
  holds(
    fc.property(fc.nat(1_000_000), fc.double({ min: 0.001, max: 0.999, noNaN: true }), (seed, part) => {
      // what hangs over a stretch is looked for at its middle: heights are typed, so that parting it changes none
      const document = changed(randomBuilding(seed), (record) => [
        record.kind === 'wallRun' ? { ...record, heightRule: 'typed', height: record.height ?? 2.4 } : record,
      ])
      const parted = changed(document, (record) => {
        if (record.kind !== 'wallRun' && record.kind !== 'lineLoad') return [record]
        const [a, b] = record.path
        if (!a || !b) return [record]
        const length = distance(a, b)
        const middle = along(a, b, length * part)
        return [{ ...record, path: [a, middle, ...record.path.slice(1)] }]
      })
      const [whole, parts] = [stateOf(document), stateOf(parted)]
      for (const id of gravityOf(whole)) {
        const [a, b] = [balanceOf(whole, id), balanceOf(parts, id)]
        expect(Math.abs(b.applied - a.applied)).toBeLessThan(1e-9 * Math.max(1, Math.abs(a.applied)))
      }
      // how load varies within 50 mm is not followed, and where the cuts fall decides what that is (0.1 % of the peak)
      expectSame(landed(whole), landed(parts), 1e-3)
    }),
    {
      examples: [
        [706102, 0.05],
        [999991, 0.95],
        [10, 0.22920125682054315],
      ],
      numRuns: 20,
    },
  )
})

test('patches that do not overlap may come in any order', () => {
  const orders = fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 6 })
  const withOrder = (order: readonly number[]) => {
    const building = new Building()
    building.level('Base', 0)
    const layout = building.layout('Floor', building.key(2000), building.level('1', 3))
    for (const y of [0, 5]) building.beam(layout, [0, y], [12, y])
    for (const x of [0, 12]) for (const y of [0, 5]) building.column(layout, [x, y])
    building.panel(layout, rectangle(0, 0, 12, 5))
    const keys = Array.from({ length: 6 }, (_, i) => building.key(1000 * (i + 3)))
    keys.forEach((key, i) =>
      building.patch(layout, key, rectangle(2 * i, 0.5, 2 * i + 1.5, 4), { order: order[i] ?? 0 }),
    )
    return landed(building.state())
  }
  const reference = withOrder([0, 1, 2, 3, 4, 5])
  holds(fc.property(orders, (order) => expectSame(reference, withOrder(order))))
})

test('the unit system of the project changes no result', () => {
  holds(
    fc.property(fc.nat(1_000_000), (seed) => {
      const document = randomBuilding(seed)
      const [basis] = recordsOf(document, 'basis')
      const american = changed(document, (record) => [
        record.id === basis?.id && record.kind === 'basis' ? { ...record, units: 'us', decimal: 'comma' } : record,
      ])
      expect(landed(stateOf(american))).toEqual(landed(stateOf(document)))
    }),
    { numRuns: 10 },
  )
})
