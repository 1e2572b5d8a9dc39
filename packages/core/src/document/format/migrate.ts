import { canonical } from '../canonical'
import { formatSteps, type FormatStep, type RawRecord } from './steps'

/** An edit as it was written by whichever version. */
export interface RawEdit {
  readonly id: string
  readonly before: unknown
  readonly after: unknown
}

/** One record of a version as records of the newest; what is no record is left for the reader to refuse. */
export function migrateRecord(
  value: unknown,
  from: number,
  steps: readonly FormatStep[] = formatSteps,
): readonly unknown[] {
  return steps
    .filter(({ to }) => to > from)
    .reduce<readonly unknown[]>(
      (values, { migrate }) => values.flatMap((one): readonly unknown[] => (isRaw(one) ? migrate(one) : [one])),
      [value],
    )
}

/**
 * The edits of a change of a version as edits of the newest: one may become several, in the order of the records that it becomes.
 * `migrate(apply(d, c)) = apply(migrate(d), migrate(c))` for every document and change.
 */
export function migrateEdits(
  edits: readonly RawEdit[],
  from: number,
  steps: readonly FormatStep[] = formatSteps,
): readonly RawEdit[] {
  return edits.flatMap((edit): readonly RawEdit[] => {
    const [before, after] = [edit.before, edit.after].map((value) => partsOf(value, edit.id, from, steps))
    const parts = [...new Set([...(before?.keys() ?? []), ...(after?.keys() ?? [])])]
    const made = parts.map((id) => ({ id, before: before?.get(id) ?? null, after: after?.get(id) ?? null }))
    // a part that the edit leaves as it is, is none of its edits: another person may have changed it
    const changed = made.filter((part) => made.length === 1 || canonical(part.before) !== canonical(part.after))
    return changed.length > 0 ? changed : made
  })
}

/** What one side of an edit becomes, by id. */
function partsOf(value: unknown, id: string, from: number, steps: readonly FormatStep[]): ReadonlyMap<string, unknown> {
  if (value === null || value === undefined) return new Map()
  return new Map(migrateRecord(value, from, steps).map((part) => [isRaw(part) ? part.id : id, part]))
}

export const isRaw = (value: unknown): value is RawRecord =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  'id' in value &&
  typeof value.id === 'string' &&
  'kind' in value &&
  typeof value.kind === 'string'

const letters = '0123456789abcdefghijklmnopqrstuvwxyz'

/** The id of a record that a step makes of another: the same whenever and wherever it is made, and no other's by chance. */
export function madeId(kind: string, of: string, part: string): string {
  let tail = ''
  for (let round = 0; tail.length < 16; round++) {
    // FNV-1a, 32 bits to a round
    let hash = 0x811c9dc5
    for (const letter of `${round} ${kind} ${part} ${of}`) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193)
    // mixed, so that texts that differ late differ in all letters
    hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b)
    hash = (hash ^ (hash >>> 13)) >>> 0
    for (let i = 0; i < 4; i++, hash = Math.floor(hash / 36)) tail += letters[hash % 36] ?? '0'
  }
  return `${kind}:${tail}`
}
