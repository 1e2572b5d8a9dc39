import { randomUUID } from 'node:crypto'
import { Injectable } from '@nestjs/common'
import { projectJson, readProject, recordsOf } from '@hedrion/core'
import type { ProjectSummary } from '@hedrion/contract'
import { DocumentsService } from '../changes/documents.service'
import { Problem } from '../http/problem'
import { ProjectsService } from '../projects/projects.service'

@Injectable()
export class ExchangeService {
  constructor(
    private readonly documents: DocumentsService,
    private readonly projects: ProjectsService,
  ) {}

  /** A project file becomes a project of its own; a broken one is refused whole. */
  async upload(file: unknown): Promise<ProjectSummary> {
    const read = readProject(file)
    if (!read.ok) {
      const [first] = read.problems
      const where = first.path === '' ? '' : `${first.path}: `
      throw new Problem(422, 'file.refused', `${where}${first.problem}`, { problems: read.problems })
    }
    const records = [...read.document.records.values()]
    const [basis] = recordsOf(read.document, 'basis')
    if (!basis) throw new Problem(422, 'file.refused', 'records: The basis record is missing.')
    const edits = records.map((record) => ({ id: record.id, before: null, after: record }))
    const change = { id: randomUUID(), seen: 0, note: 'Opened from a project file', edits }
    return this.projects.createFrom(randomUUID(), basis.name, [change], read.results)
  }

  async download(projectId: string) {
    const { project, document } = await this.documents.current(projectId)
    return { name: project.name, file: projectJson(document) }
  }
}
