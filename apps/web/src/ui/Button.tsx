import { Button as AriaButton, type ButtonProps as AriaButtonProps } from 'react-aria-components'
import styled from 'styled-components'

type Kind = 'plain' | 'primary' | 'quiet' | 'link' | 'warm'

interface ButtonProps extends AriaButtonProps {
  readonly kind?: Kind
}

/** A button that says its outcome. `link` and `warm` stand inside a line of text. */
export const Button = ({ kind = 'plain', ...props }: ButtonProps) => <Base {...props} data-kind={kind} />

const Base = styled(AriaButton)`
  border: 1px solid var(--border);
  border-radius: 4px;
  background: var(--raised);
  color: var(--ink);
  font: inherit;
  padding: 4px 12px;
  cursor: pointer;
  white-space: nowrap;
  &[data-hovered] {
    border-color: var(--accent);
  }
  &[data-pressed] {
    background: var(--accent-soft);
  }
  &[data-disabled] {
    color: var(--quiet);
    border-color: var(--hairline);
    cursor: default;
  }
  &[data-kind='primary'] {
    background: var(--accent);
    border-color: var(--accent);
    color: var(--on-accent);
  }
  &[data-kind='quiet'] {
    background: transparent;
    border-color: transparent;
    padding: 4px 6px;
  }
  &[data-kind='quiet'][data-hovered] {
    border-color: var(--border);
  }
  &[data-kind='link'],
  &[data-kind='warm'] {
    background: none;
    border: 0;
    border-radius: 0;
    padding: 0;
    color: var(--accent);
    text-decoration: underline;
    text-underline-offset: 3px;
    white-space: normal;
    text-align: left;
  }
  &[data-kind='warm'] {
    color: var(--warm);
  }
  &[data-kind='link'][data-disabled],
  &[data-kind='warm'][data-disabled] {
    color: var(--quiet);
    text-decoration: none;
  }
`
