import fs from 'node:fs'
import path from 'node:path'
import fc, { type IProperty } from 'fast-check'

type Examples<Ts> = readonly Ts[]

interface Runs<Ts> {
  /** In all; an ordinary run makes half of them. */
  readonly numRuns?: number
  /** Made first, always. */
  readonly examples?: Examples<Ts>
  /** Laws that say the same here are held against the same input, so that what they derive from it can be shared. */
  readonly input?: string
}

/** What once failed, by the name of the law: made first from then on. */
const keptFile = path.join(__dirname, 'fixtures/laws.json')
const kept = (): Record<string, unknown[]> => JSON.parse(fs.readFileSync(keptFile, 'utf8')) as Record<string, unknown[]>

const isWhole = process.env['HEDRION_LAWS'] === 'all'
/** Milliseconds after which a law ends, as failed: some failing inputs could be made smaller for hours. */
const longest = isWhole ? 1_800_000 : 180_000
/** Changes with the commit: a number that chooses the runs that rotate. */
const turn = Number(process.env['HEDRION_TURN'] ?? 0)

/**
 * Holds a law against random input: a third of its runs is the same every time, then a sixth that changes from commit to commit, or two
 * thirds of them with HEDRION_LAWS=all. A failing input is printed and kept in `fixtures/laws.json`, which is to be committed.
 */
export function holds<Ts extends unknown[]>(
  property: IProperty<Ts>,
  { numRuns = 100, examples = [], input }: Runs<Ts> = {},
): void {
  const law = expect.getState().currentTestName ?? ''
  const known = (kept()[law] ?? []) as Ts[]
  const third = Math.ceil(numRuns / 3)
  const rest = isWhole ? numRuns - third : Math.ceil(numRuns / 6)
  const first = [...examples, ...known]
  const source = input ?? law
  check(law, property, { seed: seedOf(source), numRuns: third + first.length, examples: first })
  check(law, property, { seed: seedOf(`${source} ${turn}`), numRuns: rest, examples: [] })
}

function check<Ts extends unknown[]>(
  law: string,
  property: IProperty<Ts>,
  parameters: { readonly seed: number; readonly numRuns: number; readonly examples: readonly Ts[] },
): void {
  const details = fc.check(property, {
    ...parameters,
    examples: [...parameters.examples],
    interruptAfterTimeLimit: longest,
    markInterruptAsFailure: true,
  })
  if (!details.failed) return
  keep(law, details.counterexample)
  throw new Error(fc.defaultReportMessage(details), { cause: details.errorInstance })
}

/** Adds a failing input to those that are made first; one that plain JSON cannot hold stays in the message alone. */
function keep(law: string, counterexample: unknown[] | null): void {
  const text = JSON.stringify(counterexample)
  const all = kept()
  const known = all[law] ?? []
  if (counterexample === null || known.some((one) => JSON.stringify(one) === text)) return
  all[law] = [...known, JSON.parse(text)]
  const sorted = Object.fromEntries(Object.entries(all).sort(([a], [b]) => (a < b ? -1 : 1)))
  fs.writeFileSync(keptFile, `${JSON.stringify(sorted, null, 2)}\n`)
}

/** A 32-bit number from a text (FNV-1a). */
function seedOf(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return hash | 0
}
