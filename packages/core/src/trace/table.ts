import type { Quantity } from '../units/quantity'

/** A table of a standard as data. How to read between and beyond its points belongs to the table. */
export interface Table {
  readonly symbol: string
  readonly quantity: Quantity
  readonly clause: string
  readonly fromMemory?: boolean
  readonly axis: {
    readonly symbol: string
    readonly quantity: Quantity
    readonly at: readonly number[]
    /**
     * `nextAbove`: the value at the first point not below x, so that a bound includes itself; `lastBelow`: the value at the last
     * point not above x, so that a step begins at its point.
     */
    readonly between: 'linear' | 'log' | 'nextAbove' | 'lastBelow'
    readonly below: 'nearest' | 'refuse'
    readonly above: 'nearest' | 'refuse'
  }
  readonly rows: Readonly<Record<string, readonly number[]>>
}
