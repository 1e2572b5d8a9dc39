import { familyOf } from '../standards/families'
import { usesKey, type Standard } from '../standards/layer'
import type { Quantity } from '../units/quantity'

/** What a national set, an edition or the project puts in the place of what its family recommends. */
export interface ReplacedRow {
  readonly kind: 'value' | 'table' | 'method' | 'use'
  readonly key: string
  readonly name: string
  readonly layer: string
  readonly clause: string
  readonly quantity: Quantity | null
  /** Of a value in SI; null for what is none. */
  readonly value: number | null
  /** What stood there, lowest layer first: a value in SI, or the name of a method. */
  readonly replaced: readonly (number | string)[]
  readonly fromMemory: boolean
}

/** Every replaced value with what stood there, then tables and methods, uses that were deleted, and those that were added. */
export function replacedRows(standard: Standard): readonly ReplacedRow[] {
  const family = familyOf(standard.family)
  const bare = { quantity: null, value: null, replaced: [], fromMemory: false } as const
  const values = Object.values(standard.values)
    .filter(({ replaced }) => replaced.length > 0)
    .map(({ key, meaning, layer, clause, value, replaced, fromMemory = false }): ReplacedRow => ({
      kind: 'value',
      key,
      name: meaning.name,
      layer,
      clause,
      quantity: meaning.quantity,
      value,
      replaced: replaced.map((old) => old.value),
      fromMemory,
    }))
  const tables = Object.entries(standard.tables)
    .filter(([key, table]) => table !== family.recommended.tables[key])
    .map(([key, { symbol, clause, fromMemory = false }]): ReplacedRow => ({
      ...bare,
      ...{ kind: 'table', key, name: symbol, layer: standard.decidedBy[key] ?? '', clause, fromMemory },
    }))
  const methods = Object.entries(standard.methods)
    .filter(([key, name]) => name !== family.recommended.methods[key])
    .map(([key, name]): ReplacedRow => ({
      ...bare,
      ...{ kind: 'method', key, name, layer: standard.decidedBy[key] ?? '', clause: '' },
      replaced: [family.recommended.methods[key] ?? []].flat(),
    }))
  const layerOf = (id: string) => standard.decidedBy[usesKey(id)] ?? ''
  const gone = Object.keys(family.uses)
    .filter((id) => !standard.uses[id])
    .map((id): ReplacedRow => ({
      ...bare,
      ...{ kind: 'use', key: id, name: 'deleted', layer: layerOf(id), clause: '' },
      replaced: [family.uses[id]?.name ?? id],
    }))
  const added = Object.entries(standard.uses)
    .filter(([id, { name }]) => name !== family.uses[id]?.name)
    .map(([id, { name }]): ReplacedRow => ({
      ...bare,
      ...{ kind: 'use', key: id, name, layer: layerOf(id), clause: '' },
      replaced: [family.uses[id]?.name ?? []].flat(),
    }))
  return [...values, ...tables, ...methods, ...gone, ...added]
}
