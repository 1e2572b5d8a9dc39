import { balanceOf, equilibriumResidual } from '../src/derivation/balance'
import { concernsOf } from '../src/concerns/concernsOf'
import { levelMasses } from '../src/derivation/masses'
import { expanded } from '../src/document/labels'
import { memberLoadSums } from '../src/exchange/results'
import type { Point } from '../src/geometry/point'
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

describe('line loads that vary along their length, by hand', () => {
  const along = (path: readonly Point[], value: number, endValue: number | null) => {
    const storey = oneStorey(0)
    const { south, north } = bay(storey)
    const load = storey.building.lineLoad(storey.layout, path, value, { endValue })
    const state = storey.building.state()
    const viewOf = (id: string) =>
      ask(state, { kind: 'member', expandedId: expanded(id, storey.top.id), caseId: typed })
    return { state, load, south: viewOf(south.id), north: viewOf(north.id) }
  }

  test('a trapezoid of 2 to 8 kN/m on a beam of 6 m: reactions l (2 q1 + q2) / 6 and l (q1 + 2 q2) / 6', () => {
    // statics of a simple beam under a trapezoid (common practice)
    const { state, south, load } = along(
      [
        [0, 0],
        [6, 0],
      ],
      2000,
      8000,
    )
    expect(south?.supports.map(({ reaction }) => reaction)).toEqual([
      expect.closeTo((6 * (2 * 2000 + 8000)) / 6, 6),
      expect.closeTo((6 * (2000 + 2 * 8000)) / 6, 6),
    ])
    expect(south?.lines).toEqual([[0, 6, expect.closeTo(2000, 6), expect.closeTo(8000, 6)]])
    expect(balanceOf(state, typed)).toMatchObject({
      applied: expect.closeTo(30_000, 6) as number,
      atSupports: expect.closeTo(30_000, 6) as number,
    })
    expect(ask(state, { kind: 'why', address: `typed:${load.id}` })).toMatchObject({
      value: 2000,
      quantity: 'lineLoad',
    })
    expect(ask(state, { kind: 'why', address: `typed:${load.id}:end` })).toMatchObject({ value: 8000 })
    const sum = south?.lands.reduce((total, { force }) => total + force, 0)
    expect(sum).toBeCloseTo(30_000, 6)
    for (const { address, force } of south?.lands ?? [])
      expect(ask(state, { kind: 'why', address: address ?? '' })?.value).toBeCloseTo(force, 6)
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
    expect(memberLoadSums(state)[typed]).toBeCloseTo(30_000, 6)
  })

  test('it runs over the whole path, corner or not: 0 to 10 kN/m over 6 + 4 m is 6 kN/m at the corner', () => {
    const { state, south } = along(
      [
        [0, 0],
        [6, 0],
        [6, 4],
      ],
      0,
      10_000,
    )
    expect(south?.lines).toEqual([[0, 6, expect.closeTo(0, 6), expect.closeTo(6000, 6)]])
    expect(balanceOf(state, typed).applied).toBeCloseTo(50_000, 6)
    const [mass] = levelMasses(state)
    // 18 kN at two thirds of 6 m along y = 0, 32 kN at x = 6
    expect(mass?.centre?.[0]).toBeCloseTo((18 * 4 + 32 * 6) / 50, 9)
  })

  test('on the slab between the beams it goes by the lever at each place', () => {
    // 1 to 4 kN/m along y = 1 of a span of 4 m: three quarters to the south beam
    const { south, north } = along(
      [
        [0, 1],
        [6, 1],
      ],
      1000,
      4000,
    )
    expect(south?.lines).toEqual([[0, 6, expect.closeTo(750, 6), expect.closeTo(3000, 6)]])
    expect(north?.lines).toEqual([[0, 6, expect.closeTo(250, 6), expect.closeTo(1000, 6)]])
  })

  test('one that changes its sign lifts where it is negative, and a load that is nothing at one end is still one', () => {
    const { south, state } = along(
      [
        [0, 0],
        [6, 0],
      ],
      -2000,
      2000,
    )
    expect(south?.total).toBeCloseTo(0, 6)
    expect(south?.supports.map(({ reaction }) => reaction)).toEqual([expect.closeTo(-2000, 6), expect.closeTo(2000, 6)])
    expect(equilibriumResidual(state)).toBeLessThan(1e-9)
    expect(
      along(
        [
          [0, 0],
          [6, 0],
        ],
        0,
        2000,
      ).south?.total,
    ).toBeCloseTo(6000, 6)
  })

  test('what misses the members is one concern with its force, not one for each end', () => {
    const { state } = along(
      [
        [3, 0],
        [9, 0],
      ],
      0,
      6000,
    )
    // the half beyond the beam: 3 to 6 kN/m over 3 m
    expect(balanceOf(state, typed).notCarried).toBeCloseTo(13_500, 6)
    const lost = concernsOf(state).filter(({ code }) => code === 'load.not-carried')
    expect(lost).toHaveLength(1)
  })
})
