import type { Edit } from '@hedrion/core'
import { create } from 'zustand'

/** The edits that the draft in a field would make; none while no field holds a draft that can be read. */
export const useDraft = create<{ readonly edits: readonly Edit[] | null }>(() => ({ edits: null }))

export function setDraft(edits: readonly Edit[] | null): void {
  if (useDraft.getState().edits !== edits) useDraft.setState({ edits })
}
