import { parameter } from '../layer'
import type { TerrainCategory } from '../pressureRule'
import { peakVelocityPressure } from './peakVelocityPressure'
import { embedded, shippedSets, standardOf } from '../families'
import { enFamily } from './family'
import { given } from '../../trace/traced'

const [germany] = shippedSets.EN
if (!germany) throw new Error('No national set')
const recommended = standardOf('EN', [])
const layerOf = embedded('EN', germany, 'layer:0000000000000000')
const site = (velocity: number, terrain: TerrainCategory) => ({
  v_b0: given('v_b,0', 'velocity', velocity, 'test'),
  terrain,
})
const q_p = (z: number, velocity = 26, terrain: TerrainCategory = 'II', standard = recommended) =>
  peakVelocityPressure(z, site(velocity, terrain), standard).value

describe('tables and values as shipped', () => {
  test('every table has a rising axis, a value at each point of each row, and finite numbers', () => {
    for (const set of [enFamily.recommended, germany])
      for (const { axis, rows, clause } of Object.values(set.tables)) {
        expect([...axis.at]).toEqual([...axis.at].sort((a, b) => a - b))
        expect(new Set(axis.at).size).toBe(axis.at.length)
        for (const values of Object.values(rows)) {
          expect(values).toHaveLength(axis.at.length)
          expect(values.every(Number.isFinite)).toBe(true)
        }
        expect(clause).toMatch(/^(DIN )?EN 199/)
      }
  })

  test('every value lies within the limits of its meaning and names its clause', () => {
    const resolved = standardOf('EN', [layerOf])
    for (const set of [enFamily.recommended, germany])
      for (const [key, { value, clause }] of Object.entries(set.values)) {
        const meaning = resolved.values[key]?.meaning
        expect(value).toBeGreaterThanOrEqual(meaning?.min ?? Infinity)
        expect(value).toBeLessThanOrEqual(meaning?.max ?? -Infinity)
        expect(clause).toMatch(/^(DIN )?EN 199/)
      }
    // E2, forklifts and K have no uniform load, E2 no concentrated one either: they are typed, as are barriers against vehicles and of roofs
    expect(Object.keys(enFamily.meanings).filter((key) => !enFamily.recommended.values[key])).toEqual([
      'imposed.q_k.E2',
      'imposed.Q_k.E2',
      'imposed.q_k.E2-FL1',
      'imposed.q_k.E2-FL2',
      'imposed.q_k.E2-FL3',
      'imposed.q_k.E2-FL4',
      'imposed.q_k.E2-FL5',
      'imposed.q_k.E2-FL6',
      'barrier.q_k.F',
      'barrier.q_k.G',
      'barrier.q_k.H',
      'imposed.q_k.K-HC1',
      'barrier.q_k.K-HC1',
      'imposed.q_k.K-HC2',
      'barrier.q_k.K-HC2',
      // of national sets
      'imposed.partitions.limit',
    ])
  })

  test('an embedded national set means the same as the one that ships', () => {
    const standard = standardOf('EN', [layerOf])
    expect(standard.concerns).toEqual([])
    expect(standard.layers).toEqual(['EN, recommended values', 'Germany'])
    expect(parameter(standard, 'wind.terrain.IV.z_0').value).toBe(1.05)
    expect(standard.methods).toEqual({
      'wind.peakPressure': 'mixedInland',
      'imposed.partitions': 'byBand',
      'imposed.reduction': 'alphaGermany',
      'imposed.columns': 'byStoreys',
    })
  })

  test('the own layer lies over the national one, in whatever order they come', () => {
    const own = {
      ...layerOf,
      id: 'layer:1111111111111111',
      standing: 'own',
      name: 'this project',
      values: { 'imposed.q_k.B': { value: 2500, clause: 'this project', fromMemory: false } },
      tables: {},
      methods: { 'wind.peakPressure': 'roughness' },
    } as const
    for (const layers of [
      [layerOf, own],
      [own, layerOf],
    ]) {
      const standard = standardOf('EN', layers)
      expect(parameter(standard, 'imposed.q_k.B').value).toBe(2500)
      expect(standard.methods['wind.peakPressure']).toBe('roughness')
    }
  })
})

describe('peak velocity pressure, EN 1991-1-4 4.2 to 4.5', () => {
  test('a worked value of the trade: 26 m/s, terrain II, 7.3 m is about 0.911 kN/m²', () => {
    expect(q_p(7.3)).toBeCloseTo(911, -1)
    expect(Math.abs(q_p(7.3) - 911)).toBeLessThan(1)
  })

  test('hand: (1 + 7 · 0.188739) · 0.625 · 26.17369² = 993.84 Pa at 10 m', () => expect(q_p(10)).toBeCloseTo(993.84, 1))

  test.each([
    // EN 1991-1-4 figure 4.2, c_e at 10 m as read from it, from memory: within a line's width
    ['0', 3.0],
    ['I', 2.75],
    ['II', 2.35],
    ['III', 1.71],
    ['IV', 1.18],
  ] as const)('exposure factor of terrain %s at 10 m is %d', (terrain, c_e) => {
    const q_b = 0.625 * 26 ** 2
    expect(Math.abs(q_p(10, 26, terrain) / q_b - c_e)).toBeLessThan(0.05)
  })

  test('below z_min as at z_min, then rising all the way, and falling with rougher terrain', () => {
    expect(q_p(0.5)).toBe(q_p(2))
    expect(q_p(4, 26, 'III')).toBe(q_p(5, 26, 'III'))
    const heights = [2, 3, 5, 10, 20, 50, 100, 200]
    const over = heights.map((z) => q_p(z))
    expect([...over].sort((a, b) => a - b)).toEqual(over)
    const terrains = (['0', 'I', 'II', 'III', 'IV'] as const).map((terrain) => q_p(15, 26, terrain))
    expect([...terrains].sort((a, b) => b - a)).toEqual(terrains)
  })

  test('pressure goes with the square of the velocity, and with air density', () => {
    expect(q_p(12, 52)).toBeCloseTo(4 * q_p(12, 26), 9)
  })

  test('the trace leads down to the table of terrain and the site', () => {
    const { basis } = peakVelocityPressure(7.3, site(26, 'II'), recommended)
    if (basis.kind !== 'formula') throw new Error(basis.kind)
    expect(Object.keys(basis.inputs)).toEqual(['v_m', 'I_v', 'rho'])
    const text = JSON.stringify(basis)
    for (const clause of ['EN 1991-1-4 table 4.1', '4.3.2 (4.4)', '4.3.2 (4.5)', '4.4 (4.7)', '4.5(1) note 2'])
      expect(text).toContain(clause)
  })
})

describe('DIN EN 1991-1-4/NA, mixed terrain inland (from memory)', () => {
  const german = standardOf('EN', [layerOf])

  test.each([
    // the simplified pressures of table NA.B.3, inland, by zone (22.5, 25, 27.5, 30 m/s), up to 10, 18, 25 m: rounded to
    // 0.05 kN/m², so the profile lies within a step of them
    [22.5, 10, 500],
    [22.5, 18, 650],
    [22.5, 25, 750],
    [25, 10, 650],
    [25, 18, 800],
    [25, 25, 900],
    [27.5, 10, 800],
    [27.5, 18, 950],
    [27.5, 25, 1100],
    [30, 10, 950],
    [30, 18, 1150],
    [30, 25, 1300],
  ])('%d m/s at %d m is about %d Pa', (velocity, z, pascals) => {
    expect(Math.abs(q_p(z, velocity, 'II', german) - pascals)).toBeLessThan(50)
  })

  test('the terrain does not matter there', () => {
    expect(q_p(12, 25, 'II', german)).toBe(q_p(12, 25, 'III', german))
  })
})
