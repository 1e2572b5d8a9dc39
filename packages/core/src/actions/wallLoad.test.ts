import { Building } from '../../test/build'
import { wallLoad } from './wallLoad'

const run = {
  label: 'W1',
  weight: 2870,
  heightRule: 'lessBeam',
  height: null,
  openingShare: 0,
  openingSizes: [],
} as const
// common practice: storey 3.15 m under a 450 mm beam with a 150 mm slab: which depth is taken off is said explicitly
const head = { storeyHeight: 3.15, beamDepth: 0.45, slabDepth: 0.15 }

const load = (more: Partial<Parameters<typeof wallLoad>[0]>, under: Partial<Parameters<typeof wallLoad>[1]> = {}) =>
  wallLoad({ ...run, ...more }, { ...head, ...under }, undefined, 12)?.value

describe('the line load of a wall run', () => {
  test.each([
    ['lessBeam', 2.7],
    ['lessSlab', 3.0],
    ['lessBoth', 2.55],
  ] as const)('%s: net height %d m', (heightRule, height) => {
    expect(load({ heightRule })).toBeCloseTo(2870 * height, 9)
  })

  test('common practice: 125 mm of 23 kN/m³, 3.0 m high, is 8.63 kN/m', () => {
    expect(Math.round((load({ weight: 0.125 * 23_000, heightRule: 'lessSlab' }) ?? 0) / 10)).toBe(863)
  })

  test('the same wall of its layers, with plaster on both sides; what was typed does not count then', () => {
    const building = new Building()
    const layer = (name: string, thickness: number, unitWeight: number) => ({
      name,
      thickness,
      unitWeight,
      load: null,
      source: '',
    })
    const bare = building.buildUp([layer('brick', 0.125, 23_000)])
    expect(Math.round((wallLoad({ ...run, heightRule: 'lessSlab' }, head, bare, 12)?.value ?? 0) / 10)).toBe(863)
    const plastered = building.buildUp([
      layer('plaster', 0.015, 20_000),
      layer('brick', 0.125, 23_000),
      layer('plaster', 0.015, 20_000),
    ])
    // hand: (0.30 + 2.875 + 0.30) kN/m² · 3.0 m = 10.425 kN/m
    const traced = wallLoad({ ...run, heightRule: 'lessSlab' }, head, plastered, 12)
    expect(traced?.value).toBeCloseTo(10_425, 9)
    expect(JSON.stringify(traced)).toContain('brick')
  })

  test('common practice: a parapet of 2.87 kN/m² and 2 m height is 5.74 kN/m, whatever stands above', () => {
    expect(load({ heightRule: 'typed', height: 2 })).toBeCloseTo(5740, 9)
    expect(
      load({ heightRule: 'typed', height: 2 }, { storeyHeight: null, beamDepth: null, slabDepth: null }),
    ).toBeCloseTo(5740, 9)
  })

  test('openings take their share off', () => expect(load({ openingShare: 0.3 })).toBeCloseTo(2870 * 2.7 * 0.7, 9))

  test('openings by their sizes: 4 of 1.2 by 1.5 m and a door of 0.9 by 2.1 m over a run of 12 m', () => {
    const openingSizes = [
      { count: 4, width: 1.2, height: 1.5 },
      { count: 1, width: 0.9, height: 2.1 },
    ]
    // hand: 12 · 2.7 m less 7.2 + 1.89 m² is 23.31 m², 1.9425 m² to a metre; the share does not count beside sizes
    expect(load({ openingSizes, openingShare: 0.9 })).toBeCloseTo(2870 * 1.9425, 6)
    expect(load({ openingSizes: [{ count: 100, width: 2, height: 2 }] })).toBe(0)
  })

  test('where no beam or slab is above, nothing is taken off', () => {
    expect(load({}, { beamDepth: null })).toBeCloseTo(2870 * 3.15, 9)
    expect(load({ heightRule: 'lessBoth' }, { slabDepth: null })).toBeCloseTo(2870 * 2.7, 9)
  })

  test('under a beam deeper than the storey there is no wall; on the top level there is no height to take', () => {
    expect(load({}, { storeyHeight: 0.4 })).toBe(0)
    expect(load({}, { storeyHeight: null })).toBeUndefined()
  })

  test('the trace says which depths were taken off', () => {
    const traced = wallLoad({ ...run, heightRule: 'lessSlab' }, head, undefined, 12)
    const text = JSON.stringify(traced)
    expect(text).toContain('slab above')
    expect(text).toContain('not deducted')
    expect(text).not.toContain('beam above')
  })
})
