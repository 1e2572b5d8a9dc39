import {
  concentratedKey,
  growthMeanings,
  perMetreKey,
  upToKey,
  uniformKey,
  useMeanings,
  type Family,
  type Kept,
  type ParameterMeaning,
  type RuleRow,
  type Use,
  type UseSort,
} from './family'
import type { LayerValue } from './layer'

/** A row of a table of imposed loads: uniform and concentrated value in the units of the table, null where it has none. */
export interface UseRow {
  readonly id: string
  readonly name: string
  readonly uniform: number | null
  readonly concentrated: number | null
  readonly group: string
  readonly sort?: UseSort
  readonly reducible: boolean
  readonly clause: string
  readonly growth?: Growth
  readonly kept?: Kept
}

/** What is stored weighs by its height: so much for each metre, never less than the uniform value of the row. */
export interface Growth {
  readonly perMetre: number
  /** The height that the uniform value is for, where it grows from there on and not from the floor. */
  readonly upTo?: number
}

/** A row as IS 875-2 and BS 6399 print it: kN/m² and kN. */
export type MetricRow = readonly [
  id: string,
  name: string,
  uniform: number | null,
  concentrated: number | null,
  sort?: UseSort,
]

/** Rows of one table and one group; some uses may not be reduced. */
export const metricRows = (
  rows: readonly MetricRow[],
  {
    clause,
    group,
    isWhole,
    growths = {},
    keptOf = () => null,
  }: {
    readonly clause: string
    readonly group: string
    readonly isWhole: RegExp
    readonly growths?: Readonly<Record<string, Growth>>
    readonly keptOf?: (id: string) => Kept | null
  },
): readonly UseRow[] =>
  rows.map(([id, name, uniform, concentrated, sort]) => ({
    ...withKept(keptOf(id)),
    id,
    name,
    uniform,
    concentrated,
    group,
    ...(sort ? { sort } : {}),
    reducible: !isWhole.test(id),
    clause,
    ...(growths[id] ? { growth: growths[id] } : {}),
  }))

const withKept = (kept: Kept | null): Pick<UseRow, 'kept'> => (kept ? { kept } : {})

export interface TableUnits {
  /** One unit of the table's uniform load in Pa, of its concentrated load in N. */
  readonly pressure: number
  readonly force: number
}

/** kN/m² and kN. */
export const metricTable: TableUnits = { pressure: 1000, force: 1000 }

export const usesOf = (rows: readonly UseRow[]): Readonly<Record<string, Use>> =>
  Object.fromEntries(
    rows.map(({ id, name, group, sort, reducible, kept }) => [
      id,
      { name, group, sort: sort ?? null, reducible, kept: kept ?? null },
    ]),
  )

/** The values of a table of imposed loads; every one was written from memory and is marked so. */
export const useValues = (rows: readonly UseRow[], units: TableUnits): Readonly<Record<string, LayerValue>> =>
  Object.fromEntries(
    rows.flatMap(({ id, uniform, concentrated, clause, growth }) => [
      ...(uniform === null ? [] : [[uniformKey(id), remembered(uniform * units.pressure, clause)] as const]),
      ...(concentrated === null
        ? []
        : [[concentratedKey(id), remembered(concentrated * units.force, clause)] as const]),
      ...(growth ? [[perMetreKey(id), remembered(growth.perMetre * units.pressure, clause)] as const] : []),
      ...(growth?.upTo === undefined ? [] : [[upToKey(id), remembered(growth.upTo, clause)] as const]),
    ]),
  )

export const useParameters = (
  family: Pick<Family, 'imposedSymbols'>,
  rows: readonly UseRow[],
): Readonly<Record<string, ParameterMeaning>> =>
  Object.fromEntries(
    rows.flatMap(({ id, growth }) => [
      ...Object.entries(useMeanings(family, id)),
      // those that the row has
      ...(growth ? Object.entries(growthMeanings(id)).slice(0, growth.upTo === undefined ? 1 : 2) : []),
    ]),
  )

export const ruleKey = (row: string, group: string): string => `rule.${row}.${group}`

interface Symbols {
  readonly permanent: string
  readonly of: (group: string) => string
}

/** Meanings and values of the factors of rows of combinations. */
export function ruleParameters(rows: readonly RuleRow[], { permanent, of }: Symbols) {
  const meanings: Record<string, ParameterMeaning> = {}
  const values: Record<string, LayerValue> = {}
  for (const {
    id,
    name,
    clause,
    permanent: [sup, inf],
    factors,
  } of rows) {
    const put = (key: string, symbol: string, what: string, value: number) => {
      meanings[ruleKey(id, key)] = { symbol, quantity: 'factor', name: `${what}, ${name}`, min: 0, max: 3 }
      values[ruleKey(id, key)] = remembered(value, clause)
    }
    put('G_sup', `γ_${permanent}`, 'permanent', sup)
    if (inf !== sup) put('G_inf', `γ_${permanent},inf`, 'permanent, favourable', inf)
    for (const [group, value] of Object.entries(factors)) put(group, `γ_${of(group)}`, of(group), value)
  }
  return { meanings, values }
}

// Every value of the families was written from memory of the standards and marked so, until someone has checked it
// against the printed documents; the mark shows beside the value on the screen.
export const remembered = (value: number, clause: string): LayerValue => ({ value, clause, fromMemory: true })

/** Makes meanings of parameters of one quantity. */
export const meaningOf =
  (quantity: ParameterMeaning['quantity']) =>
  (symbol: string, name: string, min: number, max: number): ParameterMeaning => ({ symbol, quantity, name, min, max })

/** Parameters that stand together with their values, as the two parts of a family. */
export const parametersOf = (
  table: Readonly<Record<string, readonly [ParameterMeaning, LayerValue]>>,
): {
  readonly meanings: Readonly<Record<string, ParameterMeaning>>
  readonly values: Readonly<Record<string, LayerValue>>
} => ({
  meanings: Object.fromEntries(Object.entries(table).map(([key, [meaning]]) => [key, meaning])),
  values: Object.fromEntries(Object.entries(table).map(([key, [, value]]) => [key, value])),
})

const massSymbols = {
  low: ['ψ_E', 'factor', 'share of imposed load in the seismic mass, light floors'],
  high: ['ψ_E', 'factor', 'share of imposed load in the seismic mass, heavy floors'],
  storage: ['ψ_E', 'factor', 'share of imposed load in the seismic mass, storage'],
  limit: ['q_lim', 'pressure', 'imposed load up to which a floor counts as light'],
} as const

/** Meanings of the parameters of a family's mass rule. */
export const massMeanings = (
  wanted: readonly (keyof typeof massSymbols)[],
): Readonly<Record<string, ParameterMeaning>> =>
  Object.fromEntries(
    wanted.map((name) => {
      const [symbol, quantity, what] = massSymbols[name]
      return [`mass.share.${name}`, { symbol, quantity, name: what, min: 0, max: quantity === 'factor' ? 1 : 1e5 }]
    }),
  )

/** Meaning of the minimum partition allowance, in the family's symbol. */
export const leastPartitions = (symbol: string): Readonly<Record<string, ParameterMeaning>> => ({
  'imposed.partitions.least': {
    symbol,
    quantity: 'pressure',
    name: 'minimum partition allowance',
    min: 0,
    max: 1e5,
  },
})

/** Meaning of what stays of heavy floors that are reduced. */
export const keptMeaning: Readonly<Record<string, ParameterMeaning>> = {
  'reduction.kept': {
    symbol: 'q_keep',
    quantity: 'pressure',
    name: 'minimum ratio for heavy floors',
    min: 0,
    max: 1e5,
  },
}

/** The symbols of a table of combinations: of a group its own, of wind the family's. */
export const symbolsOf =
  (groups: Family['groups'], wind: string) =>
  (group: string): string =>
    group === 'wind' ? wind : (groups[group]?.symbol ?? group)
