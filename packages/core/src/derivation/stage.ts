import type { Stage } from './memo'

/** A named pure step of the derivation; raise `version` when the same input should give another answer. */
export const stage = <In extends readonly unknown[], Out extends object>(
  name: string,
  compute: (...input: In) => Out,
  bytes?: (out: Out) => number,
  version = 1,
): Stage<In, Out> => ({ name, version, compute, ...(bytes ? { bytes } : {}) })
