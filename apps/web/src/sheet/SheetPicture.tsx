import styled from 'styled-components'

/** A picture on the sheet, drawn from the model's own numbers, as wide as its lines. */
export const SheetPicture = styled.svg`
  display: block;
  width: calc(100% - 40px);
  margin: 10px 20px;
  font: 400 12.5px var(--sans);
  text {
    fill: var(--ink);
  }
`
