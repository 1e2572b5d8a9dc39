import { canonical } from './canonical'
import { cut } from './cut'
import type { Document } from './document'
import type { Problem } from './fields'
import { invariantProblems } from './invariants'
import type { Rec } from './recordKinds'

export interface Edit {
  readonly id: string
  readonly before: Rec | null
  readonly after: Rec | null
}

/** Letters of a note; the server takes no more. */
export const longestNote = 200

/** One change: undo step, autosave message, history entry, and what the drawing redraws from. */
export interface ChangeSet {
  /** A uuid: a retry with the same id is the same change. */
  readonly id: string
  /** The project's counter when the change was made. */
  readonly seen: number
  readonly note: string
  readonly edits: readonly Edit[]
}

/** The record is not what the change expected: both values are there to be shown. */
export interface Conflict {
  readonly id: string
  readonly expected: Rec | null
  readonly current: Rec | null
}

export type Applied =
  | { readonly ok: true; readonly document: Document }
  | { readonly ok: false; readonly conflicts: readonly Conflict[]; readonly problems: readonly Problem[] }

/**
 * Applies a change set. It fits where each current record equals the expected `before`, whatever the counter: that is
 * also how a stale change is rebased. Nothing is applied in part.
 */
export function applyChange(document: Document, change: ChangeSet): Applied {
  const doubled = doubledEdits(change.edits)
  if (doubled.length > 0) return { ok: false, conflicts: [], problems: doubled }
  const conflicts = change.edits
    .map(({ id, before }) => ({ id, expected: before, current: document.records.get(id) ?? null }))
    .filter(({ expected, current }) => !sameRecord(expected, current))
  if (conflicts.length > 0) return { ok: false, conflicts, problems: [] }
  const problems = change.edits
    .filter(({ id, after }) => after !== null && after.id !== id)
    .map(({ id }) => ({ path: `edits.${id}`, problem: 'The record in this edit has a different id.' }))
  const next = withEdits(document, change.edits)
  const all = [...problems, ...invariantProblems(next)]
  return all.length > 0 ? { ok: false, conflicts: [], problems: all } : { ok: true, document: next }
}

/** Two edits of one record in a change: which of them stands would be left to the order in which they are written. */
function doubledEdits(edits: readonly Edit[]): readonly Problem[] {
  const seen = new Set<string>()
  return edits.flatMap(({ id }, i): readonly Problem[] => {
    if (!seen.has(id)) {
      seen.add(id)
      return []
    }
    return [{ path: `edits[${i}].id`, problem: `The change edits ${id} twice.` }]
  })
}

/** Edits of which each record has one: those that follow each other on a record become one from the first value to the last. */
export function foldedEdits(edits: readonly Edit[]): readonly Edit[] {
  const folded = new Map<string, Edit>()
  for (const edit of edits) {
    const earlier = folded.get(edit.id)
    folded.set(edit.id, earlier ? { id: edit.id, before: earlier.before, after: edit.after } : edit)
  }
  return folded.size === edits.length ? edits : [...folded.values()]
}

/** The document after the edits, with nothing checked: for change sets that were accepted before. */
export function withEdits(document: Document, edits: readonly Edit[]): Document {
  const records = new Map(document.records)
  for (const { id, after } of edits) {
    if (after === null) records.delete(id)
    else records.set(id, Object.freeze(after))
  }
  return { records }
}

/** The inverse change: undo is a new change set like any other. */
export function inverse(change: ChangeSet, id: string, seen: number): ChangeSet {
  const note = change.note.startsWith('Undo: ') ? change.note.slice(6) : cut(`Undo: ${change.note}`, longestNote)
  return {
    id,
    seen,
    note,
    edits: change.edits.map((edit) => ({ id: edit.id, before: edit.after, after: edit.before })),
  }
}

export function sameRecord(a: Rec | null, b: Rec | null): boolean {
  return a === b || canonical(a) === canonical(b)
}
