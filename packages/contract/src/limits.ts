import { longestNote } from '@hedrion/core'

/** Limits of requests; a body beyond them is refused before it is read. */
export const limits = {
  /** Bytes of an ordinary JSON body. */
  body: 64 * 1024,
  /** Bytes of a change set: a generator may make a whole building in one. */
  change: 24 * 1024 * 1024,
  /** Bytes of a project file. */
  file: 64 * 1024 * 1024,
  edits: 100_000,
  /** A counter of change sets: four bytes, signed. */
  counter: 2 ** 31 - 1,
  note: longestNote,
  name: 120,
  /** Projects in one page of the list. */
  projects: 200,
  /** Change sets in one page of the history. */
  history: 200,
} as const
