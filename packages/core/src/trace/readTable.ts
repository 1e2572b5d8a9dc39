import { own } from '../outcome/own'
import { refused, sound, type Outcome } from '../outcome/outcome'
import type { Table } from './table'
import type { Traced } from './traced'

const shareOf = {
  linear: (a: number, b: number, x: number) => (x - a) / (b - a),
  log: (a: number, b: number, x: number) => Math.log(x / a) / Math.log(b / a),
  nextAbove: (a: number, _b: number, x: number) => (x > a ? 1 : 0),
  lastBelow: (_a: number, b: number, x: number) => (x >= b ? 1 : 0),
} as const

/** Reads one row of a table at x; outside the axis it is refused with a concern where the table says so. */
export function readTable(table: Table, row: string, x: Traced): Outcome<Traced> {
  const { at, between, below, above } = table.axis
  const values = own(table.rows, row)
  const first = at[0]
  const last = at[at.length - 1]
  if (!values || first === undefined || last === undefined)
    return refused({ code: 'table.unknown-row', about: [], data: { clause: table.clause, row } })
  const outside = (x.value < first && below === 'refuse') || (x.value > last && above === 'refuse')
  if (outside)
    return refused({
      code: 'table.outside-range',
      about: [],
      data: { clause: table.clause, symbol: x.symbol, at: x.value, from: first, to: last },
    })
  return sound({
    symbol: table.symbol,
    quantity: table.quantity,
    value: interpolate(at, values, shareOf[between], Math.min(Math.max(x.value, first), last)),
    basis: { kind: 'table', table, row, inputs: [x] },
  })
}

function interpolate(
  at: readonly number[],
  values: readonly number[],
  share: (a: number, b: number, x: number) => number,
  x: number,
): number {
  if (at.length === 1) return values[0] ?? NaN
  // where two points are one the table steps: from there on the second holds
  const hi = at.findIndex((point) => point > x)
  if (hi === -1) return values[at.length - 1] ?? NaN
  const [a = 0, b = 0, low = 0, high = 0] = [at[hi - 1], at[hi], values[hi - 1], values[hi]]
  return low + share(a, b, x) * (high - low)
}
