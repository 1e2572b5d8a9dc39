import { once } from '../outcome/once'
import type { Id, Kind, Rec, RecOf } from './recordKinds'

export const formatName = 'hedrion-project'
export const formatVersion = 3

/** A project: flat, immutable records by id. Everything else is derived. */
export interface Document {
  readonly records: ReadonlyMap<string, Rec>
}

export const emptyDocument: Document = { records: new Map() }

const byId = (a: { readonly id: string }, b: { readonly id: string }): number =>
  a.id < b.id ? -1 : a.id > b.id ? 1 : 0

/** All records of a kind in the order of their ids, so that insertion order never matters. */
export function recordsOf<K extends Kind>(document: Document, kind: K): readonly RecOf<K>[] {
  return (sortedByKind(document).get(kind) ?? []) as readonly RecOf<K>[]
}

const sortedByKind = once((document: Document): ReadonlyMap<Kind, readonly Rec[]> => {
  const found = new Map<Kind, Rec[]>()
  for (const record of document.records.values()) {
    const there = found.get(record.kind)
    if (there) there.push(record)
    else found.set(record.kind, [record])
  }
  for (const list of found.values()) list.sort(byId)
  return found
})

export function find<K extends Kind>(document: Document, id: Id<K> | null | undefined): RecOf<K> | undefined {
  return id === null || id === undefined ? undefined : (document.records.get(id) as RecOf<K> | undefined)
}

export function documentOf(records: Iterable<Rec>): Document {
  return { records: new Map([...records].map((record) => [record.id, Object.freeze(record)])) }
}

/** A source of numbers in [0, 1): the caller's, since the core has no I/O. */
export type Random = () => number

const letters = '0123456789abcdefghijklmnopqrstuvwxyz'

/** A new opaque id; 16 letters of 36 leave no room for chance meetings. */
export function newId<K extends Kind>(kind: K, random: Random): `${K}:${string}` {
  let tail = ''
  for (let i = 0; i < 16; i++) tail += letters[Math.floor(random() * 36)] ?? '0'
  return `${kind}:${tail}`
}

/** A repeatable random source (mulberry32, public domain), for the demo and for tests. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
