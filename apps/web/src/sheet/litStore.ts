import { create } from 'zustand'

interface Lit {
  /** Records that the field with the focus belongs to; none while no field has it. */
  readonly ids: readonly string[]
  readonly field: string | null
}

const dark: Lit = { ids: [], field: null }

/** The records and field that have the focus: their dimension lights up on the drawing. */
export const useLit = create<Lit>(() => dark)

/** What a field does when it gets or loses the focus. */
export const lights =
  (ids: readonly string[], field: string | null = null) =>
  (focused: boolean): void =>
    useLit.setState(focused ? { ids, field } : dark)
