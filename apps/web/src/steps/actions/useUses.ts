import { titleOfUse } from '@hedrion/core'
import { useAnswer } from '../../compute/SessionContext'

/** Stands in a choice for having no use. */
export const noUse = 'none'

/** The uses that the standard knows, as a choice offers them; none first. */
export function useUses(): readonly (readonly [id: string, title: string])[] {
  const uses = useAnswer({ kind: 'standard' })?.uses ?? {}
  return [[noUse, 'no use'], ...Object.entries(uses).map(([id, use]) => [id, titleOfUse(id, use)] as const)]
}
