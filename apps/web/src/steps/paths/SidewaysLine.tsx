import type { Point } from '@hedrion/core'
import { Line } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { wayOf } from './ways'

/** What a member takes sideways, and of what, N in global axes; nothing where there is none. */
export function SidewaysLine({ force, of }: { readonly force: Point; readonly of: string }) {
  const size = Math.hypot(...force)
  if (size < 1e-6) return null
  return (
    <Line reference="sideways" result={<Value value={size} quantity="force" />}>
      of {of}, {wayOf(force)}: exported
    </Line>
  )
}
