import { Building } from '../../test/build'
import { standardOf } from '../standards/families'
import { enUseRows } from '../standards/en/uses'
import { keyLoads } from './keyLoads'
import { buildUpWeight, slabWeight } from './ownWeight'

const standard = standardOf('EN', [])
const building = new Building()
const layer = (name: string, thickness: number | null, unitWeight: number | null, load: number | null = null) => ({
  name,
  thickness,
  unitWeight,
  load,
  source: '',
})

describe('build-ups', () => {
  test('common practice: 100 mm of concrete at 24 kN/m³ is 2.4 kN/m²', () => {
    const traced = buildUpWeight(building.buildUp([layer('concrete', 0.1, 24_000)]))
    expect(traced.value).toBeCloseTo(2400, 9)
    expect(traced.basis).toMatchObject({
      kind: 'sum',
      terms: [{ label: 'concrete', factors: [{ value: 0.1 }, { value: 24_000 }] }],
    })
  })

  test('common practice: finishes around 1.25 kN/m² (50 mm screed at 20, carpet 0.05, ceiling and services 0.2)', () => {
    const layers = [layer('screed', 0.05, 20_000), layer('carpet', null, null, 50), layer('ceiling', null, null, 200)]
    expect(buildUpWeight(building.buildUp(layers)).value).toBeCloseTo(1250, 9)
  })

  test('a typed load goes before thickness and unit weight; a layer without either says so and weighs nothing', () => {
    const { value, basis } = buildUpWeight(
      building.buildUp([layer('raised floor', 0.2, 1000, 400), layer('to come', 0.1, null)]),
    )
    expect(value).toBe(400)
    expect(basis.kind === 'sum' && basis.terms.map(({ label }) => label)).toEqual([
      'raised floor, entered',
      'to come, no weight given',
    ])
  })

  test('no build-up weighs nothing; a negative layer takes away (a slab left out under a floor box)', () => {
    expect(buildUpWeight(undefined).value).toBe(0)
    expect(
      buildUpWeight(building.buildUp([layer('screed', 0.05, 20_000), layer('less', null, null, -300)])).value,
    ).toBe(700)
  })

  test('the trace names the table that a unit weight came from, and that it is remembered', () => {
    const granite = { ...layer('granite', 0.05, 30_000), source: 'EN 1991-1-1 table A.2, from memory' }
    const { basis } = buildUpWeight(building.buildUp([granite]))
    expect(basis.kind === 'sum' && basis.terms[0]?.label).toBe('granite, EN 1991-1-1 table A.2, from memory')
    const concrete = building.material({ name: 'Concrete', source: 'EN 1991-1-1 table A.1, from memory' })
    expect(JSON.stringify(slabWeight(0.15, concrete).basis)).toContain('Concrete, EN 1991-1-1 table A.1, from memory')
  })

  test('a slab is its thickness times its material, named in the trace', () => {
    const traced = slabWeight(0.15, building.material({ name: 'Concrete', unitWeight: 24_000 }))
    expect(traced.value).toBeCloseTo(3600, 9)
    expect(JSON.stringify(traced.basis)).toContain('Concrete')
  })
})

describe('imposed load of a key', () => {
  test.each(enUseRows.filter(({ uniform }) => uniform !== null).map(({ id }) => id))(
    'of use %s comes from the standard, with clause and layer',
    (use) => {
      const { imposed } = keyLoads(building.key(null, { use }), undefined, standard)
      expect(imposed?.basis).toMatchObject({ kind: 'parameter', clause: expect.stringMatching(/^EN 1991-1-1 table 6/) })
      expect(imposed?.value).toBeGreaterThan(0)
    },
  )

  test('a typed value goes before that of the use, and says for which key; no use and nothing typed is no load', () => {
    const typed = keyLoads(building.key(7500, { use: 'C1', name: 'Archive' }), undefined, standard)
    expect(typed.imposed).toMatchObject({ value: 7500, basis: { kind: 'given', from: 'entered for “Archive”' } })
    expect(keyLoads(building.key(null, { use: null }), undefined, standard).imposed).toBeNull()
    expect(keyLoads(building.key(0), undefined, standard).imposed?.value).toBe(0)
  })
})

describe('storage by its height (BS 6399-1 table 1, IS 875-2 table 1, from memory)', () => {
  const of = (family: 'BS' | 'IS', use: string, storageHeight: number | null) =>
    keyLoads(building.key(null, { use, storageHeight }), undefined, standardOf(family, []))

  test.each([
    // 2.4 kN/m² for each metre, at least 6.5: the least covers 2.71 m
    ['BS', 'E-stacks', null, 6500],
    ['BS', 'E-stacks', 2.7, 6500],
    ['BS', 'E-stacks', 2.71, 6504],
    ['BS', 'E-stacks', 4, 9600],
    ['BS', 'E-cold', 3, 15_000],
    ['BS', 'E-cold', 4, 20_000],
    ['BS', 'E-dense-stacks', 3, 14_400],
    ['BS', 'E-storage', 3, 7200],
    ['BS', 'E-paper', 3, 12_000],
    ['IS', 'library-stacks', null, 6000],
    ['IS', 'library-stacks', 2.2, 6000],
    ['IS', 'library-stacks', 2.7, 7000],
    ['IS', 'storage', 3, 7500],
    ['IS', 'storage', 5, 12_000],
    // where goods are not stored on one another their height says nothing
    ['BS', 'B-offices', 5, 2500],
  ] as const)('%s %s, %s m high: %s Pa', (family, use, height, value) =>
    expect(of(family, use, height).imposed?.value).toBeCloseTo(value, 9),
  )

  test('without a height and without a least value there is none, and that is said', () => {
    const { imposed, concerns } = of('BS', 'E-storage', null)
    expect(imposed).toBeNull()
    expect(concerns.map(({ code }) => code)).toEqual(['key.no-value'])
  })

  test('a typed value goes before it', () => {
    const key = building.key(8000, { use: 'E-stacks', storageHeight: 5 })
    expect(keyLoads(key, undefined, standardOf('BS', [])).imposed?.value).toBe(8000)
  })
})

describe('concentrated load of a key', () => {
  test('is that of the use, typed imposed load or not: offices 4.5 kN (EN 1991-1-1, table 6.2, from memory)', () => {
    for (const imposed of [null, 2500])
      expect(keyLoads(building.key(imposed, { use: 'B' }), undefined, standard).concentrated).toMatchObject({
        quantity: 'force',
        value: 4500,
        basis: { clause: 'EN 1991-1-1 table 6.2' },
      })
    expect(keyLoads(building.key(null, { use: null }), undefined, standard).concentrated).toBeNull()
  })
})

describe('partitions (EN 1991-1-1, 6.3.1.2(8), from memory)', () => {
  const allowance = (weight: number | null) =>
    keyLoads(building.key(null, { partitionWeight: weight }), undefined, standard)

  test.each([
    [1000, 500],
    [1001, 800],
    [2000, 800],
    [3000, 1200],
  ])('walls of %d N/m are an allowance of %d Pa', (weight, pascals) => {
    expect(allowance(weight).partitions?.value).toBe(pascals)
    expect(allowance(weight).concerns).toEqual([])
  })

  test('heavier than 3 kN/m there is none: they are to be wall runs', () => {
    const { partitions, concerns } = allowance(3001)
    expect(partitions).toBeNull()
    expect(concerns).toEqual([expect.objectContaining({ code: 'partitions.too-heavy' })])
  })

  test('none typed, or nought, is none', () => {
    expect(allowance(null).partitions).toBeNull()
    expect(allowance(0).partitions).toBeNull()
  })
})

describe('partitions of the other families (from memory)', () => {
  const of = (family: 'ASCE' | 'IS' | 'BS', more: Parameters<Building['key']>[1]) =>
    keyLoads(building.key(null, more), undefined, standardOf(family, [])).partitions?.value

  test('ASCE 7-16 4.3.2: 15 psf (0.718 kN/m²) with offices, none beside 80 psf and more', () => {
    expect(of('ASCE', { use: 'offices', partitionRule: 'least' })).toBeCloseTo(718.2, 1)
    expect(of('ASCE', { use: 'office-corridors', partitionRule: 'least' })).toBe(0)
    expect(of('ASCE', { use: 'retail-upper', partitionRule: 'least' })).toBeCloseTo(718.2, 1)
  })

  test.each(['IS', 'BS'] as const)('%s: a third of the weight per metre, at least 1 kN/m²', (family) => {
    const use = family === 'IS' ? 'offices' : 'B-offices'
    expect(of(family, { use, partitionWeight: 3900 })).toBeCloseTo(1300, 9)
    expect(of(family, { use, partitionWeight: 600 })).toBe(1000)
    expect(of(family, { use })).toBeUndefined()
  })

  test('a typed allowance counts in every family', () => {
    for (const family of ['ASCE', 'IS', 'BS'] as const)
      expect(of(family, { use: null, partitionRule: 'typed', partitionLoad: 950 })).toBe(950)
  })
})

describe('live load that stays whole beside wind (ASCE 7-16 2.3.1, exception, from memory)', () => {
  const groupOf = (use: string, psf: number | null) =>
    keyLoads(building.key(psf === null ? null : psf * 47.880259, { use }), undefined, standardOf('ASCE', [])).cases
      ?.group

  test.each([
    ['offices', null, 'L'],
    ['offices', 100, 'L'],
    ['offices', 101, 'Lp'],
    ['office-lobbies', null, 'L'],
    ['manufacturing-light', null, 'Lp'],
    // assembly and garages whatever their load
    ['assembly-fixed-seats', 20, 'Lp'],
    ['garages', null, 'Lp'],
    ['roof', 200, 'Lr'],
  ] as const)('%s of %s psf is of group %s', (use, psf, group) => expect(groupOf(use, psf)).toBe(group))
})
