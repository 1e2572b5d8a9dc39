import { equilibriumResidual } from '../src/derivation/balance'
import { expanded } from '../src/document/labels'
import type { Member } from '../src/document/recordKinds'
import { releaseEdits } from '../src/editing/releases'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { oneStorey } from './build'

/** A girder over three columns 6 m apart, with 10 kN/m on all of it. */
function girder(more: Partial<Member> = {}) {
  const storey = oneStorey(0)
  const { building, layout, top } = storey
  const path: readonly Point[] = [
    [0, 0],
    [12, 0],
  ]
  const beam = building.member(layout, 'girder', path, { spans: 'continuous', ...more })
  for (const x of [0, 6, 12]) building.column(layout, [x, 0])
  building.lineLoad(layout, path, 10_000)
  const view = () => {
    const found = ask(building.state(), {
      kind: 'member',
      expandedId: expanded(beam.id, top.id),
      caseId: 'permanent/typed',
    })
    if (!found) throw new Error('no view')
    return found
  }
  return { ...storey, beam, view }
}
const reactions = ({ supports }: { readonly supports: readonly { readonly reaction: number }[] }) =>
  supports.map(({ reaction }) => reaction)

describe('a girder over three columns', () => {
  test('continuous: 3/8, 10/8, 3/8 of 60 kN (handbook tables, from memory), each with its trace', () => {
    const { building, beam, top, view } = girder()
    const found = view()
    expect(found.continuous).toBe(true)
    expect(reactions(found)).toEqual([22_500, 75_000, 22_500].map((value) => expect.closeTo(value, 6) as number))
    expect(Math.abs(found.residualMoment ?? 1)).toBeLessThan(1e-6)
    const why = ask(building.state(), {
      kind: 'why',
      address: `reaction:${expanded(beam.id, top.id)}:1:permanent/typed`,
    })
    expect(why?.value).toBeCloseTo(75_000, 6)
    expect(JSON.stringify(why)).toContain('three-moment equation')
    expect(equilibriumResidual(building.state())).toBeLessThan(1e-12)
  })

  test('each span by itself: 1/2, 1, 1/2', () => {
    const found = girder({ spans: 'simple' }).view()
    expect(found.continuous).toBe(false)
    expect(reactions(found)).toEqual([30_000, 60_000, 30_000].map((value) => expect.closeTo(value, 6) as number))
  })

  test('held at its start: the outer moments are not handed on, and the beam says so', () => {
    // three moments: 2 M_0 + M_1 = -q l²/4, M_0 + 4 M_1 = -q l²/2: M_0 = -q l²/14, M_1 = -3 q l²/28
    const found = girder({ startRelease: 'fixed' }).view()
    const [m0, m1] = [-(10_000 * 36) / 14, (-3 * 10_000 * 36) / 28]
    expect(reactions(found)).toEqual(
      [30_000 + (m1 - m0) / 6, 60_000 + (m0 - m1) / 6 - m1 / 6, 30_000 + m1 / 6].map(
        (value) => expect.closeTo(value, 6) as number,
      ),
    )
    expect(found.residualMoment).toBeNull()
  })

  test('a beam that ends on it is a force on a continuous beam: 13/32, 22/32, -3/32', () => {
    const { building, layout, beam, top } = girder()
    building.column(layout, [3, 5])
    building.beam(layout, [3, 0], [3, 5])
    building.pointLoad(layout, [3, 2.5], 64_000, { nature: 'imposed', use: 'B' })
    const found = ask(building.state(), {
      kind: 'member',
      expandedId: expanded(beam.id, top.id),
      caseId: 'imposed/B',
    })
    expect(found && reactions(found)).toEqual(
      [13_000, 22_000, -3000].map((value) => expect.closeTo(value, 6) as number),
    )
  })
})

test('ends by rule: what goes on in line in another beam is fixed, what turns or stops is pinned', () => {
  const { building, layout } = oneStorey(0)
  const west = building.beam(layout, [0, 0], [6, 0], { startRelease: 'fixed' })
  const east = building.beam(layout, [12, 0], [6, 0])
  const north = building.beam(layout, [12, 0], [12, 5])
  const edits = releaseEdits(building.document, [west, east, north])
  const after = edits.map((edit) => edit.after as Member)
  // the third is as the rule wants it already
  expect(after.map(({ id, startRelease, endRelease }) => [id, startRelease, endRelease]).sort()).toEqual(
    [
      [west.id, 'pinned', 'fixed'],
      [east.id, 'pinned', 'fixed'],
    ].sort(),
  )
})
