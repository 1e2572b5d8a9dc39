import { Injectable, Logger, type OnApplicationBootstrap, type OnApplicationShutdown } from '@nestjs/common'
import PgBoss from 'pg-boss'
import { DataSource, type EntityManager } from 'typeorm'

const queue = 'job'
/** A server that ends between looking at a job and beginning it leaves it to the others after so long. */
const retries = { expireInSeconds: 30, retryLimit: 5 } as const

/** The database as the queue asks for it. */
interface Statements {
  executeSql(text: string, values?: unknown[]): Promise<{ rows: unknown[] }>
}

export interface Next {
  readonly job: string
  taken(): Promise<void>
}

/** What waits to be run, in the database, so that all servers on it share the line (pg-boss). */
@Injectable()
export class JobQueue implements OnApplicationBootstrap, OnApplicationShutdown {
  readonly #log = new Logger('JobQueue')
  readonly #boss: PgBoss

  constructor(private readonly database: DataSource) {
    this.#boss = new PgBoss({
      db: this.#statements((text, values) => pooled(database).query(text, values)),
      schedule: false,
      // what became of a job stands in a table of ours
      archiveCompletedAfterSeconds: 3600,
      deleteAfterHours: 24,
    })
    this.#boss.on('error', (error) => this.#log.warn(error.message))
  }

  async onApplicationBootstrap(): Promise<void> {
    await this.#boss.start()
    await this.#boss.createQueue(queue, { name: queue, policy: 'standard', ...retries })
  }

  async onApplicationShutdown(): Promise<void> {
    await this.#boss.stop({ graceful: false, wait: true, close: false })
  }

  /** Puts a job in line within a transaction. */
  async put(manager: EntityManager, job: string): Promise<void> {
    const db = this.#statements(async (text, values) => ({ rows: rowsOf(await manager.query(text, values)) }))
    await this.#boss.send(queue, { job }, { db })
  }

  /** The next job, which no other server gets meanwhile; undefined where none waits. It is in line again later unless `taken` is called. */
  async next(): Promise<Next | undefined> {
    const [next] = await this.#boss.fetch<{ readonly job: string }>(queue)
    return next && { job: next.data.job, taken: () => this.#boss.complete(queue, next.id) }
  }

  #statements(run: (text: string, values: unknown[]) => Promise<{ rows: unknown[] }>): Statements {
    return { executeSql: (text, values = []) => run(text, values) }
  }
}

/** Statements of the queue come several in one text, which only the pool itself takes. */
const pooled = (database: DataSource): { query(text: string, values?: unknown[]): Promise<{ rows: unknown[] }> } =>
  (database.driver as unknown as { readonly master: ReturnType<typeof pooled> }).master

const rowsOf = (answer: unknown): unknown[] => (Array.isArray(answer) ? (answer as unknown[]) : [])
