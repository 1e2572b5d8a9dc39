import { documentOf, type Document, type Random } from '../document/document'
import type { Layout, Panel } from '../document/recordKinds'
import { openRings } from './beamRings'
import { drawRecord } from './drawn'

/** Panels in all rings of beams that no panel fills yet, with labels of their own. */
export function panelsInRings(document: Document, layout: Layout, random: Random): readonly Panel[] {
  const made: Panel[] = []
  for (const outline of openRings(document, layout.id)) {
    // the next label depends on those before
    const sofar = documentOf([...document.records.values(), ...made])
    const drawn = drawRecord('panel', outline, { document: sofar, layout, random })
    if (drawn.ok && drawn.record.kind === 'panel') made.push(drawn.record)
  }
  return made
}
