import fc from 'fast-check'
import { holds } from './holds'
import { typedLoads } from '../src/actions/cases'
import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import type { ProjectState } from '../src/derivation/project'
import type { Member, Panel } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { bay, oneStorey } from './build'
import { rectangle, turned } from './shapes'

const imposed = 'imposed/B'
const near = (value: number) => expect.closeTo(value, 5) as number

function totals(state: ProjectState, members: readonly Member[], caseId = imposed): readonly number[] {
  const [floor] = state.floors
  const at = readCase(state, caseId)
  return members.map(({ id }) => {
    const row = floor?.operator.plan.frame.beams.findIndex(({ member }) => member.id === id) ?? -1
    return at(floor?.rundown.beamTotals ?? new Float64Array(), row)
  })
}

/** A bay in plan under 1 kN/m², in a plane that rises northwards by 3 over 4, beams all round; south, north, west, east. */
function roof(x: number, y: number, more: Partial<Omit<Panel, 'id' | 'kind'>>, pitch = Math.atan(0.75)) {
  const site = oneStorey(1000)
  const { south, north, west, east, panel } = bay(site, x, y)
  const records = site.building.records.map((record) => (record.id === panel.id ? { ...record, ...more } : record))
  site.building.records.splice(0, site.building.records.length, ...records)
  if (pitch > 0) site.building.slope(site.layout, rectangle(-1, -1, x + 1, y + 1), pitch, Math.PI / 2)
  return { ...site, beams: [south, north, west, east], panel }
}

describe('a panel in the plane of a roof is shared as it lies there', () => {
  test('hand: 4 by 4 m in plan is 4 by 5 m up a 3-4-5 slope: triangles on eaves and ridge, trapezoids on the rafters', () => {
    const { building, beams } = roof(4, 4, { sharing: 'twoWay' })
    // true areas 4 · 2 / 2 and (5 + 1) / 2 · 2; load per area in plan is 0.8 of that: 3.2 and 4.8 of 16 kN
    expect(totals(building.state(), beams)).toEqual([near(3200), near(3200), near(4800), near(4800)])
    // on the level all four would be alike
    expect(totals(roof(4, 4, { sharing: 'twoWay' }, 0).building.state(), beams)).toEqual(beams.map(() => near(4000)))
  })

  test('hand: ordinates stand at lengths in plan, with their force and centroid', () => {
    const { building, beams, top } = roof(4, 4, { sharing: 'twoWay' })
    const [, , west] = beams
    const view = ask(building.state(), { kind: 'member', expandedId: `${west?.id}@${top.id}`, caseId: imposed })
    // along 5 m of rafter it rises over 2 m and falls over 2 m: 1.6 m each in plan, to 2 m of load at the full 1 kN/m²
    expect(view?.lines.map(([s0, s1, q0, q1]) => [s0, s1, q0, q1])).toEqual([
      [near(0), near(1.6), near(0), near(2000)],
      [near(1.6), near(2.4), near(2000), near(2000)],
      [near(2.4), near(4), near(2000), near(0)],
    ])
  })

  test('hand: by equal load per length it goes by true lengths', () => {
    const { building, beams } = roof(4, 4, { sharing: 'even' })
    // 16 kN over 4 + 4 + 5 + 5 m
    expect(totals(building.state(), beams)).toEqual([
      near((16_000 * 4) / 18),
      near((16_000 * 4) / 18),
      near((16_000 * 5) / 18),
      near((16_000 * 5) / 18),
    ])
  })

  test('by lever and to corners nothing changes', () => {
    for (const sharing of ['oneWay', 'corners'] as const) {
      const flat = roof(5, 3, { sharing }, 0)
      const steep = roof(5, 3, { sharing })
      expect(totals(steep.building.state(), steep.beams)).toEqual(totals(flat.building.state(), flat.beams).map(near))
    }
  })

  test('law: as the same panel drawn in its true size on the level, turned any way, with a beam across it and a bent one', () => {
    const metres = fc.double({ min: 2, max: 9, noNaN: true })
    holds(
      fc.property(
        metres,
        metres,
        fc.double({ min: 0.05, max: 1.2, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.constantFrom('twoWay', 'surrounding', 'even'),
        (x, y, pitch, turn, sharing) => {
          const stretch = 1 / Math.cos(pitch)
          const make = (place: (at: Point) => Point, sloping: boolean) => {
            const site = oneStorey(1000)
            const { building, layout } = site
            const ring = rectangle(0, 0, x, y).map(place)
            const [sw, se, ne, nw] = ring as [Point, Point, Point, Point]
            for (const at of ring) building.column(layout, at)
            const beams = [
              building.beam(layout, sw, se),
              building.beam(layout, se, ne),
              building.beam(layout, nw, ne),
              building.member(
                layout,
                'beam',
                (
                  [
                    [0, 0],
                    [-0.2 * x, y / 3],
                    [0, y],
                  ] as const
                ).map(place),
              ),
              building.beam(layout, place([0, y / 2]), place([x * 0.6, y / 2]), { startRelease: 'fixed' }),
            ]
            building.panel(layout, ring, { sharing })
            const uphill = Math.PI / 2 + turn
            if (sloping) building.slope(layout, rectangle(-40, -40, 40, 40), pitch, uphill)
            const state = building.state()
            return { state, forces: totals(state, beams) }
          }
          const turning = turned(turn, [1, 2])
          const roofed = make(turning, true)
          const level = make(([u, v]) => [u, v * stretch], false)
          const scale = x * y * 1000
          level.forces.forEach((force, i) =>
            expect(Math.abs((roofed.forces[i] ?? NaN) - force / stretch)).toBeLessThan(1e-6 * scale),
          )
          const { applied } = balanceOf(roofed.state, imposed)
          expect(Math.abs(applied - scale)).toBeLessThan(1e-6 * scale)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('a panel over a ridge is shared in both of its planes', () => {
  /** A bay of 2x by y with a beam along its ridge, its panel in one piece or in two; loads on it as they are drawn. */
  function ridged(x: number, y: number, pitch: number, turn: number, pieces: 1 | 2) {
    const site = oneStorey(1000)
    const { building, layout } = site
    const place = turned(turn, [1, 2])
    const [west, east] = [rectangle(0, 0, x, y).map(place), rectangle(x, 0, 2 * x, y).map(place)]
    const line = (a: Point, b: Point) => building.beam(layout, place(a), place(b))
    for (const at of [...west, ...east]) building.column(layout, at)
    const beams = [
      line([0, 0], [x, 0]),
      line([x, 0], [2 * x, 0]),
      line([0, y], [x, y]),
      line([x, y], [2 * x, y]),
      line([0, 0], [0, y]),
      line([x, 0], [x, y]),
      line([2 * x, 0], [2 * x, y]),
    ]
    building.slope(layout, west, pitch, turn)
    building.slope(layout, east, pitch, turn + Math.PI)
    const outlines = pieces === 1 ? [rectangle(0, 0, 2 * x, y).map(place)] : [west, east]
    for (const outline of outlines) building.panel(layout, outline, { sharing: 'twoWay' })
    building.lineLoad(layout, [place([0.2 * x, 0.3 * y]), place([1.7 * x, 0.6 * y])], 2000)
    building.pointLoad(layout, place([1.2 * x, 0.4 * y]), 5000)
    return { state: building.state(), beams }
  }

  test('hand: 4 and 4 m by 4 m on 3-4-5 slopes: eaves take triangles, the ridge two, rafters trapezoids', () => {
    const { state, beams } = ridged(4, 4, Math.atan(0.75), 0, 1)
    const [south, southEast, , , west, ridge, east] = totals(state, beams)
    // each half as the single slope above: 3.2 kN to each edge square to the slope, 4.8 kN to each rafter
    expect([south, southEast, west, ridge, east]).toEqual([near(4800), near(4800), near(3200), near(6400), near(3200)])
  })

  test('law: in one piece as in two that meet at the ridge, whatever the pitch, turned; line and point loads too', () => {
    const metres = fc.double({ min: 2, max: 9, noNaN: true })
    holds(
      fc.property(
        metres,
        metres,
        fc.double({ min: 0.05, max: 1.2, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (x, y, pitch, turn) => {
          const [one, two] = [ridged(x, y, pitch, turn, 1), ridged(x, y, pitch, turn, 2)]
          const scale = 2 * x * y * 1000
          for (const caseId of [imposed, typedLoads]) {
            const whole = totals(two.state, two.beams, caseId)
            totals(one.state, one.beams, caseId).forEach((force, i) =>
              expect(Math.abs(force - (whole[i] ?? NaN))).toBeLessThan(1e-6 * scale),
            )
            expect(balanceOf(one.state, caseId).notCarried).toBeLessThan(1e-6 * scale)
          }
        },
      ),
      { numRuns: 30 },
    )
  })
})
