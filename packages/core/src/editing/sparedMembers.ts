import type { Edit } from '../document/changes'
import type { Panel, Rec } from '../document/recordKinds'

/** Panels without members that go: each that stays and spared one of them. */
export function withoutSpared(records: readonly Rec[], going: ReadonlySet<string>): readonly Edit[] {
  return records.flatMap((before): readonly Edit[] => {
    if (before.kind !== 'panel' || going.has(before.id)) return []
    const sparedMembers = before.sparedMembers.filter((id) => !going.has(id))
    if (sparedMembers.length === before.sparedMembers.length) return []
    return [{ id: before.id, before, after: { ...before, sparedMembers } }]
  })
}

/** A copied panel spares the copies of members that were copied with it, and no others. */
export function withCopiesSpared<R extends Rec>(
  copy: R,
  copyOf: (id: string) => Panel['sparedMembers'][number] | undefined,
): R {
  if (copy.kind !== 'panel' || copy.sparedMembers.length === 0) return copy
  return { ...copy, sparedMembers: copy.sparedMembers.flatMap((id) => copyOf(id) ?? []) }
}
