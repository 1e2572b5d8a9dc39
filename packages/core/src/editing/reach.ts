import { recordsOf, type Document } from '../document/document'
import { isDrawn, type Drawn } from './shaped'

/** What is drawn and would be another by an edit of a record: the record itself, or what is made of it or loaded by it. */
export function reachedBy(document: Document, id: string): readonly Drawn[] {
  const record = document.records.get(id)
  if (record === undefined) return []
  if (isDrawn(record)) return [record]
  switch (record.kind) {
    case 'section':
      return recordsOf(document, 'member').filter(({ section }) => section === id)
    case 'material':
      return [
        ...recordsOf(document, 'member').filter(({ material }) => material === id),
        ...recordsOf(document, 'panel').filter(({ slab }) => slab?.material === id),
      ]
    case 'loadKey':
      return loadedBy(document, id)
    case 'buildUp':
      return [
        ...recordsOf(document, 'wallRun').filter(({ buildUp }) => buildUp === id),
        ...recordsOf(document, 'loadKey')
          .filter(({ buildUp }) => buildUp === id)
          .flatMap((key) => loadedBy(document, key.id)),
      ]
    default:
      return []
  }
}

/** Patches that carry the key, and the panels of layouts whose default it is. */
function loadedBy(document: Document, key: string): readonly Drawn[] {
  const layouts = new Set<string>(
    recordsOf(document, 'layout').flatMap((layout) => (layout.defaultKey === key ? [layout.id] : [])),
  )
  return [
    ...recordsOf(document, 'patch').filter((patch) => patch.key === key),
    ...recordsOf(document, 'panel').filter(({ layout }) => layouts.has(layout)),
  ]
}
