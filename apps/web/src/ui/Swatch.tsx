import styled from 'styled-components'

/** The hatch of a kind of action, as on the drawing; it always stands beside the word. */
export const Swatch = styled.i<{ readonly $mark: 'permanent' | 'imposed' | 'wind' | 'snow' | 'notCarried' | 'plain' }>`
  display: inline-block;
  width: 15px;
  height: 15px;
  flex: none;
  border: 1.2px solid currentColor;
  vertical-align: -2px;
  color: ${({ $mark }) => ($mark === 'notCarried' ? 'var(--warm)' : $mark === 'plain' ? 'var(--quiet)' : `var(--${$mark})`)};
  background: ${({ $mark }) => hatch[$mark]};
`

const lines = (angle: number) => `repeating-linear-gradient(${angle}deg, currentColor 0 1px, transparent 1px 4px)`
const hatch = {
  permanent: lines(0),
  imposed: lines(90),
  wind: lines(135),
  snow: 'radial-gradient(currentColor 1px, transparent 1.4px) 0 0 / 4px 4px',
  notCarried: `${lines(45)}, ${lines(135)}`,
  plain: 'none',
}
