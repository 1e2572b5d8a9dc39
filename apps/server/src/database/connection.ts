import { Socket } from 'node:net'
import type { TypeOrmModuleOptions } from '@nestjs/typeorm'
import { JobRow } from '../jobs/job.entity'
import { ChangeSetRow } from './changeSet.entity'
import { migrations } from './migrations'
import { ProjectRow } from './project.entity'
import { RecordRow } from './record.entity'

/**
 * Milliseconds; the database ends a statement before we give up on it, so that silence means that it is away. HEDRION_PATIENCE is a
 * factor for all of them, for tests.
 */
const patience = (wait: keyof typeof waits): number => waits[wait] * Number(process.env['HEDRION_PATIENCE'] ?? 1)
const waits = { connect: 5000, lock: 5000, statement: 20_000, silence: 25_000 } as const

/** How PostgreSQL is reached, and how long it is waited for. */
export function databaseOptions(url: string): TypeOrmModuleOptions {
  return {
    type: 'postgres',
    url,
    entities: [ProjectRow, RecordRow, ChangeSetRow, JobRow],
    migrations,
    migrationsRun: true,
    synchronize: false,
    connectTimeoutMS: patience('connect'),
    // at the start: the launcher has waited for it already
    retryAttempts: 3,
    retryDelay: 1000,
    extra: clientOptions(),
  }
}

const clientOptions = () => ({
  max: 10,
  lock_timeout: patience('lock'),
  statement_timeout: patience('statement'),
  idle_in_transaction_session_timeout: patience('silence'),
  stream: () => watchedSocket(patience('silence')),
})

/**
 * A connection that ends when nothing has come over it for long. One that only stopped to wait would go back to the others with a
 * transaction still open in it, and the next request would end that one for it.
 */
function watchedSocket(silence: number): Socket {
  const socket = new Socket()
  socket.setTimeout(silence, () => socket.destroy(new Error('the database has been silent for too long')))
  return socket
}
