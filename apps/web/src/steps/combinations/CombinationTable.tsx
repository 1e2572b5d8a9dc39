import { formatValue, listLimit, type NumberFormat, type Overview, type RuleView } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { Note, Section } from '../../sheet/Sheet'
import { TableOut } from '../../ui/TableOut'
import { shortName } from './shortName'

interface Column {
  readonly name: string
  /** Index of each case that the column stands for, with the word for it where there are several. */
  readonly cases: ReadonlyMap<number, string>
}

/** A case a column; cases of which one acts at a time share one. */
function columnsOf({ actions }: Overview): readonly Column[] {
  const first = new Map(actions.flatMap((action) => action.cases).map(({ id }, index) => [id, index]))
  const index = (id: string) => first.get(id) ?? -1
  return actions.flatMap((action): readonly Column[] =>
    action.rule === 'oneAtATime' && action.cases.length > 1
      ? [
          {
            name: action.name.toLowerCase(),
            cases: new Map(action.cases.map((loadCase) => [index(loadCase.id), shortName(loadCase, action)])),
          },
        ]
      : action.cases.map(({ id, name }) => ({ name, cases: new Map([[index(id), '']]) })),
  )
}

function rowsOf(rule: RuleView, overview: Overview, columns: readonly Column[], format: NumberFormat) {
  const actionName = (id: string | null) => overview.actions.find((action) => action.id === id)?.name.toLowerCase()
  return rule.listed.map(({ leading, factors }, i) => [
    String(i + 1),
    actionName(leading) ?? '–',
    ...columns.map(({ cases }) => {
      const acting = factors.find((entry) => cases.has(entry.case))
      return acting ? `${formatValue(acting.factor, 'factor', format)} ${cases.get(acting.case) ?? ''}`.trim() : ''
    }),
  ])
}

/** Combinations down, cases across; written out up to a limit, while the count says how many there are. */
export function CombinationTable({ rule, overview }: { readonly rule: RuleView; readonly overview: Overview }) {
  const format = useFormat()
  const columns = columnsOf(overview)
  const headings = ['no.', 'leads', ...columns.map(({ name }) => name)]
  const rows = rowsOf(rule, overview, columns, format)
  return (
    <Section
      title={`${rule.name}, listed`}
      aside={<TableOut name="combinations listed" rows={() => [headings, ...rows]} />}
    >
      {Number(rule.count) > listLimit && (
        <Note>
          The first {listLimit} of {rule.count}. Envelopes do not need this list; the CSV file has more.
        </Note>
      )}
      <Scroll tabIndex={0} role="region" aria-label={`Combinations of ${rule.name}`}>
        <table>
          <thead>
            <tr>
              {headings.map((name, i) => (
                <th key={i}>{name}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([number, ...cells], i) => (
              <tr key={i}>
                <th>{number}</th>
                {cells.map((cell, k) => (
                  <td key={k}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
    </Section>
  )
}

const Scroll = styled.div`
  margin: 0 20px;
  overflow: auto;
  max-height: 560px;
  border: 1px solid var(--hairline);
  table {
    border-collapse: separate;
    border-spacing: 0;
    font-size: 14px;
  }
  th,
  td {
    padding: 4px 10px;
    text-align: right;
    border-bottom: 1px solid var(--hairline);
    font-weight: 400;
    white-space: nowrap;
    height: 28px;
  }
  thead th {
    position: sticky;
    top: 0;
    background: var(--sheet);
    color: var(--quiet);
    font-size: 13px;
    white-space: normal;
    min-width: 74px;
    vertical-align: bottom;
  }
  tbody th {
    position: sticky;
    left: 0;
    background: var(--sheet);
    color: var(--quiet);
  }
`
