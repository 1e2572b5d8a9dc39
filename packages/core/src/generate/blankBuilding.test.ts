import { blankBasis } from '../document/blanks'
import { withEdits } from '../document/changes'
import { documentOf, recordsOf, seededRandom } from '../document/document'
import { deriveProject } from '../derivation/project'
import { Memo } from '../derivation/memo'
import { concernsOf } from '../concerns/concernsOf'
import { blankStartEdits, type BlankStart } from './blankBuilding'

const random = seededRandom(5)
const basis = { ...blankBasis('New', random), family: 'ASCE' as const, units: 'us' as const }
const started = (start: BlankStart) =>
  withEdits(documentOf([basis]), blankStartEdits(documentOf([basis]), start, random))

test('levels at the sums of their storeys, a grid at the sums of its spacings, layouts for floors and roof; nothing is drawn', () => {
  const document = started({ east: [7, 7, 6], north: [5], heights: [4, 3, 3] })
  expect(
    [...recordsOf(document, 'level')]
      .sort((a, b) => a.elevation - b.elevation)
      .map(({ name, elevation }) => [name, elevation]),
  ).toEqual([
    ['Base', 0],
    ['1', 4],
    ['2', 7],
    ['Roof', 10],
  ])
  expect(
    [...recordsOf(document, 'gridLine')]
      .sort((a, b) => a.axis.localeCompare(b.axis) || a.at - b.at)
      .map(({ axis, label, at }) => [axis, label, at]),
  ).toEqual([
    ['x', '1', 0],
    ['x', '2', 7],
    ['x', '3', 14],
    ['x', '4', 20],
    ['y', 'A', 0],
    ['y', 'B', 5],
  ])
  expect(
    recordsOf(document, 'layout')
      .map(({ name }) => name)
      .sort(),
  ).toEqual(['Floors', 'Roof'])
  expect([...recordsOf(document, 'member'), ...recordsOf(document, 'panel')]).toEqual([])
  // the project keeps its basis, and sections and materials are those of its family
  expect(recordsOf(document, 'basis')).toEqual([basis])
  expect(recordsOf(document, 'section').map(({ name }) => name.charAt(0))).toEqual(['W', 'W', 'W'])
})

test('without a grid there is none, and neither start asks for anything before something is drawn', () => {
  const document = started({ east: [], north: [], heights: [3.5] })
  expect(recordsOf(document, 'gridLine')).toEqual([])
  expect(recordsOf(document, 'layout').map(({ name }) => name)).toEqual(['Roof'])
  expect(concernsOf(deriveProject(new Memo(), document))).toEqual([])
})
