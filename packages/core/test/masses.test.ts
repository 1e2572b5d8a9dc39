import { isHanger } from '../src/building/frame'
import { columnsOf } from '../src/derivation/cells'
import fc from 'fast-check'
import { holds } from './holds'
import { levelMasses } from '../src/derivation/masses'
import { deriveProject } from '../src/derivation/project'
import { Memo } from '../src/derivation/memo'
import { balanceOf } from '../src/derivation/balance'
import { documentOf, type Document } from '../src/document/document'
import type { Rec } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import { ask } from '../src/queries/derive'
import { Building, bay, oneStorey } from './build'
import { randomBuilding } from './randomBuilding'
import { rectangle } from './shapes'

const turned = (document: Document, angle: number, [dx, dy]: Point): Document => {
  const turn = ([x, y]: Point): Point => [
    x * Math.cos(angle) - y * Math.sin(angle) + dx,
    x * Math.sin(angle) + y * Math.cos(angle) + dy,
  ]
  return documentOf(
    [...document.records.values()].map((record): Rec => {
      if (record.kind === 'panel')
        return { ...record, outline: record.outline.map(turn), spanAngle: record.spanAngle + angle }
      if (record.kind === 'slope')
        return { ...record, outline: record.outline.map(turn), uphill: record.uphill + angle }
      if (record.kind === 'areaLoad')
        return { ...record, outline: record.outline.map(turn), angle: record.angle + angle }
      if ('path' in record) return { ...record, path: record.path.map(turn) }
      return 'outline' in record ? { ...record, outline: record.outline.map(turn) } : record
    }),
  )
}

const near = (value: number) => expect.closeTo(value, 6) as number

describe('the mass of a level by hand', () => {
  test('6 by 4 m of offices: 2.0 kN/m² of build-up and 0.3 of 3.0 kN/m² (EN 1990 table A1.1, from memory), 1 kN/m² of mass only', () => {
    const building = new Building()
    building.level('Base', 0)
    const key = building.key(3000, {
      use: 'B',
      additionalSeismicMass: 1000,
      buildUp: building.buildUp([{ name: 'screed', thickness: 0.1, unitWeight: 20_000, load: null, source: '' }]).id,
    })
    const layout = building.layout('Floor', key, building.level('Top', 4))
    building.panel(layout, rectangle(0, 0, 6, 4))
    building.beam(layout, [0, 0], [6, 0])
    building.beam(layout, [0, 4], [6, 4])
    const [level] = levelMasses(building.state())
    // 24 m² · (2.0 + 0.3 · 3.0 + 1.0) = 93.6 kN, in the middle
    expect(level?.parts).toMatchObject({
      permanent: expect.closeTo(48_000, 6) as number,
      imposed: expect.closeTo(21_600, 6) as number,
      additionalSeismicMass: expect.closeTo(24_000, 6) as number,
    })
    expect(level?.weight).toBeCloseTo(93_600, 6)
    expect(level?.centre).toEqual([expect.closeTo(3, 9), expect.closeTo(2, 9)])
    const { rows } = ask(building.state(), { kind: 'masses' })
    // 93.6 kN / 9.80665 m/s² = 9.54454 t, since 9.80665 · 9544.54 = 93 599.96
    expect(rows[0]?.mass).toBeCloseTo(9544.54, 1)
    expect(ask(building.state(), { kind: 'why', address: `mass:${level?.levelId ?? ''}` })?.value).toBeCloseTo(
      9544.54,
      1,
    )
    // it loads nothing: no case has it
    expect(building.state().caseIds.some((id) => id.includes('mass'))).toBe(false)
  })

  test('a machine in a corner draws the centre there: 24 kN of floor in the middle, 24 kN at the corner', () => {
    const storey = oneStorey(0)
    const { building, layout } = storey
    bay(storey)
    building.lineLoad(
      layout,
      [
        [0, 2],
        [6, 2],
      ],
      4000,
    )
    building.pointLoad(layout, [6, 4], 24_000)
    const [level] = levelMasses(building.state())
    expect(level?.centre).toEqual([expect.closeTo(4.5, 9), expect.closeTo(3, 9)])
  })

  test('columns count half to the level above them and half to the one below', () => {
    const building = new Building()
    building.level('Base', 0)
    const [first, second] = [building.level('1', 3), building.level('2', 6)]
    const layout = building.layout('Floor', building.key(0), first, second)
    const heavy = building.material({ name: 'heavy', unitWeight: 10_000 })
    const section = building.sectionOf({ area: 0.1 })
    building.column(layout, [0, 0], { material: heavy.id, section: section.id })
    const [top, lower] = levelMasses(building.state())
    // 0.1 m² · 10 kN/m³ · 3 m = 3 kN a length
    expect(top?.parts.columns).toBeCloseTo(1500, 9)
    expect(lower?.parts.columns).toBeCloseTo(3000, 9)
  })

  test('hand: a hanger that hangs from nothing counts whole to its level: it has no other end', () => {
    const building = new Building()
    building.level('Base', 0)
    const [first, second] = [building.level('1', 4), building.level('2', 8)]
    const lower = building.layout('lower', null, first)
    building.layout('upper', null, second)
    const stock = {
      material: building.material({ unitWeight: 78_500 }).id,
      section: building.sectionOf({ area: 1000 / 78_500 }).id,
    }
    building.column(lower, [0, 0])
    building.beam(lower, [0, 0], [6, 0])
    building.member(lower, 'hanger', [[6, 0]], stock)
    const found = levelMasses(building.state()).find(({ levelName }) => levelName === '1')
    // 1 kN/m over 4 m
    expect(found?.parts.columns).toBeCloseTo(4000, 6)
  })

  test.each([
    // IS 1893-1 table 10: a quarter up to and with 3.0 kN/m², half above; ASCE 7-16 12.7.2: a quarter of storage; from memory
    ['IS', 'education-classrooms', 0.25],
    ['IS', 'shops', 0.5],
    ['IS', 'roof', 0],
    ['ASCE', 'offices', 0],
    ['ASCE', 'storage-light', 0.25],
    ['BS', 'B-offices', 0],
  ] as const)('%s, %s: %d of the imposed load', (family, use, share) => {
    const building = new Building({ family })
    building.key(null, { use })
    const [loads] = ask(building.state(), { kind: 'keys' })
    expect(loads?.massShare.value).toBe(share)
  })

  test('hand: a hanger counts half to its level and half to what it hangs from; what rakes half at each of its ends', () => {
    const building = new Building()
    building.level('Base', 0)
    const [first, second] = [building.level('1', 4), building.level('2', 8)]
    const [lower, upper] = [building.layout('lower', null, first), building.layout('upper', null, second)]
    const stock = {
      material: building.material({ unitWeight: 78_500 }).id,
      section: building.sectionOf({ area: 1000 / 78_500 }).id,
    }
    building.column(lower, [0, 0])
    building.beam(lower, [0, 0], [6, 0])
    // 1 kN/m: 4 m upright, and 5 m that rake by 3 m
    building.member(lower, 'hanger', [[6, 0]], stock)
    building.member(
      upper,
      'column',
      [
        [6, 2],
        [6, 5],
      ],
      stock,
    )
    for (const y of [-2, 2]) building.column(upper, [6, y])
    building.beam(upper, [6, -2], [6, 2])
    const masses = levelMasses(building.state())
    expect(masses.map(({ levelName, parts, centre }) => [levelName, parts.columns, centre])).toEqual([
      ['2', near(2000 + 2500), [near(6), near((2500 * 2) / 4500)]],
      ['1', near(2000 + 2500), [near(6), near((2500 * 5) / 4500)]],
    ])
  })

  test('a typed part goes before the standard’s', () => {
    const building = new Building()
    building.key(null, { massShare: 0.8 })
    const [loads] = ask(building.state(), { kind: 'keys' })
    expect(loads?.massShare.value).toBe(0.8)
  })
})

describe('laws of the mass', () => {
  const seeds = fc.integer({ min: 1, max: 1e6 })

  test('the permanent weight of all levels is what is applied, less half of the lowest columns', () => {
    holds(
      fc.property(seeds, (seed) => {
        const state = deriveProject(new Memo(), randomBuilding(seed))
        const masses = levelMasses(state)
        const weights = masses.reduce((sum, { parts }) => sum + parts.permanent + parts.columns, 0)
        const applied = state.caseIds
          .filter((id) => id.startsWith('permanent/'))
          .reduce((sum, id) => sum + balanceOf(state, id).applied, 0)
        const lowest = masses.at(-1)?.levelId
        const bottom = state.floors.find(({ level }) => level.id === lowest)
        const own = state.caseIds.indexOf('permanent/self-weight')
        const columns = columnsOf(state.caseIds).count
        const half = (bottom?.operator.plan.frame.columns ?? []).reduce((sum, column, row) => {
          if (isHanger(column)) return sum
          const at = (block: Float64Array | undefined) => block?.[row * columns + own] ?? 0
          return sum + (at(bottom?.rundown.feet) - at(bottom?.rundown.tops)) / 2
        }, 0)
        expect(Math.abs(weights + half - applied)).toBeLessThan(1e-6 * Math.max(1, applied))
      }),
      { numRuns: 25 },
    )
  })

  test('turning and moving the building turns and moves the centre, and changes no mass', () => {
    holds(
      fc.property(seeds, fc.double({ min: 0, max: 6, noNaN: true }), (seed, angle) => {
        const document = randomBuilding(seed)
        const shift: Point = [3, -7]
        const before = levelMasses(deriveProject(new Memo(), document))
        const after = levelMasses(deriveProject(new Memo(), turned(document, angle, shift)))
        before.forEach(({ weight, centre }, i) => {
          // where patches and slopes are cut, corners lie on a grid of 0.1 µm, and it does not turn with the building: a region
          // round which one walks 20 m may change by 1e-6 m²
          expect(Math.abs((after[i]?.weight ?? NaN) - weight)).toBeLessThan(1e-6 * Math.max(1, Math.abs(weight)))
          if (!centre || Math.abs(weight) < 1000) return
          const [x, y] = centre
          expect(after[i]?.centre?.[0]).toBeCloseTo(x * Math.cos(angle) - y * Math.sin(angle) + shift[0], 4)
          expect(after[i]?.centre?.[1]).toBeCloseTo(x * Math.sin(angle) + y * Math.cos(angle) + shift[1], 4)
        })
      }),
      { numRuns: 15, examples: [[939607, 0.07504276474037613]] },
    )
  })
})

describe('the construction stage', () => {
  test('has cases of its own, which stand in no combination and change no envelope', () => {
    const make = (constructed: boolean) => {
      const storey = oneStorey(2000)
      bay(storey)
      const { building, key } = storey
      if (constructed)
        building.constructionStage(key, {
          permanent: 300,
          personnel: 500,
          storedMaterials: 100,
          equipment: 100,
          other: 50,
        })
      return building.state()
    }
    const [without, withStage] = [make(false), make(true)]
    expect(withStage.caseIds).toEqual([...without.caseIds, 'construction/permanent', 'construction/imposed'])
    // 24 m² · 0.30 and 0.75 kN/m²
    expect(balanceOf(withStage, 'construction/permanent').atSupports).toBeCloseTo(7200, 6)
    expect(balanceOf(withStage, 'construction/imposed').atSupports).toBeCloseTo(18_000, 6)
    const ofBoth = [without, withStage].map((state) =>
      ask(state, { kind: 'envelopes', set: 'strength', effects: 'reaction' }),
    )
    expect(ofBoth[1]).toEqual(ofBoth[0])
    const figures = [without, withStage].map((state) => ask(state, { kind: 'overview' }).figures.combinations)
    expect(figures[1]).toBe(figures[0])
  })
})

describe('sums by load key and level', () => {
  // law: without overlaps they are what the cases apply, whatever the order of patches
  test('hand: 24 m² of which 6 m² are an archive', () => {
    const storey = oneStorey(2000)
    const { building, layout, top } = storey
    bay(storey)
    const archive = building.key(6000, { name: 'Archive', use: 'E1' })
    building.patch(layout, archive, rectangle(0, 0, 3, 2))
    const rows = ask(building.state(), { kind: 'keySums' })
    expect(rows.map(({ keyName, levelId, area, imposed }) => [keyName, levelId, area, imposed]).sort()).toEqual(
      [
        ['Archive', top.id, expect.closeTo(6, 9), expect.closeTo(36_000, 6)],
        [storey.key.name, top.id, expect.closeTo(18, 9), expect.closeTo(36_000, 6)],
      ].sort(),
    )
  })

  test('all keys of all levels together are all that the uses apply', () => {
    holds(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const bare = documentOf(
          [...randomBuilding(seed).records.values()].filter(({ kind }) => kind !== 'lineLoad' && kind !== 'pointLoad'),
        )
        const state = deriveProject(new Memo(), bare)
        const sum = ask(state, { kind: 'keySums' }).reduce((all, row) => all + row.imposed + row.partitions, 0)
        const applied = state.caseIds
          .filter((id) => id.startsWith('imposed/') || id.startsWith('roof/'))
          .reduce((all, id) => all + balanceOf(state, id).applied, 0)
        expect(Math.abs(sum - applied)).toBeLessThan(1e-6 * Math.max(1, applied))
      }),
      { numRuns: 25 },
    )
  })
})
