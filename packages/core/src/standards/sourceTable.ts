import { own } from '../outcome/own'
import type { Quantity } from '../units/quantity'
import { familyOf } from './families'
import { titleOfUse } from './family'
import type { ResolvedValue, Standard } from './layer'

/** One value in a table of the standard. */
export interface SourceCell {
  readonly key: string
  readonly symbol: string
  readonly quantity: Quantity
  readonly value: number
}

export interface SourceRow {
  readonly id: string
  readonly name: string
  /** One for each column; null where the standard has no value. */
  readonly cells: readonly (SourceCell | null)[]
}

/** The table that a parameter stands in, with its own row and column. */
export interface SourceTable {
  readonly id: SourceTableId
  /** What a row is. */
  readonly heading: string
  readonly rows: readonly SourceRow[]
  readonly row: string
  readonly column: number
}

export type SourceTableId = 'uses' | 'psi' | 'classes' | 'terrains' | 'soils' | 'combinations' | 'single'

interface Kind {
  readonly id: SourceTableId
  readonly heading: string
  /** Of keys of such a table, with the groups `row` and `column`. */
  readonly key: RegExp
  readonly nameOf: (row: string, first: ResolvedValue, standard: Standard) => string
}

const byMeaning: Kind['nameOf'] = (_, { meaning }) => meaning.name

/** The first whose key fits counts. */
const kinds: readonly Kind[] = [
  {
    id: 'uses',
    heading: 'use',
    key: /^(?<column>imposed\.(q_k|Q_k|q_h|h_0)|barrier\.q_k)\.(?<row>.+)$/,
    nameOf: (row, _, { uses }) => (uses[row] ? titleOfUse(row, uses[row]) : row),
  },
  {
    id: 'psi',
    heading: 'action',
    key: /^(?<column>basis\.psi_\d)\.(?<row>.+)$/,
    nameOf: (row, { meaning }) => (/^[A-Z]$/.test(row) ? `${row} · ${meaning.name}` : meaning.name),
  },
  { id: 'classes', heading: 'class', key: /^(?<column>basis\.K_FI)\.(?<row>.+)$/, nameOf: byMeaning },
  { id: 'terrains', heading: 'terrain', key: /^wind\.terrain\.(?<row>[^.]+)\.(?<column>.+)$/, nameOf: (row) => row },
  { id: 'soils', heading: 'ground', key: /^earthquake\.soil\.(?<row>[^.]+)\.(?<column>.+)$/, nameOf: (row) => row },
  {
    id: 'combinations',
    heading: 'combination',
    key: /^rule\.(?<row>[^.]+)\.(?<column>.+)$/,
    nameOf: (row, _, { family }) => familyOf(family).ruleRows.find(({ id }) => id === row)?.name ?? row,
  },
  // what stands in a clause, not in a table: beside the others of its part of the standard
  { id: 'single', heading: 'parameter', key: /^(?<row>(?<part>[^.]+)\..+)$/, nameOf: byMeaning },
]

interface Place {
  readonly kind: Kind
  /** Only rows of one part stand together: a set of combinations, a part of the standard. */
  readonly part: string
  readonly row: string
  readonly column: string
}

function placeOf(key: string, { family }: Standard): Place | null {
  for (const kind of kinds) {
    const groups = kind.key.exec(key)?.groups
    if (!groups) continue
    const { row = key, column = 'value', part = '' } = groups
    const set = kind.id === 'combinations' ? familyOf(family).ruleRows.find(({ id }) => id === row)?.set : undefined
    return { kind, part: set ?? part, row, column }
  }
  return null
}

/** The table of the standard in use that a parameter stands in; null for a key that no layer knows. */
export function sourceTable(standard: Standard, key: string): SourceTable | null {
  const asked = own(standard.values, key) && placeOf(key, standard)
  if (!asked) return null
  const columns: string[] = []
  const found = new Map<string, Map<string, ResolvedValue>>()
  for (const value of Object.values(standard.values)) {
    const place = placeOf(value.key, standard)
    if (place?.kind !== asked.kind || place.part !== asked.part) continue
    if (!columns.includes(place.column)) columns.push(place.column)
    const row = found.get(place.row) ?? new Map<string, ResolvedValue>()
    found.set(place.row, row.set(place.column, value))
  }
  const rows = [...found].flatMap(([id, values]): readonly SourceRow[] => {
    const [first] = values.values()
    if (!first) return []
    return [
      { id, name: asked.kind.nameOf(id, first, standard), cells: columns.map((name) => cellOf(values.get(name))) },
    ]
  })
  const { id, heading } = asked.kind
  return { id, heading, rows, row: asked.row, column: columns.indexOf(asked.column) }
}

function cellOf(value: ResolvedValue | undefined): SourceCell | null {
  if (!value) return null
  const { key, meaning } = value
  return { key, symbol: meaning.symbol, quantity: meaning.quantity, value: value.value }
}
