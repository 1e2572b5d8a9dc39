import { own } from '../outcome/own'
import { pushAll } from '../outcome/lists'
import type { Concern } from '../outcome/outcome'
import type { Table } from '../trace/table'
import type { Traced } from '../trace/traced'
import type { Quantity } from '../units/quantity'
import {
  growthMeanings,
  useMeanings,
  type Family,
  type FamilyId,
  type LayerValue,
  type ParameterMeaning,
  type StandardLayer,
  type Use,
} from './family'

export type { LayerValue, StandardLayer }

export interface ResolvedValue extends LayerValue {
  readonly key: string
  readonly meaning: ParameterMeaning
  /** Name of the layer that decided. */
  readonly layer: string
  /** The values that were laid over, lowest first: the sheet strikes them through. */
  readonly replaced: readonly { readonly layer: string; readonly value: number; readonly clause: string }[]
}

/** A resolved standard: what the clauses ask for their values. Plain data. */
export interface Standard {
  readonly family: FamilyId
  /** Names, lowest first. */
  readonly layers: readonly string[]
  readonly values: Readonly<Record<string, ResolvedValue>>
  readonly tables: Readonly<Record<string, Table>>
  readonly methods: Readonly<Record<string, string>>
  /** The layer that decided a table, a method or a use, by its key. */
  readonly decidedBy: Readonly<Record<string, string>>
  readonly uses: Readonly<Record<string, Use>>
  /** Entries of a layer that could not be used, each with its layer. */
  readonly concerns: readonly Concern[]
}

/** Lays layers over the recommended values, the last on top; each value keeps its own clause and says what it replaced. */
export function resolveLayers(family: Family, over: readonly StandardLayer[]): Standard {
  const layers = [family.recommended, ...over]
  const uses = usesOver(family, over)
  const known: Known = { family, meanings: meaningsOf(family, over) }
  const values: Record<string, ResolvedValue> = {}
  const tables: Record<string, Table> = {}
  const methods: Record<string, string> = {}
  const decidedBy: Record<string, string> = {}
  const concerns: Concern[] = []
  for (const layer of layers) {
    pushAll(concerns, unusable(known, layer))
    for (const [key, entry] of Object.entries(layer.values))
      if (valueFits(own(known.meanings, key), entry)) values[key] = laidOver(own(values, key), key, known, layer, entry)
    for (const [key, table] of Object.entries(layer.tables))
      if (tableFits(family, key, table)) [tables[key], decidedBy[key]] = [table, layer.name]
    for (const [key, name] of Object.entries(layer.methods))
      if (own(family.methods, key)?.includes(name)) [methods[key], decidedBy[key]] = [name, layer.name]
    for (const id of Object.keys(layer.uses ?? {})) decidedBy[usesKey(id)] = layer.name
  }
  const names = layers.map(({ name }) => name)
  return { family: family.id, layers: names, values, tables, methods, decidedBy, uses, concerns }
}

/** What uses stand under where layers are told apart. */
export const usesKey = (id: string): string => `uses.${id}`

interface Known {
  readonly family: Family
  /** Of the family and of the uses that layers add. */
  readonly meanings: Readonly<Record<string, ParameterMeaning>>
}

function meaningsOf(family: Family, over: readonly StandardLayer[]): Known['meanings'] {
  const added = over.flatMap(({ uses }) => Object.keys(uses ?? {}))
  const ofUses = added.map((id) => ({ ...useMeanings(family, id), ...growthMeanings(id) }))
  return Object.assign({}, ...ofUses, family.meanings) as Known['meanings']
}

/** The family's uses with those of the layers; a use of a group that the family does not have is left out (and said). */
function usesOver({ uses, groups }: Family, over: readonly StandardLayer[]): Standard['uses'] {
  const all = new Map<string, Use>(Object.entries(uses))
  for (const layer of over)
    for (const [id, use] of Object.entries(layer.uses ?? {}))
      if (use === null) all.delete(id)
      else if (own(groups, use.group)) all.set(id, use)
  return Object.fromEntries(all)
}

function laidOver(
  below: ResolvedValue | undefined,
  key: string,
  { meanings }: Known,
  layer: StandardLayer,
  entry: LayerValue,
): ResolvedValue {
  const meaning = own(meanings, key)
  if (!meaning) throw new Error(`No meaning of ${key}`)
  // a layer that says the same again replaces nothing: its clause counts, and there is nothing to strike through
  const changed = below !== undefined && below.value !== entry.value
  const replaced = changed
    ? [...below.replaced, { layer: below.layer, value: below.value, clause: below.clause }]
    : (below?.replaced ?? [])
  return { ...entry, key, meaning, layer: layer.name, replaced }
}

const valueFits = (meaning: ParameterMeaning | undefined, { value }: LayerValue): boolean =>
  meaning !== undefined && Number.isFinite(value) && value >= meaning.min && value <= meaning.max

/** A table may be replaced by one of the same symbol, with a rising axis, all rows and as many values as points. */
function tableFits({ recommended }: Family, key: string, table: Table): boolean {
  const known = own(recommended.tables, key)
  const { at } = table.axis
  const rising = at.every((x, i) => i === 0 || x > (at[i - 1] ?? x))
  const rows = Object.keys(known?.rows ?? {})
  return (
    known !== undefined &&
    known.symbol === table.symbol &&
    rising &&
    rows.every((row) => own(table.rows, row)?.length === at.length)
  )
}

function unusable({ family, meanings }: Known, layer: StandardLayer): readonly Concern[] {
  const concern = (code: Concern['code'], data: Concern['data']): Concern => ({
    code,
    about: [],
    data,
  })
  const values = Object.entries(layer.values).flatMap(([key, entry]) => {
    const meaning = own(meanings, key)
    if (!meaning) return [concern('layer.unknown-key', { layer: layer.name, key })]
    if (valueFits(meaning, entry)) return []
    const { min, max, name, quantity } = meaning
    return [concern('layer.outside-limits', { layer: layer.name, key, name, quantity, value: entry.value, min, max })]
  })
  const tables = Object.entries(layer.tables).flatMap(([key, table]) =>
    tableFits(family, key, table) ? [] : [concern('layer.unusable-table', { layer: layer.name, key })],
  )
  const methods = Object.entries(layer.methods).flatMap(([key, name]) =>
    own(family.methods, key)?.includes(name) ? [] : [concern('layer.unknown-method', { layer: layer.name, key, name })],
  )
  const uses = Object.entries(layer.uses ?? {}).flatMap(([id, use]) =>
    use === null || own(family.groups, use.group)
      ? []
      : [concern('layer.unknown-group', { layer: layer.name, key: id, group: use.group })],
  )
  return [...values, ...tables, ...methods, ...uses]
}

/** The traced value of a parameter; a key that no layer knows is a programming error. */
export function parameter(standard: Standard, key: string): Traced {
  const found = own(standard.values, key)
  if (!found) throw new Error(`No parameter ${key} in ${standard.layers.join(' + ')}`)
  const { meaning, value, clause, layer, fromMemory } = found
  return {
    symbol: meaning.symbol,
    quantity: meaning.quantity,
    value,
    basis: { kind: 'parameter', key, clause, layer, ...(fromMemory ? { fromMemory } : {}) },
  }
}

/** The same where a layer may have none: a table need not give every use a concentrated load. */
export const parameterIf = (standard: Standard, key: string): Traced | null =>
  own(standard.values, key) ? parameter(standard, key) : null

/** The same with its quantity stated, where a formula wants it; a mismatch is a programming error. */
export function parameterOf<Q extends Quantity>(standard: Standard, key: string, quantity: Q): Traced<Q> {
  const traced = parameter(standard, key)
  if (traced.quantity !== quantity) throw new Error(`${key} is a ${traced.quantity}, not a ${quantity}`)
  return traced as Traced<Q>
}

export function tableOf(standard: Standard, key: string): Table {
  const found = own(standard.tables, key)
  if (!found) throw new Error(`No table ${key} in ${standard.layers.join(' + ')}`)
  return found
}
