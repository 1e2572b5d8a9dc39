import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import type { Member, Panel } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle } from './shapes'

type More<T> = Partial<Omit<T, 'id' | 'kind'>>

/** A bay of 6 x 4 m under 3 kN/m2 that spans 4 m, with a beam along its middle and a brace across it in plan. */
function bay(panel: More<Panel> = {}, middle: More<Member> = {}, y = 0) {
  const building = new Building({ basicWindVelocity: null }, 1)
  const [, top] = [building.level('Base', 0), building.level('Top', 3)]
  const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
  for (const x of [0, 6]) for (const at of [y, 2, 4]) building.column(layout, [x, at])
  const beams = {
    south: building.beam(layout, [0, y], [6, y]),
    middle: building.beam(layout, [0, 2], [6, 2], middle),
    north: building.beam(layout, [0, 4], [6, 4]),
    brace: building.beam(layout, [0, y], [6, 4], { takesLoad: false }),
  }
  const drawn = building.panel(layout, rectangle(0, 0, 6, 4), panel)
  const state = deriveProject(new Memo(), building.document)
  const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
  const view = ask(state, { kind: 'panel', expandedId: `${drawn.id}@${top.id}`, caseId })
  const forces = (name: keyof typeof beams) =>
    view?.takers.find(({ expandedId }) => expandedId === `${beams[name].id}@${top.id}`)?.force ?? 0
  return { view, forces }
}

describe('what takes no load', () => {
  test('hand: the brace takes none, the inner beam twice the edge beam', () => {
    const { forces } = bay()
    expect([forces('south'), forces('middle'), forces('north'), forces('brace')]).toEqual([
      expect.closeTo(18_000, 6),
      expect.closeTo(36_000, 6),
      expect.closeTo(18_000, 6),
      0,
    ])
  })

  test('hand: a member that takes none leaves its load to the others', () => {
    const { forces } = bay({}, { takesLoad: false })
    expect([forces('south'), forces('middle'), forces('north')]).toEqual([
      expect.closeTo(36_000, 6),
      0,
      expect.closeTo(36_000, 6),
    ])
  })

  test('everything that runs one way: nothing is left to carry, and all of it is named', () => {
    const { view } = bay({ sparedAngle: Math.PI })
    expect(view?.takers).toEqual([])
    expect(view?.notCarried).toBeCloseTo(72_000, 6)
  })

  test('hand: a beam 60 mm off the edge supports the panel where its reach says so', () => {
    expect(bay({}, {}, -0.06).forces('south')).toBe(0)
    // lever over 2.06 m, the load between 0 and 2: 6 x 2 x 3 kN x 1.0 / 2.06
    expect(bay({ supportReach: 0.1 }, {}, -0.06).forces('south')).toBeCloseTo(36_000 / 2.06, 6)
  })

  test('a least angle to the span above that of the beams leaves them out', () => {
    const { view } = bay({ spanAngle: 1, spanLimit: 1.04 })
    expect(view?.takers).toEqual([])
  })
})
