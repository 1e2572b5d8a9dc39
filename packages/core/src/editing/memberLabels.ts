import { pushAll } from '../outcome/lists'
import { recordsOf, type Document } from '../document/document'
import { labelOf } from '../document/labels'
import type { Layout, Member } from '../document/recordKinds'

export type ReadMemberLabels =
  { readonly ok: true; readonly ids: readonly Member['id'][] } | { readonly ok: false; readonly problem: string }

/** Members of a layout by their labels: `B2, G1`; of a label that stands twice both. Nothing typed is none. */
export function readMemberLabels(text: string, document: Document, layout: Layout['id']): ReadMemberLabels {
  const members = recordsOf(document, 'member').filter((member) => member.layout === layout)
  const ids: Member['id'][] = []
  for (const label of text.split(/[,;]/).map((part) => part.trim())) {
    if (label === '') continue
    const found = members.filter((member) => member.label.toLowerCase() === label.toLowerCase())
    if (found.length === 0)
      return { ok: false, problem: `No member has the label “${label.slice(0, 40)}”. Enter labels, e.g. B2, G1.` }
    pushAll(
      ids,
      found.map(({ id }) => id),
    )
  }
  return { ok: true, ids: [...new Set(ids)].sort() }
}

export const memberLabelsText = (document: Document, ids: readonly string[]): string =>
  ids.map((id) => labelOf(document, id)).join(', ')
