import { readRecord, type Edit, type Problem, type RawEdit, type Rec } from '@hedrion/core'

/** Records inside edits go through the one reader, as in a project file; what is wrong with them is put among the problems. */
export function readEdits(edits: readonly RawEdit[], path: string, problems: Problem[]): readonly Edit[] {
  const read = (value: unknown, at: string): Rec | null =>
    value === null || value === undefined ? null : readRecord(value, at, problems)
  return edits.map(({ id, before, after }, i) => ({
    id,
    before: read(before, `${path}[${i}].before`),
    after: read(after, `${path}[${i}].after`),
  }))
}
