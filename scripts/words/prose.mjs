// The prose of a document: its paragraphs, list entries, headings and cells, without code, links' targets and comments. Tables of
// docs/reference are written from code, which is read itself: codes, names of checks and examples of tests are not held to words.
import fs from 'node:fs'
import path from 'node:path'

export function prose(root, file) {
  let code = false
  const isWritten = file.startsWith('docs/reference/')
  return fs
    .readFileSync(path.join(root, file), 'utf8')
    .split('\n')
    .flatMap((line, i) => {
      if (/^\s*```/.test(line)) code = !code
      if (code || /^\s*```/.test(line) || /^ {4}/.test(line) || (isWritten && line.startsWith('|'))) return []
      const text = line
        .replace(/`[^`]*`/g, '')
        .replace(/\]\([^)]*\)/g, ']')
        .replace(/<!--.*?-->/g, '')
        .replace(/[|]/g, ' · ')
        .replace(/[*_#>[\]]/g, ' ')
        .replace(/\s+/g, ' ')
        .trim()
      return /[A-Za-z]/.test(text) ? [{ file, line: i + 1, text }] : []
    })
}
