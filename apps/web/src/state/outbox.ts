import { formatVersion, migrateEdits, type ChangeSet, type Edit } from '@hedrion/core'
import { createStore, del, entries, set, type UseStore } from 'idb-keyval'
import { Outdated } from './api'

/** A change that waits on this machine until the server has acknowledged it. */
interface Waiting {
  readonly projectId: string
  readonly change: ChangeSet
  /** The version of the format it was made in; the first build said none. */
  readonly format?: number
}

// keys sort as text: time first, then a count, so that the order of changes is the order of keys
let count = 0
const nextKey = (): string =>
  `${String(Date.now()).padStart(15, '0')}-${String(count++).padStart(8, '0')}-${crypto.randomUUID()}`

let store: UseStore | undefined
const database = (): UseStore => (store ??= createStore('hedrion-outbox', 'changes'))

/** Puts a change behind those that wait; it survives a reload and a crash of the page. */
export const enqueue = (projectId: string, change: ChangeSet): Promise<void> =>
  set(nextKey(), { projectId, change, format: formatVersion } satisfies Waiting, database())

export interface Envelope {
  readonly key: string
  readonly change: ChangeSet
}

/**
 * The changes of a project that wait, oldest first, whichever tab of whichever build made them, in the format of this page. Throws
 * `Outdated` where a newer one made them.
 */
export async function waiting(projectId: string): Promise<readonly Envelope[]> {
  const all = await entries<string, Waiting>(database())
  return all
    .filter(([, entry]) => entry.projectId === projectId)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, { change, format = 1 }]) => ({ key, change: presentChange(change, format) }))
}

/** A change of an earlier build as this one makes it; it keeps its id, so that it is accepted once. */
export function presentChange(change: ChangeSet, format: number): ChangeSet {
  if (format > formatVersion) throw new Outdated('A newer build of this page made a change that waits on this machine.')
  return format === formatVersion ? change : { ...change, edits: migrateEdits(change.edits, format) as readonly Edit[] }
}

export const remove = (key: string): Promise<void> => del(key, database())
