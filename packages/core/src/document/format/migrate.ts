import { canonical } from '../canonical'
import type { FormatStep, RawRecord } from './formatStep'
import { formatSteps } from './steps'

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
