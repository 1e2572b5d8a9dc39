import type { Document, Random } from '../document/document'
import type { Layout, Panel } from '../document/recordKinds'
import { openRings } from './beamRings'
import { drawRecord } from './drawn'
import { labeller } from './shaped'

/** Panels in all rings of beams that no panel fills yet, with labels of their own. */
export function panelsInRings(document: Document, layout: Layout, random: Random): readonly Panel[] {
  const label = labeller(document, layout)
  return openRings(document, layout.id).flatMap((outline): Panel[] => {
    const drawn = drawRecord('panel', outline, { document, layout, random })
    return drawn.ok && drawn.record.kind === 'panel'
      ? [{ ...drawn.record, edges: 'ring', label: label(drawn.record) }]
      : []
  })
}
