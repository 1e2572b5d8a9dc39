import { randomUUID } from 'node:crypto'
import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common'
import type { JobBody, JobKind, JobStatus } from '@hedrion/contract'
import { writeProjectFile } from '@hedrion/core'
import { DocumentsService } from '../changes/documents.service'
import { Problem } from '../http/problem'
import { JobRunner, type JobInput } from './jobRunner'

interface Job {
  readonly id: string
  readonly projectId: string
  readonly kind: JobKind
  readonly counter: number
  readonly input: JobInput
  state: JobStatus['state']
  problem: string | null
  result: unknown
  cancel: () => void
}

/** Finished jobs that stay to be fetched, and jobs that run at the same time. */
const kept = 20
const atOnce = 2

const isOver = ({ state }: Job): boolean => state === 'done' || state === 'failed' || state === 'cancelled'

@Injectable()
export class JobsService implements OnModuleDestroy {
  readonly #jobs = new Map<string, Job>()
  readonly #log = new Logger('Jobs')

  constructor(
    private readonly documents: DocumentsService,
    private readonly runner: JobRunner,
  ) {}

  /** Puts a job in line; it computes the project as it is now. */
  async start(projectId: string, { kind, only }: JobBody): Promise<JobStatus> {
    const { project, document } = await this.documents.current(projectId)
    const input: JobInput = { kind, only: only ?? null, file: writeProjectFile(document) }
    const job: Job = {
      id: randomUUID(),
      projectId,
      kind,
      counter: project.counter,
      input,
      state: 'waiting',
      problem: null,
      result: undefined,
      cancel: () => undefined,
    }
    this.#jobs.set(job.id, job)
    this.#next()
    return status(job)
  }

  status(projectId: string, id: string): JobStatus {
    return status(this.#find(projectId, id))
  }

  result(projectId: string, id: string): unknown {
    const job = this.#find(projectId, id)
    if (job.state === 'done') return job.result
    throw new Problem(409, 'job.not-done', job.problem ?? 'This job is not done yet.')
  }

  cancel(projectId: string, id: string): JobStatus {
    const job = this.#find(projectId, id)
    if (!isOver(job)) {
      job.state = 'cancelled'
      job.cancel()
      this.#next()
    }
    return status(job)
  }

  onModuleDestroy(): void {
    for (const job of this.#jobs.values()) if (!isOver(job)) job.cancel()
  }

  #find(projectId: string, id: string): Job {
    const job = this.#jobs.get(id)
    if (job?.projectId !== projectId) throw new Problem(404, 'job.unknown', 'This job is not there (any more).')
    return job
  }

  #next(): void {
    const jobs = [...this.#jobs.values()]
    for (const old of jobs.filter(isOver).slice(0, -kept)) this.#jobs.delete(old.id)
    const free = atOnce - jobs.filter(({ state }) => state === 'running').length
    for (const job of jobs.filter(({ state }) => state === 'waiting').slice(0, Math.max(0, free))) void this.#run(job)
  }

  async #run(job: Job): Promise<void> {
    job.state = 'running'
    const run = this.runner.run(job.input)
    job.cancel = () => run.cancel()
    try {
      job.result = await run.result
      // a cancel that came last has the last word
      if (!isOver(job)) job.state = 'done'
    } catch (error) {
      if (!isOver(job)) {
        this.#log.error(error)
        job.state = 'failed'
        job.problem = 'The computation failed. Nothing was changed.'
      }
    }
    this.#next()
  }
}

const status = ({ id, kind, state, counter, problem }: Job): JobStatus => ({ id, kind, state, counter, problem })
