import styled from 'styled-components'

/** A table of the standard in a narrow place: long ones scroll, the row that counts is marked by its ground and by a bar. */
export const TableFrame = styled.div`
  max-height: 172px;
  overflow: auto;
  margin: 6px 0;
  table {
    border-collapse: collapse;
    width: 100%;
    font-size: 13px;
  }
  caption {
    text-align: left;
    color: var(--quiet);
    padding-bottom: 2px;
  }
  th,
  td {
    padding: 2px 8px;
    font-weight: 400;
    text-align: right;
    border-bottom: 1px solid var(--hairline);
    font-variant-numeric: tabular-nums;
  }
  th:first-child,
  td[data-words] {
    text-align: left;
  }
  thead th {
    color: var(--quiet);
    white-space: nowrap;
    position: sticky;
    top: 0;
    background: var(--raised);
  }
  tr[aria-current] {
    background: var(--accent-soft);
    th {
      font-weight: 600;
      box-shadow: inset 3px 0 0 var(--accent);
    }
  }
  td[data-read] {
    font-weight: 700;
    outline: 1.5px solid var(--accent);
    outline-offset: -2px;
  }
`
