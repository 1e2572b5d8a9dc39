import { Problem } from '../http/problem'

/** SQLSTATE, by class or whole, of a database that cannot do now what it could do later. */
const away: readonly string[] = [
  '08', // connection exceptions
  '53', // insufficient resources: disk, memory, connections
  '57P', // shut down by an operator, crashed, starting
  '57014', // the statement took too long
  '55P03', // a lock was not to be had
  '40', // rolled back for the sake of another transaction
  '58', // system errors: input and output
]
const diskFull = '53100'

/** A file that may not grow (a quota, a limit) is for a person the same as a disk without space; PostgreSQL has no code for it. */
const noSpace = /No space left on device|File too large|Disk quota exceeded/i

const broken = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'EHOSTUNREACH', 'ENETUNREACH'])

/** What the libraries between us and PostgreSQL say, without a code, when a connection ends or none is to be had. */
const words =
  /Connection terminated|Connection ended|timeout exceeded when trying to connect|connection error and is not queryable|silent for too long|Client was closed|Query runner already released|Driver not Connected|Connection is not established|Cannot use a pool after calling end/i

interface Coded {
  readonly code?: unknown
  readonly message?: unknown
  readonly driverError?: unknown
  readonly cause?: unknown
  readonly errors?: unknown
}

/** Whether an error says that PostgreSQL is away, frozen, full or busy: nothing that the request itself is to blame for. */
export function awayProblem(error: unknown, isRead: boolean): Problem | undefined {
  const all = chain(error)
  if (all.some(isFull))
    return new Problem(
      503,
      'database.full',
      'The database disk is full: nothing is saved until space is available. Project changes wait in the page and are sent again automatically.',
    )
  if (!all.some(isAway)) return undefined
  return new Problem(
    503,
    'database.away',
    isRead
      ? 'The database is not responding. Try again in a moment.'
      : 'The database is not responding, so it is not known whether this was saved. Project changes are sent again automatically; check other requests before you repeat them.',
  )
}

/** An error and those that it stands for. */
function chain(error: unknown): readonly Coded[] {
  const all: Coded[] = []
  const take = (one: unknown): void => {
    if (typeof one !== 'object' || one === null || all.includes(one) || all.length > 20) return
    const coded = one as Coded
    all.push(coded)
    take(coded.driverError)
    take(coded.cause)
    if (Array.isArray(coded.errors)) coded.errors.forEach(take)
  }
  take(error)
  return all
}

const isFull = ({ code, message }: Coded): boolean =>
  code === diskFull || code === 'ENOSPC' || (typeof message === 'string' && noSpace.test(message))

function isAway({ code, message }: Coded): boolean {
  if (typeof code === 'string' && (broken.has(code) || away.some((start) => isState(code) && code.startsWith(start))))
    return true
  return typeof message === 'string' && words.test(message)
}

const isState = (code: string): boolean => /^[0-9A-Z]{5}$/.test(code)
