import { create } from 'zustand'

interface TraceState {
  /** Addresses from the number that was asked about to the one shown. */
  readonly path: readonly string[]
  readonly pinned: boolean
  /** The page's path at which it stands; a pinned one stands on every step. */
  readonly place: string
}

/** Which number's trace is looked at; not part of the project. */
export const useTrace = create<TraceState>(() => ({ path: [], pinned: false, place: '' }))

/** Begins at a number of the step at hand, or of the one that is gone to. */
export const askWhy = (address: string, place: string = location.pathname): void =>
  useTrace.setState({ path: [address], place })

/** Goes one link further down the chain. */
export const goDown = (address: string): void => useTrace.setState(({ path }) => ({ path: [...path, address] }))

export const goBackTo = (index: number): void => useTrace.setState(({ path }) => ({ path: path.slice(0, index + 1) }))

export const closeTrace = (): void => useTrace.setState({ path: [], pinned: false })

export const pinTrace = (pinned: boolean): void => useTrace.setState({ pinned })
