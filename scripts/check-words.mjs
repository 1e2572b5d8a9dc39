// Every text that a person may read, in the sources and documents, held to the words of the trade (docs/language.md).
//   --list   prints the texts instead
import { execFileSync } from 'node:child_process'
import fs from 'node:fs'
import path from 'node:path'
import { root } from './lib/console.mjs'
import { banned, capitals, exceptions } from './words/banned.mjs'
import { prose } from './words/prose.mjs'
import { readSource } from './words/readSource.mjs'

const git = (...patterns) =>
  execFileSync('git', ['ls-files', ...patterns], { cwd: root, encoding: 'utf8' })
    .split('\n')
    .filter(Boolean)
const sources = git('packages/*/src/*.ts', 'packages/*/src/*.tsx', 'apps/*/src/*.ts', 'apps/*/src/*.tsx').filter(
  (file) => !/\.test\.|\/testing\//.test(file) && fs.existsSync(path.join(root, file)),
)
// what was decided stays as it was written
const documents = git('*.md').filter((file) => !file.startsWith('docs/decisions/'))

const read = sources.map((file) => readSource(root, file))
const texts = [...read.flatMap((source) => source.texts), ...documents.flatMap((file) => prose(root, file))]
if (process.argv.includes('--list')) {
  for (const { file, line, text } of texts) console.log(`${file}:${line} ${text}`)
  process.exit()
}

const used = new Set()
const excused = (text) => exceptions.some(([part], i) => text.includes(part) && used.add(i))
const problems = texts.flatMap(({ file, line, text }) =>
  banned.flatMap(([pattern, instead]) => {
    const found = pattern.exec(text)
    return found && !excused(text) ? [`${file}:${line} “${found[0].trim()}” (${instead}): ${text}`] : []
  }),
)
const isSource = (file) => /^(?:apps|packages)\//.test(file) && !file.endsWith('ui/tokens.ts')
for (const { file, line, text } of texts.filter(({ file: of }) => isSource(of)))
  for (const [word] of text.matchAll(/(?<=[\p{Ll}\d,;)/] )[A-Z][a-z]{2,}/gu))
    if (!capitals.has(word)) problems.push(`${file}:${line} “${word}” is not sentence case: ${text}`)
// a family may say these otherwise: see `inWordsOf`; names of kinds (useEdit.ts) are said so where they are shown
const ofFamilies =
  /\b(?:storeys?|centres?|(?:milli|centi|kilo)?metres?|(?:un)?favourable|neighbours?|colours?|aluminium|imposed|permanent)\b/i
for (const { file, line, text, worded } of texts)
  if (!worded && /^apps\/web\/src\/(?!compute\/useEdit)/.test(file) && ofFamilies.test(text) && !/^\w+\.$/.test(text))
    problems.push(`${file}:${line} is not in the words of the family in use (inWords): ${text}`)
for (const { file, line, name, label } of read.flatMap(({ apart }) => apart))
  problems.push(`${file}:${line} the accessible name “${name}” does not contain the label “${label}”`)
exceptions.forEach(([part, reason], i) => {
  if (!used.has(i)) problems.push(`no text has “${part}” any more, which was excepted as ${reason}`)
})

for (const problem of problems) console.error(problem)
console.log(
  problems.length === 0 ? `${texts.length} texts in the words of the trade` : `${problems.length} texts to mend`,
)
process.exitCode = problems.length > 0 ? 1 : 0
