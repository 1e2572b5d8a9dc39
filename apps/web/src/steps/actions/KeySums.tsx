import { formatValue, unitOf, type KeySum } from '@hedrion/core'
import styled from 'styled-components'
import { useAnswer, useFormat } from '../../compute/SessionContext'
import { Note, Section } from '../../sheet/Sheet'
import { TableOut } from '../../ui/TableOut'
import { useTerms } from '../../compute/useTerms'

/** What each load key puts on the level in view, and on all levels together. */
export function KeySums({ levelId, levelName }: { readonly levelId: string; readonly levelName: string }) {
  const rows = useAnswer({ kind: 'keySums' }) ?? []
  const format = useFormat()
  const terms = useTerms()
  const here = rows.filter((row) => row.levelId === levelId)
  if (here.length === 0) return null
  const force = (value: number) => formatValue(value, 'force', format)
  const cells = (row: Pick<KeySum, 'area' | 'permanent' | 'imposed' | 'partitions'>) => [
    formatValue(row.area, 'area', format),
    force(row.permanent),
    force(row.imposed),
    force(row.partitions),
  ]
  const [areaUnit, unit] = [unitOf('area', format), unitOf('force', format)]
  const headings = [
    `area, ${areaUnit}`,
    `${terms.permanent}, ${unit}`,
    `${terms.imposed}, ${unit}`,
    `partitions, ${unit}`,
  ]
  const table = () => [
    ['level', 'load key', ...headings],
    ...rows.map((row) => [row.levelName, row.keyName, ...cells(row)]),
  ]
  return (
    <Section
      title={`Sums by load key, level ${levelName}`}
      aside={<TableOut name="sums by load key" label="Copy all levels" rows={table} />}
    >
      <Table aria-label="Sums by load key">
        <thead>
          <tr>
            <th>load key</th>
            {headings.map((heading) => (
              <th key={heading}>{heading}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...here, total('this level', here), total('all levels', rows)].map((row, i) => (
            <tr key={row.keyName} data-sum={i >= here.length || undefined}>
              <th>{row.keyName}</th>
              {cells(row).map((cell, k) => (
                <td key={k}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
      <Note>
        Build-ups and {terms.imposed} loads of floors only; slabs, beams, walls and applied loads have their own lines.
      </Note>
    </Section>
  )
}

const total = (keyName: string, rows: readonly KeySum[]) => {
  const sum = (of: (row: KeySum) => number) => rows.reduce((all, row) => all + of(row), 0)
  return {
    keyName,
    area: sum(({ area }) => area),
    permanent: sum(({ permanent }) => permanent),
    imposed: sum(({ imposed }) => imposed),
    partitions: sum(({ partitions }) => partitions),
  }
}

const Table = styled.table`
  margin: 0 20px;
  width: calc(100% - 40px);
  border-collapse: collapse;
  font-size: 14px;
  th,
  td {
    padding: 4px 6px;
    text-align: right;
    font-weight: 400;
    border-bottom: 1px solid var(--hairline);
    font-variant-numeric: tabular-nums;
  }
  th:first-child {
    text-align: left;
  }
  thead th {
    color: var(--quiet);
    font-size: 13px;
    vertical-align: bottom;
  }
  tr[data-sum] {
    th,
    td {
      font-weight: 600;
    }
  }
`
