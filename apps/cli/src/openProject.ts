import { readFileSync, statSync } from 'node:fs'
import { deriveProject, fileLimits, Memo, readProjectFile, type Document, type ProjectState } from '@hedrion/core'
import { Refusal } from './refusal'

function readText(path: string): string {
  try {
    const { size } = statSync(path)
    if (size > fileLimits.bytes) throw new Refusal(`${path} is larger than ${fileLimits.bytes / 1024 / 1024} MB.`)
    return readFileSync(path, 'utf8')
  } catch (error) {
    if (error instanceof Refusal) throw error
    throw new Refusal(`${path} cannot be read.`)
  }
}

/** The document of a project file; a broken file is refused with every path and sentence. */
export function readDocument(path: string): Document {
  const read = readProjectFile(readText(path))
  if (read.ok) return read.document
  const problems = read.problems.map(({ path: at, problem }) => `  ${at === '' ? '' : `${at}: `}${problem}`)
  throw new Refusal([`${path} is not a valid project file:`, ...problems].join('\n'))
}

export const openProject = (path: string): ProjectState => deriveProject(new Memo(), readDocument(path))
