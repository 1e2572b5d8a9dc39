import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import type { Basis } from '../src/document/recordKinds'
import { memberLoadRows, memberLoadSums } from '../src/exchange/results'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle } from './shapes'

/** A bay of 8 x 6 m under 3 kN/m2 that shares two-way: triangles of 9 kN/m and trapezoids. */
function bay(basis: Partial<Basis>) {
  const building = new Building({ basicWindVelocity: null, ...basis }, 1)
  const [, top] = [building.level('Base', 0), building.level('Top', 3)]
  const layout = building.layout('Floor', building.key(3000, { name: 'Office' }), top)
  const ring = rectangle(0, 0, 8, 6)
  ring.forEach((at, i) => {
    building.column(layout, at)
    building.beam(layout, at, ring[(i + 1) % 4] ?? at)
  })
  building.panel(layout, ring, { sharing: 'twoWay' })
  const state = deriveProject(new Memo(), building.document)
  const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
  const rows = memberLoadRows(state).filter((row) => row.case === caseId && row.q0 + row.q1 !== 0)
  return { sum: memberLoadSums(state)[caseId], rows, change: ask(state, { kind: 'handedChange' }) }
}

describe('line loads as they are handed over', () => {
  test('exact: two pieces to a triangle, three to a trapezoid, and nothing changes', () => {
    const { rows, change, sum } = bay({})
    expect(rows).toHaveLength(10)
    expect(sum).toBeCloseTo(144_000, 6)
    expect(change.most).toBeNull()
  })

  test('one piece each: the moment of a held end of the trapezoid falls by hand', () => {
    const { rows, change, sum } = bay({ handedLoads: 'pieces', handedPieces: 1 })
    expect(rows).toHaveLength(4)
    expect(sum).toBeCloseTo(144_000, 6)
    // trapezoid of 9 kN/m, a = 3, L = 8: q/12L (L3 - a2 (2L - a)) = 9/96 x (512 - 9 x 13) = 37.03 kNm; even 45 kN: 45 x 8 / 12 = 30 kNm
    expect(change.most?.was).toBeCloseTo((9000 / 96) * (512 - 117), 6)
    expect(change.most?.is).toBeCloseTo(30_000, 6)
    expect(change).toMatchObject({ before: 10, after: 4 })
  })

  test('one even value over the length has the same force', () => {
    const { rows, sum } = bay({ handedLoads: 'even' })
    expect(rows).toHaveLength(4)
    expect(rows.map(({ from, to, q0 }) => [from, to, Math.round(q0)])).toContainEqual([0, 8, 5625])
    expect(sum).toBeCloseTo(144_000, 6)
  })
})
