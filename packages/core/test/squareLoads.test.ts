import fc from 'fast-check'
import { holds } from './holds'
import { typedLoads } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { levelMasses } from '../src/derivation/masses'
import { expanded } from '../src/document/labels'
import type { AreaLoad } from '../src/document/recordKinds'
import { concernsOf } from '../src/concerns/concernsOf'
import { sidewaysRows } from '../src/exchange/results'
import { csvFiles } from '../src/exchange/csv'
import { ask } from '../src/queries/derive'
import { bay, oneStorey } from './build'
import { rectangle, turned } from './shapes'

const near = (value: number, digits = 4) => expect.closeTo(value, digits) as number

/** A bay of 6 by 4 m, its panel spanning along y, that rises northwards by 3 over 4, with a load all over it. */
function roof(measured: AreaLoad['measured'], value = 1000, more: Partial<AreaLoad> = {}) {
  const storey = oneStorey(0)
  const { south, north } = bay(storey)
  storey.building.slope(storey.layout, rectangle(0, 0, 6, 4), Math.atan(0.75), Math.PI / 2)
  const load = storey.building.areaLoad(storey.layout, rectangle(0, 0, 6, 4), value, { measured, ...more })
  const state = storey.building.state()
  const level = storey.top.id
  const view = (id: string) => ask(state, { kind: 'member', expandedId: expanded(id, level), caseId: typedLoads })
  return { ...storey, state, load, level, south: view(south.id), north: view(north.id) }
}

describe('an area load on a 3-4-5 slope: 24 m² of plan, 30 m² as it lies', () => {
  test.each([
    ['plan', 24_000],
    ['slope', 30_000],
    // 30 kN square to it, of which 4/5 are vertical
    ['square', 24_000],
  ] as const)('hand: measured by %s it brings %d N down, half to each beam', (measured, down) => {
    const { state, south, north } = roof(measured)
    expect(balanceOf(state, typedLoads)).toMatchObject({ applied: near(down), atSupports: near(down) })
    expect([south?.total, north?.total]).toEqual([near(down / 2), near(down / 2)])
  })

  test('hand: square to it, 3/5 of 30 kN go uphill, half on each beam, and are handed on', () => {
    const { state, south, north, level, load } = roof('square')
    expect([south?.sideways, north?.sideways]).toEqual([
      [near(0), near(9000)],
      [near(0), near(9000)],
    ])
    // in the middle of 6 m along x: 18 kN northwards turn about the origin by 18 · 3 kNm
    const pushed = { levelId: level, x: near(0), y: near(18_000), moment: near(54_000) }
    expect(ask(state, { kind: 'thrusts', caseId: typedLoads })).toEqual([expect.objectContaining(pushed)])
    const why = ask(state, { kind: 'why', address: `thrusts:${level}:${typedLoads}:y` })
    expect(why?.value).toBeCloseTo(18_000, 4)
    expect(why?.basis.kind === 'sum' && why.basis.terms.map(({ label }) => label)).toEqual([
      `${load.label}, normal to a slope`,
    ])
    expect(concernsOf(state).map(({ code }) => code)).toContain('level.pushed')
    // along 6 m of beam 9 kN are 1.5 kN/m
    const rows = sidewaysRows(state).filter(({ case: id }) => id === typedLoads)
    expect(rows.map(({ from, to, fx0, fy0, fx1, fy1 }) => [from, to, fx0, fy0, fx1, fy1])).toEqual(
      [0, 1].map(() => [near(0), near(6), near(0), near(1500), near(0), near(1500)]),
    )
    expect(csvFiles(state, 'horizontalMemberLoads')[0]?.text.split('\n')).toHaveLength(4)
  })

  test('a pressure square to a slope is no weight; one that is measured as it lies is', () => {
    expect(levelMasses(roof('square').state)[0]?.weight).toBeCloseTo(0, 6)
    expect(levelMasses(roof('slope').state)[0]?.weight).toBeCloseTo(30_000, 4)
  })

  test('suction lifts and pulls downhill', () => {
    const { south } = roof('square', -1000)
    expect(south?.total).toBeCloseTo(-12_000, 4)
    expect(south?.sideways[1]).toBeCloseTo(-9000, 4)
  })

  test('hand: that falls up the slope puts two thirds on the eaves beam, down and sideways alike', () => {
    const { south, north } = roof('square', 3000, { endValue: 0, angle: Math.PI / 2 })
    const [low, high] = [south?.sideways[1] ?? 0, north?.sideways[1] ?? 0]
    expect(low + high).toBeCloseTo(0.75 * 36_000, 4)
    expect(low / high).toBeCloseTo(2, 1)
    expect(low / (south?.total ?? 1)).toBeCloseTo(0.75, 6)
  })

  test('on the level all three are one', () => {
    const totals = (['plan', 'slope', 'square'] as const).map((measured) => {
      const storey = oneStorey(0)
      bay(storey)
      storey.building.areaLoad(storey.layout, rectangle(1, 1, 5, 3), 1000, { measured })
      const state = storey.building.state()
      return [balanceOf(state, typedLoads).applied, ask(state, { kind: 'thrusts', caseId: typedLoads })?.length]
    })
    expect(totals).toEqual([0, 1, 2].map(() => [near(8000), 0]))
  })
})

// laws: a pressure all over a ridged roof has no side to push to; the resultant is the pressure by the true area; turning turns it
test('a duo-pitch, a single slope of any pitch, turned', () => {
  const angle = fc.double({ min: -3, max: 3, noNaN: true })
  holds(
    fc.property(fc.double({ min: 0.05, max: 1.2, noNaN: true }), angle, fc.boolean(), (pitch, by, twoWay) => {
      const build = (ridged: boolean) => {
        const storey = oneStorey(0)
        const place = turned(by, [1, 2])
        const [{ building, layout }, corners] = [storey, rectangle(0, 0, 6, 4).map(place)]
        corners.forEach((at) => building.column(layout, at))
        corners.forEach((at, i) => building.beam(layout, at, corners[(i + 1) % 4] ?? at))
        building.panel(layout, corners, { spanAngle: by + Math.PI / 2, sharing: twoWay ? 'twoWay' : 'oneWay' })
        const [south, north] = [rectangle(0, 0, 6, 2), rectangle(0, 2, 6, 4)].map((ring) => ring.map(place)) as [
          typeof corners,
          typeof corners,
        ]
        if (ridged) {
          building.slope(layout, south, pitch, by + Math.PI / 2)
          building.slope(layout, north, pitch, by - Math.PI / 2)
        } else building.slope(layout, corners, pitch, by + Math.PI / 2)
        building.areaLoad(layout, corners, 1000, { measured: 'square' })
        return building.state()
      }
      const [ridged, single] = [build(true), build(false)]
      // 24 bands, each clipped to 0.1 µm
      expect(balanceOf(ridged, typedLoads).applied).toBeCloseTo(24_000, 1)
      const pushOf = (state: typeof single) =>
        ask(state, { kind: 'thrusts', caseId: typedLoads })?.[0] ?? { x: 0, y: 0 }
      expect(Math.hypot(pushOf(ridged).x, pushOf(ridged).y)).toBeLessThan(1e-2)
      const { x, y } = pushOf(single)
      expect(Math.hypot(x, y, balanceOf(single, typedLoads).applied)).toBeCloseTo((1000 * 24) / Math.cos(pitch), 1)
      expect(x * Math.cos(by) + y * Math.sin(by)).toBeCloseTo(0, 2)
      expect(-x * Math.sin(by) + y * Math.cos(by)).toBeGreaterThan(0)
    }),
    { examples: [[0.23363251505074997, -1.9453327837481997e-12, true]], numRuns: 25 },
  )
})
