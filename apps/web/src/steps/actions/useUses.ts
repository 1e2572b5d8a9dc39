import { titleOfUse } from '@hedrion/core'
import { useAnswer } from '../../compute/SessionContext'

/** Stands in a choice for having no use. */
const noUse = 'none'

/** How a choice offers the uses that the standard knows, none first; the history calls them by their ids. */
export function useUses() {
  const uses = useAnswer({ kind: 'standard' })?.uses ?? {}
  const options = Object.entries(uses).map(([id, use]) => [id, titleOfUse(id, use)] as const)
  return {
    none: noUse,
    options: [[noUse, 'no use'] as const, ...options],
    saidAs: (id: string) => id,
    unknown: (id: string) => `${id}: not in this standard`,
  }
}
