import type { Edit } from '../document/changes'
import type { Panel } from '../document/recordKinds'
import type { Drawn } from './shaped'

/** Panels without members that go: each that stays and spared one of them. */
export function withoutSpared(records: readonly Drawn[], going: ReadonlySet<string>): readonly Edit[] {
  return records.flatMap((before): readonly Edit[] => {
    if (before.kind !== 'panel' || going.has(before.id)) return []
    const sparedMembers = before.sparedMembers.filter((id) => !going.has(id))
    if (sparedMembers.length === before.sparedMembers.length) return []
    return [{ id: before.id, before, after: { ...before, sparedMembers } }]
  })
}

/** A copied panel spares the copies of members that were copied with it, and no others. */
export function withCopiesSpared<D extends Drawn>(
  copy: D,
  copyOf: (id: string) => Panel['sparedMembers'][number] | undefined,
): D {
  if (copy.kind !== 'panel' || copy.sparedMembers.length === 0) return copy
  return { ...copy, sparedMembers: copy.sparedMembers.flatMap((id) => copyOf(id) ?? []) }
}
