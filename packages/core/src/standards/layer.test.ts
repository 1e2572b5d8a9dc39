import type { Table } from '../trace/table'
import type { Family } from './family'
import { enFamily } from './en/family'
import { parameter, parameterOf, resolveLayers, tableOf, type StandardLayer } from './layer'

const table = (values: readonly number[], at: readonly number[] = [1, 2]): Table => ({
  symbol: 'c',
  quantity: 'factor',
  clause: 'table 1',
  axis: { symbol: 'x', quantity: 'factor', at, between: 'linear', below: 'nearest', above: 'refuse' },
  rows: { a: values },
})
const layer = (name: string, more: Partial<StandardLayer>): StandardLayer => ({
  name,
  values: {},
  tables: {},
  methods: {},
  ...more,
})
const family: Family = {
  ...enFamily,
  uses: { desk: { name: 'desks', group: 'B', sort: 'offices', reducible: true, kept: null } },
  meanings: {
    g: { symbol: 'γ', quantity: 'factor', name: 'partial factor', min: 0, max: 2 },
    z: { symbol: 'z_min', quantity: 'length', name: 'minimum height', min: 1, max: 30 },
  },
  methods: { profile: ['plain', 'fancy'] },
  recommended: layer('recommended', {
    values: { g: { value: 1.5, clause: 'A.1', fromMemory: true }, z: { value: 2, clause: '4.1' } },
    tables: { t: table([1, 3]) },
    methods: { profile: 'plain' },
  }),
}
const use = (group: string) => ({ name: 'bars', group, sort: null, reducible: false, kept: null })
const national = layer('national', {
  values: { g: { value: 1.6, clause: 'NA.1' } },
  tables: { t: table([1, 4]) },
  methods: { profile: 'fancy' },
})
const own = layer('own', { values: { g: { value: 1.35, clause: 'agreed 3 March' } } })

describe('layers lie one over another', () => {
  const standard = resolveLayers(family, [national, own])

  test('the top one decides, and what it replaced is kept with layer, value and clause', () => {
    expect(standard.layers).toEqual(['recommended', 'national', 'own'])
    expect(standard.values['g']).toMatchObject({
      value: 1.35,
      clause: 'agreed 3 March',
      layer: 'own',
      replaced: [
        { layer: 'recommended', value: 1.5, clause: 'A.1' },
        { layer: 'national', value: 1.6, clause: 'NA.1' },
      ],
    })
    expect(standard.values['z']).toMatchObject({ value: 2, layer: 'recommended', replaced: [] })
    expect(standard.concerns).toEqual([])
  })

  test('tables and methods likewise', () => {
    expect(tableOf(standard, 't').rows['a']).toEqual([1, 4])
    expect(standard.methods['profile']).toBe('fancy')
    expect(resolveLayers(family, []).methods['profile']).toBe('plain')
  })

  test('uses are added with their values, named anew, and taken away', () => {
    const bars = layer('bars', {
      uses: { bar: use('C'), desk: null },
      values: { 'imposed.q_k.bar': { value: 5000, clause: 'NA.2' } },
    })
    const found = resolveLayers(family, [bars])
    expect(found.concerns).toEqual([])
    expect(found.uses).toEqual({ bar: use('C') })
    expect(parameter(found, 'imposed.q_k.bar')).toMatchObject({ symbol: 'q_k', quantity: 'pressure', value: 5000 })
    expect(resolveLayers(family, []).uses).toEqual(family.uses)
  })

  test('a layer that says the same again replaces nothing, but its clause counts', () => {
    const same = resolveLayers(family, [layer('same', { values: { z: { value: 2, clause: 'NA.3' } } })]).values['z']
    expect(same).toMatchObject({ clause: 'NA.3', layer: 'same', replaced: [] })
  })

  test('the traced value names clause and layer, and whether it stands from memory', () => {
    expect(parameter(standard, 'g')).toEqual({
      symbol: 'γ',
      quantity: 'factor',
      value: 1.35,
      basis: { kind: 'parameter', key: 'g', clause: 'agreed 3 March', layer: 'own' },
    })
    expect(parameter(resolveLayers(family, []), 'g').basis).toMatchObject({ fromMemory: true })
  })

  test('what the programmer gets wrong is an error at once', () => {
    expect(() => parameter(standard, 'nothing')).toThrow(/No parameter nothing/)
    expect(() => parameterOf(standard, 'z', 'factor')).toThrow(/z is a length, not a factor/)
    expect(() => tableOf(standard, 'nothing')).toThrow(/No table nothing/)
  })
})

describe('what a layer cannot do is a concern, and the value below it counts', () => {
  test.each([
    ['a value outside the limits', { values: { g: { value: 2.5, clause: 'x' } } }, 'layer.outside-limits'],
    ['a value that is no number', { values: { g: { value: NaN, clause: 'x' } } }, 'layer.outside-limits'],
    ['a key that is not known', { values: { gg: { value: 1, clause: 'x' } } }, 'layer.unknown-key'],
    ['a table of another symbol', { tables: { t: { ...table([1, 4]), symbol: 'd' } } }, 'layer.unusable-table'],
    ['a table with an axis that falls', { tables: { t: table([1, 4], [2, 1]) } }, 'layer.unusable-table'],
    ['a table with a doubled point', { tables: { t: table([1, 4], [1, 1]) } }, 'layer.unusable-table'],
    ['a table with a value too few', { tables: { t: table([1]) } }, 'layer.unusable-table'],
    [
      'a table without a row of the one below',
      { tables: { t: { ...table([1, 4]), rows: { b: [1, 4] } } } },
      'layer.unusable-table',
    ],
    ['a table that is not known', { tables: { u: table([1, 4]) } }, 'layer.unusable-table'],
    ['a method that is not known', { methods: { profile: 'secret' } }, 'layer.unknown-method'],
    ['a use of a group that is not there', { uses: { bar: use('Z') } }, 'layer.unknown-group'],
    ['a method for what has none', { methods: { other: 'plain' } }, 'layer.unknown-method'],
  ] as const)('%s', (_, more, code) => {
    const standard = resolveLayers(family, [layer('odd', more)])
    expect(standard.concerns).toEqual([
      expect.objectContaining({ code, data: expect.objectContaining({ layer: 'odd' }) }),
    ])
    expect(standard.values).toEqual(resolveLayers(family, []).values)
    expect(standard.tables).toEqual(resolveLayers(family, []).tables)
    expect(standard.methods).toEqual(resolveLayers(family, []).methods)
  })

  test('values at the limits are within them', () => {
    for (const value of [0, 2])
      expect(resolveLayers(family, [layer('edge', { values: { g: { value, clause: 'x' } } })]).concerns).toEqual([])
  })
})
