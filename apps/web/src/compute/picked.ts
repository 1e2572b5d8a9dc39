import { deletionEdits, isDrawn, recordIdOf, type Document, type Drawn } from '@hedrion/core'
import { useLook } from '../state/look'
import { useGetDocument } from './SessionContext'
import { useEdit } from './useEdit'

/** The drawn records among what is picked; a record picked on two levels is one record. */
export const pickedOf = (document: Document, picked: readonly string[]): readonly Drawn[] => [
  ...new Set(picked.map((id) => document.records.get(recordIdOf(id))).filter(isDrawn)),
]

/** What the records are called in a sentence: the label of one, or how many they are; null of none. */
export const nameOfPicked = (records: readonly Drawn[]): string | null =>
  records.length === 0 ? null : records.length === 1 ? (records[0]?.label ?? '') : `${records.length} selected`

/** Deletes what is picked, if that is possible; answers whether there was anything to delete. */
export function useDeletePicked(): () => boolean {
  const getDocument = useGetDocument()
  const edit = useEdit()
  const [look, change] = useLook()
  return () => {
    const records = pickedOf(getDocument(), look.picked)
    const name = nameOfPicked(records)
    if (name === null) return false
    const refused = edit.apply(`Deleted ${name}`, deletionEdits(getDocument(), records))
    if (!refused) change({ picked: [] })
    return true
  }
}
