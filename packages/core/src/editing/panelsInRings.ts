import type { Document, Random } from '../document/document'
import type { Layout, Panel } from '../document/recordKinds'
import type { Ring } from '../geometry/polygon'
import { openRings } from './beamRings'
import { drawRecord } from './drawn'
import { labeller } from './shaped'

/** Panels in all rings of beams that no panel fills yet, with labels of their own. */
export const panelsInRings = (document: Document, layout: Layout, random: Random): readonly Panel[] =>
  panelsIn(openRings(document, layout.id), { document, layout, random })

interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly random: Random
}

/** A panel in each of some rings of beams, which it follows. */
export function panelsIn(rings: readonly Ring[], ground: Ground): readonly Panel[] {
  if (rings.length === 0) return []
  const label = labeller(ground.document, ground.layout)
  return rings.flatMap((outline): readonly Panel[] => {
    const drawn = drawRecord('panel', outline, ground)
    return drawn.ok && drawn.record.kind === 'panel'
      ? [{ ...drawn.record, edges: 'ring', label: label(drawn.record) }]
      : []
  })
}
