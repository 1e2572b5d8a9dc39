// Every link between documents leads to a file, every picture is linked, and every npm script that a document names exists.
import fs from 'node:fs'
import path from 'node:path'
import { root } from './lib/console.mjs'

const markdown = (folder) =>
  fs.readdirSync(path.join(root, folder), { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(folder, entry.name)
    if (entry.isDirectory()) return folder === '.' && entry.name !== 'docs' ? [] : markdown(file)
    return entry.name.endsWith('.md') ? [file] : []
  })

const problems = []
const linked = new Set()
for (const file of markdown('.')) {
  const text = fs.readFileSync(path.join(root, file), 'utf8')
  for (const [, target] of text.matchAll(/\]\(([^)#]+)[^)]*\)/g)) {
    if (/^[a-z]+:/.test(target)) continue
    const to = path.join(path.dirname(file), target)
    linked.add(path.normalize(to))
    if (!fs.existsSync(path.join(root, to))) problems.push(`${file} links to ${target}, which is not there.`)
  }
}
const pictures = fs.readdirSync(path.join(root, 'docs/screenshots')).map((name) => path.join('docs/screenshots', name))
for (const picture of pictures) if (!linked.has(picture)) problems.push(`No document links to ${picture}.`)

const { scripts } = JSON.parse(fs.readFileSync(path.join(root, 'package.json'), 'utf8'))
for (const file of markdown('.'))
  for (const [, name] of fs.readFileSync(path.join(root, file), 'utf8').matchAll(/npm run ([a-z0-9:]+)/g))
    if (!(name in scripts)) problems.push(`${file} names npm run ${name}, which is not there.`)

for (const problem of problems) console.error(problem)
if (problems.length === 0) console.log('documents complete')
process.exitCode = problems.length > 0 ? 1 : 0
