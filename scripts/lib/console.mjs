import path from 'node:path'
import { isFull, noSpace } from './fullDisk.mjs'

/** The root of the repository. */
export const root = path.resolve(import.meta.dirname, '../..')
/** What set-up and builds leave behind; may be deleted at any time. */
export const cache = path.join(root, '.cache')

export const say = (sentence) => console.log(`[hedrion] ${sentence}`)

/** Runs a step; with HEDRION_TIMES set it says how long the step took. */
export async function timed(label, step) {
  const start = performance.now()
  const result = await step()
  if (process.env.HEDRION_TIMES) say(`${label}: ${((performance.now() - start) / 1000).toFixed(2)} s`)
  return result
}

/** Something a person can mend: shown as one sentence, without a stack. */
export class Refusal extends Error {}

export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    throw new Refusal(`Node 20.19 or newer is needed; this is ${process.version}.`)
}

/** Ends the program with one sentence for a refusal, and with the stack for a bug. */
export function fail(error) {
  if (error instanceof Refusal) console.error(`[hedrion] ${error.message}`)
  else if (isFull(error)) console.error(`[hedrion] ${noSpace(error.path ? path.dirname(error.path) : 'this machine')}`)
  else console.error(error)
  process.exitCode = 1
}

/** Runs a command to its end, and leaves nothing behind that would keep it from ending. */
export const runToEnd = (main) =>
  main()
    .catch(fail)
    .finally(() => process.exit())
