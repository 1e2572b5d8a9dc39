import fs from 'node:fs'
import path from 'node:path'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { recordsOf } from '../src/document/document'
import { readProjectFile } from '../src/exchange/projectFile'
import { ask } from '../src/queries/derive'

// Files of earlier days are never changed: a field that came later is given its default.
test('a file of format 1 as it was first written is read, and loads what it loaded', () => {
  const file = fs.readFileSync(path.join(__dirname, 'fixtures/project-1.json'), 'utf8')
  expect(file).not.toContain('"source"')
  const read = readProjectFile(file)
  if (!read.ok) throw new Error(read.problems[0].problem)
  expect(recordsOf(read.document, 'material').map(({ source }) => source)).toEqual(['', ''])
  const balance = ask(deriveProject(new Memo(), read.document), { kind: 'balance', caseId: 'imposed/C' })
  // hand: 2 · ((388.8 − 9 − 43.2) m² · 3.0 + 25.92 m² · 5.0) = 2278.8 kN
  expect(balance?.applied).toBeCloseTo(2_278_800, 3)
  expect(balance?.atSupports).toBeCloseTo(2_278_800, 3)
})
