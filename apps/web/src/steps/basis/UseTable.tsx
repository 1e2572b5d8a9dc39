import {
  barrierKey,
  concentratedKey,
  familyOf,
  formatValue,
  perMetreKey,
  uniformKey,
  upToKey,
  unitOf,
  titleOfUse,
  type NumberFormat,
  type ResolvedValue,
  type Use,
} from '@hedrion/core'
import styled from 'styled-components'
import { useAnswer, useFormat, useRecords } from '../../compute/SessionContext'
import { FromMemory } from '../../sheet/FromMemory'
import { SymbolText } from '../../sheet/SymbolText'
import { TableOut } from '../../ui/TableOut'

const shown = (entry: ResolvedValue | undefined, format: NumberFormat): string =>
  entry ? formatValue(entry.value, entry.meaning.quantity, format) : '–'

/** The standard's table of imposed loads, with the rows marked that load keys of this project take. */
export function UseTable() {
  const standard = useAnswer({ kind: 'standard' })
  const keys = useRecords('loadKey')
  const format = useFormat()
  if (!standard) return null
  const values = new Map(standard.values.map((entry) => [entry.key, entry]))
  const { imposedSymbols } = familyOf(standard.family)
  const takersOf = (id: string) => keys.filter((key) => key.use === id).map(({ name }) => name)
  /** With what each metre of storage height adds, where that counts. */
  const uniform = (id: string): string => {
    const [least, perMetre] = [values.get(uniformKey(id)), values.get(perMetreKey(id))]
    if (!perMetre) return shown(least, format)
    const each = `${shown(perMetre, format)} for each ${unitOf('length', format)} of height`
    const from = values.get(upToKey(id))
    if (from) return `${shown(least, format)}, ${each} beyond ${shown(from, format)}`
    return least ? `${each}, at least ${shown(least, format)}` : each
  }
  /** Heavy floors down to what they keep; of some uses only these. */
  const reduced = (id: string, { reducible, kept }: Use): string => {
    const limit = values.get('reduction.kept')
    if (!reducible || !kept || !limit) return reducible ? 'yes' : 'no'
    if (kept === 'onlyHeavy') return `above ${shown(limit, format)}`
    return (values.get(uniformKey(id))?.value ?? 0) >= limit.value ? `down to ${shown(limit, format)}` : 'yes'
  }
  const rows = () => [
    [
      'use',
      `${imposedSymbols[0]}, ${unitOf('pressure', format)}`,
      `${imposedSymbols[1]}, ${unitOf('force', format)}`,
      `barrier load, ${unitOf('lineLoad', format)}`,
      'reducible',
      'used by',
    ],
    ...Object.entries(standard.uses).map(([id, use]) => [
      titleOfUse(id, use),
      uniform(id),
      ...[concentratedKey(id), barrierKey(id)].map((key) => shown(values.get(key), format)),
      reduced(id, use),
      takersOf(id).join(', '),
    ]),
  ]
  const title = `${familyOf(standard.family).actionNames.imposed} loads by use`
  const remembered = standard.values.filter(({ key, fromMemory }) => key.startsWith('imposed.') && fromMemory).length
  return (
    <Frame>
      <h4>
        {title}{' '}
        <small>
          {standard.layers.join(' + ')}
          <FromMemory shown={remembered > 0} values={remembered} />
        </small>{' '}
        <TableOut name={title.toLowerCase()} rows={rows} />
      </h4>
      <table aria-label={title}>
        <thead>
          <tr>
            <th>use</th>
            <th>
              <SymbolText name={imposedSymbols[0]} /> {unitOf('pressure', format)}
            </th>
            <th>
              <SymbolText name={imposedSymbols[1]} /> {unitOf('force', format)}
            </th>
            <th>barrier load {unitOf('lineLoad', format)}</th>
            <th>reducible</th>
            <th>used by</th>
          </tr>
        </thead>
        <tbody>
          {Object.entries(standard.uses).map(([id, use]) => {
            const takers = takersOf(id)
            return (
              <tr key={id} data-taken={takers.length > 0 || undefined}>
                <th>{titleOfUse(id, use)}</th>
                <td>{uniform(id)}</td>
                <td>{shown(values.get(concentratedKey(id)), format)}</td>
                <td>{shown(values.get(barrierKey(id)), format)}</td>
                <td>{reduced(id, use)}</td>
                <td>{takers.join(', ')}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </Frame>
  )
}

const Frame = styled.section`
  margin-top: 18px;
  h4 {
    font: 600 16px/1.3 var(--serif);
    margin: 0 0 6px;
    small {
      font: 400 13px var(--sans);
      color: var(--quiet);
    }
  }
  table {
    width: 100%;
    border-collapse: collapse;
    font-size: 14px;
  }
  th,
  td {
    padding: 3px 8px;
    text-align: left;
    font-weight: 400;
    border-bottom: 1px solid var(--hairline);
    vertical-align: baseline;
  }
  thead th {
    color: var(--quiet);
    font-size: 13px;
  }
  td:nth-child(2),
  td:nth-child(4),
  th:nth-child(4),
  td:nth-child(3),
  th:nth-child(2),
  th:nth-child(3) {
    text-align: right;
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }
  /* what grows with a height is said in words */
  td:nth-child(2) {
    white-space: normal;
    width: 130px;
  }
  tr[data-taken] {
    background: var(--accent-soft);
    th {
      font-weight: 600;
    }
  }
`
