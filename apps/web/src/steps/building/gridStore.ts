import type { GridLine } from '@hedrion/core'
import { create } from 'zustand'

interface GridLook {
  /** Whether a grid line that moves takes what stands on it along. */
  readonly takesAlong: boolean
  /** The line that the pointer holds, and where it is held. */
  readonly held: { readonly line: GridLine; readonly at: number } | null
}

export const useGridLook = create<GridLook>(() => ({ takesAlong: true, held: null }))
