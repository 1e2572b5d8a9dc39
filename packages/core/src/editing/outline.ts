import { recordsOf, type Document } from '../document/document'
import { union } from '../geometry/clip'
import type { Ring } from '../geometry/polygon'
import { corners, signedArea } from '../geometry/polygon'

/** The outline of all panels of a layout together: its outer rings, the largest first. */
export function layoutOutline(document: Document, layoutId: string): readonly Ring[] {
  const panels = recordsOf(document, 'panel').filter((panel) => panel.layout === layoutId)
  return union(panels.map(({ outline }) => outline))
    .filter((ring) => signedArea(ring) > 0)
    .map(corners)
    .sort((a, b) => signedArea(b) - signedArea(a))
}
