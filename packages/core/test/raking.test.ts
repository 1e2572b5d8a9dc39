import fc from 'fast-check'
import { holds } from './holds'
import { selfWeight } from '../src/actions/cases'
import { concernsOf } from '../src/concerns/concernsOf'
import { balanceOf } from '../src/derivation/balance'
import { effectsOf } from '../src/derivation/effects'
import { lengthOfColumn } from '../src/derivation/columnExtents'
import { placeOf } from '../src/derivation/floorQueries'
import { rakingAt, thrusts } from '../src/derivation/thrust'
import type { ProjectState } from '../src/derivation/project'
import { expanded } from '../src/document/labels'
import type { Member } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { distance } from '../src/geometry/segment'
import { csvFiles } from '../src/exchange/csv'
import { thrustRows } from '../src/exchange/results'
import { ask } from '../src/queries/derive'
import { metricPoint } from '../src/units/format'
import { concernSentence } from '../src/concerns/definitions'
import { Building } from './build'

const imposed = 'imposed/B'
const near = (value: number) => expect.closeTo(value, 6) as number

function expandedIn(state: ProjectState, member: Member): string {
  const level = state.floors.find(({ floor: { layoutId } }) => layoutId === member.layout)?.level
  return expanded(member.id, level?.id ?? '')
}

function rakingOf(state: ProjectState, member: Member, caseId = imposed) {
  const place = placeOf(state, expandedIn(state, member), 'columns')
  const found = place && rakingAt(state, place, caseId)
  if (!found) throw new Error('it does not rake')
  return found
}

/** A beam of 6 m on an upright column and one that rakes by a shift, 4 m high, with an even load. */
function frame(shift: Point, load = 20_000, weight = 0) {
  const building = new Building()
  building.level('Base', 0)
  const level = building.level('1', 4)
  const layout = building.layout('floor', null, level)
  const steel = building.material({ unitWeight: 78_500 })
  const section = building.sectionOf({ area: weight / 78_500 || 0.001 })
  building.column(layout, [0, 0])
  const foot: Point = [6 + shift[0], shift[1]]
  const stock = weight > 0 ? { material: steel.id, section: section.id } : {}
  const raking = building.member(layout, 'column', [[6, 0], foot], { label: 'R', ...stock })
  const beam = building.beam(layout, [0, 0], [6, 0])
  building.lineLoad(layout, beam.path, load, { nature: 'imposed', use: 'B' })
  return { building, layout, raking, beam, level, foot }
}

describe('columns that rake', () => {
  test('hand: 60 kN on a column that rakes by 3 m over 4 m push 45 kN sideways and are 75 kN along it', () => {
    const { building, raking, level } = frame([3, 0])
    const state = building.state()
    expect(rakingOf(state, raking)).toMatchObject({
      rise: 4,
      run: 3,
      own: near(60_000),
      far: near(60_000),
      thrust: near(45_000),
      // its foot lies to the east: it pushes its top to the west
      direction: [-1, 0],
      axial: near(75_000),
    })
    expect(ask(state, { kind: 'thrusts', caseId: imposed })).toEqual([
      { levelId: level.id, levelName: '1', x: near(-45_000), y: near(0), moment: near(0) },
      { levelId: null, levelName: 'Base', x: near(45_000), y: near(0), moment: near(0) },
    ])
    for (const [part, value] of [
      ['x', -45_000],
      ['y', 0],
      ['moment', 0],
    ] as const)
      expect(ask(state, { kind: 'why', address: `thrusts:${level.id}:${imposed}:${part}` })?.value).toBeCloseTo(
        value,
        6,
      )
    expect(ask(state, { kind: 'why', address: `thrusts:base:${imposed}:x` })).toMatchObject({
      value: near(45_000),
      basis: { terms: [{ label: 'R' }] },
    })
    expect(ask(state, { kind: 'why', address: `thrusts:base:${imposed}:z` })).toBeNull()
    // what goes down is the same
    expect(balanceOf(state, imposed)).toMatchObject({
      applied: near(120_000),
      atSupports: near(120_000),
      notCarried: 0,
    })
    const said = concernsOf(state).filter(({ code }) => code === 'level.pushed')
    expect(said.map((one) => concernSentence(one, metricPoint))).toEqual([
      'Level 1 has a horizontal thrust of 45.0 kN in imposed, category B, from raking members, loads normal to a slope or pressure on walls, and no lateral elements; it is exported to the frame analysis. Add lateral elements to distribute it.',
    ])
  })

  test('hand: its own weight goes by its true length and acts in its middle', () => {
    const { building, raking } = frame([3, 0], 0, 1000)
    const state = building.state()
    const place = placeOf(state, expandedIn(state, raking), 'columns')
    expect(place && lengthOfColumn(place.floor, place.row)).toBeCloseTo(5, 9)
    // 1 kN/m · 5 m, half of it at each end: 2.5 · 3 / 4
    expect(rakingOf(state, raking, selfWeight)).toMatchObject({ own: 0, far: near(5000), thrust: near(1875) })
    expect(
      ask(state, { kind: 'why', address: `thrust:${expandedIn(state, raking)}:${selfWeight}` })?.value,
    ).toBeCloseTo(1875, 6)
    expect(ask(state, { kind: 'why', address: `axial:${expandedIn(state, raking)}:${selfWeight}` })?.value).toBeCloseTo(
      (5000 * 4 + 1875 * 3) / 5,
      6,
    )
  })

  test('its foot stands where it is: on a column, on a beam, on nothing', () => {
    const make = (under: (building: Building, layout: ReturnType<Building['layout']>) => void) => {
      const building = new Building()
      building.level('Base', 0)
      const [first, second] = [building.level('1', 3), building.level('2', 6)]
      const [lower, upper] = [building.layout('lower', null, first), building.layout('upper', null, second)]
      for (const x of [0, 2]) building.column(lower, [x, 4])
      building.beam(lower, [0, 4], [2, 4])
      under(building, lower)
      building.column(upper, [0, 0])
      building.member(upper, 'column', [
        [6, 0],
        [8, 0],
      ])
      const beam = building.beam(upper, [0, 0], [6, 0])
      building.lineLoad(upper, beam.path, 1000, { nature: 'imposed', use: 'B' })
      const state = building.state()
      return { state, said: concernsOf(state).map(({ code }) => code) }
    }
    const onColumn = make((building, layout) => building.column(layout, [8, 0]))
    expect(balanceOf(onColumn.state, imposed)).toMatchObject({ atSupports: near(6000), notCarried: 0 })
    expect(onColumn.said).not.toContain('column.unsupported')
    const onBeam = make((building, layout) => {
      for (const y of [-2, 2]) building.column(layout, [8, y])
      building.beam(layout, [8, -2], [8, 2])
    })
    expect(balanceOf(onBeam.state, imposed)).toMatchObject({ atSupports: near(6000), notCarried: 0 })
    // under its top is no place to stand, and it does not pass the level
    const beside = make((building, layout) => building.column(layout, [6, 0]))
    expect(balanceOf(beside.state, imposed)).toMatchObject({ atSupports: near(3000), notCarried: near(3000) })
    expect(beside.said).toContain('column.unsupported')
    expect(thrusts(beside.state, imposed).base).toEqual({ x: 0, y: 0, moment: 0 })
  })

  test('a pair that rakes both ways holds itself', () => {
    const { building, layout, beam } = frame([3, 0])
    building.records.splice(0, building.records.length, ...building.records.filter(({ id }) => id !== beam.id))
    building.member(layout, 'column', [
      [0, 1],
      [3, 1],
    ])
    building.member(layout, 'column', [
      [6, 1],
      [3, 1],
    ])
    const other = building.beam(layout, [0, 1], [6, 1])
    building.lineLoad(layout, other.path, 20_000, { nature: 'imposed', use: 'B' })
    const state = building.state()
    expect(thrusts(state, imposed).levels[0]).toEqual({ x: near(0), y: near(0), moment: near(0) })
    expect(concernsOf(state).map(({ code }) => code)).not.toContain('level.pushed')
  })

  test('hand: a hanger that rakes pulls its level towards its upper end', () => {
    const building = new Building()
    building.level('Base', 0)
    const [first, second] = [building.level('1', 3), building.level('2', 7)]
    const [lower, upper] = [building.layout('lower', null, first), building.layout('upper', null, second)]
    building.column(lower, [0, 0])
    const beam = building.beam(lower, [0, 0], [6, 0])
    building.lineLoad(lower, beam.path, 20_000, { nature: 'imposed', use: 'B' })
    const hanger = building.member(
      lower,
      'hanger',
      [
        [6, 0],
        [3, 0],
      ],
      { label: 'N' },
    )
    // they pass the level below, beside its beam
    for (const y of [-2, 2]) building.column(upper, [3, y])
    building.beam(upper, [3, -2], [3, 2])
    const state = building.state()
    expect(rakingOf(state, hanger)).toMatchObject({
      rise: 4,
      run: 3,
      thrust: near(45_000),
      direction: [-1, 0],
      axial: near(75_000),
    })
    const { levels, base } = thrusts(state, imposed)
    expect(levels.map(({ x }) => x)).toEqual([near(-45_000), near(45_000)])
    expect(base.x).toBe(0)
    expect(balanceOf(state, imposed)).toMatchObject({
      applied: near(120_000),
      atSupports: near(120_000),
      notCarried: 0,
    })
    expect(thrustRows(state).find((row) => row.case === imposed)).toMatchObject({
      fx: near(-45_000),
      fy: near(0),
      axial: near(-75_000),
    })
  })

  test('effects: along its axis, and sideways at the base', () => {
    const { building, raking } = frame([0, 3])
    const state = building.state()
    const value = (kind: 'reaction' | 'columnForce', component: string) =>
      effectsOf(state, kind).find(
        (effect) => effect.expandedId === expandedIn(state, raking) && effect.component === component,
      )?.values[state.caseIds.indexOf(imposed)]
    expect(value('columnForce', 'N')).toBeCloseTo(75_000, 6)
    expect(value('reaction', 'Z')).toBeCloseTo(60_000, 6)
    // the ground holds its foot, which would slide to the north
    expect(value('reaction', 'y')).toBeCloseTo(-45_000, 6)
    expect(value('reaction', 'x')).toBeCloseTo(0, 6)
  })

  test('the file says where both ends are, what it does to its level and its force along itself', () => {
    const { building } = frame([3, 0])
    const [file] = csvFiles(building.state(), 'thrusts')
    const [heading, row] = (file?.text ?? '').split('\r\n').map((line) => line.split(','))
    expect(Object.fromEntries((heading ?? []).map((name, i) => [name, row?.[i]]))).toMatchObject({
      label: 'R',
      level: '1',
      'x at level [m]': '6',
      'x at other end [m]': '9',
      'Fx on level [kN]': '-45',
      'axial compression [kN]': '75',
    })
  })

  /** A raking column from a level at `rise` down to the base, 6 m along a beam with an even load; in one piece, or in two that meet at a level between. */
  function throughTwoStoreys(pieces: 1 | 2, rise: number, part: number, shift: Point, load: number, weight: number) {
    const building = new Building()
    building.level('Base', 0)
    const [between, top] = [building.level('1', part * rise), building.level('2', rise)]
    const upper = building.layout('upper', null, top)
    const steel = building.material({ unitWeight: 78_500 })
    const section = building.sectionOf({ area: weight / 78_500 })
    const stock = { material: steel.id, section: section.id }
    building.column(upper, [0, 0])
    const beam = building.beam(upper, [0, 0], [6, 0])
    building.lineLoad(upper, beam.path, load, { nature: 'imposed', use: 'B' })
    const along = (s: number): Point => [6 + s * shift[0], s * shift[1]]
    building.member(upper, 'column', [along(0), along(pieces === 1 ? 1 : 1 - part)], stock)
    if (pieces === 2) {
      const lower = building.layout('lower', null, between)
      building.member(lower, 'column', [along(1 - part), along(1)], stock)
    }
    const state = building.state()
    return (caseId: string) => {
      const found = new Map(ask(state, { kind: 'thrusts', caseId }).map((one) => [one.levelName, one]))
      // a level that nothing pushes is not named
      const at = (level: string, otherwise = NaN): Point => [
        found.get(level)?.x ?? otherwise,
        found.get(level)?.y ?? otherwise,
      ]
      return { supports: balanceOf(state, caseId).atSupports, base: at('Base'), between: at('1', 0), top: at('2') }
    }
  }

  test('law: one through two storeys is two in line: the same at the base and at its top, and where they meet only their own weight pushes', () => {
    const metres = fc.double({ min: -4, max: 4, noNaN: true })
    holds(
      fc.property(
        fc.double({ min: 4, max: 12, noNaN: true }),
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        fc.tuple(metres, metres),
        fc.double({ min: 100, max: 5e4, noNaN: true }),
        fc.double({ min: 100, max: 2000, noNaN: true }),
        (rise, part, shift, load, weight) => {
          fc.pre(Math.hypot(...shift) > 0.1)
          const one = throughTwoStoreys(1, rise, part, shift, load, weight)
          const two = throughTwoStoreys(2, rise, part, shift, load, weight)
          const [whole, parted] = [one(imposed), two(imposed)]
          const within = 1e-9 * load * 6 * 5
          expect(Math.abs(whole.supports - parted.supports)).toBeLessThan(within)
          for (const end of ['base', 'top'] as const) expect(distance(whole[end], parted[end])).toBeLessThan(within)
          expect(Math.hypot(...parted.between)).toBeLessThan(within)
          // of its own weight W the level between gets W/2 · run/rise, whatever the part: half of what each piece weighs
          const [heavy, light] = [one(selfWeight), two(selfWeight)]
          expect(light.supports).toBeCloseTo(heavy.supports, 6)
          const run = Math.hypot(...shift)
          const own = weight * Math.hypot(rise, run)
          expect(Math.hypot(...light.between)).toBeCloseTo(((own / 2) * run) / rise, 6)
        },
      ),
      { numRuns: 30 },
    )
  })

  test('laws: force along it and sideways balance what is at its ends; all thrusts of a building add up to nothing', () => {
    const metres = fc.double({ min: -5, max: 5, noNaN: true })
    holds(
      fc.property(
        metres,
        metres,
        fc.double({ min: 0, max: 5e4, noNaN: true }),
        fc.double({ min: 1, max: 3000, noNaN: true }),
        (x, y, load, weight) => {
          fc.pre(Math.hypot(x, y) > 0.1)
          const { building, raking, foot } = frame([x, y], load, weight)
          const state = building.state()
          for (const caseId of [imposed, selfWeight]) {
            const found = rakingOf(state, raking, caseId)
            const scale = 1 + Math.abs(found.far)
            // about its foot: what is on its top, its weight in the middle, and the thrust
            const turning =
              found.own * found.run + (found.far - found.own) * (found.run / 2) - found.thrust * found.rise
            expect(Math.abs(turning)).toBeLessThan(1e-9 * scale * 10)
            const along = Math.hypot(found.far, found.thrust)
            expect(found.axial).toBeLessThanOrEqual(along * (1 + 1e-12))
            const { levels, base } = thrusts(state, caseId)
            const all = [...levels, base]
            expect(Math.abs(all.reduce((sum, one) => sum + one.x, 0))).toBeLessThan(1e-9 * scale * 10)
            expect(Math.abs(all.reduce((sum, one) => sum + one.y, 0))).toBeLessThan(1e-9 * scale * 10)
            // the couple about a vertical axis is nothing either: the forces lie in one upright plane
            expect(Math.abs(all.reduce((sum, one) => sum + one.moment, 0))).toBeLessThan(
              1e-8 * scale * (10 + Math.hypot(...foot)),
            )
          }
        },
      ),
      { numRuns: 30 },
    )
  })
})
