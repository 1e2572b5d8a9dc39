import { Injectable } from '@nestjs/common'
import {
  applyChange,
  canonical,
  formatVersion,
  migrateEdits,
  recordsOf,
  storedAs,
  type ChangeSet,
  type Document,
  type Edit,
  type Problem as Found,
  type RawEdit,
} from '@hedrion/core'
import { limits, type AcceptedChange, type ChangeAnswer, type ChangeSetBody } from '@hedrion/contract'
import { DataSource, MoreThan, type EntityManager } from 'typeorm'
import { ChangeSetRow } from '../database/changeSet.entity'
import { ProjectRow } from '../database/project.entity'
import { RecordRow } from '../database/record.entity'
import { Problem } from '../http/problem'
import { lockProject, openProject } from './openProject'
import { DocumentsService } from './documents.service'
import { readEdits } from './readEdits'

/** Rows in one statement: PostgreSQL takes 65,535 parameters at most. */
const batch = 2000

export interface Accepted {
  readonly answer: ChangeAnswer
  /** The document after the change; undefined where it had been accepted before. */
  readonly document: Document | undefined
}

@Injectable()
export class ChangesService {
  constructor(
    private readonly database: DataSource,
    private readonly documents: DocumentsService,
  ) {}

  /** Accepts a change set in a transaction of its own. */
  async accept(projectId: string, body: ChangeSetBody): Promise<ChangeAnswer> {
    const change = readChange(body)
    const done = await this.database.transaction((manager) => this.acceptWithin(manager, projectId, change))
    if (done.document) this.documents.keep(projectId, done.answer.counter, done.document)
    return done.answer
  }

  /**
   * Accepts a change set in a transaction that then holds the project's row. A retry with the same id answers as the
   * first time; a stale one is rebased where every record still is what it expected, and refused with both values
   * otherwise. The document is not to be kept before the transaction has ended well.
   */
  async acceptWithin(
    manager: EntityManager,
    projectId: string,
    change: ChangeSet,
    known?: Document,
  ): Promise<Accepted> {
    const project = await lockProject(manager, projectId)
    const earlier = await manager.findOneBy(ChangeSetRow, { projectId, id: change.id })
    if (earlier) {
      if (!isSameChange(earlier, change))
        throw new Problem(422, 'change.other-content', 'id: Another change of this project already has this uuid.')
      return { answer: await answerTo(manager, projectId, earlier), document: undefined }
    }
    const before = known ?? (await this.documents.at(manager, project)).document
    const document = applied(before, change)
    const counter = project.counter + 1
    if (project.format < formatVersion) await rewriteRecords(manager, project)
    await write(manager, projectId, counter, change, document)
    return { answer: await answerTo(manager, projectId, { counter, seen: change.seen }), document }
  }

  /** Change sets after a counter, oldest first, one page at a time. */
  async after(projectId: string, counter: number): Promise<readonly AcceptedChange[]> {
    await openProject(this.database.manager, projectId)
    return changesAfter(this.database.manager, projectId, counter, limits.history)
  }

  /** The whole history, oldest first. */
  async all(projectId: string): Promise<readonly AcceptedChange[]> {
    const rows = await this.database.manager.find(ChangeSetRow, { where: { projectId }, order: { counter: 'ASC' } })
    return rows.map(accepted)
  }

  /** The latest change sets, newest first. */
  async latest(projectId: string): Promise<readonly AcceptedChange[]> {
    await openProject(this.database.manager, projectId)
    const rows = await this.database.manager.find(ChangeSetRow, {
      where: { projectId },
      order: { counter: 'DESC' },
      take: limits.history,
    })
    return rows.map(accepted)
  }
}

function readChange({ id, seen, note, edits }: ChangeSetBody): ChangeSet {
  const problems: Found[] = []
  const read = readEdits(edits, 'edits', problems)
  if (problems[0])
    throw new Problem(422, 'change.unreadable', `${problems[0].path}: ${problems[0].problem}`, {
      problems: problems.slice(0, 50),
    })
  return { id, seen, note, edits: read }
}

/** Whether a change is the one that was accepted under its uuid, both read in the present format; a page may have seen more since. */
function isSameChange(earlier: ChangeSetRow, change: ChangeSet): boolean {
  const edits = readEdits(migrateEdits(earlier.edits as readonly RawEdit[], earlier.format), 'edits', [])
  return earlier.note === change.note && canonical(edits) === canonical(change.edits)
}

function applied(document: Document, change: ChangeSet): Document {
  const result = applyChange(document, change)
  if (result.ok) return result.document
  if (result.conflicts.length > 0)
    throw new Problem(409, 'change.conflict', 'Changed by another user in the meantime.', {
      conflicts: result.conflicts.slice(0, 50),
    })
  const [first] = result.problems
  throw new Problem(422, 'change.refused', first?.problem ?? 'This change is not possible.', {
    problems: result.problems.slice(0, 50),
  })
}

async function write(
  manager: EntityManager,
  projectId: string,
  counter: number,
  change: ChangeSet,
  next: Document,
): Promise<void> {
  const { id, seen, note, edits } = change
  await manager.insert(ChangeSetRow, { projectId, counter, id, seen, note, edits, format: formatVersion })
  const gone = edits.flatMap(({ id: record, after }) => (after === null ? [record] : []))
  const rows = edits.flatMap(({ after }) =>
    after === null ? [] : [{ projectId, id: after.id, kind: after.kind, body: after, counter }],
  )
  for (let i = 0; i < gone.length; i += batch)
    await manager.query('DELETE FROM record WHERE project_id = $1 AND id = ANY($2)', [
      projectId,
      gone.slice(i, i + batch),
    ])
  for (let i = 0; i < rows.length; i += batch)
    await manager.upsert(RecordRow, rows.slice(i, i + batch), ['projectId', 'id'])
  const name = recordsOf(next, 'basis')[0]?.name ?? ''
  await manager.update(ProjectRow, { id: projectId }, { counter, name, changedAt: new Date() })
}

/** Stored records of an earlier version become those of this one before anything is written among them; what was set aside stays. */
async function rewriteRecords(manager: EntityManager, { id: projectId, format, counter }: ProjectRow): Promise<void> {
  const rows = await manager.findBy(RecordRow, { projectId })
  const writtenAt = new Map(rows.map((row) => [row.id, row.counter]))
  await manager.delete(RecordRow, { projectId })
  const now = storedAs(rows, format).map(({ id, body }) => ({
    projectId,
    id,
    kind: id.split(':')[0] ?? '',
    body: body as object,
    counter: writtenAt.get(id) ?? counter,
  }))
  for (let i = 0; i < now.length; i += batch) await manager.insert(RecordRow, now.slice(i, i + batch))
  await manager.update(ProjectRow, { id: projectId }, { format: formatVersion })
}

async function answerTo(
  manager: EntityManager,
  projectId: string,
  { counter, seen }: { readonly counter: number; readonly seen: number },
): Promise<ChangeAnswer> {
  const others = await changesAfter(manager, projectId, seen, limits.history)
  return { counter, others: others.filter((other) => other.counter < counter) }
}

async function changesAfter(
  manager: EntityManager,
  projectId: string,
  counter: number,
  take: number,
): Promise<readonly AcceptedChange[]> {
  const rows = await manager.find(ChangeSetRow, {
    where: { projectId, counter: MoreThan(counter) },
    order: { counter: 'ASC' },
    take,
  })
  return rows.map(accepted)
}

/** The edits of an earlier version are answered in this one. */
const accepted = ({ id, seen, note, edits, format, counter, at }: ChangeSetRow): AcceptedChange => ({
  id,
  seen,
  note,
  edits: migrateEdits(edits as readonly RawEdit[], format) as readonly Edit[],
  counter,
  at: at.toISOString(),
})
