import type { ReactNode } from 'react'
import styled from 'styled-components'
import { Button } from '../../ui/Button'

/** Of a row and of the heading, px: a strip beside the table counts on it. */
export const rowHeight = 30

/** Lengths of a column from the roof down, one row to each. */
export const ColumnTable = styled.table`
  flex: 1;
  border-collapse: collapse;
  font-size: 14px;
  th,
  td {
    text-align: right;
    padding: 4px 4px;
    border-bottom: 1px solid var(--hairline);
    font-weight: 400;
    height: ${rowHeight}px;
  }
  th:first-child {
    text-align: left;
  }
  thead th {
    color: var(--quiet);
    font-size: 13px;
  }
  tbody tr {
    cursor: pointer;
  }
  tbody tr[data-lit] {
    background: var(--accent-soft);
  }
`

/** The same across the sheet. */
export const WideTable = styled(ColumnTable)`
  width: calc(100% - 40px);
  margin: 0 20px;
`

/** The heading of a table, word by word. */
export const Heads = ({ words }: { readonly words: readonly string[] }) => (
  <thead>
    <tr>
      {words.map((word) => (
        <th key={word}>{word}</th>
      ))}
    </tr>
  </thead>
)

interface LeadingRowProps {
  /** What the row is about. */
  readonly head: ReactNode
  readonly isLit?: boolean
  readonly onPress: () => void
  readonly children: ReactNode
}

/** A row that leads to what it is about: by its head, which a key reaches, or by a click anywhere on it. */
export const LeadingRow = ({ head, isLit = false, onPress, children }: LeadingRowProps) => (
  <tr data-lit={isLit ? '' : undefined} onClick={onPress}>
    <th scope="row">
      <Button kind="link" onPress={onPress}>
        {head}
      </Button>
    </th>
    {children}
  </tr>
)

/** A strip that grows downwards, and its table beside it. */
export const BesideStrip = styled.div`
  display: flex;
  /* a table as tall as the strip would have taller rows than it */
  align-items: flex-start;
  gap: 12px;
  padding: 0 20px;
`
