import fs from 'node:fs'
import path from 'node:path'

const folder = path.join(__dirname, '../../../docs/reference')

/** A page of docs/reference that is made of code: as it stands in the repository, or written anew where HEDRION_WRITE is set. */
export function expectPage(name: string, text: string): void {
  const file = path.join(folder, `${name}.md`)
  if (process.env['HEDRION_WRITE']) fs.writeFileSync(file, text)
  expect(fs.existsSync(file) ? fs.readFileSync(file, 'utf8') : '').toBe(text)
}

const cell = (text: string): string => text.replaceAll('|', '\\|').replace(/\s+/g, ' ').trim()

export const markdownTable = (headings: readonly string[], rows: readonly (readonly string[])[]): string =>
  [headings, headings.map(() => '---'), ...rows].map((row) => `| ${row.map(cell).join(' | ')} |`).join('\n')
