import { randomUUID } from 'node:crypto'
import { limits } from '@hedrion/contract'
import { cut, migrateEdits, type ChangeSet, type Problem, type RawEdit } from '@hedrion/core'
import { readEdits } from './readEdits'

export type ReadHistory =
  { readonly ok: true; readonly changes: readonly ChangeSet[] } | { readonly ok: false; readonly problem: Problem }

/** Changes in a file, after which the file is too long to be a history that people made. */
const most = 200_000

/** The history in a project file of a version: change sets with a note and edits, each read as one that is sent; they get ids of their own. */
export function readHistory(value: unknown, version: number): ReadHistory {
  if (!Array.isArray(value) || value.length > most)
    return { ok: false, problem: { path: 'history', problem: `A list of ${most} changes at most is expected.` } }
  const problems: Problem[] = []
  const changes = (value as readonly unknown[]).map((one, i) => readOne(one, `history[${i}]`, version, problems))
  const [first] = problems
  return first ? { ok: false, problem: first } : { ok: true, changes }
}

function readOne(value: unknown, path: string, version: number, problems: Problem[]): ChangeSet {
  const { note, edits } = (typeof value === 'object' && value !== null ? value : {}) as Readonly<
    Record<string, unknown>
  >
  const raw = Array.isArray(edits) ? (edits as readonly unknown[]).filter(isEdit) : []
  if (typeof note !== 'string' || !Array.isArray(edits) || raw.length !== edits.length)
    problems.push({ path, problem: 'A change has a note and edits, each with id, before and after.' })
  return {
    id: randomUUID(),
    seen: 0,
    note: cut(String(note), limits.note),
    edits: readEdits(migrateEdits(raw, version), `${path}.edits`, problems),
  }
}

const isEdit = (value: unknown): value is RawEdit =>
  typeof value === 'object' && value !== null && typeof (value as { readonly id?: unknown }).id === 'string'
