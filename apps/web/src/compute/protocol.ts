import type { Edit, Query, Rec } from '@hedrion/core'
import type { Delta } from './delta'

/** What the page tells the worker; every message carries the version of the document that it refers to. */
export type ToWorker =
  | { readonly kind: 'open'; readonly version: number; readonly records: readonly Rec[] }
  | { readonly kind: 'apply'; readonly version: number; readonly edits: readonly Edit[] }
  | {
      readonly kind: 'query'
      readonly id: number
      readonly version: number
      readonly query: Query
      /** Number of the answer to this query that the page holds; the same again need not travel. */
      readonly held: number | null
      /** Answered for the document with these edits on top, which are not kept. */
      readonly supposing?: readonly Edit[]
    }
  | { readonly kind: 'cancel'; readonly id: number }

export type FromWorker =
  | {
      readonly kind: 'answer'
      readonly id: number
      readonly version: number
      /** Counts the different answers to a query; 0 for one that is not kept. */
      readonly number: number
      /** As JSON: reading it takes a fraction of what cloning many small objects does. */
      readonly text: string
    }
  /** What changed since the answer that the page said it holds. */
  | {
      readonly kind: 'changed'
      readonly id: number
      readonly version: number
      readonly number: number
      /** Number of the answer that it starts from. */
      readonly from: number
      readonly delta: Delta
    }
  | { readonly kind: 'same'; readonly id: number; readonly version: number }
  | { readonly kind: 'failed'; readonly id: number; readonly message: string }
