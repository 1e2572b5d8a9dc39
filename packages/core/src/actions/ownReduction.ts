import type { ReductionTable } from '../document/recordKinds'
import { readTable } from '../trace/readTable'
import type { Table } from '../trace/table'
import { given, type Traced } from '../trace/traced'

export interface OwnSupported {
  readonly by: 'beam' | 'column'
  readonly area: Traced<'area'>
  readonly storeys: Traced<'count'>
}

/** The factor of the project's own table; null for a member that it does not apply to. */
export function ownReduction(table: ReductionTable, { by, area, storeys }: OwnSupported): Traced<'factor'> | null {
  if (table.appliesTo !== 'both' && table.appliesTo !== `${by}s`) return null
  const clause = `project table “${table.name}”`
  const whole = (why: string) => given('alpha', 'factor', 1, `${clause}: ${why}`)
  if (storeys.value < table.leastStoreys) return whole(`no reduction below ${table.leastStoreys} storeys`)
  const at = table.form === 'area' ? area : storeys
  const rows = [...table.rows].sort((a, b) => a.from - b.from)
  if (at.value < (rows[0]?.from ?? Infinity)) return whole('below its first row')
  const read = readTable(tableOf(table, rows, clause), 'factor', at)
  return read.ok ? { ...read.value, quantity: 'factor' } : null
}

const tableOf = ({ form }: ReductionTable, rows: ReductionTable['rows'], clause: string): Table => ({
  symbol: 'alpha',
  quantity: 'factor',
  clause,
  axis: {
    symbol: form === 'area' ? 'A' : 'n',
    quantity: form === 'area' ? 'area' : 'count',
    at: rows.map(({ from }) => from),
    between: form === 'area' ? 'linear' : 'lastBelow',
    below: 'nearest',
    above: 'nearest',
  },
  rows: { factor: rows.map(({ factor }) => factor) },
})
