// What every scene measures with.

const runs = 5

export interface Contender {
  readonly name: string
  readonly run: () => unknown
}

function timeOf(run: () => unknown): number {
  const start = performance.now()
  run()
  return performance.now() - start
}

/** Median times in ms; the contenders take turns, so that a slow moment of the machine meets them all. */
export function medians(contenders: readonly Contender[]): ReadonlyMap<string, number> {
  const times = contenders.map((): number[] => [])
  for (let i = 0; i < runs; i++) contenders.forEach(({ run }, k) => times[k]?.push(timeOf(run)))
  return new Map(
    contenders.map(({ name }, k) => {
      const sorted = (times[k] ?? []).sort((a, b) => a - b)
      return [name, sorted[runs >> 1] ?? NaN]
    }),
  )
}

let sink = 0
/** One pass over the result arrays: what the memory alone would take. */
export function sweep(blocks: readonly Float64Array[]): void {
  let sum = 0
  for (const block of blocks) for (let i = 0; i < block.length; i++) sum += block[i] ?? 0
  sink += sum
}

export const print = (text: string): void => void process.stdout.write(`${text}\n`)
export const count = (value: number): string => value.toLocaleString('en').replace(/,/g, '\u202f')

/** Whether anything that was summed is no number. */
export const spoiled = (): boolean => Number.isNaN(sink)
