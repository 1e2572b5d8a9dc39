import { balanceOf, equilibriumResidual } from '../src/derivation/balance'
import { expanded } from '../src/document/labels'
import { memberLoadSums } from '../src/exchange/results'
import { ask } from '../src/queries/derive'
import { bay, oneStorey } from './build'

const typed = 'permanent/typed'

describe('typed loads, by hand on one bay of 6 by 4 m that spans 4 m', () => {
  test('a line on a girder and a machine on the slab: 3 kN/m over 6 m, 8 kN at a quarter', () => {
    const storey = oneStorey(0)
    const { building, layout, top } = storey
    const { south } = bay(storey)
    building.lineLoad(
      layout,
      [
        [0, 0],
        [6, 0],
      ],
      3000,
      { what: 'stair flight' },
    )
    building.pointLoad(layout, [3, 1], 8000, { what: 'chiller' })
    const state = building.state()
    expect(balanceOf(state, typed)).toMatchObject({
      applied: expect.closeTo(26_000, 6) as number,
      onMembers: expect.closeTo(26_000, 6) as number,
      atSupports: expect.closeTo(26_000, 6) as number,
      notCarried: 0,
    })
    // the south beam: 18 + 8 · 3/4 = 24, half at each end
    const view = ask(state, { kind: 'member', expandedId: expanded(south.id, top.id), caseId: typed })
    expect(view?.lands.map(({ kind, force }) => [kind, force])).toEqual([
      ['line', expect.closeTo(18_000, 6)],
      ['point', expect.closeTo(6000, 6)],
    ])
    expect(view?.supports.map(({ reaction }) => reaction)).toEqual([
      expect.closeTo(12_000, 6),
      expect.closeTo(12_000, 6),
    ])
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
    expect(memberLoadSums(state)[typed]).toBeCloseTo(26_000, 6)
    const [landing] = view?.lands ?? []
    expect(ask(state, { kind: 'why', address: landing?.address ?? '' })?.value).toBeCloseTo(18_000, 6)
  })

  test('an imposed one acts in the case of its use, beside the floor; one that lifts has the other sign', () => {
    const storey = oneStorey(0)
    const { building, layout } = storey
    bay(storey)
    building.pointLoad(layout, [3, 2], 5000, { nature: 'imposed', use: 'C3' })
    building.pointLoad(layout, [3, 2], -2000, { nature: 'imposed', use: 'C3' })
    const state = building.state()
    expect(balanceOf(state, 'imposed/C').applied).toBeCloseTo(3000, 9)
    expect(state.caseIds).not.toContain(typed)
  })

  test('without a typed load there is no case for it', () => {
    const storey = oneStorey(0)
    bay(storey)
    expect(storey.building.state().caseIds).not.toContain(typed)
  })
})
