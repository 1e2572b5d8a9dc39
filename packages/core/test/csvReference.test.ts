import { deriveProject } from '../src/derivation/project'
import { Memo } from '../src/derivation/memo'
import { withEdits } from '../src/document/changes'
import { emptyDocument } from '../src/document/document'
import { csvFiles } from '../src/exchange/csv'
import { demoChanges } from '../src/generate/demo'
import { expectPage, markdownTable } from './writtenPage'

const demo = demoChanges.reduce((document, { edits }) => withEdits(document, edits), emptyDocument)

/** What stands in each file. */
const contents: Readonly<Record<string, string>> = {
  cases: 'Load cases with their totals: applied, on members, at supports, not carried.',
  memberLoads: 'Line and point loads on members, by case.',
  memberTorsion: 'Torsional moments on members, by case.',
  reactions: 'Reactions at the base and end reactions of members, by case.',
  reductions: 'Imposed load of columns with and without reduction.',
  storeyForces: 'Horizontal forces of each level, by case.',
  lateralElements: 'What each lateral element takes of the storey shear, by case.',
  thrusts: 'Horizontal thrust of raking columns at each level, by case.',
  horizontalMemberLoads: 'Horizontal loads on members, by case.',
  barriers: 'Horizontal loads on barriers.',
  combinations: 'Factors of each case in each listed combination.',
  envelopes: 'Maximum and minimum of each effect, with the governing combination.',
}

test('docs/reference/csv.md lists the columns of every file', () => {
  const files = csvFiles(deriveProject(new Memo(), demo), null)
  const parts = files.map(({ name, text }) => {
    const stage = name.replace('.csv', '')
    const [headings = ''] = text.split(/\r?\n/)
    const columns = headings.split(',').map((heading) => {
      const [, column = heading, unit = ''] = /^(.*) \[(.+)\]$/.exec(heading.replaceAll('"', '')) ?? []
      return [column, unit]
    })
    return [`## ${name}`, contents[stage] ?? '', markdownTable(['column', 'unit'], columns)]
      .filter(Boolean)
      .join('\n\n')
  })
  expectPage(
    'csv',
    `${['# CSV files', 'Written from the code (`HEDRION_WRITE=1 npm run unit -- csvReference`). Units are in the headings and are SI or multiples of it, whatever the project shows; the decimal sign is a point. A column of one case each is named by the case. The [JSON results](../../README.md#command-line) have the same stages; `hedrion schema results` prints their schema.', ...parts].join('\n\n')}\n`,
  )
})
