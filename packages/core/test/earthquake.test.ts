import fc from 'fast-check'
import { holds } from './holds'
import { lateralCase } from '../src/actions/cases'
import { levelMasses } from '../src/derivation/masses'
import { storeyForcesOf } from '../src/derivation/storeyForces'
import type { StoreyForces } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { Building } from './build'
import { rectangle } from './shapes'

/** Storeys of 3 m that weigh 24 m² by so many Pa each, bottom first; the base on the ground. */
function tower(
  loads: readonly number[],
  more: Partial<StoreyForces> = {},
  values: Readonly<Record<string, number>> = {},
  ground = 0,
) {
  const building = new Building({ family: 'IS', ground })
  const base = building.level('Base', 0)
  const levels = loads.map((load, i) => {
    const level = building.level(String(i + 1), 3 * (i + 1))
    const key = building.key(null, { use: null, additionalSeismicMass: load })
    const layout = building.layout(`L${i + 1}`, key, level)
    rectangle(0, 0, 6, 4).forEach((at) => building.column(layout, at))
    building.panel(layout, rectangle(0, 0, 6, 4), { sharing: 'corners' })
    return level
  })
  building.layer({
    family: 'IS',
    standing: 'own',
    name: 'this project',
    values: Object.fromEntries(
      Object.entries(values).map(([key, value]) => [key, { value, clause: 'test', fromMemory: false }]),
    ),
  })
  const record = building.storeyForces({ rule: 'earthquake', ...more })
  const state = building.state()
  const caseId = lateralCase(record.id)
  const forces = storeyForcesOf(state, caseId)?.storeys.map(({ force }) => Math.hypot(force.fx, force.fy)) ?? []
  return { building, base, levels, record, state, caseId, forces }
}

const near = (value: number, digits = 3) => expect.closeTo(value, digits) as number

describe('the equivalent static method of IS 1893-1', () => {
  test('hand: three equal levels at 3, 6 and 9 m share the base shear as 1, 4 and 9', () => {
    // 10 kN/m² · 24 m² = 240 kN each; short, so 2.5: zone III, R = 5: 0.16/2 · 1/5 · 2.5 = 0.04 of 720 kN = 28.8 kN
    const { forces, state, caseId } = tower([1e4, 1e4, 1e4], {}, { 'earthquake.Z': 0.16, 'earthquake.R': 5 })
    expect(levelMasses(state).map(({ weight }) => weight)).toEqual([near(240_000), near(240_000), near(240_000)])
    expect(forces).toEqual([near(28_800 / 14), near((28_800 * 4) / 14), near((28_800 * 9) / 14)])
    const shear = ask(state, { kind: 'why', address: `baseShear:${caseId}` })
    expect(shear?.value).toBeCloseTo(28_800, 3)
    expect(shear?.basis).toMatchObject({ clause: 'IS 1893-1 7.6.1' })
  })

  test('hand: a typed period of 1.36 s on medium soil brings the coefficient to 1', () => {
    const { forces } = tower([1e4, 1e4], { period: 1.36 }, { 'earthquake.Z': 0.16, 'earthquake.R': 2 })
    // 0.08 · 1/2 · 1 of 480 kN
    expect(forces.reduce((sum, force) => sum + force, 0)).toBeCloseTo(19_200, 3)
  })

  test('never less than the part of the weight that the zone asks for', () => {
    const { forces } = tower([1e4, 1e4], { period: 4 }, { 'earthquake.R': 5 })
    // 0.05 · 1/5 · 0.34 = 0.0034 is held at 0.007 of 480 kN
    expect(forces.reduce((sum, force) => sum + force, 0)).toBeCloseTo(3360, 3)
  })

  test('a level may be typed all the same; levels at or below the ground take none', () => {
    const { levels } = tower([1e4, 1e4])
    const typed = tower([1e4, 1e4], { forces: [{ level: levels[1]?.id ?? 'level:none', force: 5000 }] })
    expect(typed.forces[1]).toBeCloseTo(5000, 6)
    // the ground at the first level: one level of 3 m stands above it, and has all
    const sunk = tower([1e4, 1e4], {}, { 'earthquake.Z': 0.16, 'earthquake.R': 5 }, 3)
    expect(sunk.forces).toEqual([near(0), near(0.04 * 240_000)])
  })

  test('a family without the clauses says so, and brings none', () => {
    const { building, record } = tower([1e4])
    const records = building.records.map((one) => (one.kind === 'basis' ? { ...one, family: 'BS' as const } : one))
    building.records.splice(0, building.records.length, ...records)
    const forces = storeyForcesOf(building.state(), lateralCase(record.id))
    expect(forces?.total).toBe(0)
  })
})

// laws: parts add up to the base shear, rise with the zone, and heavier everywhere by a factor is more by that factor
test('any weights: the parts add up, in proportion', () => {
  const load = fc.integer({ min: 1000, max: 20_000 })
  holds(
    fc.property(fc.array(load, { minLength: 1, maxLength: 5 }), fc.integer({ min: 2, max: 5 }), (loads, times) => {
      const total = (list: readonly number[]) => list.reduce((sum, force) => sum + force, 0)
      const one = tower(loads)
      const shear = ask(one.state, { kind: 'why', address: `baseShear:${one.caseId}` })?.value ?? NaN
      expect(total(one.forces) / shear).toBeCloseTo(1, 9)
      const more = tower(loads.map((value) => value * times))
      more.forces.forEach((force, i) => expect(force / ((one.forces[i] ?? NaN) * times)).toBeCloseTo(1, 6))
      const zone = tower(loads, {}, { 'earthquake.Z': 0.2 })
      zone.forces.forEach((force, i) => expect(force / (one.forces[i] ?? NaN)).toBeCloseTo(2, 6))
    }),
    { numRuns: 15 },
  )
})
