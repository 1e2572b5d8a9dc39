import {
  placeExamples,
  stockExamples,
  typedExample,
  typedExampleNames,
  type TypedExample,
} from '../src/editing/examples'
import { readFreeGrid, readSpacings } from '../src/editing/gridText'
import { readOpenings } from '../src/editing/openingText'
import { readPlaces, readShiftText } from '../src/editing/placeText'
import { readRepeat } from '../src/editing/repeatText'
import { readSection } from '../src/editing/sectionText'
import { readSpacePlaces } from '../src/editing/spacePlaceText'
import { readSurfaceOpenings } from '../src/editing/surfaceOpeningText'
import { readUprightPlaces } from '../src/editing/uprightPlaceText'
import { documentOf, emptyDocument, recordsOf, seededRandom, type Document } from '../src/document/document'
import { readLayerTable } from '../src/exchange/layerTable'
import { readLoadTable } from '../src/exchange/loadTable'
import { readMemberTable } from '../src/exchange/memberTable'
import { tableExamples } from '../src/exchange/tableExamples'
import { readWallTable } from '../src/exchange/wallTable'
import { bayGrid } from '../src/generate/bayGrid'
import { readJoists } from '../src/generate/joists'
import { demoChanges } from '../src/generate/demo'
import { withEdits } from '../src/document/changes'
import { hallSentence } from '../src/generate/hallSentence'
import { readNewBuilding } from '../src/generate/newBuilding'
import { openingSentence, readOpeningSentence } from '../src/generate/openingSentence'
import { byValue } from '../src/queries/byValue'
import { stockMaterials } from '../src/standards/stock/materials'
import { deriveProject } from '../src/derivation/project'
import { Memo } from '../src/derivation/memo'
import { metricPoint, type NumberFormat } from '../src/units/format'
import { parseQuantity } from '../src/units/parseQuantity'
import { expectPage, markdownTable } from './writtenPage'

const demo = demoChanges.reduce((document, { edits }) => withEdits(document, edits), emptyDocument)
const grid = recordsOf(demo, 'gridLine')
const levels = new Map(recordsOf(demo, 'level').map(({ name, elevation }) => [name, elevation]))
const lines = new Map(grid.flatMap(({ axis, label, at }) => (axis === 'x' ? [[label, at] as const] : [])))
const formats: readonly NumberFormat[] = (['metric', 'us'] as const).flatMap((system) =>
  (['point', 'comma'] as const).map((decimal) => ({ system, decimal })),
)

type Read = { readonly ok: boolean } | { readonly problems: readonly unknown[] } | null

const readers: Readonly<Record<TypedExample, (text: string, format: NumberFormat) => Read>> = {
  move: readShiftText,
  repeat: (text, format) => readRepeat(text, demo, format),
  skewGridLine: (text, format) => readFreeGrid(text, { grid, format, random: Math.random }),
  gridAboutPoint: (text, format) => readFreeGrid(text, { grid, format, random: Math.random }),
  joists: readJoists,
  openings: readOpenings,
  surfaceOpenings: readSurfaceOpenings,
  layers: readLayerTable,
  byValue: (text, format) => byValue(deriveProject(new Memo(), demo), text, 'permanent/walls', format),
}

/** Forms of each input with examples on the demo's grid and levels; the page of docs/reference shows them. */
const forms: readonly {
  readonly title: string
  readonly about: string
  readonly read: (text: string) => Read
  readonly rows: readonly (readonly [example: string, meaning: string])[]
}[] = [
  {
    title: 'Values with units',
    about:
      'Without a unit, a value is in the unit of its field. Sums and products are calculated. Where the decimal sign is a comma, so is it in fields.',
    read: (text) => parseQuantity(text, /kN|psf/.test(text) ? 'pressure' : 'length', metricPoint),
    rows: [
      ['7.2', 'in the unit of the field'],
      ['7200 mm', 'with a unit'],
      ['23 ft 6 in', 'US units in any project'],
      ['3.15 - 0.45', 'a sum; it is kept beside the value'],
      ['3 * 2.4 m', 'a product'],
      ['50 psf', 'a pressure'],
    ],
  },
  {
    title: 'Points on a plan',
    about: 'In the line under the plan while drawing, and in tables. Several points are joined by “to”.',
    read: (text) => readPlaces(text, { grid, format: metricPoint, last: [1, 1] }),
    rows: [
      ['B2', 'intersection of two grid lines, in either order; also B/2'],
      ['B2 to C3', 'two points'],
      ['B2 + 1.5 m east', 'at a distance from an intersection'],
      ['7.2; 3.0', 'coordinates x; y'],
      ['4.2 m east', 'from the previous point: east, north, west, south'],
      ['3 m at 30°', 'from the previous point, anticlockwise from east'],
    ],
  },
  {
    title: 'Points in an elevation',
    about: 'A grid line or a distance, and a level or a height.',
    read: (text) => readUprightPlaces(text, { lines, levels, format: metricPoint, last: [1, 1] }),
    rows: [
      ['2 at Roof', 'grid line 2 at a level'],
      ['7.2 m at 3.5 m', 'by distance and height'],
      ['3.5 m up', 'from the previous point: up, down, left, right'],
    ],
  },
  {
    title: 'Points in 3D',
    about: 'A point of the plan, and a level or a height.',
    read: (text) => readSpacePlaces(text, { grid, levels, format: metricPoint, last: [1, 1, 1] }),
    rows: [
      ['B2 at Roof', 'intersection at a level'],
      ['B2 + 4.2 m east at 3.5 m', 'at a distance from an intersection, at a height'],
      ['3.5 m up', 'from the previous point'],
      ['C3', 'at the height of the previous point'],
    ],
  },
  {
    title: 'Grid lines',
    about: 'Skew and radial lines; spacings continue from the last line of their direction.',
    read: (text) =>
      /^[0-9]/.test(text)
        ? readSpacings(text, 'x', { grid, format: metricPoint, random: Math.random })
        : readFreeGrid(text, { grid, format: metricPoint, random: Math.random }),
    rows: [
      ['3 x 7.2, 6.0', 'spacings: three of 7.2 m, one of 6.0 m'],
      ['A1 to C4', 'one skew line through two points'],
      ['about A1: 8 lines every 45° from 0°', 'lines about a point'],
      ['about A1: rings at 6, 12 m', 'circles about a point'],
      ['about A1: 8 lines every 45° from 0°, rings at 6, 12 m', 'both'],
    ],
  },
  {
    title: 'Moving and repeating',
    about: 'Of selected elements.',
    read: (text) =>
      /^(every|levels)/.test(text) ? readRepeat(text, demo, metricPoint) : readShiftText(text, metricPoint),
    rows: [
      ['0.5 m east', 'a move'],
      ['1.2 m at 30°', 'a move in a direction'],
      ['every 3 m east, 4 times', 'copies on the same plan'],
      ['levels 1-2', 'copies on other levels'],
      ['levels 1-2 instead of what is there', 'copies that replace what those levels have'],
    ],
  },
  {
    title: 'Sections',
    about: 'A rolled section by its name, or a shape with its outer dimensions in millimetres.',
    read: (text) => readSection(text, metricPoint, Math.random),
    rows: [
      ['IPE 330', 'European I and H sections, channels, angles'],
      ['UB 457x191x67', 'UK sections'],
      ['W14x90', 'US sections'],
      ['rectangle 300 x 600', 'width x depth'],
      ['circle 400', 'diameter'],
      ['tube 200 x 100 x 8', 'width x depth x thickness'],
      ['pipe 219.1 x 8', 'diameter x thickness'],
    ],
  },
  {
    title: 'Openings',
    about: 'Of a wall run by count and size; of a pressure surface by size and position.',
    read: (text) => (text.includes(' at ') ? readSurfaceOpenings(text, metricPoint) : readOpenings(text, metricPoint)),
    rows: [
      ['12 of 1.2 x 1.5 m', 'twelve openings, width x height'],
      ['12 of 1.2 x 1.5 m; 1 of 0.9 x 2.1 m', 'of several sizes'],
      ['1.2 x 1.5 m at 2.0, 0.9', 'on a pressure surface: distance along it, height above its base'],
    ],
  },
  {
    title: 'Joists',
    about: 'Across the span of a panel.',
    read: (text) => readJoists(text, metricPoint),
    rows: [
      ['every 0.6 m', 'at this spacing'],
      ['at most 0.6 m', 'equal spacings, none above this'],
    ],
  },
  {
    title: 'Find by value',
    about: 'In Find (Ctrl K); forces and pressures are those of the load case shown.',
    read: (text) => byValue(deriveProject(new Memo(), demo), text, 'permanent/walls', metricPoint),
    rows: [
      ['walls above 6 kN/m', 'wall runs by their line load'],
      ['beams longer than 8 m', 'members by their length'],
      ['columns over 500 kN', 'columns by their force'],
    ],
  },
  {
    title: 'A building in one sentence',
    about: 'In an empty project; everything can be edited later.',
    read: (text) => readNewBuilding(text),
    rows: [
      [openingSentence, 'a frame: bays, storeys, beams, slab, use, standard'],
      [hallSentence, 'a hall: span, bays, eaves, pitch, frames, purlins'],
    ],
  },
]

test('docs/reference/input.md: every form of input, each example read', () => {
  const parts = forms.map(({ title, about, read, rows }) => {
    for (const [text] of rows) {
      const found = read(text)
      expect([text, found !== null && ('ok' in found ? found.ok : found.problems.length === 0)]).toEqual([text, true])
    }
    return [
      `## ${title}`,
      about,
      markdownTable(
        ['example', 'meaning'],
        rows.map(([text, meaning]) => [`\`${text}\``, meaning]),
      ),
    ].join('\n\n')
  })
  expectPage(
    'input',
    `${['# Input syntax', 'Written from checked examples (`HEDRION_WRITE=1 npm run unit -- examples`), on the grid and levels of the demo.', ...parts].join('\n\n')}\n`,
  )
})

describe('every example that a field shows is accepted as it stands', () => {
  test.each(formats)('what is typed in a line, $system with a $decimal', (format) => {
    for (const name of typedExampleNames) {
      const read = readers[name](typedExample(name, format), format)
      const taken = read !== null && ('ok' in read ? read.ok : read.problems.length === 0)
      expect([name, taken, taken ? null : read]).toEqual([name, true, null])
    }
  })

  test.each(formats)('positions in plan, elevation and space, $system with a $decimal', (format) => {
    const last = { plan: [1, 1], elevation: [1, 1], space: [1, 1, 1] } as const
    for (const [i, some] of placeExamples('plan', format).entries())
      for (const text of some)
        expect(readPlaces(text, { grid, format, last: i === 0 ? undefined : last.plan })).toMatchObject({ ok: true })
    for (const [i, some] of placeExamples('elevation', format).entries())
      for (const text of some)
        expect(
          readUprightPlaces(text, { lines, levels, format, last: i === 0 ? undefined : last.elevation }),
        ).toMatchObject({ ok: true })
    for (const [i, some] of placeExamples('space', format).entries())
      for (const text of some)
        expect(readSpacePlaces(text, { grid, levels, format, last: i === 0 ? undefined : last.space })).toMatchObject({
          ok: true,
        })
  })

  test('sections and materials', () => {
    for (const format of formats)
      for (const text of stockExamples.sections)
        expect(readSection(text, format, Math.random)).toMatchObject({ ok: true })
    const has = (words: string) => (name: string) =>
      words
        .toLowerCase()
        .split(' ')
        .every((word) => name.toLowerCase().includes(word))
    for (const text of stockExamples.materials)
      expect(stockMaterials.map(({ name }) => name).some(has(text))).toBe(true)
  })

  const built = (words: string): Document => {
    const read = readOpeningSentence(`2 x 6 m by 1 x 6 m, 2 storeys of 3 m, beams every 3 m, 150 mm concrete, ${words}`)
    if (!read.ok) throw new Error(read.problem)
    return documentOf(bayGrid(read.brief, 'Examples', seededRandom(4)))
  }
  const withoutGrid = (document: Document): Document =>
    documentOf([...document.records.values()].filter(({ kind }) => kind !== 'gridLine'))

  test.each([
    ['demo', demo],
    ['a new building', built('offices')],
    ['one without a grid', withoutGrid(built('flats'))],
  ])('rows of tables: %s', (_, document) => {
    for (const format of formats)
      for (const layout of recordsOf(document, 'layout')) {
        const ground = { document, layout, format, random: Math.random, uses: [] }
        const { members, loads, walls } = tableExamples(ground)
        const readMembers = readMemberTable(members, ground)
        expect([members, readMembers.problems]).toEqual([members, []])
        expect(readMembers.members).toHaveLength(1)
        expect([loads, readLoadTable(loads, ground).problems]).toEqual([loads, []])
        expect([walls, readWallTable(walls, ground).problems]).toEqual([walls, []])
      }
  })
})
