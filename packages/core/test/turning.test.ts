import fc from 'fast-check'
import { concernsOf } from '../src/concerns/concernsOf'
import { typedLoads } from '../src/actions/cases'
import { expanded } from '../src/document/labels'
import { resultsJson } from '../src/exchange/results'
import { turningRows } from '../src/exchange/turningRows'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { auditShare } from '../src/sharing/audit'
import { carriersOf } from '../src/sharing/rails'
import { turnsByMember } from '../src/sharing/share'
import { bay, oneStorey } from './build'
import { holds } from './holds'
import { rectangle, turned } from './shapes'

/** A bay of 6 by 4 m, and in front of its south beam a slab edge of 1.20 m that nothing else carries. */
function edged(imposed = 0) {
  const storey = oneStorey(imposed)
  const frame = bay(storey)
  const edge = storey.building.panel(storey.layout, rectangle(0, -1.2, 6, 0), { label: 'P9' })
  return { ...storey, ...frame, edge }
}

const memberOf = (made: ReturnType<typeof edged>, caseId: string) =>
  ask(made.building.state(), { kind: 'member', expandedId: expanded(made.south.id, made.top.id), caseId })

describe('what turns a beam about its axis, by hand', () => {
  test('a slab edge of 1.20 m with 3 kN/m²: 3 · 1.2²/2 = 2.16 kNm/m, 12.96 kNm; its right side goes down', () => {
    const made = edged(3000)
    expect(memberOf(made, 'imposed/B')?.turning).toBeCloseTo(-12_960, 6)
    const rows = turningRows(made.building.state()).filter(({ case: id }) => id === 'imposed/B')
    expect(rows).toEqual([
      expect.objectContaining({
        from: 0,
        to: expect.closeTo(6, 9),
        m0: expect.closeTo(-2160, 6),
        m1: expect.closeTo(-2160, 6),
      }),
    ])
    const view = ask(made.building.state(), {
      kind: 'panel',
      expandedId: expanded(made.edge.id, made.top.id),
      caseId: 'imposed/B',
    })
    expect(view?.takers.map(({ turning }) => turning)).toEqual([expect.closeTo(-12_960, 6)])
    // the audit of the panel has it as the moment left over
    expect(Math.abs(view?.residual.mx ?? 0) + Math.abs(view?.residual.my ?? 0)).toBeCloseTo(12_960, 6)
  })

  test('a wall on the slab edge: 2 kN/m at 1 m; drawn the other way round the beam has it at its left', () => {
    const made = edged()
    made.building.wall(
      made.layout,
      [
        [0, -1],
        [6, -1],
      ],
      { weight: 1000, height: 2 },
    )
    const state = made.building.state()
    const view = ask(state, {
      kind: 'member',
      expandedId: expanded(made.south.id, made.top.id),
      caseId: 'permanent/walls',
    })
    expect(view?.total).toBeCloseTo(12_000, 6)
    expect(view?.turning).toBeCloseTo(-12_000, 6)
    made.building.records.splice(made.building.records.indexOf(made.south), 1, {
      ...made.south,
      path: [
        [6, 0],
        [0, 0],
      ],
    })
    expect(memberOf(made, 'permanent/walls')?.turning).toBeCloseTo(12_000, 6)
    const sentences = concernsOf(state).filter(({ code }) => code === 'load.one-support')
    expect(sentences).toMatchObject([{ data: { what: 'wall', moment: expect.closeTo(12_000, 6) as number } }])
  })

  test('lines, points and areas likewise, and a line along the strip is a moment at a place', () => {
    const made = edged()
    made.building.lineLoad(
      made.layout,
      [
        [1, -0.2],
        [1, -1.2],
      ],
      5000,
    )
    made.building.pointLoad(made.layout, [2, -0.5], 8000)
    made.building.areaLoad(made.layout, rectangle(3, -1, 5, 0), 2000)
    // hand: 5 kN at 0.7 m, 8 kN at 0.5 m, 4 kN at 0.5 m
    expect(memberOf(made, typedLoads)?.turning).toBeCloseTo(-(3500 + 4000 + 2000), 6)
    const single = turningRows(made.building.state()).filter(({ moment }) => moment !== null)
    expect(single.map(({ from, moment }) => [from, moment])).toEqual([
      [expect.closeTo(1, 6), expect.closeTo(-3500, 6)],
      [expect.closeTo(2, 6), expect.closeTo(-4000, 6)],
    ])
    expect(resultsJson(made.building.state(), 'memberTorsion')).toHaveProperty('memberTorsion')
  })

  test('where a strip has two supports nothing turns them', () => {
    const storey = oneStorey(3000)
    const { south } = bay(storey)
    const state = storey.building.state()
    expect(
      ask(state, { kind: 'member', expandedId: expanded(south.id, storey.top.id), caseId: 'imposed/B' })?.turning,
    ).toBe(0)
    expect(turningRows(state)).toEqual([])
  })
})

// law: what a share leaves over of its moments, square to its one member, is what turns that member
test('the moment that is left over is the one that turns the member, however it is turned, drawn and varies', () => {
  holds(
    fc.property(
      fc.integer({ min: -314, max: 314 }),
      fc.double({ min: -0.8, max: 0.8, noNaN: true }),
      fc.boolean(),
      fc.integer({ min: -3, max: 3 }),
      (hundredths, slant, isBack, end) => {
        const storey = oneStorey(0)
        const place = turned(hundredths / 100)
        const [a, b] = [place([0, 1 - slant]), place([6, 1 + slant])]
        const ends: readonly [Point, Point] = isBack ? [b, a] : [a, b]
        const { building, layout } = storey
        for (const at of ends) building.column(layout, at)
        const beam = building.beam(layout, ...ends)
        building.panel(layout, rectangle(0, 0, 6, 3).map(place), { spanAngle: hundredths / 100 + Math.PI / 2 })
        building.areaLoad(layout, rectangle(0.5, 0.5, 5.5, 2.9).map(place), 1000, { endValue: 1000 * end, angle: 0.4 })
        const { operator } = building.state().floors[0] ?? {}
        const carriers = (operator?.plan.frame.beams ?? []).flatMap(carriersOf)
        const length = Math.hypot(ends[1][0] - ends[0][0], ends[1][1] - ends[0][1])
        const left: Point = [-(ends[1][1] - ends[0][1]) / length, (ends[1][0] - ends[0][0]) / length]
        for (const { share } of operator?.plan.sources ?? []) {
          const { moments, scale } = auditShare(share, carriers)
          const turning = turnsByMember(share).get(beam.id) ?? 0
          expect(Math.abs(moments[0] * left[0] + moments[1] * left[1] - turning)).toBeLessThan(1e-3 * (scale + 1))
        }
      },
    ),
    { numRuns: 60 },
  )
})
