import { pushAll } from '../outcome/lists'
import { formatQuantity, formatValue, type NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'

export type ReadLengths =
  { readonly ok: true; readonly lengths: readonly number[] } | { readonly ok: false; readonly problem: string }

interface Wanted {
  /** What one of them is called, and an example: “spacing”, “3 x 7.2, 6.0”. */
  readonly name: string
  readonly example: string
  readonly least: number
  readonly most: number
}

const examples = {
  storeys: { metric: '5 x 3.5, 4.2', us: '5 x 12.5, 14' },
  spacings: { metric: '3 x 7.2, 6.0', us: '3 x 24.5, 20' },
} as const satisfies Record<string, Readonly<Record<NumberFormat['system'], string>>>

/** How one would write some of them, in the unit and with the decimal sign of the project. */
export function lengthsExample(of: keyof typeof examples, { system, decimal }: NumberFormat): string {
  const text = examples[of][system]
  return decimal === 'comma' ? text.replaceAll(',', ';').replaceAll('.', ',') : text
}

/** Lengths that one text makes, at most. */
const limit = 200

const refused = (problem: string): ReadLengths => ({ ok: false, problem })

/** What stands between commas or semicolons; where the comma is decimal, semicolons alone part. */
export const partsOf = (text: string, { decimal }: NumberFormat): readonly string[] =>
  text.split(decimal === 'comma' ? ';' : /[,;]/).filter((part) => part.trim() !== '')

/** Reads lengths one after another, with how often each comes: `3 x 7.2, 6.0`. */
export function readLengths(text: string, format: NumberFormat, wanted: Wanted): ReadLengths {
  const { name, example } = wanted
  const parts = partsOf(text, format)
  if (parts.length === 0) return refused(`Enter a ${name} or several, e.g. ${example}.`)
  const lengths: number[] = []
  for (const part of parts) {
    const read = readPart(part, format, wanted)
    if (!read.ok) return read
    pushAll(lengths, read.lengths)
    if (lengths.length > limit) return refused(tooMany)
  }
  return lengths.length > 0 ? { ok: true, lengths } : refused(`The count is zero. Enter ${example}.`)
}

/** Lengths as one would type them, equal ones after one another with their count: `5 x 3.50, 4.20`. */
export function lengthsText(lengths: readonly number[], format: NumberFormat): string {
  const runs: { readonly text: string; count: number }[] = []
  for (const length of lengths) {
    const text = formatValue(length, 'length', format)
    const last = runs.at(-1)
    if (last?.text === text) last.count++
    else runs.push({ text, count: 1 })
  }
  return runs
    .map(({ text, count }) => (count > 1 ? `${count} x ${text}` : text))
    .join(format.decimal === 'comma' ? '; ' : ', ')
}

const tooMany = `More than ${limit} at once are not allowed.`

/** `3 x 7.2`, or one length. */
function readPart(part: string, format: NumberFormat, { name, least, most }: Wanted): ReadLengths {
  const [, count = '1', length = part] = /^\s*(\d+)\s*[x×*]\s*(.+)$/i.exec(part) ?? []
  const read = parseQuantity(length.trim(), 'length', format)
  if (!read.ok) return refused(read.problem)
  const { value } = read
  if (!(value >= least && value <= most))
    return refused(
      `A ${name} is ${formatQuantity(least, 'length', format)} to ${formatQuantity(most, 'length', format)}.`,
    )
  if (Number(count) > limit) return refused(tooMany)
  return { ok: true, lengths: Array.from({ length: Number(count) }, () => value) }
}
