import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { setsOf } from '../src/derivation/structures'
import { withEdits } from '../src/document/changes'
import type { Document } from '../src/document/document'
import { envelopeRows } from '../src/exchange/results'
import { ask } from '../src/queries/derive'
import { Building } from './build'

test('two columns C5 of two layouts on one level: lists and files name each with its layout, other rows have the label alone', () => {
  const building = new Building()
  building.level('Base', 0)
  const [first, second] = [building.level('1', 3), building.level('2', 6)]
  const [lower, upper] = [building.layout('Lower', null, first), building.layout('Upper', null, second)]
  building.column(lower, [0, 0], { label: 'C5' })
  building.column(lower, [6, 0], { label: 'C6' })
  building.beam(lower, [0, 0], [6, 0])
  // passes down beside the columns of the lower floor
  building.column(upper, [0, 4], { label: 'C5' })
  const state = building.state()
  const names = ['C5 (Lower)', 'C5 (Upper)', 'C6']
  const [set] = setsOf(state)
  const view = ask(state, { kind: 'envelopes', set: set?.id ?? '', effects: 'reaction' })
  expect(view?.map(({ label }) => label).sort()).toEqual(names)
  expect(
    [...new Set(envelopeRows(state).flatMap((row) => (row.effect === 'reaction' ? [row.label] : [])))].sort(),
  ).toEqual(names)
  const onFirst = envelopeRows(state).flatMap(({ level, label }) => (level === '1' ? [label] : []))
  expect(new Set(onFirst)).toEqual(new Set(['B1', ...names]))
})

test('a label that changes alone is heard of by what was derived before', () => {
  const building = new Building()
  building.level('Base', 0)
  const [first, second] = [building.level('1', 3), building.level('2', 6)]
  const [lower, upper] = [building.layout('Lower', null, first), building.layout('Upper', null, second)]
  building.column(lower, [0, 0], { label: 'C5' })
  const above = building.column(upper, [0, 4], { label: 'C6' })
  const memo = new Memo()
  const labels = (document: Document) =>
    [...new Set(envelopeRows(deriveProject(memo, document)).map(({ label }) => label))].sort()
  expect(labels(building.document)).toEqual(['C5', 'C6'])
  const renamed = withEdits(building.document, [{ id: above.id, before: above, after: { ...above, label: 'C5' } }])
  // beside it on the first level, alone on the second
  expect(labels(renamed)).toEqual(['C5', 'C5 (Lower)', 'C5 (Upper)'])
})
