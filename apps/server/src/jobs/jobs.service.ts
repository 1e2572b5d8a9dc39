import { randomUUID } from 'node:crypto'
import { promisify } from 'node:util'
import { gunzip } from 'node:zlib'
import { Injectable } from '@nestjs/common'
import type { JobBody, JobStatus } from '@hedrion/contract'
import { DataSource, type EntityManager } from 'typeorm'
import { openProject } from '../changes/openProject'
import { Problem } from '../http/problem'
import { partsOf } from './computeJob'
import { JobQueue } from './jobQueue'
import { JobRow } from './job.entity'

/** Jobs that may wait at a time, over all servers, and ended ones that stay to be fetched. */
export const mostWaiting = 20
const mostKept = 20

/** Any number: holds the count of waiting jobs while one is put in line. */
const lineLock = 796_200_001

/** Jobs as people ask for them: put in line, looked at, fetched, cancelled, on whichever server. */
@Injectable()
export class JobsService {
  constructor(
    private readonly database: DataSource,
    private readonly queue: JobQueue,
  ) {}

  /** Puts a job in line; it computes the project as it is when its turn comes. */
  async start(projectId: string, { kind, only }: JobBody): Promise<JobStatus> {
    return this.database.transaction(async (manager) => {
      const { counter } = await openProject(manager, projectId)
      await manager.query('SELECT pg_advisory_xact_lock($1)', [lineLock])
      if ((await manager.countBy(JobRow, { state: 'waiting' })) >= mostWaiting)
        throw new Problem(
          429,
          'jobs.full',
          `${mostWaiting} jobs are waiting already, so this one was not accepted. Try again when some are finished.`,
        )
      await forgetOld(manager)
      const id = randomUUID()
      const row = { id, projectId, kind, only: only ?? null, counter, state: 'waiting' as const, done: 0, tries: 0 }
      await manager.insert(JobRow, row)
      await this.queue.put(manager, id)
      return status({ ...row, problem: null })
    })
  }

  async status(projectId: string, id: string): Promise<JobStatus> {
    return status(await this.#find(projectId, id))
  }

  /** JSON of what a job computed. */
  async result(projectId: string, id: string): Promise<Buffer> {
    const { state, problem } = await this.#find(projectId, id)
    if (state !== 'done') throw new Problem(409, 'job.not-done', problem ?? 'This job is not finished yet.')
    const row = await this.database.manager.findOneOrFail(JobRow, { where: { id }, select: { id: true, result: true } })
    return promisify(gunzip)(row.result ?? Buffer.alloc(0))
  }

  /** The server that runs it hears of it within seconds. */
  async cancel(projectId: string, id: string): Promise<JobStatus> {
    await this.#find(projectId, id)
    await this.database.query(
      `UPDATE job SET state = 'cancelled', run = NULL, ended_at = now() WHERE id = $1 AND state IN ('waiting', 'running')`,
      [id],
    )
    return this.status(projectId, id)
  }

  async #find(projectId: string, id: string): Promise<JobRow> {
    const row = await this.database.manager.findOneBy(JobRow, { id, projectId })
    if (!row) throw new Problem(404, 'job.unknown', 'Job not found. It may have been removed.')
    return row
  }
}

/** Of the jobs that have ended the last ones stay. */
const forgetOld = (manager: EntityManager): Promise<unknown> =>
  manager.query(
    `DELETE FROM job WHERE id IN (SELECT id FROM job WHERE ended_at IS NOT NULL ORDER BY ended_at DESC OFFSET $1)`,
    [mostKept],
  )

const status = ({
  id,
  kind,
  only,
  state,
  counter,
  done,
  problem,
}: Pick<JobRow, 'id' | 'kind' | 'only' | 'state' | 'counter' | 'done' | 'problem'>): JobStatus => ({
  id,
  kind,
  state,
  counter,
  done,
  of: partsOf({ only }).length,
  problem,
})
