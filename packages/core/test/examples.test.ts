import {
  placeExamples,
  stockExamples,
  typedExample,
  typedExampleNames,
  type TypedExample,
} from '../src/editing/examples'
import { readFreeGrid } from '../src/editing/gridText'
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
import { readOpeningSentence } from '../src/generate/openingSentence'
import { byValue } from '../src/queries/byValue'
import { stockMaterials } from '../src/standards/stock/materials'
import { deriveProject } from '../src/derivation/project'
import { Memo } from '../src/derivation/memo'
import type { NumberFormat } from '../src/units/format'

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
