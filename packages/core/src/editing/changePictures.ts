import type { Edit } from '../document/changes'
import { recordsOf, type Document } from '../document/document'
import { floorsOf } from './levels'
import { drawnOf, isDrawn, type Drawn } from './shaped'

/** What edits do to the drawing of one layout: what stays there, what goes and what comes. */
export interface ChangePicture {
  readonly layoutId: string
  readonly layoutName: string
  /** Names of the levels that it stands on, from below; none where it stands on no level. */
  readonly levels: readonly string[]
  readonly stays: readonly Drawn[]
  readonly goes: readonly Drawn[]
  readonly comes: readonly Drawn[]
}

/** One picture for each layout that the edits reach, in the order of the levels. */
export function changePictures(document: Document, edits: readonly Edit[]): readonly ChangePicture[] {
  const gone = new Set(edits.flatMap(({ before }) => (before ? [before.id as string] : [])))
  const goes = edits.flatMap(({ before }) => (before && isDrawn(before) ? [before] : []))
  const comes = edits.flatMap(({ after }) => (after && isDrawn(after) ? [after] : []))
  const reached = new Set([...goes, ...comes].map(({ layout }) => layout))
  const floors = floorsOf(document)
  const order = (id: string) => {
    const first = floors.findIndex(({ layoutId }) => layoutId === id)
    return first < 0 ? floors.length : first
  }
  const all = drawnOf(document)
  const on = (list: readonly Drawn[], id: string) => list.filter(({ layout }) => layout === id)
  return recordsOf(document, 'layout')
    .filter(({ id }) => reached.has(id))
    .sort((p, q) => order(p.id) - order(q.id))
    .map(({ id, name }): ChangePicture => ({
      layoutId: id,
      layoutName: name,
      levels: floors.flatMap(({ layoutId, level }) => (layoutId === id ? [level.name] : [])),
      stays: on(all, id).filter((record) => !gone.has(record.id)),
      goes: on(goes, id),
      comes: on(comes, id),
    }))
}
