import { readTable } from './readTable'
import type { Table } from './table'
import { given } from './traced'

const tableOf = (axis: Partial<Table['axis']>, rows: Table['rows'] = { a: [10, 20, 40] }): Table => ({
  symbol: 'c',
  quantity: 'factor',
  clause: 'a table of this test',
  axis: {
    symbol: 'x',
    quantity: 'factor',
    at: [1, 10, 100],
    between: 'linear',
    below: 'nearest',
    above: 'refuse',
    ...axis,
  },
  rows,
})
const at = (x: number) => given('x', 'factor', x, 'here')
const read = (table: Table, x: number, row = 'a') => {
  const outcome = readTable(table, row, at(x))
  return outcome.ok ? outcome.value.value : outcome.concerns[0].code
}

describe('reading between the points belongs to the table', () => {
  test.each([
    [1, 10],
    [5.5, 15],
    [10, 20],
    [55, 30],
    [100, 40],
    [0.2, 10],
    [100.01, 'table.outside-range'],
  ])('linear at %d', (x, wanted) => expect(read(tableOf({}), x)).toEqual(wanted))

  test('logarithmic: half-way between 1 and 100 by ratio is 10 decades apart', () => {
    const table = tableOf({ between: 'log', at: [1, 100] }, { a: [0, 2] })
    expect(read(table, 10)).toBeCloseTo(1, 12)
    expect(read(table, 31.6227766)).toBeCloseTo(1.5, 6)
  })

  test.each([
    // bounds include themselves: "≤ 10" holds at 10 and not a hair above
    [0.5, 10],
    [1, 10],
    [1.0001, 20],
    [10, 20],
    [10.0001, 40],
    [100, 40],
    [101, 'table.outside-range'],
  ])('next point above at %d', (x, wanted) => expect(read(tableOf({ between: 'nextAbove' }), x)).toEqual(wanted))

  test('below may be refused and above taken as at the last point', () => {
    const table = tableOf({ below: 'refuse', above: 'nearest' })
    expect(read(table, 0.99)).toBe('table.outside-range')
    expect(read(table, 1e6)).toBe(40)
  })

  test('a row that is not there is refused with the clause', () => {
    const outcome = readTable(tableOf({}), 'z', at(1))
    expect(outcome).toMatchObject({ ok: false, concerns: [{ code: 'table.unknown-row', data: { row: 'z' } }] })
  })

  test('the trace holds the table with its clause and mark of memory, the row, and what was read at', () => {
    const table = { ...tableOf({}), fromMemory: true }
    const outcome = readTable(table, 'a', at(5.5))
    expect(outcome.ok && outcome.value).toEqual({
      symbol: 'c',
      quantity: 'factor',
      value: 15,
      basis: { kind: 'table', table, row: 'a', inputs: [at(5.5)] },
    })
  })

  test('a table of one point', () => {
    expect(read(tableOf({ at: [5] }, { a: [7] }), 5)).toBe(7)
  })
})
