import styled from 'styled-components'

/** A small picture beside a table of the standard. */
export const PictureFrame = styled.svg`
  display: block;
  width: 100%;
  max-width: 460px;
  margin: 6px 0;
  font: 400 12px var(--sans);
  text {
    fill: var(--ink);
  }
`
