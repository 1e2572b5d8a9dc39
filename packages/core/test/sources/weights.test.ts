import { areaWeights, unitWeights } from '../../src/standards/stock/unitWeights'
import type { TabledWeight } from '../../src/standards/stock/weights/row'

/** A table as printed, row after row in the order of the code: the one value, or both ends of the range. From memory. */
type Printed = readonly [clause: string, values: string]

/** EN 1991-1-1, Annex A, in kN/m³. From memory. */
const annexA: readonly Printed[] = [
  ['A.1', '9-10 10-12 12-14 14-16 16-18 18-20 24 25 25 26 19-23 12-18 18-20 12-18'],
  ['A.2', '27-30 27-31 26 24 21-27 20-29 20 20 30 28'],
  [
    'A.3',
    '3.5 3.7 3.8 4.1 4.2 4.5 4.6 4.8 5.0 6.4 6.7 7.0 7.8 8.4 10.8 3.7 4.0 4.2 4.4 3.5 3.7 4.0 4.2 5.0 7.0 4.5 7-8 12 7 10 8 4',
  ],
  ['A.4', '27 83-85 83-85 87-89 71-72.5 76 112-114 77-78.5 71-72'],
  ['A.5', '22 25 12 0.3 1.4'],
  ['A.6', '24-25 18-22 23 15-16 15-16 18.5-19.5 13.5-14.5 20.5-21.5 18.5-19.5 25 20 26'],
  ['A.7', '9-20 20-30 30 15-20 14-19 17 12 9 15 1 6-9 8 11 16 15 10-14 25 15 15 13 13 12 6.4 5.9 11.8 13 10'],
  [
    'A.8',
    '7.8 9.3 6.9 10.8 8-12 13.7 10-16 12-16 7-8 3.5-4.5 7.8 7.0 8.8 3.4 7.4 5.0 5.0 6.4 7.0 7.8 7.5 7.8 1-3 6-7 8-9 1-2 4-6 7.0 7.0 1.0 5.0 9.5 5-10 0.7 1.5 3.5-5 3.0 7-13',
  ],
  [
    'A.9',
    '4-5 6.0 5.0 8.3 6.5 7.8 5.9 2.0 1.2 6.8 7.5-10 16.0 4.0 5.0 8.1 7.4 7.8 8.8 7.4 7.8 7 7 7.6 4.4 2.9 7.6 10.0',
  ],
  [
    'A.10',
    '10 10 10 10 9.3 12.3 9.2 8.8 7.8 7.4 11.8 7.8 14.7 13.7 17.7 8.3 9.8 8.8 10.8-12.8 10.8 7.8 8.3 6.9 9.8-12.8 8.3 7.8-9.8 12.3 8.8 7.4 5.7 5.0 133 59 38 10.8',
  ],
  ['A.11', '4 15 8 13 8.3 10 12 7 4-6.5 12.3 13.7 8.3 5.4 7.8 12.8 9.8 7.8 4.9 9.8 6-9 3-6'],
  ['A.12', '6.0 8.5 6.0 11.0 8.5 10 15 11 10-17 22 12 3.0 2.5 5.0 14'],
]

/** ASCE 7-16, commentary, in lb/ft³ and lb/ft². From memory. */
const asceDensities: Printed = [
  'ASCE 7-16 table C3.1-2',
  '170 526 552 556 450 480 710 492 459 449 108 100 90 132 144 25-50 70-105 111 138 150 165 165 135 173 144 130 115 100 105 125 135 140 130 153 147 138 156 137 81 120 144 150 14 160 104 50 57 90 106 172 120 72 62 64 70 90 32 45 12 135 56 55 50 46 42 69 75 57 45 63 110 100 78 96 108 100 110 120 80 70 90 60 65 83 90 70 108 96 52 52 47 47 23 96 95 82 92 107 45 36 41 34 34 28 47 37 28 29 32',
]
const asceDeadLoads: Printed = [
  'ASCE 7-16 table C3.1-1',
  '1 0.55 4 5 8 2 15 10 2.5 4 2 16 12 20 10 12 19 10 1 5.5 6 1 4 2.5 3 5 8 0.75 2 0.7 1.1 1.5 0.8 0.2 0.5 0.4 0.75 8 7 10 5.5 1.5 1 0.7 3 3 9 8 8 12 30 32 16 23 12 4 1 33 15 23 3 19 32 32 10 16 6 5 5 6 6 5 7 6 6 8 7 6 4 8 4 12 20 11 12 48 8 39 79 115 155 22 24 31 37 43 29 38 47 55 30 40 49 57 32 42 52 61 34 46 57 67 40 53 66 79 55 75 95 115 26 28 36 44 50 33 44 54 62 34 45 56 65 36 47 58 68 39 51 63 75 44 59 73 87 59 81 102 123 29 30 39 47 54 36 47 57 66 37 48 59 69 38 50 62 72 41 54 67 78 46 61 76 90 62 83 105 127 32 51 69 87 105 38 60 81 102 124 41 64 87 110 133',
]

/** IS 875-1 prints each weight twice, in kN and in kg, here of a cubic metre by the headings of the code. From memory. */
const isKilograms: Readonly<Record<string, string>> = {
  aggregate: '1600-1870 1920-2240 1460 1450 1010 700 800 1540-1600 1840 1760-2000 1010 160 560-640 800 1360',
  insulation: '3040 600-900 960 240 270 39 137 195 600 400 200',
  blocks: '880-1280 1440 960-1440 960-1440 1800',
  masonry: '1600-1920 2160 2500 1760-1840 1760-2000 1840 2080 1920 2400 2080 2240 2300 2080 2640 2400 2560 2700 2240',
  concrete:
    '2240-2400 760 1600-1920 880-1280 1760-2160 960-1680 1280-1760 560-1120 640-1680 960-1840 1920 2400 2320-2470 2370-2530 2530-2700',
  'mortar and plaster': '2080 1200 1600-1840 2080 1760 800 2100 2800 900 1900 2300',
  'binders and powders': '1440 1280 1410-1760 1280-1440 880-1040 580-640 800 1180 1020',
  'finishes and bitumen': '2200 2400 1870-2370 1040 1010',
  metal: '7200 7030-7130 7580-7720 7700 7850',
  'soil and gravel':
    '1600 2240 1040 1440 1760 2080 1920 2080 1410-1840 1600-2000 1600 1920-2160 2600 1200 1600 1920 1440 1760-1920 1760-1920 1280-1440 1760-1920',
  stone:
    '2600 1600-1920 2240 2880 4000 2590 2400-2690 2640-2800 2880 2240-2400 2080-2400 2400-2640 2720 800-1120 2640 2240-2400 2800 2700',
  wood: '640 865 545 575 515 785 675 515',
  water: '1000 1025',
}
/** The same in kN/m³, and of areas in kN/m². From memory. */
const isDensities: Printed = [
  'IS 875-1 table 1',
  '15.7-18.35 18.85-21.95 14.35 14.2 9.9 6.85 7.85 15.1-15.7 18.05 17.25-19.6 9.9 1.55 5.5-6.3 7.85 13.35 29.8 5.9-8.85 9.4 2.35 2.65 0.38 1.345 1.91 6 4 2 8.65-12.55 14.1 9.4-14.1 9.4-14.1 17.65 15.7-18.85 21.2 24.5 17.25-18.05 17.25-19.6 18.05 20.4 18.85 23.55 20.4 22 22.55 20.4 25.9 23.55 25.1 26.5 22 22-23.55 7.45 15.7-18.8 8.65-12.55 17.25-21.2 9.4-16.5 12.55-17.25 5.5-11 6.3-16.5 9.4-18.05 18.8 23.5 22.75-24.2 23.25-24.8 24.8-26.5 20.4 11.8 15.7-18.05 20.4 17.25 8 21 28 9 19 23 14.1 12.55 13.85-17.25 12.55-14.1 8.6-10.2 5.7-6.3 7.85 11.55 10 21.5 23.5 18.35-23.25 10.2 9.9 70.6 68.95-69.9 74.3-75.7 75.5 77 15.7 21.95 10.2 14.1 17.25 20.4 18.85 20.4 13.85-18.05 15.7-19.6 15.7 18.85-21.2 25.5 11.75 15.7 18.85 14.1 17.25-18.85 17.25-18.85 12.55-14.1 17.25-18.85 25.5 15.7-18.85 21.95 28.25 39.25 25.4 23.55-26.4 25.9-27.45 28.25 21.95-23.55 20.4-23.55 23.55-25.9 26.7 7.85-11 25.9 21.95-23.55 27.45 26.5 6.3 8.5 5.35 5.65 5.05 7.7 6.6 5.05 9.81 10.05',
]
const isAreas: Printed = ['IS 875-1 table 2', '0.83 1.67 0.69 1.18 0.64 1.08 0.785 0.34-0.49']
const isAreasKilograms = '85 170 70 120 65 110 80 35-50'

const printed: readonly (readonly [...Printed, unit: number])[] = [
  ...annexA.map(([table, values]) => [`EN 1991-1-1 table ${table}`, values, 1000] as const),
  // by NIST SP 811, appendix B: lb/ft³ is 157.0875 N/m³ of weight, lbf/ft² is 47.880 26 Pa
  [...asceDensities, 157.0875],
  [...asceDeadLoads, 47.880_26],
  [...isDensities, 1000],
  [...isAreas, 1000],
  // 19.2.1, from memory
  ['IS 456 19.2.1', '24 25', 1000],
  // kg/m³ by standard gravity, ISO 80000-3; from memory
  ['BS 648', '2307 2371 2420 2580 7850', 9.806_65],
]

const rangesOf = (values: string): readonly (readonly [from: number, to: number])[] =>
  values.split(' ').map((text) => {
    const [from = NaN, to = from] = text.split('-').map(Number)
    return [from, to]
  })

const all: readonly TabledWeight[] = [...unitWeights, ...areaWeights]
const rowOf = (name: string): TabledWeight => {
  const [found, second] = all.filter((row) => row.name === name)
  if (!found || second) throw new Error(`${second ? 'Two rows' : 'No row'} ${name}`)
  return found
}
const to = (name: string) => rowOf(name).to
const isAt = (value: number, print: number) => Math.abs(value - print) <= 1e-5 * print

/** The rows of a clause whose values are not those of the print, of all rows. */
function astray(rows: readonly TabledWeight[], [clause, values, unit]: (typeof printed)[number]): readonly string[] {
  const found = rows.filter((row) => row.clause === clause)
  const ranges = rangesOf(values)
  if (found.length !== ranges.length) return [`${found.length} rows of ${ranges.length}`]
  return found
    .filter(({ from, to: upper }, i) => {
      const [least = NaN, most = NaN] = ranges[i] ?? []
      return !isAt(from, least * unit) || !isAt(upper, most * unit)
    })
    .map(({ name }) => name)
}

describe('weights by volume and by area against the tables of the standards (from memory)', () => {
  test.each(printed)('%s', (...table) => {
    expect(astray(all, table)).toEqual([])
  })

  test('every row is covered, says that it is from memory, and has a name of its own that a layer can have', () => {
    const count = printed.reduce((sum, [, values]) => sum + values.split(' ').length, 0)
    expect(all).toHaveLength(count)
    expect(all.every(({ fromMemory }) => fromMemory)).toBe(true)
    expect(new Set(all.map(({ name }) => name)).size).toBe(count)
    expect(all.filter(({ name }) => name.length > 60)).toEqual([])
    expect(unitWeights.every(({ per }) => per === 'volume') && areaWeights.every(({ per }) => per === 'area')).toBe(
      true,
    )
  })

  test('a slip of 1 % at either end of any row is noticed', () => {
    const unnoticed = all.flatMap((row) =>
      [
        { ...row, from: row.from * 1.01 },
        { ...row, to: row.to * 0.99 },
      ]
        .filter((slip) => {
          const table = printed.find(([clause]) => clause === row.clause)
          const slipped = all.map((other) => (other === row ? slip : other))
          return !table || astray(slipped, table).length === 0
        })
        .map(({ name }) => name),
    )
    expect(unnoticed).toEqual([])
  })
})

describe('IS 875-1 in kN against its kg', () => {
  // a print is rounded to 0.05 kN, cut now and then; what it prints by 10 mm of thickness to 0.01 kN/m², which is 1 kN/m³
  const thin = new Set(unitWeights.filter(({ name }) => /^(plaster,|mastic|terrazzo|cork board|wood-wool)/.test(name)))
  const within = (row: TabledWeight) => (thin.has(row) ? 0.6 : 0.061)
  test.each(Object.entries(isKilograms))('%s', (group, values) => {
    const found = unitWeights.filter((row) => row.clause === 'IS 875-1 table 1' && row.group === group)
    const ranges = rangesOf(values)
    expect(found).toHaveLength(ranges.length)
    found.forEach((row, i) => {
      const [from = NaN, upper = NaN] = (ranges[i] ?? []).map((kilograms) => (kilograms * 9.806_65) / 1000)
      const isNear = (value: number, weight: number) => Math.abs(value / 1000 - weight) < within(row)
      expect([row.name, isNear(row.from, from), isNear(row.to, upper)]).toEqual([row.name, true, true])
    })
  })

  test('no row of table 1 is without it, and roofs weigh what their kg say', () => {
    const groups = new Set(unitWeights.filter(({ clause }) => clause === 'IS 875-1 table 1').map(({ group }) => group))
    expect([...groups].sort()).toEqual(Object.keys(isKilograms).sort())
    const roofs = areaWeights.filter(({ clause }) => clause.startsWith('IS'))
    rangesOf(isAreasKilograms).forEach(([from, upper], i) => {
      expect(Math.abs((roofs[i]?.from ?? NaN) - from * 9.806_65)).toBeLessThan(6)
      expect(Math.abs((roofs[i]?.to ?? NaN) - upper * 9.806_65)).toBeLessThan(6)
    })
  })
})

describe('weights against one another', () => {
  // the standards know the same materials: their ranges meet within a tenth, whatever their units
  test.each([
    ['normal weight concrete', 'concrete, plain, stone'],
    ['normal weight concrete', 'plain cement concrete, IS'],
    ['steel', 'steel, cold-drawn'],
    ['steel', 'steel, rolled'],
    ['aluminium', 'aluminium, ASCE'],
    ['copper', 'copper, ASCE'],
    ['lead', 'lead, ASCE'],
    ['glass, in sheets', 'glass'],
    ['slate', 'slate, ASCE'],
    ['slate', 'slate, IS'],
    ['fresh water', 'water, fresh'],
    ['fresh water', 'water, fresh, IS'],
    ['water, sea', 'water, salt'],
    ['gravel and sand, bulked', 'sand and gravel, wet'],
    ['cement, in bags', 'cement, portland, loose'],
    ['cement, in bags', 'cement, ordinary and aluminous'],
    ['wrought iron', 'iron, wrought, IS'],
    ['cast iron', 'iron, grey, cast'],
    ['granite, syenite, porphyry', 'granite, IS'],
    ['dense limestone', 'limestone, IS'],
    ['cement mortar', 'cement plaster'],
    ['brick, medium', 'common burnt clay bricks'],
    ['paraffin (kerosene)', 'petroleum, refined'],
  ])('%s and %s weigh alike', (first, second) => {
    const [one, other] = [rowOf(first), rowOf(second)]
    expect(one.from).toBeLessThan(1.1 * other.to)
    expect(other.from).toBeLessThan(1.1 * one.to)
  })

  // geometry: a wythe is 3/8 in. thinner than its name (common practice), and weighs its thickness times its density
  test('wythes of concrete masonry weigh what their thickness does', () => {
    const walls = areaWeights.filter(({ group }) => group.endsWith('concrete masonry'))
    for (const { name, to: weight } of walls) {
      const [, pounds = NaN, inches = NaN] = (/of (\d+) lb\/ft³, (\d+) in\./.exec(name) ?? []).map(Number)
      const solid = (pounds * (inches - 3 / 8)) / 12
      const part = weight / 47.880_26 / solid
      if (name.startsWith('solid')) expect([name, part > 0.98 && part < 1.05]).toEqual([name, true])
      // cores of hollow units are about half: less than solid without grout, grout is heavier than light units
      else if (name.endsWith('full grout')) expect([name, part > 0.92 && part < 1.16]).toEqual([name, true])
      else expect([name, part > 0.38 && part < 0.88]).toEqual([name, true])
    }
    expect(walls).toHaveLength(3 * (5 + 6 * 4) + 3 * 5)
  })

  test('closer grout is heavier, and so are denser units', () => {
    const spacings = ['no grout', 'grout at 48 in.', 'grout at 40 in.', 'grout at 32 in.', 'grout at 24 in.']
    const grouts = [...spacings, 'grout at 16 in.', 'full grout']
    for (const inches of [6, 8, 10, 12]) {
      const weight = (pounds: number, grout: string) =>
        to(`hollow masonry of ${pounds} lb/ft³, ${inches} in., ${grout}`)
      grouts.slice(1).forEach((grout, i) => {
        for (const pounds of [105, 125, 135])
          expect(weight(pounds, grout)).toBeGreaterThan(weight(pounds, grouts[i] ?? ''))
        expect(weight(125, grout)).toBeGreaterThan(weight(105, grout))
        expect(weight(135, grout)).toBeGreaterThan(weight(125, grout))
      })
    }
  })

  // a layer of a known thickness weighs about its density times that, in the same standard or another
  test.each([
    ['stone concrete, 1 in.', 'concrete, plain, stone', 1],
    ['sand, 1 in.', 'sand, clean and dry', 1],
    ['plywood, 1/8 in.', 'plywood, ASCE', 1 / 8],
    ['slate, 1 in.', 'slate, ASCE', 1],
    ['gypsum board, 1/8 in.', 'gypsum, wallboard', 1 / 8],
    ['clay brick wythe, 8 in.', 'brick, hard', 7.625],
    ['wood sheathing, 1 in.', 'pine, southern yellow', 1],
    ['insulation, polystyrene foam, 1 in.', 'expanded polystyrene, granules', 1],
  ])('%s against %s', (area, volume, inches) => {
    expect(Math.abs(to(area) / (to(volume) * inches * 0.0254) - 1)).toBeLessThan(0.3)
  })

  // common practice: 100 mm of concrete is 2.4 kN/m², and water floats softwood, oil and ice, and not concrete
  test('facts of the trade', () => {
    expect(0.1 * to('normal weight concrete')).toBeCloseTo(2400, 9)
    for (const floats of ['timber C24', 'oil, diesel', 'petrol (gasoline)', 'olive oil', 'ice, lumps', 'ice'])
      expect(to(floats)).toBeLessThan(9807)
    expect(to('steel') / to('reinforced concrete')).toBeCloseTo(3.14, 2)
    // CRC handbook: mercury is 13.6 times as heavy as water
    expect(to('mercury') / 9806.65).toBeCloseTo(13.6, 1)
  })
})
