import { randomUUID } from 'node:crypto'
import { setTimeout as after } from 'node:timers/promises'
import { Injectable, Logger, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common'
import { writeProjectFile } from '@hedrion/core'
import { DataSource } from 'typeorm'
import { DocumentsService } from '../changes/documents.service'
import { Problem } from '../http/problem'
import { withinTime } from '../withinTime'
import { JobQueue } from './jobQueue'
import { JobRow } from './job.entity'
import { JobRunner, type JobRun } from './jobRunner'

/** Jobs that one server runs at the same time. */
const atOnce = 2
/** A job that its server has not spoken of for so long, in seconds, is taken from it and begun again, once. */
const deadAfter = 15
const mostTries = 2
/** Milliseconds between looks into the line, and between words about a job that runs. */
const pause = 1000

/** Seconds that a job may take. */
export const jobLimits = { time: 600 }

interface Running {
  readonly id: string
  readonly run: JobRun
  done: number
}

const problems = {
  failed: 'The computation failed. Nothing was changed.',
  time: () => `Stopped after ${jobLimits.time} s, the time limit of a job.`,
  memory: 'Stopped because it needed more memory than the server allows for one job.',
  lost: 'The servers running it stopped before it was finished.',
} as const

/**
 * Runs what waits in line. A job belongs to a run, by its uuid: whatever a server does for a job that was taken from it meanwhile has no
 * effect, so that each ends once.
 */
@Injectable()
export class JobWork implements OnApplicationBootstrap, BeforeApplicationShutdown {
  readonly #log = new Logger('Jobs')
  readonly #running = new Map<string, Running>()
  readonly #stop = new AbortController()
  #loops: Promise<unknown> = Promise.resolve()

  constructor(
    private readonly database: DataSource,
    private readonly documents: DocumentsService,
    private readonly queue: JobQueue,
    private readonly runner: JobRunner,
  ) {}

  onApplicationBootstrap(): void {
    const places = Array.from({ length: atOnce }, () => this.#repeat(() => this.#work()))
    this.#loops = Promise.all([...places, this.#repeat(() => this.#speak()), this.#repeat(() => this.#takeFromDead())])
  }

  /** What runs here goes back in line at once. */
  async beforeApplicationShutdown(): Promise<void> {
    this.#stop.abort()
    const runs = [...this.#running.keys()]
    for (const { run } of this.#running.values()) run.cancel()
    await this.#loops
    if (runs.length > 0)
      await this.database
        .query(`UPDATE job SET beat_at = '-infinity', tries = tries - 1 WHERE run = ANY($1) AND state = 'running'`, [
          runs,
        ])
        .catch((error: unknown) => this.#log.warn(error))
  }

  /** Again and again, whatever happens to the database meanwhile; `step` says whether there may be more at once. */
  async #repeat(step: () => Promise<boolean>): Promise<void> {
    const { signal } = this.#stop
    let said: string | undefined
    while (!signal.aborted) {
      const more = await step().catch((error: unknown) => {
        const message = error instanceof Error ? error.message : String(error)
        // a database that is away for an hour is not news every second
        if (message !== said) this.#log.warn(message)
        said = message
        return false
      })
      if (!more) await after(pause, undefined, { signal }).catch(() => undefined)
    }
  }

  async #work(): Promise<boolean> {
    const next = await this.queue.next()
    if (!next) return false
    const run = randomUUID()
    const job = await this.#begin(next.job, run)
    await next.taken()
    // cancelled while it waited
    if (!job) return true
    try {
      const result = await this.#compute(job, run)
      await this.#end(run, { state: 'done', result, problem: null })
    } catch (error) {
      if (this.#stop.signal.aborted) return false
      await this.#end(run, { state: 'failed', result: null, problem: this.#said(error) })
    } finally {
      this.#running.delete(run)
    }
    return true
  }

  async #begin(id: string, run: string): Promise<JobRow | undefined> {
    const [found] = await this.database.query<[{ id: string }[], number]>(
      `UPDATE job SET state = 'running', run = $2, tries = tries + 1, done = 0, beat_at = now()
       WHERE id = $1 AND state = 'waiting' RETURNING id`,
      [id, run],
    )
    return found[0] ? ((await this.database.manager.findOneBy(JobRow, { id })) ?? undefined) : undefined
  }

  async #compute({ id, projectId, kind, only }: JobRow, run: string): Promise<Uint8Array> {
    const { project, document } = await this.documents.current(projectId)
    await this.database.manager.update(JobRow, { run }, { counter: project.counter })
    const running: Running = {
      id,
      run: this.runner.run({ kind, only, file: writeProjectFile(document) }, (done) => (running.done = done)),
      done: 0,
    }
    this.#running.set(run, running)
    return withinTime(running.run.result, jobLimits.time * 1000, () => {
      running.run.cancel()
      return new Problem(422, 'job.time', problems.time())
    })
  }

  /** Only the run that has the job may end it; while the database is away it is tried again for a time. */
  async #end(
    run: string,
    { state, result, problem }: Pick<JobRow, 'state' | 'problem'> & { readonly result: Uint8Array | null },
  ) {
    for (let tries = 1; ; tries++)
      try {
        await this.database.query(
          `UPDATE job SET state = $2, result = $3, problem = $4, run = NULL, ended_at = now() WHERE run = $1 AND state = 'running'`,
          [run, state, result && Buffer.from(result), problem],
        )
        return
      } catch (error) {
        if (tries === 10 || this.#stop.signal.aborted) throw error
        await after(pause)
      }
  }

  #said(error: unknown): string {
    if (error instanceof Problem) return error.message
    if ((error as { readonly code?: unknown }).code === 'ERR_WORKER_OUT_OF_MEMORY') return problems.memory
    this.#log.error(error)
    return problems.failed
  }

  /** Says of all jobs that run here that they do, and how far they are; those that are not ours any more are ended. */
  async #speak(): Promise<boolean> {
    for (const [run, { run: thread, done }] of this.#running) {
      const [, changed] = await this.database.query<[unknown[], number]>(
        `UPDATE job SET beat_at = now(), done = $2 WHERE run = $1 AND state = 'running'`,
        [run, done],
      )
      if (changed === 0) thread.cancel()
    }
    return false
  }

  /** Jobs of servers that have ended go back in line, or have failed where they ended twice. */
  async #takeFromDead(): Promise<boolean> {
    await this.database.transaction(async (manager) => {
      const [lost] = await manager.query<[{ id: string; tries: number }[], number]>(
        `UPDATE job SET
           run = NULL,
           state = CASE WHEN tries < $2 THEN 'waiting' ELSE 'failed' END,
           problem = CASE WHEN tries < $2 THEN NULL ELSE $3 END,
           ended_at = CASE WHEN tries < $2 THEN NULL ELSE now() END
         WHERE state = 'running' AND beat_at < now() - $1 * interval '1 second' RETURNING id, state, tries`,
        [deadAfter, mostTries, problems.lost],
      )
      for (const { id, tries } of lost) if (tries < mostTries) await this.queue.put(manager, id)
    })
    return false
  }
}
