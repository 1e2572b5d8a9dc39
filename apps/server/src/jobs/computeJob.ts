import { derive, Memo, readProjectFile, resultStages, type Answer, type CsvFile } from '@hedrion/core'
import type { JobInput } from './jobRunner'

/** The same `derive` as in the browser and on the command line, part by part; `onPart` hears how many are done. */
export function computeJob({ kind, only, file }: JobInput, onPart: (done: number) => void): unknown {
  const read = readProjectFile(file)
  if (!read.ok) throw new Error(read.problems[0].problem)
  const memo = new Memo()
  const parts = partsOf({ only }).map((stage, i) => {
    const part = derive(memo, read.document, { kind, only: stage })
    onPart(i + 1)
    return part
  })
  return kind === 'csv'
    ? (parts as readonly (readonly CsvFile[])[]).flat()
    : Object.assign({}, ...(parts as readonly Answer<{ kind: 'results'; only: null }>[]))
}

export const partsOf = ({ only }: Pick<JobInput, 'only'>) => (only === null ? resultStages : [only])
