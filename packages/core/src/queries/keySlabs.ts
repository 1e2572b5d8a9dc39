import { keyOfRegion } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { panelOf } from '../document/labels'

/** A slab that carries what a load key stands for: m, and what it weighs in the case of self-weight, Pa. */
export interface SlabUnderKey {
  readonly keyId: string
  readonly thickness: number
  readonly weight: number
}

/** The slabs under each load key, each thickness and weight once, thin ones first. */
export function keySlabs(state: ProjectState): readonly SlabUnderKey[] {
  const found = new Map<string, SlabUnderKey>()
  // levels of one layout have the same panels and slabs
  const layouts = new Map(state.floors.map(({ operator, weights }) => [operator, weights]))
  for (const [operator, weights] of layouts)
    for (const source of operator.plan.sources) {
      const id = source.kind === 'region' ? source.panel.panel.id : null
      const slab = id === null ? null : panelOf(state.document, id)?.slab
      const keyId = source.kind === 'region' ? keyOfRegion(state, source) : null
      if (id === null || !slab || keyId === null) continue
      const under = { keyId, thickness: slab.thickness, weight: weights.slabs.get(id) ?? 0 }
      found.set(Object.values(under).join(), under)
    }
  return [...found.values()].sort((a, b) => a.thickness - b.thickness)
}
