import fs from 'node:fs'
import path from 'node:path'
import { Building } from '../../test/build'
import { changedResults, changedSince, resultsEdition } from './changedResults'

test('the change log names each of them, edition by edition, in the same words', () => {
  const log = fs.readFileSync(path.join(__dirname, '../../../../CHANGELOG.md'), 'utf8')
  const [, section = ''] = /## Changed results\n(.*?)\n## /s.exec(log) ?? []
  const listed = section.split(/^Edition (\d+)$/m).slice(1)
  const lines = listed.flatMap((text, i) =>
    i % 2 === 0
      ? []
      : text
          .replace(/\n {2}/g, ' ')
          .split('\n')
          .filter((line) => line.startsWith('- '))
          .map((line) => `${listed[i - 1] ?? ''} ${line.slice(2)}`),
  )
  expect(lines).toEqual(changedResults.map(({ edition, clause, words }) => `${edition} ${clause}: ${words}`))
})

test('a project hears of what bears on its records and came after the edition it knows', () => {
  const building = new Building()
  expect(changedSince(building.document, 0)).toEqual([])
  const layout = building.layout('L')
  building.wall(layout, [
    [0, 0],
    [1, 0],
  ])
  expect(changedSince(building.document, 0).map(({ words }) => words)).toEqual([
    'Path segments of 10 mm or less count in the weight of walls and in line loads.',
  ])
  expect(changedSince(building.document, resultsEdition)).toEqual([])
})
