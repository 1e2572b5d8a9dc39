import { Input } from 'react-aria-components'
import styled, { css } from 'styled-components'

/** What can be changed in the line where it stands, typed or chosen. */
export const fieldLook = css`
  background: var(--accent-soft);
  border: 0;
  border-bottom: 1.5px solid var(--accent);
  border-radius: 2px 2px 0 0;
  font: inherit;
  color: var(--ink);
  &[data-disabled] {
    background: none;
    border-bottom-color: transparent;
  }
`

/** The box of a value that can be typed. */
export const FieldBox = styled(Input)`
  ${fieldLook}
  padding: 1px 6px;
  &::placeholder {
    color: var(--quiet);
  }
  &[data-invalid] {
    background: var(--warm-soft);
    border-bottom-color: var(--warm);
  }
`
