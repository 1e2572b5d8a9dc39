import {
  formatQuantity,
  inWordsOf,
  kindNames,
  labelOf,
  withTyped,
  type Edit,
  type NumberFormat,
  type Problem,
  type Quantity,
  type Rec,
  type TypedText,
} from '@hedrion/core'
import { useMemo } from 'react'
import type { Committed } from '../state/documentStore'
import { useFormat, useSession } from './SessionContext'
import type { ProjectSession } from './session'

/** Changes of records; each answers a sentence where the change is not possible, and changes nothing then. */
export interface Editor {
  /** Several edits as one change. */
  readonly apply: (note: string, edits: readonly Edit[]) => string | undefined
  readonly add: (note: string, records: readonly Rec[]) => string | undefined
  readonly remove: (note: string, records: readonly Rec[]) => string | undefined
  /** Fields of one record; the note says what it was and what it is. */
  readonly set: <R extends Rec>(record: R, note: string, fields: Partial<R>, typed?: TypedText) => string | undefined
  /** The same of several records, as one change. */
  readonly setEach: <R extends Rec>(
    records: readonly R[],
    note: string,
    fieldsOf: (record: R) => Partial<R>,
    typed?: TypedText,
  ) => string | undefined
}

export function useEdit(): Editor {
  const session = useSession()
  return useMemo(() => editorOf(session), [session])
}

function editorOf(session: ProjectSession): Editor {
  const apply: Editor['apply'] = (note, edits) => sentenceOf(session.commit(note, edits))
  const setEach: Editor['setEach'] = (records, note, fieldsOf, typed) =>
    apply(
      note,
      records.map((before) => ({
        id: before.id,
        before,
        after: withTyped({ ...before, ...fieldsOf(before) }, typed),
      })),
    )
  return {
    apply,
    add: (note, records) =>
      apply(
        note,
        records.map((record) => ({ id: record.id, before: null, after: record })),
      ),
    remove: (note, records) =>
      apply(
        note,
        records.map((record) => ({ id: record.id, before: record, after: null })),
      ),
    set: (record, note, fields, typed) => setEach([record], note, () => fields, typed),
    setEach,
  }
}

function sentenceOf(committed: Committed): string | undefined {
  if (committed.ok) return undefined
  const [problem]: readonly Problem[] = committed.problems
  if (problem) return problem.problem
  return committed.conflicts.length > 0 ? 'Changed elsewhere in the meantime.' : undefined
}

/** "Wall run W4: height 3.15 → 2.85 m", as the history says it. */
export function useNote() {
  const format = useFormat()
  const { store } = useSession()
  return useMemo(() => {
    const subject = (of: Rec | readonly Rec[]): string => {
      const records = 'kind' in of ? [of] : of
      const [first] = records
      if (!first) return ''
      const name = inWordsOf(format.words, kindNames[first.kind])
      if (records.length > 1)
        return `${records.length} ${first.kind === 'patch' ? 'patches' : `${name.toLowerCase()}s`}`
      return `${name} ${labelOf(store.getState().document, first.id) || first.kind}`
    }
    return {
      subject,
      value: (
        of: Rec | readonly Rec[],
        field: string,
        quantity: Quantity,
        before: number | null,
        after: number | null,
      ) => `${subject(of)}: ${field} ${arrow(before, after, quantity, format)}`,
      amount: (field: string, quantity: Quantity, before: number | null, after: number | null) =>
        `${field} ${arrow(before, after, quantity, format)}`,
      text: (of: Rec | readonly Rec[], field: string, before: string, after: string) =>
        `${subject(of)}: ${field} ${before} → ${after}`,
    }
  }, [format, store])
}

function arrow(before: number | null, after: number | null, quantity: Quantity, format: NumberFormat): string {
  const show = (value: number | null) => (value === null ? 'none' : formatQuantity(value, quantity, format))
  return `${show(before)} → ${show(after)}`
}
