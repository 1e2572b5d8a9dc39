import fc from 'fast-check'
import { holds } from './holds'
import { typedLoads } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { levelMasses } from '../src/derivation/masses'
import type { ProjectState } from '../src/derivation/project'
import { expanded } from '../src/document/labels'
import type { Ring } from '../src/geometry/polygon'
import { ask } from '../src/queries/derive'
import { bay, oneStorey } from './build'
import { rectangle, turned } from './shapes'

const feet = (state: ProjectState, caseId: string = typedLoads): readonly number[] => {
  const floor = state.floors[0]
  const at = readCase(state, caseId)
  return (floor?.operator.plan.frame.columns ?? []).map((_, row) => at(floor?.rundown.feet ?? new Float64Array(0), row))
}
const near = (value: number, digits = 6) => expect.closeTo(value, digits) as number

/** A bay of 6 by 4 m, its panel spanning along y, with a load on it. */
function loaded(
  outline: Ring,
  value: number,
  more: Parameters<ReturnType<typeof oneStorey>['building']['areaLoad']>[3] = {},
) {
  const storey = oneStorey(0)
  const frame = bay(storey)
  const load = storey.building.areaLoad(storey.layout, outline, value, more)
  return { ...storey, ...frame, load, state: storey.building.state() }
}

describe('loads typed over an area', () => {
  test('hand: an even one is its value by its area, to the beams that the panel spans between', () => {
    const { state } = loaded(rectangle(0, 0, 6, 4), 2000)
    // 2 kN/m² · 24 m² = 48 kN, 12 kN to each column
    expect(feet(state).map(Math.round)).toEqual([12_000, 12_000, 12_000, 12_000])
    expect(balanceOf(state, typedLoads)).toMatchObject({ applied: near(48_000), atSupports: near(48_000) })
  })

  test('hand: a drift that falls across the span gives two thirds to the beam at its high side', () => {
    // 3 kN/m² at y = 0 to nothing at y = 4: 3 · 4 / 2 · 6 = 36 kN, its centre at a third of the span
    const { state, south, north } = loaded(rectangle(0, 0, 6, 4), 3000, { endValue: 0, angle: Math.PI / 2 })
    const level = state.floors[0]?.level.id ?? ''
    const total = (id: string) =>
      ask(state, { kind: 'member', expandedId: expanded(id, level), caseId: typedLoads })?.total
    expect((total(south.id) ?? 0) + (total(north.id) ?? 0)).toBeCloseTo(36_000, 6)
    expect(total(south.id)).toBeCloseTo(24_000, 6)
  })

  test('hand: along the beams it is a trapezoid on each of them', () => {
    // 1 kN/m² at x = 0 to 4 kN/m² at x = 6, half of the span of 4 m to each beam: 2 to 8 kN/m
    const { state, south } = loaded(rectangle(0, 0, 6, 4), 1000, { endValue: 4000, angle: 0 })
    const level = state.floors[0]?.level.id ?? ''
    const view = ask(state, { kind: 'member', expandedId: expanded(south.id, level), caseId: typedLoads })
    // reactions of a trapezoid: l (2 q1 + q2) / 6 and l (q1 + 2 q2) / 6 (common practice)
    const [start, end] = view?.supports.map(({ reaction }) => reaction) ?? []
    expect(start).toBeCloseTo((6 * (2 * 2000 + 8000)) / 6, 6)
    expect(end).toBeCloseTo((6 * (2000 + 2 * 8000)) / 6, 6)
    expect((start ?? 0) + (end ?? 0)).toBeCloseTo(30_000, 6)
    expect(Math.abs(view?.residual ?? NaN)).toBeLessThan(1e-6)
    // the larger first
    expect(view?.lands.map(({ kind, label }) => [kind, label])).toEqual([
      ['area', 'U1, value at its end'],
      ['area', 'U1, value at its beginning'],
    ])
    // one straight ordinate along the whole beam, no steps
    expect(view?.lines).toEqual([[0, 6, near(2000), near(8000)]])
  })

  test('hand: what lies beside the panel, or over an opening, is not carried and stays in the balance', () => {
    const { state } = loaded(rectangle(-1, 0, 6, 4), 1000)
    expect(balanceOf(state, typedLoads)).toMatchObject({ applied: near(28_000), notCarried: near(4000) })
    const { building, layout } = oneStorey(0)
    bay({ building, layout } as never)
    building.opening(layout, rectangle(2, 1, 4, 3))
    building.areaLoad(layout, rectangle(0, 0, 6, 4), 1000)
    expect(balanceOf(building.state(), typedLoads)).toMatchObject({ applied: near(24_000), notCarried: near(4000) })
  })

  test('its trace says both ends, and its mass counts', () => {
    const { state, load } = loaded(rectangle(0, 0, 6, 4), 1000, { endValue: 3000, angle: 0, what: 'backfill' })
    expect(ask(state, { kind: 'why', address: `typed:${load.id}` })).toMatchObject({
      value: 1000,
      quantity: 'pressure',
    })
    expect(ask(state, { kind: 'why', address: `typed:${load.id}:end` })).toMatchObject({ value: 3000 })
    const level = ask(state, { kind: 'why', address: `level:${state.floors[0]?.level.id ?? ''}:${typedLoads}` })
    expect(level?.value).toBeCloseTo(48_000, 6)
    const [mass] = levelMasses(state)
    expect(mass?.weight).toBeCloseTo(48_000, 4)
    // the centre of a trapezoid of 1 to 3: l / 3 · (1 + 2 · 3) / (1 + 3)
    expect(mass?.centre?.[0]).toBeCloseTo((6 / 3) * (7 / 4), 9)
  })

  test('laws: even is even whatever the way; both ways round add up to even; turning changes nothing', () => {
    holds(
      fc.property(
        fc.integer({ min: -314, max: 314 }),
        fc.integer({ min: -314, max: 314 }),
        fc.integer({ min: 0, max: 30 }),
        (hundredths, turnBy, tenths) => {
          const [angle, turn] = [hundredths / 100, turnBy / 100]
          const outline = rectangle(tenths / 10, 0.5, tenths / 10 + 2.3, 3.5)
          const make = (value: number, endValue: number | null, by = 0) => {
            const storey = oneStorey(0)
            const place = turned(by)
            const corners = rectangle(0, 0, 6, 4).map(place)
            corners.forEach((at) => storey.building.column(storey.layout, at))
            corners.forEach((at, i) => storey.building.beam(storey.layout, at, corners[(i + 1) % 4] ?? at))
            storey.building.panel(storey.layout, corners, { spanAngle: by + Math.PI / 2, sharing: 'twoWay' })
            storey.building.areaLoad(storey.layout, outline.map(place), value, { endValue, angle: angle + by })
            return feet(storey.building.state())
          }
          const [even, same] = [make(1000, null), make(1000, 1000)]
          const [falling, rising] = [make(1000, 0), make(0, 1000)]
          even.forEach((force, i) => {
            expect(same[i]).toBeCloseTo(force, 6)
            expect((falling[i] ?? 0) + (rising[i] ?? 0)).toBeCloseTo(force, 6)
          })
          make(1000, 0, turn).forEach((force, i) => expect(force).toBeCloseTo(falling[i] ?? NaN, 3))
        },
      ),
      { numRuns: 12 },
    )
  })
})
