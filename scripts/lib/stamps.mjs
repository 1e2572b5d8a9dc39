// Stamps say from what content something was made, so that it is made again only when that content changed.
import { createHash } from 'node:crypto'
import fs from 'node:fs'
import path from 'node:path'
import { root } from './console.mjs'

export function digestOf(files) {
  const hash = createHash('sha256')
  for (const file of files) {
    hash.update(`${path.relative(root, file)}\0`)
    hash.update(fs.readFileSync(file))
  }
  return hash.digest('hex')
}

const left = ['node_modules', 'dist', 'coverage', '.git', '.cache']

/** Every file below a folder that goes into a build, in a fixed order. */
export function sourcesBelow(dir) {
  return fs
    .readdirSync(dir, { withFileTypes: true })
    .filter(({ name }) => !left.includes(name) && !/\.(test|spec)\.tsx?$/.test(name))
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      const file = path.join(dir, entry.name)
      return entry.isDirectory() ? sourcesBelow(file) : [file]
    })
}

export const stampIs = (file, wanted) => {
  try {
    return fs.readFileSync(file, 'utf8') === wanted
  } catch {
    return false
  }
}

export function writeStamp(file, value) {
  fs.mkdirSync(path.dirname(file), { recursive: true })
  fs.writeFileSync(file, value)
}
