import { csvParse } from 'd3-dsv'
import { seededRandom, type Document } from '../document/document'
import { withEdits } from '../document/changes'
import { nationalSetEdits, ownLayerName, ownValueEdits } from '../editing/ownLayer'
import { familyOf, shippedSets } from '../standards/families'
import { Building } from '../../test/build'
import { csvFiles } from './csv'
import { resultsJson } from './results'
import { replacedRows } from './replacedValues'
import { Memo } from '../derivation/memo'
import { deriveProject } from '../derivation/project'

const random = seededRandom(4)
const stateOf = (document: Document) => deriveProject(new Memo(), document)
const bare = () => new Building().document

function german(): Document {
  const [set] = shippedSets.EN
  if (!set) throw new Error('no set')
  const document = bare()
  return withEdits(document, nationalSetEdits(document, set, random))
}

test('a family by itself replaces nothing', () => {
  expect(replacedRows(stateOf(bare()).standard)).toEqual([])
})

test('an own value is listed with what stood there before, in every layer, and is gone when it is taken back', () => {
  const document = german()
  const own = withEdits(document, ownValueEdits(document, 'imposed.q_k.B1', 2500, random))
  const state = stateOf(own)
  const find = (key: string) => replacedRows(state.standard).find((row) => row.key === key)
  expect(find('basis.gamma_Q')).toBeUndefined()
  // uses are still those of the set alone
  expect(find('A1')).toMatchObject({ kind: 'use', layer: shippedSets.EN[0]?.name })
  // B1 is a use of the national set: the project replaces its 2.0 kN/m²
  expect(find('imposed.q_k.B1')).toMatchObject({
    kind: 'value',
    quantity: 'pressure',
    value: 2500,
    replaced: [2000],
    layer: ownLayerName,
  })
  const [file] = csvFiles(state, 'overriddenValues')
  expect(csvParse(file?.text ?? '').find(({ key }) => key === 'imposed.q_k.B1')).toMatchObject({
    value: '2.5',
    unit: 'kN/m²',
    replaces: '2',
    'value set': ownLayerName,
  })
  const back = withEdits(own, ownValueEdits(own, 'imposed.q_k.B1', null, random))
  expect(replacedRows(stateOf(back).standard)).toEqual(replacedRows(stateOf(document).standard))
})

test('all that a national set changes is listed: values, tables, methods, uses taken away and added, each by its name', () => {
  const [set] = shippedSets.EN
  const family = familyOf('EN')
  const rows = replacedRows(stateOf(german()).standard)
  const keys = (kind: string) => rows.filter((row) => row.kind === kind).map(({ key }) => key)
  const differ = Object.entries(set?.values ?? {}).filter(([key, { value }]) => {
    const before = family.recommended.values[key]
    return before !== undefined && before.value !== value
  })
  expect(differ.length).toBeGreaterThan(10)
  expect(keys('value').sort()).toEqual(differ.map(([key]) => key).sort())
  expect(keys('table').sort()).toEqual(Object.keys(set?.tables ?? {}).sort())
  expect(keys('method').sort()).toEqual(
    Object.keys(set?.methods ?? {})
      .filter((key) => set?.methods[key] !== family.recommended.methods[key])
      .sort(),
  )
  // a use that is called as before is the same
  const otherwise = Object.entries(set?.uses ?? {}).filter(([id, use]) => use?.name !== family.uses[id]?.name)
  expect(new Set(keys('use'))).toEqual(new Set(otherwise.map(([id]) => id)))
  for (const { layer } of rows) expect(layer).toBe(set?.name)
  // the results file has the same rows
  expect(resultsJson(stateOf(german()), 'overriddenValues')).toMatchObject({ overriddenValues: rows })
})
