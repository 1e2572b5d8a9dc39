import { documentOf, newId, seededRandom, type Document } from '../src/document/document'
import type { Rec } from '../src/document/recordKinds'

export const idsIn = /[a-zA-Z]+:[0-9a-z]{12,40}/g

/** The same document with other ids, and the old one of each. */
export function withOtherIds(
  document: Document,
  seed: number,
): { readonly other: Document; readonly old: ReadonlyMap<string, string> } {
  const random = seededRandom(seed)
  const fresh = new Map(
    [...document.records.values()].map(({ id, kind }) => [id as string, newId(kind, random) as string]),
  )
  const records = JSON.parse(
    JSON.stringify([...document.records.values()]).replace(idsIn, (id) => fresh.get(id) ?? id),
  ) as Rec[]
  return { other: documentOf(records), old: new Map([...fresh].map(([before, after]) => [after, before])) }
}
