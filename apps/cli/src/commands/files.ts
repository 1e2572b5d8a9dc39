import { writeFileSync } from 'node:fs'
import { demoChanges, emptyDocument, projectSchema, resultsSchema, withEdits, writeProjectFile } from '@hedrion/core'
import { print, Refusal } from '../refusal'

/** Writes the demo as a project file. */
export function writeDemo(path: string): void {
  const document = demoChanges.reduce((before, { edits }) => withEdits(before, edits), emptyDocument)
  try {
    writeFileSync(path, writeProjectFile(document))
  } catch {
    throw new Refusal(`${path} cannot be written.`)
  }
  print(`Written: ${path}`)
}

/** Prints the JSON Schema of the project file or of the results. */
export function printSchema(kind: 'project' | 'results'): void {
  print(JSON.stringify(kind === 'results' ? resultsSchema : projectSchema(), null, 1))
}
