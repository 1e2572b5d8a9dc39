import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { hatches } from '../document/loadKeyKind'
import type { Concern } from '../outcome/outcome'

/**
 * Load keys that a plan cannot tell apart: of one hatch while there are hatches enough for all, and beyond that of one hatch and one
 * code. Keys without a hatch of their own are told apart by their order on the plan.
 */
export function sameHatches({ document }: ProjectState): readonly Concern[] {
  const keys = recordsOf(document, 'loadKey')
  const enough = keys.length <= hatches.length
  const seen = new Map<string, (typeof keys)[number]>()
  return keys.flatMap((key): readonly Concern[] => {
    if (key.hatch === null) return []
    const mark = enough ? key.hatch : `${key.hatch} ${key.code}`
    const other = seen.get(mark)
    seen.set(mark, other ?? key)
    if (!other) return []
    const data = { a: other.name, b: key.name, code: enough ? '' : key.code }
    return [{ code: 'key.same-hatch', about: [key.id, other.id], data }]
  })
}
