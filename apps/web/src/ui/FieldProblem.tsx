import styled from 'styled-components'

/** What is wrong with a field, under it and over what follows, so that nothing moves away under the pointer. */
export const FieldProblem = styled.span`
  position: absolute;
  top: calc(100% + 3px);
  left: 0;
  z-index: 5;
  width: max-content;
  max-width: 300px;
  background: var(--warm-soft);
  color: var(--warm);
  border-left: 3px solid var(--warm);
  padding: 4px 8px;
  font: 400 13px/1.35 var(--sans);
  text-align: left;
`
