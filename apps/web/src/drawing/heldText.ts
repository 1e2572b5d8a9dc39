import { css } from 'styled-components'

/** How far something is held by the pointer, written over the drawing. */
export const heldText = css`
  font: 600 13px var(--sans);
  fill: var(--accent);
  paint-order: stroke;
  stroke: var(--film);
  stroke-width: 4px;
`
