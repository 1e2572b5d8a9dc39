import type { JsonLimits } from '@hedrion/core'
import { readBody, type ReadBody } from './readBody'

/** What a thread does with a large body. */
export const read = ({ bytes, limits }: { readonly bytes: Uint8Array; readonly limits: JsonLimits }): ReadBody =>
  readBody(bytes, limits)
