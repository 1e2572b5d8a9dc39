import { createHash, randomUUID } from 'node:crypto'
import { Injectable } from '@nestjs/common'
import {
  blankBasis,
  canonical,
  cut,
  demoChanges,
  emptyDocument,
  formatVersion,
  recordsOf,
  resultsEdition,
  withEdits,
  type ChangeSet,
  type Document,
  type Edit,
} from '@hedrion/core'
import {
  limits,
  projectKeyHeader,
  type ChangeSetBody,
  type OpenProject,
  type ProjectsQuery,
  type ProjectSummary,
} from '@hedrion/contract'
import { DataSource, IsNull } from 'typeorm'
import { ChangesService } from '../changes/changes.service'
import { DocumentsService } from '../changes/documents.service'
import { openProject } from '../changes/openProject'
import { ProjectRow } from '../database/project.entity'
import { Problem, unknownProject } from '../http/problem'

/** Under which id a project is made, and the digest of what from where the request had a key. */
interface Made {
  readonly id: string
  readonly from: string | null
}

@Injectable()
export class ProjectsService {
  constructor(
    private readonly database: DataSource,
    private readonly changes: ChangesService,
    private readonly documents: DocumentsService,
  ) {}

  /** One page, the last changed first. */
  async list({ deleted, after }: ProjectsQuery): Promise<readonly ProjectSummary[]> {
    const query = this.database.manager
      .createQueryBuilder(ProjectRow, 'project')
      .where(deleted === 'yes' ? 'project.deletedAt IS NOT NULL' : 'project.deletedAt IS NULL')
      .orderBy('project.changedAt', 'DESC')
      .addOrderBy('project.id', 'DESC')
      .take(limits.projects)
    const [at, id] = after?.split(',') ?? []
    // the time as the page before had it, in milliseconds
    if (at && id)
      query.andWhere("(date_trunc('milliseconds', project.changedAt), project.id) < (:at::timestamptz, :id::uuid)", {
        at,
        id,
      })
    return (await query.getMany()).map(summary)
  }

  /** A project begins with change sets like any other: here the one that gives it a basis. */
  createEmpty(name: string, key?: string): Promise<ProjectSummary> {
    return this.#once(key, ['empty', name], (made) => {
      const basis = blankBasis(name, Math.random)
      return this.createFrom(made, name, [
        { id: randomUUID(), seen: 0, note: 'New project', edits: [{ id: basis.id, before: null, after: basis }] },
      ])
    })
  }

  /** The demo under another name: the same change sets, and one that names it. */
  createDemo(name: string, key?: string): Promise<ProjectSummary> {
    return this.#once(key, ['demo', name], (made) => {
      const document = demoChanges.reduce((before, { edits }) => withEdits(before, edits), emptyDocument)
      return this.createFrom(made, name, [...demoChanges, ...renaming(document, name, demoChanges.length)])
    })
  }

  /** One of a file, by the changes that made it. */
  createOf(
    file: { readonly name: string; readonly changes: readonly ChangeSet[]; readonly results: number },
    key?: string,
  ): Promise<ProjectSummary> {
    const content = file.changes.map(({ edits }) => edits)
    return this.#once(key, content, (made) => this.createFrom(made, file.name, file.changes, file.results))
  }

  /** What is made under a key, which becomes the project's id, is made once, however often and wherever it is asked for. */
  async #once(
    key: string | undefined,
    content: unknown,
    make: (made: Made) => Promise<ProjectSummary>,
  ): Promise<ProjectSummary> {
    if (key === undefined) return make({ id: randomUUID(), from: null })
    const from = createHash('sha256').update(canonical(content)).digest('hex')
    const there = () => this.database.manager.findOneBy(ProjectRow, { id: key })
    const known =
      (await there()) ??
      (await make({ id: key, from }).catch(async (error: unknown) => {
        // another request with this key came first
        const first = await there()
        if (first) return first
        throw error
      }))
    if (!('madeFrom' in known)) return known
    if (known.madeFrom !== from)
      throw new Problem(422, 'project.other-content', 'Another project was already created with this key.', {
        path: projectKeyHeader,
      })
    return summary(known)
  }

  /** A new project by its first change sets, all of them or none; `results`: the edition of the results when it was last used. */
  async createFrom(
    { id, from }: Made,
    name: string,
    changes: readonly ChangeSet[],
    results = resultsEdition,
  ): Promise<ProjectSummary> {
    return this.database.transaction(async (manager) => {
      await manager.insert(ProjectRow, {
        id,
        name,
        counter: 0,
        format: formatVersion,
        results,
        changedAt: new Date(),
        madeFrom: from,
      })
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
    for (const change of renaming(document, name, project.counter)) await this.changes.accept(id, asBody(change))
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

/** The change that gives the basis another name; none where it has that already. */
function renaming(document: Document, name: string, seen: number): readonly ChangeSet[] {
  const [basis] = recordsOf(document, 'basis')
  if (!basis || basis.name === name) return []
  const edits = [{ id: basis.id, before: basis, after: { ...basis, name } }]
  return [{ id: randomUUID(), seen, note: cut(`Renamed “${name}”`, limits.note), edits }]
}

const summary = ({ id, name, counter, createdAt, changedAt, deletedAt }: ProjectRow): ProjectSummary => ({
  id,
  name,
  counter,
  createdAt: createdAt.toISOString(),
  changedAt: changedAt.toISOString(),
  deleted: deletedAt !== null,
})
