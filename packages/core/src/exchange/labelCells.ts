import { recordsOf, type Document } from '../document/document'
import type { Layout } from '../document/recordKinds'
import { freeLabel } from '../editing/shaped'
import { refuseCell } from './cells'
import type { Cells } from './tableRows'

/** Labels that records of some kinds on a layout have. */
export const labelsOn = (
  document: Document,
  layout: Layout,
  kinds: readonly ('member' | 'strut' | 'lineLoad' | 'pointLoad' | 'wallRun')[],
): Set<string> =>
  new Set(
    kinds.flatMap((kind) =>
      recordsOf(document, kind)
        .filter((record) => record.layout === layout.id)
        .map(({ label }) => label),
    ),
  )

/** The label of a row: as it says, or the next free one of a letter. */
export function readLabel(cells: Cells<'label'>, letter: string, taken: ReadonlySet<string>): string {
  const label = cells.label?.text ?? freeLabel(`${letter}1`, taken)
  if (label.length > 40) refuseCell('label', 'A label can have at most 40 characters.')
  return taken.has(label) ? refuseCell('label', `${label} is already on the layout.`) : label
}
