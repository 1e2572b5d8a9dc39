import type { Edit } from '../document/changes'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { Layer } from '../document/recordKinds'
import { embedded } from '../standards/en/standard'
import type { StandardLayer } from '../standards/layer'

const layerOf = (document: Document, standing: Layer['standing']): Layer | undefined =>
  recordsOf(document, 'layer').find((layer) => layer.standing === standing)

const isEmpty = ({ values, tables, methods }: Layer): boolean =>
  [values, tables, methods].every((entries) => Object.keys(entries).length === 0)

/** The project's own value of a parameter, over all other layers; null takes it away again. */
export function ownValueEdits(document: Document, key: string, value: number | null, random: Random): readonly Edit[] {
  const before = layerOf(document, 'own') ?? null
  const bare: Layer = before ?? {
    kind: 'layer',
    id: newId('layer', random),
    standing: 'own',
    name: 'this project',
    values: {},
    tables: {},
    methods: {},
  }
  const { [key]: _, ...others } = bare.values
  const values = value === null ? others : { ...others, [key]: { value, clause: 'this project', fromMemory: false } }
  const after: Layer = { ...bare, values }
  return [{ id: bare.id, before, after: isEmpty(after) ? null : after }]
}

/** Another national set, embedded whole; null leaves the recommended values alone. */
export function nationalSetEdits(document: Document, set: StandardLayer | null, random: Random): readonly Edit[] {
  const before = layerOf(document, 'national')
  const removed: readonly Edit[] = before ? [{ id: before.id, before, after: null }] : []
  if (!set) return removed
  const after = embedded(set, newId('layer', random))
  return [...removed, { id: after.id, before: null, after }]
}
