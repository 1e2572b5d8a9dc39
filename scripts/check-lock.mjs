// Every optional platform package that the lockfile names must have an entry with a version, else `npm ci` fails on
// other machines; and the lockfile must hold no address.
import fs from 'node:fs'
import path from 'node:path'
import { root } from './lib/console.mjs'

const text = fs.readFileSync(path.join(root, 'package-lock.json'), 'utf8')
const packages = JSON.parse(text).packages

function isLocked(from, name) {
  for (let dir = from; ; dir = dir.includes('/node_modules/') ? dir.slice(0, dir.lastIndexOf('/node_modules/')) : '') {
    if (packages[`${dir ? `${dir}/` : ''}node_modules/${name}`]?.version) return true
    if (!dir) return false
  }
}

const missing = Object.entries(packages).flatMap(([from, { optionalDependencies = {} }]) =>
  Object.entries(optionalDependencies)
    .filter(([name]) => !isLocked(from, name))
    .map(([name, range]) => `${from || 'the root'} wants ${name}@${range}, which is not locked`),
)
const problems = [...missing, ...(/"resolved": "https?:/.test(text) ? ['the lockfile holds addresses'] : [])]
console.log(problems.length > 0 ? problems.join('\n') : 'lockfile complete')
process.exitCode = problems.length > 0 ? 1 : 0
