import { Refused, Unreachable } from './api'

/** What to say about a request that did not succeed; anything else is a fault of ours and is thrown on. */
export const sentenceOf = (error: unknown): string => {
  if (error instanceof Refused || error instanceof Unreachable) return error.message
  throw error
}
