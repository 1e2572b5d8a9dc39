import { selfWeight } from '../src/actions/cases'
import { concernsOf } from '../src/concerns/concernsOf'
import { balanceOf } from '../src/derivation/balance'
import { readCase } from '../src/derivation/cells'
import { effectsOf } from '../src/derivation/effects'
import type { ProjectState } from '../src/derivation/project'
import { expanded } from '../src/document/labels'
import type { Layout, Level, Member } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { metricPoint } from '../src/units/format'
import { concernSentence } from '../src/concerns/definitions'
import { Building } from './build'
import { rectangle } from './shapes'

const imposed = 'imposed/B'
const near = (value: number) => expect.closeTo(value, 6) as number

/** So many levels of 3 m over the base, each with a layout of its own. */
function storeys(
  count: number,
  more: ConstructorParameters<typeof Building>[0] = {},
): { building: Building; layouts: readonly Layout[]; levels: readonly Level[] } {
  const building = new Building(more)
  building.level('Base', 0)
  const levels = Array.from({ length: count }, (_, i) => building.level(String(i + 1), 3 * (i + 1)))
  const layouts = levels.map((level) => building.layout(`floor ${level.name}`, null, level))
  return { building, layouts, levels }
}

const at = <T>(list: readonly T[], index: number): T => {
  const found = list[index]
  if (found === undefined) throw new Error(`nothing at ${index}`)
  return found
}

/** What a column or hanger hands on, N. */
function handedOn(state: ProjectState, member: Member, caseId = imposed): number {
  const floor = state.floors.find(({ floor: { layoutId } }) => layoutId === member.layout)
  const row = floor?.operator.plan.frame.columns.findIndex((column) => column.member.id === member.id) ?? -1
  return floor ? readCase(state, caseId)(floor.rundown.feet, row) : NaN
}

const hanger = (building: Building, layout: Layout, place: Point, label = 'N', more: Partial<Member> = {}) =>
  building.member(layout, 'hanger', [place], { label, ...more })

/** An even imposed load along a beam, N/m. */
const loaded = (building: Building, layout: Layout, { path }: Member, value: number) =>
  building.lineLoad(layout, path, value, { nature: 'imposed', use: 'B' })

describe('a floor that hangs', () => {
  test('hand: half of a beam goes up to the middle of the beam over it, and from there to both its columns', () => {
    const { building, layouts } = storeys(2)
    const [lower, upper] = [at(layouts, 0), at(layouts, 1)]
    const west = building.column(lower, [0, 0])
    const held = building.beam(lower, [0, 0], [4, 0])
    const hung = hanger(building, lower, [4, 0])
    loaded(building, lower, held, 2000)
    building.beam(upper, [0, 0], [8, 0])
    building.column(upper, [0, 0])
    // it passes the level below, where nothing is at its place
    const east = building.column(upper, [8, 0])
    const state = building.state()
    // 2 kN/m · 4 m: 4 kN to the column, 4 kN to the hanger, of which 2 kN come down on each side
    expect(handedOn(state, hung)).toBeCloseTo(4000, 6)
    expect(handedOn(state, west)).toBeCloseTo(4000 + 2000, 6)
    expect(handedOn(state, east)).toBeCloseTo(2000, 6)
    expect(balanceOf(state, imposed)).toMatchObject({ applied: near(8000), atSupports: near(8000), notCarried: 0 })
  })

  test('hand: hangers hang from hangers, and each length brings its weight to its upper end', () => {
    const { building, layouts } = storeys(3)
    const steel = building.material({ unitWeight: 78_500 })
    const section = building.sectionOf({ area: 0.002 })
    const stock = { material: steel.id, section: section.id }
    const hung = [0, 1].map((i) => {
      const layout = at(layouts, i)
      building.column(layout, [0, 0])
      const beam = building.beam(layout, [0, 0], [6, 0])
      loaded(building, layout, beam, 1000)
      return hanger(building, layout, [6, 0], `N${i + 1}`, stock)
    })
    const roof = at(layouts, 2)
    building.column(roof, [0, 0])
    building.column(roof, [9, 0])
    building.beam(roof, [0, 0], [9, 0])
    const state = building.state()
    expect(handedOn(state, at(hung, 0))).toBeCloseTo(3000, 6)
    expect(handedOn(state, at(hung, 1))).toBeCloseTo(6000, 6)
    // 0.002 m² · 78.5 kN/m³ · 3 m = 0.471 kN to a length
    expect(handedOn(state, at(hung, 0), selfWeight)).toBeCloseTo(471, 6)
    expect(handedOn(state, at(hung, 1), selfWeight)).toBeCloseTo(942, 6)
    const view = ask(state, {
      kind: 'column',
      expandedId: expanded(at(hung, 0).id, at(state.floors, 0).level.id),
      caseId: imposed,
    })
    expect(view).toMatchObject({ hangs: true, standsOn: 'beam', base: near(6000) })
    expect(view?.rows.map(({ levelName, added, foot }) => [levelName, added, foot])).toEqual([
      ['1', near(3000), near(3000)],
      ['2', near(3000), near(6000)],
    ])
    // 6 kN at 6 of 9 m
    const onRoof = at(state.floors, 2)
    expect([0, 1].map((row) => readCase(state, imposed)(onRoof.rundown.tops, row)).sort()).toEqual([
      near(2000),
      near(4000),
    ])
  })

  test('hand: floors that hang outside and stand inside, with load up and down between the same two levels', () => {
    const { building, layouts } = storeys(3)
    const inner = layouts.map((layout) => [-1, 1].map((x) => building.column(layout, [x, 0])))
    const outer = layouts.slice(0, 2).map((layout, i) =>
      [-1, 1].map((side) => {
        loaded(building, layout, building.beam(layout, [side, 0], [4 * side, 0]), 1000)
        return hanger(building, layout, [4 * side, 0], `N${i}`)
      }),
    )
    loaded(building, at(layouts, 2), building.beam(at(layouts, 2), [-4, 0], [4, 0]), 1000)
    const state = building.state()
    // each beam of 3 m brings 1.5 kN to its ends
    expect(outer.map((pair) => pair.map((one) => handedOn(state, one)))).toEqual([
      [near(1500), near(1500)],
      [near(3000), near(3000)],
    ])
    // half of 8 + 2 · 3 kN from the roof, then 1.5 kN at each level
    expect(inner.map((pair) => pair.map((one) => handedOn(state, one)))).toEqual([
      [near(10_000), near(10_000)],
      [near(8500), near(8500)],
      [near(7000), near(7000)],
    ])
    expect(balanceOf(state, imposed)).toMatchObject({ applied: near(20_000), atSupports: near(20_000), notCarried: 0 })
  })

  test('it goes on up past a level with nothing at its place, and stops at one with a floor', () => {
    const make = (floor: boolean) => {
      const { building, layouts } = storeys(3)
      const [low, middle, roof] = [at(layouts, 0), at(layouts, 1), at(layouts, 2)]
      building.column(low, [0, 0])
      const beam = building.beam(low, [0, 0], [4, 0])
      loaded(building, low, beam, 1000)
      const hung = hanger(building, low, [4, 0])
      // a floor that ends before the hanger, or goes past it
      for (const x of [0, 3]) building.column(middle, [x, 5])
      building.beam(middle, [0, 5], [3, 5])
      if (floor) building.panel(middle, rectangle(0, -1, 6, 5))
      for (const x of [0, 8]) building.column(roof, [x, 0])
      building.beam(roof, [0, 0], [8, 0])
      const state = building.state()
      return {
        state,
        hung,
        view: ask(state, {
          kind: 'column',
          expandedId: expanded(hung.id, at(state.floors, 0).level.id),
          caseId: imposed,
        }),
      }
    }
    const past = make(false)
    expect(past.state.floors[0]?.hung.rises.filter((rise) => rise !== null)).toEqual([6])
    expect(balanceOf(past.state, imposed)).toMatchObject({ atSupports: near(4000), notCarried: 0 })
    expect(past.view?.standsOn).toBe('beam')
    const stopped = make(true)
    expect(balanceOf(stopped.state, imposed)).toMatchObject({ atSupports: near(2000), notCarried: near(2000) })
    expect(stopped.view?.standsOn).toBe('nothing')
    const said = concernsOf(stopped.state).filter(({ code }) => code === 'hanger.unsupported')
    expect(said.map((one) => concernSentence(one, metricPoint))).toEqual([
      'N of level 1 has no support above, so 2.0 kN is not carried. Add beams or hangers above.',
    ])
  })

  test('what hangs from what it holds up itself is named and not carried', () => {
    const { building, layouts } = storeys(2)
    const [lower, upper] = [at(layouts, 0), at(layouts, 1)]
    building.column(lower, [0, 0])
    const beam = building.beam(lower, [0, 0], [6, 0])
    loaded(building, lower, beam, 1000)
    const hung = hanger(building, lower, [6, 0])
    // stands on the beam below, a third of it on the hanger
    building.column(upper, [2, 0])
    building.column(upper, [0, 0])
    building.beam(upper, [0, 0], [6, 0])
    const state = building.state()
    expect(concernsOf(state).filter(({ code }) => code === 'hanger.ring')).toMatchObject([
      { about: [expanded(hung.id, at(state.floors, 0).level.id)], data: { force: near(3000) } },
    ])
    expect(balanceOf(state, imposed)).toMatchObject({
      applied: near(6000),
      atSupports: near(3000),
      notCarried: near(3000),
    })
  })

  test('columns stand on no hanger, and beams rest on one as on a column', () => {
    const { building, layouts } = storeys(2)
    const [lower, upper] = [at(layouts, 0), at(layouts, 1)]
    hanger(building, lower, [0, 0])
    const above = building.column(upper, [0, 0])
    building.column(upper, [4, 0])
    const beam = building.beam(upper, [0, 0], [4, 0])
    loaded(building, upper, beam, 1000)
    const state = building.state()
    // it passes the level, as if no hanger were there; the hanger holds nothing
    expect(handedOn(state, above)).toBeCloseTo(2000, 6)
    expect(balanceOf(state, imposed)).toMatchObject({ atSupports: near(4000), notCarried: 0 })
  })

  test('its force is tension, which is no reaction', () => {
    const { building, layouts } = storeys(2)
    const [lower, upper] = [at(layouts, 0), at(layouts, 1)]
    building.column(lower, [0, 0])
    const beam = building.beam(lower, [0, 0], [4, 0])
    loaded(building, lower, beam, 1000)
    const hung = hanger(building, lower, [4, 0])
    for (const x of [0, 8]) building.column(upper, [x, 0])
    building.beam(upper, [0, 0], [8, 0])
    const state = building.state()
    const of = (kind: 'columnForce' | 'reaction') =>
      effectsOf(state, kind).filter(({ expandedId }) => expandedId.startsWith(`${hung.id}@`))
    expect(of('columnForce').map(({ values }) => values[state.caseIds.indexOf(imposed)])).toEqual([near(-2000)])
    expect(of('reaction')).toEqual([])
  })

  test('a case of which a beam takes no load goes up and down by its own shares', () => {
    const make = (sparedActions: Member['sparedActions'], takesLoad = true) => {
      const { building, layouts } = storeys(2)
      const [lower, upper] = [at(layouts, 0), at(layouts, 1)]
      for (const place of [
        [0, 0],
        [0, 4],
      ] as const)
        building.column(lower, place)
      const hung = (
        [
          [6, 0],
          [6, 4],
        ] as const
      ).map((place, i) => hanger(building, lower, place, `N${i}`))
      building.beam(lower, [0, 0], [6, 0])
      building.beam(lower, [0, 4], [6, 4])
      building.beam(lower, [0, 0], [0, 4])
      building.beam(lower, [6, 0], [6, 4], { sparedActions, takesLoad })
      building.beam(lower, [3, 0], [3, 4])
      building.panel(lower, rectangle(0, 0, 6, 4), { spanAngle: 0, overhang: 'tributary' })
      building.patch(lower, building.key(2000), rectangle(0, 0, 6, 4))
      for (const y of [0, 4]) {
        for (const x of [0, 9]) building.column(upper, [x, y])
        building.beam(upper, [0, y], [9, y])
      }
      return { state: building.state(), hung }
    }
    const [spared, none] = [make(['imposed']), make([], false)]
    const forces = ({ state, hung }: ReturnType<typeof make>) => hung.map((one) => handedOn(state, one))
    expect(forces(spared)).toEqual(forces(none).map(near))
    expect(forces(spared)).not.toEqual(forces(make([])).map(near))
    for (const row of [0, 1, 2, 3])
      expect(readCase(spared.state, imposed)(at(spared.state.floors, 1).rundown.feet, row)).toBeCloseTo(
        readCase(none.state, imposed)(at(none.state.floors, 1).rundown.feet, row),
        6,
      )
  })

  test('hand: its imposed load is reduced for the floor that it holds, level by level from the lowest', () => {
    const make = (more: ConstructorParameters<typeof Building>[0], use: string) => {
      const { building, layouts, levels } = storeys(4, more)
      layouts.slice(0, 3).forEach((layout, i) => {
        const key = building.key(3000, { use })
        for (const y of [0, 5]) {
          building.column(layout, [0, y])
          hanger(building, layout, [10, y], `N${i}${y}`)
          building.beam(layout, [0, y], [10, y])
        }
        building.panel(layout, rectangle(0, 0, 10, 5))
        building.patch(layout, key, rectangle(0, 0, 10, 5))
      })
      for (const y of [0, 5]) {
        for (const x of [0, 12]) building.column(at(layouts, 3), [x, y])
        building.beam(at(layouts, 3), [0, y], [12, y])
      }
      const state = building.state()
      const caseId = state.caseIds.find((id) => id.startsWith('imposed/')) ?? ''
      const member = building.records.find((record) => record.kind === 'member' && record.label === 'N00')
      const view = ask(state, { kind: 'column', expandedId: expanded(member?.id ?? '', levels[0]?.id ?? ''), caseId })
      return view?.reductions?.map((row) => row && [row.storeys, row.area, row.byArea, row.byStoreys])
    }
    // EN 1991-1-1 6.3.1.2(11), (6.2) with psi_0 = 0.7 (from memory): for storeys, as a column
    expect(make({}, 'B')).toEqual([
      [1, near(12.5), null, near(1)],
      [2, near(25), null, near(1)],
      [3, near(37.5), null, near(2.7 / 3)],
    ])
    // ASCE 7 table 4.7-1 does not name hangers: K_LL = 1, and 37.16 m² (400 ft²) are needed (from memory)
    expect(make({ family: 'ASCE' }, 'offices')?.map((row) => row?.[2])).toEqual([
      1,
      1,
      near(0.25 + 4.572 / Math.sqrt(37.5)),
    ])
  })
})
