import { define, type Show } from '../definition'
import { takenOut, withFields } from '../makers'
import type { Concern } from '../../outcome/outcome'

/** Where a row of a table starts: an area, or a number of floors. */
const fromOf = (data: Concern['data'], show: Show, field: string): string =>
  data['by'] === 'area' ? show(field, 'area') : `${data[field]} floors`

const row = { table: 'text', row: 'text', by: 'text', from: 'number', before: 'number' } as const

/** Values of standards, value sets and reduction tables. */
export const ofStandards = {
  'table.rows-out-of-order': define({
    severity: 'caution',
    step: 'combinations',
    data: row,
    sentence: (said, data, show) =>
      `Row ${said.row} of reduction table “${said.table}” starts at ${fromOf(data, show, 'from')}, not above the ${fromOf(data, show, 'before')} of the row before. Sort the rows, or correct it.`,
    mends: withFields('reductionTable', 'Sort the rows', (table) => ({
      ...table,
      rows: [...table.rows].sort((p, q) => p.from - q.from),
    })),
  }),
  'table.factor-grows': define({
    severity: 'caution',
    step: 'combinations',
    data: { ...row, factor: 'text', factorBefore: 'text' },
    sentence: ({ row: number, table, factor, factorBefore }) =>
      `The factor of row ${number} of reduction table “${table}” is ${factor}, more than the ${factorBefore} of the row before, although more is supported. Correct one of them.`,
  }),
  'table.row-leaps': define({
    severity: 'caution',
    step: 'combinations',
    data: { ...row, step: 'number', others: 'number' },
    sentence: (said, data, show) =>
      `Row ${said.row} of reduction table “${said.table}” starts ${fromOf(data, show, 'step')} after the row before, while other rows are at most ${fromOf(data, show, 'others')} apart. Check its digits.`,
  }),
  'reduction.beside-psi': define({
    severity: 'caution',
    step: 'combinations',
    data: {},
    sentence: () =>
      'Combinations use imposed load reduced by a project table also where ψ applies; ψ and a factor for storeys must not be combined (EN 1991-1-1, 3.3.2(2)). Reduce only where no ψ applies.',
    mends: withFields('basis', 'Reduce only where no ψ applies', (basis) => ({ ...basis, reductions: 'withoutPsi' })),
  }),
  'layer.unknown-key': define({
    severity: 'caution',
    step: 'basis',
    data: { layer: 'text', key: 'text' },
    sentence: ({ layer, key }) =>
      `Value set “${layer}” has a value for ${key}, which is unknown, so it is not used. Remove it.`,
    mends: takenOut('values'),
  }),
  'layer.outside-limits': define({
    severity: 'caution',
    step: 'basis',
    data: { layer: 'text', key: 'text', name: 'text', quantity: 'text', value: 'named', min: 'named', max: 'named' },
    sentence: ({ layer, name, value, min, max }) =>
      `Value set “${layer}” sets ${name} to ${value}, outside ${min} to ${max}, so it is not used. Correct or remove it.`,
    mends: takenOut('values'),
  }),
  'layer.unusable-table': define({
    severity: 'caution',
    step: 'basis',
    data: { layer: 'text', key: 'text' },
    sentence: ({ layer, key }) =>
      `Value set “${layer}” has a table ${key} that does not match the table it replaces, so it is not used. Correct or remove it.`,
    mends: takenOut('tables'),
  }),
  'layer.unknown-method': define({
    severity: 'caution',
    step: 'basis',
    data: { layer: 'text', key: 'text', name: 'text' },
    sentence: ({ layer, key, name }) =>
      `Value set “${layer}” selects ${name} for ${key}, which is not a known method, so it is not used. Remove it.`,
    mends: takenOut('methods'),
  }),
  'layer.unknown-group': define({
    severity: 'caution',
    step: 'basis',
    data: { layer: 'text', key: 'text', group: 'text' },
    sentence: ({ layer, key, group }) =>
      `Value set “${layer}” puts use ${key} into group ${group}, which the standard does not have, so the use is omitted. Correct or remove it.`,
    mends: takenOut('uses'),
  }),
  'table.outside-range': define({
    severity: 'blocking',
    step: 'basis',
    data: { clause: 'text', symbol: 'text', at: 'text', from: 'text', to: 'text' },
    sentence: ({ clause, symbol, at, from, to }) =>
      `${symbol} = ${at} is outside the range ${from} to ${to} of ${clause}. Check the input.`,
  }),
  'table.unknown-row': define({
    severity: 'blocking',
    step: 'basis',
    data: { clause: 'text', row: 'text' },
    sentence: ({ clause, row: of }) => `${clause} has no row ${of}. Select another row.`,
  }),
}
