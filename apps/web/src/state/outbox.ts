import { foldedEdits, formatVersion, migrateEdits, type ChangeSet, type Edit } from '@hedrion/core'
import { createStore, del, entries, set, update, type UseStore } from 'idb-keyval'
import { Outdated } from './api'

/** A change that waits on this machine until the server has acknowledged it. */
interface Waiting {
  readonly projectId: string
  readonly change: ChangeSet
  /** The version of the format it was made in; the first build said none. */
  readonly format?: number
  /** Why it is not sent any more, until a person decides. */
  readonly aside?: string
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
export const waiting = async (projectId: string): Promise<readonly Envelope[]> =>
  (await kept(projectId)).filter(({ aside }) => aside === undefined)

/** The changes of a project that are kept and not sent, with the reason. */
export const setAside = async (projectId: string): Promise<readonly (Envelope & { readonly aside: string })[]> =>
  (await kept(projectId)).flatMap(({ aside, ...envelope }) => (aside === undefined ? [] : [{ ...envelope, aside }]))

async function kept(projectId: string): Promise<readonly (Envelope & { readonly aside: string | undefined })[]> {
  const all = await entries<string, Waiting>(database())
  return all
    .filter(([, entry]) => entry.projectId === projectId)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, { change, format = 1, aside }]) => ({ key, change: presentChange(change, format), aside }))
}

/** Keeps a change on this machine without sending it. */
export const putAside = (key: string, aside: string): Promise<void> =>
  update<Waiting>(key, (entry) => ({ ...(entry as Waiting), aside }), database())

/** A change of an earlier build as this one makes it; it keeps its id, so that it is accepted once. */
export function presentChange(change: ChangeSet, format: number): ChangeSet {
  if (format > formatVersion) throw new Outdated('A newer version of this page has an unsent change in this browser.')
  const present = format === formatVersion ? change.edits : (migrateEdits(change.edits, format) as readonly Edit[])
  const edits = foldedEdits(present)
  return edits === change.edits ? change : { ...change, edits }
}

export const remove = (key: string): Promise<void> => del(key, database())
