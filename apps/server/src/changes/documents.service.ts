import { Injectable } from '@nestjs/common'
import { openRecords, type Document, type Opened } from '@hedrion/core'
import { DataSource, type EntityManager } from 'typeorm'
import type { ProjectRow } from '../database/project.entity'
import { RecordRow } from '../database/record.entity'
import { openProject } from './openProject'

interface Kept extends Opened {
  readonly counter: number
}

/** How many documents stay in memory between changes. */
const mostKept = 8

/** The document of a project at its present counter; the last few are kept, so that a change does not read all rows. */
@Injectable()
export class DocumentsService {
  readonly #documents = new Map<string, Kept>()

  constructor(private readonly database: DataSource) {}

  /** A project with the document that belongs to its counter, whatever others write at the same time. */
  async current(projectId: string): Promise<{ readonly project: ProjectRow } & Opened> {
    return this.database.transaction('REPEATABLE READ', async (manager) => {
      const project = await openProject(manager, projectId)
      return { project, ...(await this.at(manager, project)) }
    })
  }

  /** Call it where the counter and the rows are of one moment: a transaction that holds the project's row, or a snapshot. */
  async at(manager: EntityManager, { id, counter, format }: ProjectRow): Promise<Opened> {
    const known = this.#documents.get(id)
    if (known?.counter === counter) return known
    const opened = openRecords(await manager.findBy(RecordRow, { projectId: id }), format)
    this.#keep(id, { counter, ...opened })
    return opened
  }

  /** After the transaction has ended well. */
  keep(projectId: string, counter: number, document: Document): void {
    // what was set aside stays so: a change cannot point at it
    const aside = this.#documents.get(projectId)?.aside ?? []
    this.#keep(projectId, { counter, document, aside: aside.filter(({ id }) => !document.records.has(id)) })
  }

  #keep(projectId: string, kept: Kept): void {
    this.#documents.delete(projectId)
    this.#documents.set(projectId, kept)
    for (const oldest of this.#documents.keys()) {
      if (this.#documents.size <= mostKept) return
      this.#documents.delete(oldest)
    }
  }
}
