import { formatValue, unitOf, type Quantity } from '@hedrion/core'
import { Button } from 'react-aria-components'
import styled from 'styled-components'
import { useFormat } from '../compute/SessionContext'
import { askWhy } from './traceStore'

interface ValueProps {
  readonly value: number
  readonly quantity: Quantity
  /** Where its trace begins: the number can then be asked why. */
  readonly address?: string | null | undefined
  readonly sign?: boolean
  readonly strong?: boolean
  /** Left out in a table whose heading says it. */
  readonly unit?: boolean
}

/** A number with its unit; clicked, it tells where it came from. */
export function Value({ value, quantity, address, sign = false, strong = true, unit: withUnit = true }: ValueProps) {
  const format = useFormat()
  const text = `${sign && value > 0 ? '+' : ''}${formatValue(value, quantity, format)}`
  const unit = unitOf(quantity, format)
  const content = (
    <>
      <Figure data-strong={strong || undefined}>{text}</Figure>
      {withUnit && unit !== '' && <Unit> {unit}</Unit>}
    </>
  )
  if (!address) return <Plain>{content}</Plain>
  return (
    <Asked onPress={() => askWhy(address)} aria-label={`${[text, unit].join(' ').trim()}, why?`}>
      {content}
    </Asked>
  )
}

const Plain = styled.span`
  white-space: nowrap;
`
const Asked = styled(Button)`
  background: none;
  border: 0;
  border-bottom: 1px dotted transparent;
  padding: 0;
  font: inherit;
  color: inherit;
  white-space: nowrap;
  cursor: help;
  &[data-hovered] {
    border-bottom-color: var(--accent);
  }
`
const Figure = styled.span`
  font-family: var(--serif);
  &[data-strong] {
    font-weight: 600;
  }
`
const Unit = styled.span`
  font: 400 13px var(--sans);
  color: var(--quiet);
`
