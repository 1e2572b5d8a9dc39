import { families, shippedSets, standardOf, embedded } from '../src/standards/families'
import { resolveLayers } from '../src/standards/layer'
import { sourceTable } from '../src/standards/sourceTable'
import { ask, type Answer, type Query } from '../src/queries/derive'
import { sourcePicture, type LevelsPicture, type PartsPicture } from '../src/queries/sourcePicture'
import { Building } from './build'
import { demoDocument } from './demo'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { rectangle } from './shapes'

const standards = Object.values(families).flatMap((family) =>
  [[], ...shippedSets[family.id].map((set) => [set])].map((sets) => {
    const standard = resolveLayers(family, sets)
    return [standard.layers.join(' + '), standard] as const
  }),
)

describe.each(standards)('every parameter of %s', (_, standard) => {
  const demo = deriveProject(new Memo(), demoDocument())
  const keys = Object.keys(standard.values)

  test('stands in a table with its own row and column marked', () => {
    const misplaced = keys.filter((key) => {
      const table = sourceTable(standard, key)
      const row = table?.rows.find(({ id }) => id === table.row)
      const cell = row?.cells[table?.column ?? NaN]
      return cell?.key !== key || cell.value !== standard.values[key]?.value
    })
    expect(misplaced).toEqual([])
  })

  test('has a picture of the building', () => {
    expect(keys.filter((key) => sourcePicture(demo, key, 1) === null)).toEqual([])
  })
})

describe('tables of the standard', () => {
  // EN 1990 table A1.1, from memory: offices 0.7, 0.5, 0.3
  test('ψ of offices stand in one row, by the three columns', () => {
    const table = sourceTable(standardOf('EN', []), 'basis.psi_1.B')
    const row = table?.rows.find(({ id }) => id === 'B')
    expect(table).toMatchObject({ heading: 'action', row: 'B', column: 1 })
    expect(row?.name).toBe('B · offices')
    expect(row?.cells.map((cell) => cell?.value)).toEqual([0.7, 0.5, 0.3])
    expect(table?.rows).toHaveLength(13)
  })

  test('combinations stand with those of their set alone; a factor that a row has not is left open', () => {
    const table = sourceTable(standardOf('ASCE', []), 'rule.lrfd-2.L')
    expect(table?.rows.map(({ id }) => id)).toEqual(['lrfd-1', 'lrfd-2', 'lrfd-3', 'lrfd-4', 'lrfd-5'])
    expect(table?.rows[0]?.cells.filter((cell) => cell !== null)).toHaveLength(1)
  })

  test('a key that is none has no table and no source', () => {
    expect(sourceTable(standardOf('EN', []), 'basis.nothing')).toBeNull()
    expect(ask(new Building().state(), { kind: 'source', key: 'basis.nothing' })).toBeNull()
  })
})

describe('the picture of a parameter, in numbers of the building', () => {
  type Source = NonNullable<Answer<Extract<Query, { kind: 'source' }>>>
  const near = (value: number) => expect.closeTo(value, 3) as number

  /** Two floors of 6 by 4 m at 3 and 6 m, offices below and shops above. */
  function twoFloors() {
    const building = new Building()
    building.level('Base', 0)
    const [offices, shops] = (['B', 'D1'] as const).map((use, i) => {
      const level = building.level(String(i + 1), 3 * (i + 1))
      const key = building.key(null, { name: use, use })
      const layout = building.layout(use, key, level)
      rectangle(0, 0, 6, 4).forEach((at) => building.column(layout, at))
      building.panel(layout, rectangle(0, 0, 6, 4), { sharing: 'corners' })
      return key
    })
    return { building, offices, shops }
  }
  const sourceOf = (building: Building, key: string): Source => {
    const found = ask(building.state(), { kind: 'source', key })
    if (!found) throw new Error('no source')
    return found
  }
  const levelsOf = ({ picture }: Source) =>
    (picture as LevelsPicture).levels.map(({ name, z, value }) => [name, z, value])
  const partsOf = ({ picture }: Source) => (picture as PartsPicture).parts

  test('a use: its area by level, and what the project takes', () => {
    const source = sourceOf(twoFloors().building, 'imposed.q_k.B')
    expect(levelsOf(source)).toEqual([
      ['2', 6, 0],
      ['1', 3, near(24)],
    ])
    expect([...source.taken].sort()).toEqual(['B', 'D1'])
  })

  // offices 3.0 and shops 4.0 kN/m² (EN 1991-1-1 table 6.2, from memory) on 24 m² each
  test('ψ_0 of offices: 72 kN, and 0.7 of them', () => {
    const source = sourceOf(twoFloors().building, 'basis.psi_0.B')
    expect(source).toMatchObject({ recommended: 0.7, limits: [0, 1], quantity: 'factor' })
    expect(partsOf(source)).toEqual([{ name: 'imposed, category B', whole: near(72_000), part: near(50_400) }])
    expect([...source.taken].sort()).toEqual(['B', 'D'])
  })

  test('γ_Q: each variable case; γ_G: permanent ones alone', () => {
    const { building } = twoFloors()
    expect(partsOf(sourceOf(building, 'basis.gamma_Q'))).toEqual([
      { name: 'imposed, category B', whole: near(72_000), part: near(108_000) },
      { name: 'imposed, category D', whole: near(96_000), part: near(144_000) },
    ])
    const permanent = partsOf(sourceOf(building, 'basis.gamma_Gsup')).map(({ name }) => name)
    expect(permanent).toEqual(['self-weight', 'build-ups', 'walls'])
  })

  // EN 1991-1-1 6.3.1.2(10), from memory, under a national set that lets columns take it: each column of four carries 50 m², 5/7 · 0.7 + 10/50 = 0.7
  test('reduction: 800 kN of shops at the feet of the columns, and 0.7 of them', () => {
    const building = new Building()
    building.level('Base', 0)
    const layout = building.layout('Shops', building.key(null, { use: 'D1' }), building.level('1', 4))
    rectangle(0, 0, 20, 10).forEach((at) => building.column(layout, at))
    building.panel(layout, rectangle(0, 0, 20, 10), { sharing: 'corners' })
    // columns take the factor for storeys alone by the recommended values
    expect(partsOf(sourceOf(building, 'reduction.A_0'))).toEqual([])
    const set = { name: 'a country', values: {}, tables: {}, methods: { 'imposed.columns': 'byAreaToo' } }
    building.add(embedded('EN', set, 'layer:columns000000'))
    expect(partsOf(sourceOf(building, 'reduction.A_0'))).toEqual([
      { name: 'imposed, category D', whole: near(800_000), part: near(560_000) },
    ])
  })

  test('the terrain that the project stands in is taken, in the words of the family', () => {
    const taken = (family: 'EN' | 'ASCE' | 'IS') =>
      ask(new Building({ family, terrain: 'III' }).state(), {
        kind: 'source',
        key: family === 'EN' ? 'wind.terrain.II.z_0' : 'wind.terrain.C.z_g',
      })?.taken
    expect(taken('EN')).toEqual(['III'])
    // ASCE 7 26.7.3, from memory: suburbs are exposure B
    expect(taken('ASCE')).toEqual(['B'])
    expect(taken('IS')).toBeUndefined()
  })

  test('wind: the pressure at each level over the ground, as its own trace has it', () => {
    const { building } = twoFloors()
    const records = building.records.map((one) => (one.kind === 'basis' ? { ...one, basicWindVelocity: 25 } : one))
    building.records.splice(0, building.records.length, ...records)
    const q = ask(building.state(), { kind: 'why', address: 'qp:6' })?.value ?? NaN
    expect(levelsOf(sourceOf(building, 'wind.rho'))[0]).toEqual(['2', 6, near(q)])
  })

  test('a national set in the project is the table that is shown', () => {
    const { building } = twoFloors()
    const [germany] = shippedSets.EN
    if (!germany) throw new Error('no set')
    building.add(embedded('EN', germany, 'layer:0000000000000009'))
    const { table } = sourceOf(building, 'imposed.q_k.B')
    const state = building.state()
    const cells = table.rows.flatMap(({ cells }) => cells.flatMap((cell) => cell ?? []))
    expect(cells.every(({ key, value }) => state.standard.values[key]?.value === value)).toBe(true)
    expect(cells.some(({ key, value }) => value !== standardOf('EN', []).values[key]?.value)).toBe(true)
  })
})
