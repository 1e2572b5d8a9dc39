import { derive, Memo, readProjectFile } from '@hedrion/core'
import type { JobInput } from './jobRunner'

/** The same `derive` as in the browser and on the command line. */
export function computeJob({ kind, only, file }: JobInput): unknown {
  const read = readProjectFile(file)
  if (!read.ok) throw new Error(read.problems[0].problem)
  return derive(new Memo(), read.document, { kind, only })
}
