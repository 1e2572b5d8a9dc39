import { Popover } from 'react-aria-components'
import styled from 'styled-components'

/** A card that opens beside what was pressed. */
export const PopCard = styled(Popover)`
  background: var(--raised);
  border: 1px solid var(--border);
  border-radius: 4px;
  box-shadow: 0 6px 24px rgb(29 39 48 / 18%);
  max-height: 60vh;
  overflow: auto;
  outline: none;
`
