import type { Quantity } from '../units/quantity'
import type { Table } from './table'

export type Basis =
  | { readonly kind: 'given'; readonly from: string }
  | {
      readonly kind: 'parameter'
      /** Where it stands in the layers of the standard. */
      readonly key: string
      readonly clause: string
      readonly layer?: string
      readonly fromMemory?: boolean
    }
  | {
      readonly kind: 'table'
      readonly table: Table
      readonly row: string
      readonly inputs: readonly Traced[]
    }
  | {
      readonly kind: 'formula'
      readonly clause: string
      readonly expression: string
      readonly inputs: Readonly<Record<string, Traced>>
    }
  | { readonly kind: 'sum'; readonly clause: string; readonly terms: readonly TracedTerm[] }

/** A number with its quantity, as it stands in a product. */
export interface Amount {
  readonly value: number
  readonly quantity: Quantity
}

/** One term of a traced sum. */
export interface TracedTerm {
  readonly label: string
  readonly value: number
  /** The term as a product, where it is one. */
  readonly factors?: readonly Amount[]
  /** How the term was worked out, where that is at hand. */
  readonly traced?: Traced
  /** Leads to the term's own trace, made when asked for. */
  readonly address?: string
}

/** A number in SI base units that knows its symbol and where it came from. Plain data. */
export interface Traced<Q extends Quantity = Quantity> {
  readonly symbol: string
  readonly quantity: Q
  readonly value: number
  readonly basis: Basis
}

export const given = <const Q extends Quantity>(
  symbol: string,
  quantity: Q,
  value: number,
  from: string,
): Traced<Q> => ({
  symbol,
  quantity,
  value,
  basis: { kind: 'given', from },
})

/** A sum of named terms, as for the load of a column. */
export const tracedSum = <const Q extends Quantity>(
  symbol: string,
  quantity: Q,
  clause: string,
  terms: readonly TracedTerm[],
): Traced<Q> => ({
  symbol,
  quantity,
  value: terms.reduce((sum, term) => sum + term.value, 0),
  basis: { kind: 'sum', clause, terms },
})
