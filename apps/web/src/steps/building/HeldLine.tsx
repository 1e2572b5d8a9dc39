import { formatQuantity } from '@hedrion/core'
import styled from 'styled-components'
import { useFormat } from '../../compute/SessionContext'
import { heldText } from '../../drawing/heldText'
import { toScreen, type Viewport } from '../../drawing/viewport'
import { useGridLook } from './gridStore'

/** The grid line under the pointer where it would go, with its place. */
export function HeldLine({ view }: { readonly view: Viewport }) {
  const held = useGridLook((state) => state.held)
  const format = useFormat()
  if (!held) return null
  const [x, y] = toScreen(view, [held.at, held.at])
  const upright = held.line.axis === 'x'
  return (
    <Held>
      <path d={upright ? `M${x} 8V${view.height - 8}` : `M8 ${y}H${view.width - 8}`} />
      <text x={upright ? x + 8 : 14} y={upright ? 20 : y - 8}>
        {held.line.label} at {formatQuantity(held.at, 'length', format)}
      </text>
    </Held>
  )
}

const Held = styled.g`
  path {
    stroke: var(--accent);
    stroke-width: 1.5;
    stroke-dasharray: 12 4 2 4;
  }
  text {
    ${heldText}
  }
`
