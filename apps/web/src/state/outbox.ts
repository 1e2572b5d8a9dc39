import type { ChangeSet } from '@hedrion/core'
import { createStore, del, entries, set, type UseStore } from 'idb-keyval'

/** A change that waits on this machine until the server has acknowledged it. */
interface Waiting {
  readonly projectId: string
  readonly change: ChangeSet
}

// keys sort as text: time first, then a count, so that the order of changes is the order of keys
let count = 0
const nextKey = (): string =>
  `${String(Date.now()).padStart(15, '0')}-${String(count++).padStart(8, '0')}-${crypto.randomUUID()}`

let store: UseStore | undefined
const database = (): UseStore => (store ??= createStore('hedrion-outbox', 'changes'))

/** Puts a change behind those that wait; it survives a reload and a crash of the page. */
export const enqueue = (projectId: string, change: ChangeSet): Promise<void> =>
  set(nextKey(), { projectId, change } satisfies Waiting, database())

export interface Envelope {
  readonly key: string
  readonly change: ChangeSet
}

/** The changes of a project that wait, oldest first, whichever tab made them. */
export async function waiting(projectId: string): Promise<readonly Envelope[]> {
  const all = await entries<string, Waiting>(database())
  return all
    .filter(([, entry]) => entry.projectId === projectId)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, { change }]) => ({ key, change }))
}

export const remove = (key: string): Promise<void> => del(key, database())
