import { create } from 'zustand'

/** How many numbers and names of the drawing in view found no room. */
export const useLeftOut = create<{ readonly count: number }>(() => ({ count: 0 }))

export const setLeftOut = (count: number): void => useLeftOut.setState({ count })
