import fc from 'fast-check'
import { holds } from '../../test/holds'
import { documentOf, recordsOf, seededRandom } from '../document/document'
import { invariantProblems } from '../document/invariants'
import { regionArea } from '../geometry/polygon'
import { gridLetter } from '../document/labels'
import { bayGrid } from './bayGrid'
import { readOpeningSentence, type BuildingBrief } from './openingSentence'
import { rolledSection } from '../editing/sectionText'
import { assumedBeam, assumedOf, concrete, steel } from './stock'

const briefOf = (text: string): BuildingBrief => {
  const read = readOpeningSentence(text)
  if (!read.ok) throw new Error(read.problem)
  return read.brief
}

describe('the opening sentence', () => {
  test('reads bays, storeys, spacing, slab and use, in the units that are written', () => {
    expect(briefOf('2 × 24 ft by 3 x 6.5 m, 5 storeys of 3.3 m, beams every 60 cm, 100 mm concrete, flats')).toEqual({
      baysX: 2,
      spanX: expect.closeTo(7.3152, 9),
      baysY: 3,
      spanY: 6.5,
      storeys: 5,
      storeyHeight: 3.3,
      beamSpacing: 0.6,
      slab: 0.1,
      sort: 'homes',
      family: 'EN',
      set: null,
      // as soon as one of them is in metres
      units: 'metric',
    })
    expect(
      briefOf('3 x 30 ft by 2 x 25 ft, 3 storeys of 13 ft, beams every 10 ft, 5 in concrete, offices, ASCE 7'),
    ).toMatchObject({ units: 'us', family: 'ASCE', spanX: expect.closeTo(9.144, 9), slab: expect.closeTo(0.127, 9) })
    expect(briefOf('1 x 9 m by 1 x 9 m, 1 story of 4 m, beams every 3 m, 0.2 m of concrete, car park').sort).toBe(
      'cars',
    )
  })

  test.each([
    ['50 x 7 m by 2 x 6 m, 3 storeys of 3 m, beams every 2 m, 150 mm concrete, offices', /1 to 40 bays/],
    ['3 x 70 m by 2 x 6 m, 3 storeys of 3 m, beams every 2 m, 150 mm concrete, offices', /A bay must be 1 to 30 m\./],
    ['3 x 7 m by 2 x 6 m, 300 storeys of 3 m, beams every 2 m, 150 mm concrete, offices', /1 to 100 storeys/],
    [
      '3 x 7 m by 2 x 6 m, 3 storeys of 3 m, beams every 9 m, 150 mm concrete, offices',
      /The beam spacing must be 0\.5 m to the bay width\./,
    ],
    [
      '3 x 7 m by 2 x 6 m, 3 storeys of 3 m, beams every 2 m, 5 m concrete, offices',
      /The slab must be 50 mm to 1 m thick\./,
    ],
    ['3 x 7 kg by 2 x 6 m, 3 storeys of 3 m, beams every 2 m, 150 mm concrete, offices', /A bay must be 1 to 30 m\./],
    [
      '3 x 7 m by 2 x 6 m, 3 storeys of 3 m, beams every 2 m, 150 mm concrete, zoo',
      /Give the use of the floors: offices, homes, classrooms, shops, storage,/,
    ],
    ['3 x 7 m by 2 x 6 m, 3 storeys of 3 m, beams every 2 m, offices', /150 mm concrete/],
    [
      '3 x 7 m by 2 x 6 m, 3 storeys of 3 m, 150 mm concrete, offices',
      /Enter the beam spacing like “beams every 3 m”\./,
    ],
  ])('%s', (text, problem) => {
    const read = readOpeningSentence(text)
    expect(read.ok ? 'read' : read.problem).toMatch(problem)
  })
})

describe('every word is read, or named as not understood', () => {
  const frame = '3 x 7 m by 2 x 6 m, 3 storeys of 3 m, beams every 2 m, 150 mm concrete'
  test.each([
    [`${frame}, offices, ASCE 7-22`, 'ASCE', 'ASCE 7-22'],
    [`${frame}, offices, ASCE 7-16`, 'ASCE', null],
    [`${frame}, offices, ASCE 7`, 'ASCE', null],
    [`${frame}, offices, ASCE`, 'ASCE', null],
    [`${frame}, offices, British Standards`, 'BS', null],
    [`${frame}, offices, BS 6399-1`, 'BS', null],
    [`${frame}, offices to IS 875`, 'IS', null],
    [`${frame}, offices, Indian Standards`, 'IS', null],
    [`${frame}, offices, EN Germany`, 'EN', 'Germany'],
    [`${frame}, offices, DIN EN 1991-1-1`, 'EN', 'Germany'],
    [`${frame}, offices, Eurocodes, recommended values`, 'EN', null],
    [`A building of ${frame} slab, for offices.`, 'EN', null],
    [`${frame.replace('beams', 'steel beams')}, offices`, 'EN', null],
  ] as const)('%s', (text, family, set) => expect(briefOf(text)).toMatchObject({ family, set }))

  test('the family of the project holds where the sentence names none', () => {
    const read = readOpeningSentence(`${frame}, offices`, 'BS')
    expect(read.ok && read.brief.family).toBe('BS')
  })

  test.each([
    [frame.replace('beams', 'concrete beams') + ', offices', '“concrete”'],
    [frame.replace('beams', 'timber beams') + ', offices', '“timber”'],
    [`${frame}, offices, snow of 0.75 kN/m2`, '“snow” and “0” and “75 kN/m2”'],
    [`${frame}, offices and shops`, '“shops”'],
    [`${frame}, offices, ASCE 7-98`, '“7-98”'],
    [`${frame}, offices, BS Germany`, '“Germany”'],
    [`${frame}, offices, two basements`, '“two basements”'],
    [`${frame}, offices, 200 mm brick`, '“200 mm brick”'],
  ])('%s', (text, words) => {
    const read = readOpeningSentence(text)
    expect(read.ok ? 'read' : read.problem).toContain('not understood')
    expect(read.ok ? 'read' : read.problem).toContain(words)
  })

  test('law: a word that is put anywhere between the parts is named', () => {
    const parts = frame.split(', ')
    holds(
      fc.property(fc.stringMatching(/^[bcdfgjklmnpqrtvwz]{5,9}$/), fc.nat({ max: parts.length }), (word, at) => {
        const text = [...parts.slice(0, at), word, ...parts.slice(at), 'offices'].join(', ')
        const read = readOpeningSentence(text)
        expect(read.ok ? 'read' : read.problem).toContain(`“${word}” is not understood`)
      }),
    )
  })
})

describe('the building that follows', () => {
  const briefs = fc.record<BuildingBrief>({
    baysX: fc.integer({ min: 1, max: 4 }),
    spanX: fc.integer({ min: 30, max: 90 }).map((d) => d / 10),
    baysY: fc.integer({ min: 1, max: 4 }),
    spanY: fc.integer({ min: 30, max: 90 }).map((d) => d / 10),
    storeys: fc.integer({ min: 1, max: 6 }),
    storeyHeight: fc.constant(3.5),
    beamSpacing: fc.integer({ min: 10, max: 30 }).map((d) => d / 10),
    slab: fc.constant(0.15),
    sort: fc.constant('offices'),
    family: fc.constant('EN'),
    set: fc.constant(null),
    units: fc.constant('metric'),
  })

  test('is legal, covered by panels once, with columns at every crossing and beams no wider apart than said', () => {
    holds(
      fc.property(briefs, (brief) => {
        const document = documentOf(bayGrid(brief, 'x', seededRandom(3)))
        expect(invariantProblems(document)).toEqual([])
        const { baysX, baysY, spanX, spanY, storeys } = brief
        const layouts = storeys > 1 ? 2 : 1
        expect(recordsOf(document, 'layout')).toHaveLength(layouts)
        const area = recordsOf(document, 'panel').reduce((sum, { outline }) => sum + regionArea([outline]), 0)
        expect(area).toBeCloseTo(layouts * baysX * baysY * spanX * spanY, 6)
        const members = recordsOf(document, 'member')
        expect(members.filter(({ role }) => role === 'column')).toHaveLength(layouts * (baysX + 1) * (baysY + 1))
        const rows = [
          ...new Set(members.filter(({ role }) => role === 'beam').map(({ path }) => path[0]?.[1] ?? 0)),
        ].sort((a, b) => a - b)
        rows.slice(1).forEach((y, i) => expect(y - (rows[i] ?? 0)).toBeLessThanOrEqual(brief.beamSpacing + 1e-9))
        expect(recordsOf(document, 'section').every(({ assumed }) => assumed)).toBe(true)
      }),
      { numRuns: 40 },
    )
  })

  test('grid letters leave out I and O, and go on after Z', () => {
    expect(Array.from({ length: 26 }, (_, i) => gridLetter(i)).join('')).toBe('ABCDEFGHJKLMNPQRSTUVWXYZA1B1')
  })
})

describe('stock (from memory: EN 10365, EN 1991-1-1 annex A)', () => {
  test.each([
    // mass per metre as section tables print it, at 7850 kg/m³
    ['IPE 240', 30.7],
    ['IPE 300', 42.2],
    ['IPE 360', 57.1],
    ['IPE 400', 66.3],
    ['IPE 450', 77.6],
    ['IPE 500', 90.7],
    ['IPE 600', 122],
    ['HEB 200', 61.3],
    ['HEB 240', 83.2],
    ['HEB 300', 117],
  ] as const)('%s weighs %d kg/m', (name, mass) => {
    expect(Math.abs(rolledSection(name, seededRandom(1), false).area * 7850 - mass)).toBeLessThan(0.006 * mass)
  })

  test('steel 78.5 kN/m³ and 210 GPa; concrete 24 kN/m³', () => {
    expect(steel('EN', seededRandom(1))).toMatchObject({ unitWeight: 78_500, elasticModulus: 210e9 })
    expect(concrete('EN', seededRandom(1)).unitWeight).toBe(24_000)
    // ASCE 7-16 table C3.1-2: 492 and 150 lb/ft³, of 157.0875 N/m³ each (NIST SP 811); IS 875-1 table 1: 77 and 24.8 kN/m³
    expect(steel('ASCE', seededRandom(1)).unitWeight).toBeCloseTo(492 * 157.0875, 0)
    expect(concrete('ASCE', seededRandom(1)).unitWeight).toBeCloseTo(150 * 157.0875, 0)
    expect([steel('IS', seededRandom(1)), concrete('IS', seededRandom(1))].map(({ unitWeight }) => unitWeight)).toEqual(
      [77_000, 24_800],
    )
  })

  test('common practice: a first guess of a beam is a twentieth of its span deep', () => {
    expect(assumedBeam(7.2, 'EN', seededRandom(1)).name).toBe('IPE 360')
    expect(assumedBeam(20, 'EN', seededRandom(1)).name).toBe('IPE 600')
    // 28 ft is 336 in, a twentieth of it 16.8 in; 25 ft of 300 in is 15 in, which no 14 in shape has
    expect(assumedBeam(28 * 0.3048, 'ASCE', seededRandom(1)).name).toBe('W18x50')
    expect(assumedBeam(25 * 0.3048, 'ASCE', seededRandom(1)).name).toBe('W16x36')
    expect(assumedBeam(9, 'BS', seededRandom(1)).name).toBe('UB 457x191x67')
    for (const family of ['EN', 'ASCE', 'IS', 'BS'] as const)
      for (const what of ['columns', 'hallColumns', 'purlins'] as const) {
        const [light, heavy] = [false, true].map((isHeavy) => assumedOf(what, isHeavy, family, seededRandom(1)))
        expect([what, family, light?.assumed, (heavy?.area ?? 0) > (light?.area ?? 0)]).toEqual([
          what,
          family,
          true,
          true,
        ])
      }
  })
})
