import type { PatchShape } from '../document/shapes'
import { intersection, isEmpty, regionOf } from '../geometry/clip'
import { boxesTouch, boxOf, regionArea } from '../geometry/polygon'
import { ringOrder } from '../geometry/ringOrder'

/** Where another patch of the layout lies on the same floor: m² that both outlines cover, and what happens there. */
export interface PatchOverlap {
  readonly otherId: string
  readonly area: number
  /** Whether the patch asked about comes after the other one, and so lies over it. */
  readonly isOver: boolean
  /** Whether the upper one of both stands instead of the lower one, or adds to it. */
  readonly replaces: boolean
}

type Lying = Pick<PatchShape, 'id' | 'outline' | 'order' | 'mode'>

/** The order in which patches lie on the default, the first below: by number; those of one number by their place, whatever their ids. */
export const patchOrder = (p: Pick<Lying, 'outline' | 'order'>, q: Pick<Lying, 'outline' | 'order'>): number =>
  p.order - q.order || ringOrder(p.outline, q.outline)

/** What a patch and the others of its layout do to one another where they overlap, from the lowest of the others up. */
export function patchOverlaps(patch: Lying, others: readonly Lying[]): readonly PatchOverlap[] {
  const [own, box] = [regionOf(patch.outline), boxOf(patch.outline)]
  return others
    .filter(({ id, outline }) => id !== patch.id && boxesTouch(boxOf(outline), box))
    .sort(patchOrder)
    .flatMap((other): PatchOverlap[] => {
      const both = intersection(own, regionOf(other.outline))
      if (isEmpty(both)) return []
      const isOver = patchOrder(other, patch) < 0
      return [
        {
          otherId: other.id,
          area: regionArea(both),
          isOver,
          replaces: (isOver ? patch : other).mode === 'insteadOf',
        },
      ]
    })
}
