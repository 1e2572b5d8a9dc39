import { Injectable } from '@nestjs/common'
import { documentOf, readRecord, type Document, type Problem, type Rec } from '@hedrion/core'
import { DataSource, type EntityManager } from 'typeorm'
import type { ProjectRow } from '../database/project.entity'
import { RecordRow } from '../database/record.entity'
import { openProject } from './openProject'

interface Kept {
  readonly counter: number
  readonly document: Document
}

/** How many documents stay in memory between changes. */
const kept = 8

/** The document of a project at its present counter; the last few are kept, so that a change does not read all rows. */
@Injectable()
export class DocumentsService {
  readonly #documents = new Map<string, Kept>()

  constructor(private readonly database: DataSource) {}

  /** A project with the document that belongs to its counter, whatever others write at the same time. */
  async current(projectId: string): Promise<{ readonly project: ProjectRow; readonly document: Document }> {
    return this.database.transaction('REPEATABLE READ', async (manager) => {
      const project = await openProject(manager, projectId)
      return { project, document: await this.at(manager, projectId, project.counter) }
    })
  }

  /** Call it where the counter and the rows are of one moment: a transaction that holds the project's row, or a snapshot. */
  async at(manager: EntityManager, projectId: string, counter: number): Promise<Document> {
    const known = this.#documents.get(projectId)
    if (known?.counter === counter) return known.document
    const rows = await manager.findBy(RecordRow, { projectId })
    const problems: Problem[] = []
    const records = rows.flatMap(({ id, body }): Rec[] => {
      const record = readRecord(body, `records.${id}`, problems)
      return record ? [record] : []
    })
    if (problems[0])
      throw new Error(`Project ${projectId} holds a record that cannot be read: ${JSON.stringify(problems[0])}`)
    const document = documentOf(records)
    this.keep(projectId, counter, document)
    return document
  }

  /** After the transaction has ended well. */
  keep(projectId: string, counter: number, document: Document): void {
    this.#documents.delete(projectId)
    this.#documents.set(projectId, { counter, document })
    for (const oldest of this.#documents.keys()) {
      if (this.#documents.size <= kept) return
      this.#documents.delete(oldest)
    }
  }
}
