import { randomUUID } from 'node:crypto'
import { Injectable } from '@nestjs/common'
import {
  applyChange,
  canonical,
  emptyDocument,
  projectJson,
  readProject,
  recordsOf,
  type ChangeSet,
  type Document,
} from '@hedrion/core'
import type { ProjectSummary } from '@hedrion/contract'
import { ChangesService } from '../changes/changes.service'
import { DocumentsService } from '../changes/documents.service'
import { readHistory } from '../changes/readHistory'
import { Problem } from '../http/problem'
import { ProjectsService } from '../projects/projects.service'

@Injectable()
export class ExchangeService {
  constructor(
    private readonly documents: DocumentsService,
    private readonly changes: ChangesService,
    private readonly projects: ProjectsService,
  ) {}

  /** A project file becomes a project of its own, with its history where the file has it; a broken one is refused whole. */
  async upload(file: Readonly<Record<string, unknown>>, key?: string): Promise<ProjectSummary> {
    const read = readProject(file)
    if (!read.ok) {
      const [first] = read.problems
      const where = first.path === '' ? '' : `${first.path}: `
      throw new Problem(422, 'file.refused', `${where}${first.problem}`, { problems: read.problems })
    }
    const [basis] = recordsOf(read.document, 'basis')
    if (!basis) throw new Problem(422, 'file.refused', 'records: The basis record is missing.', { path: 'records' })
    const changes = 'history' in file ? historyOf(file, read.document) : [inOne(read.document)]
    return this.projects.createOf({ name: basis.name, changes, results: read.results }, key)
  }

  async download(projectId: string, withHistory: boolean) {
    const { project, document } = await this.documents.current(projectId)
    const file = projectJson(document)
    if (!withHistory) return { name: project.name, file }
    const all = await this.changes.all(projectId)
    // what came after the records were read belongs to the next file
    return { name: project.name, file: { ...file, history: all.filter(({ counter }) => counter <= project.counter) } }
  }
}

function inOne({ records }: Document): ChangeSet {
  const edits = [...records.values()].map((record) => ({ id: record.id, before: null, after: record }))
  return { id: randomUUID(), seen: 0, note: 'Opened from a project file', edits }
}

/** The changes of a file, which must lead to its records. */
function historyOf(file: Readonly<Record<string, unknown>>, document: Document): readonly ChangeSet[] {
  const refused = (path: string, problem: string) =>
    new Problem(422, 'file.refused', `${path}: ${problem}`, { path, problems: [{ path, problem }] })
  const read = readHistory(file['history'], Number(file['version']))
  if (!read.ok) throw refused(read.problem.path, read.problem.problem)
  let made = emptyDocument
  for (const [i, change] of read.changes.entries()) {
    const applied = applyChange(made, change)
    if (!applied.ok) throw refused(`history[${i}]`, 'This change does not follow from the changes before it.')
    made = applied.document
  }
  if (canonical(projectJson(made).records) !== canonical(projectJson(document).records))
    throw refused('history', 'The changes do not lead to the records of the file.')
  return read.changes
}
