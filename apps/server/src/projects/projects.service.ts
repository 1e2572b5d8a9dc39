import { randomUUID } from 'node:crypto'
import { Injectable } from '@nestjs/common'
import {
  blankBasis,
  cut,
  demoChanges,
  emptyDocument,
  formatVersion,
  recordsOf,
  resultsEdition,
  type ChangeSet,
  type Edit,
} from '@hedrion/core'
import { limits, type ChangeSetBody, type OpenProject, type ProjectSummary } from '@hedrion/contract'
import { DataSource, IsNull } from 'typeorm'
import { ChangesService } from '../changes/changes.service'
import { DocumentsService } from '../changes/documents.service'
import { openProject } from '../changes/openProject'
import { ProjectRow } from '../database/project.entity'
import { unknownProject } from '../http/problem'

@Injectable()
export class ProjectsService {
  constructor(
    private readonly database: DataSource,
    private readonly changes: ChangesService,
    private readonly documents: DocumentsService,
  ) {}

  async list(): Promise<readonly ProjectSummary[]> {
    const rows = await this.database.manager.find(ProjectRow, {
      where: { deletedAt: IsNull() },
      order: { changedAt: 'DESC' },
      take: 500,
    })
    return rows.map(summary)
  }

  /** A project begins with change sets like any other: here the one that gives it a basis. */
  async createEmpty(name: string): Promise<ProjectSummary> {
    const basis = blankBasis(name, Math.random)
    return this.createFrom(randomUUID(), name, [
      { id: randomUUID(), seen: 0, note: 'New project', edits: [{ id: basis.id, before: null, after: basis }] },
    ])
  }

  /** The demo under another name: the same change sets, and one that names it. */
  async createDemo(name: string): Promise<ProjectSummary> {
    const project = await this.createFrom(randomUUID(), name, demoChanges)
    return this.rename(project.id, name)
  }

  /** A new project by its first change sets, all of them or none; `results`: the edition of the results when it was last used. */
  async createFrom(
    id: string,
    name: string,
    changes: readonly ChangeSet[],
    results = resultsEdition,
  ): Promise<ProjectSummary> {
    return this.database.transaction(async (manager) => {
      await manager.insert(ProjectRow, { id, name, counter: 0, format: formatVersion, results, changedAt: new Date() })
      let document = emptyDocument
      for (const change of changes)
        document = (await this.changes.acceptWithin(manager, id, change, document)).document ?? document
      return summary(await openProject(manager, id))
    })
  }

  async open(id: string): Promise<OpenProject> {
    const { project, document, aside } = await this.documents.current(id)
    const { name, counter, results } = project
    return { id, name, counter, format: formatVersion, results, aside, records: Object.fromEntries(document.records) }
  }

  /** Its readers know how the results of this build differ from those of the one that it was last used with. */
  async resultsRead(id: string): Promise<ProjectSummary> {
    const project = await openProject(this.database.manager, id)
    await this.database.manager.update(ProjectRow, { id }, { results: resultsEdition })
    return summary(project)
  }

  /** The name stands on the basis record, so renaming is a change like any other. */
  async rename(id: string, name: string): Promise<ProjectSummary> {
    const { project, document } = await this.documents.current(id)
    const [basis] = recordsOf(document, 'basis')
    if (basis && basis.name !== name) {
      const edits: readonly Edit[] = [{ id: basis.id, before: basis, after: { ...basis, name } }]
      await this.changes.accept(
        id,
        asBody({ id: randomUUID(), seen: project.counter, note: cut(`Renamed “${name}”`, limits.note), edits }),
      )
    }
    return summary(await openProject(this.database.manager, id))
  }

  /** Marks the project; nothing is lost, and it can be brought back. */
  async remove(id: string): Promise<ProjectSummary> {
    const { affected } = await this.database.manager.update(
      ProjectRow,
      { id, deletedAt: IsNull() },
      { deletedAt: new Date() },
    )
    if (!affected) throw unknownProject()
    return summary(await this.database.manager.findOneByOrFail(ProjectRow, { id }))
  }

  async restore(id: string): Promise<ProjectSummary> {
    const { affected } = await this.database.manager.update(ProjectRow, { id }, { deletedAt: null })
    if (!affected) throw unknownProject()
    return summary(await openProject(this.database.manager, id))
  }
}

const asBody = ({ id, seen, note, edits }: ChangeSet): ChangeSetBody => ({
  id,
  seen,
  note,
  edits: edits.map((edit) => ({ id: edit.id, before: asObject(edit.before), after: asObject(edit.after) })),
})
const asObject = (record: Edit['before']): Record<string, unknown> | null => (record === null ? null : { ...record })

const summary = ({ id, name, counter, createdAt, changedAt, deletedAt }: ProjectRow): ProjectSummary => ({
  id,
  name,
  counter,
  createdAt: createdAt.toISOString(),
  changedAt: changedAt.toISOString(),
  deleted: deletedAt !== null,
})
