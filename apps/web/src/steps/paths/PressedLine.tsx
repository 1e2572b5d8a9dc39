import type { Point } from '@hedrion/core'
import { Line } from '../../sheet/Sheet'
import { Value } from '../../sheet/Value'
import { wayOf } from './ways'

/** What a member takes of wall surfaces, in its own bending; nothing where none presses on it. */
export function PressedLine({ pressed }: { readonly pressed: Point }) {
  const force = Math.hypot(...pressed)
  if (force < 1e-6) return null
  return (
    <Line reference="sideways" result={<Value value={force} quantity="force" />}>
      of pressure on wall surfaces, {wayOf(pressed)}: handed on
    </Line>
  )
}
