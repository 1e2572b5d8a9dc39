import type { Problem } from '../document/fields'
import { shapeProblem, type ShapeLimits } from './jsonShape'

export interface JsonLimits extends ShapeLimits {
  readonly bytes: number
}

export type ReadJson =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly problems: readonly [Problem] }

const broken = (problem: string): ReadJson => ({ ok: false, problems: [{ path: '', problem }] })

/** Parses the text of a file within its limits; what is wrong with it is said in a sentence. */
export function parseJsonText(text: string, limits: JsonLimits, what: string): ReadJson {
  if (text.length > limits.bytes) return broken(`The file is larger than ${limits.bytes / 1024 / 1024} MB.`)
  const shape = shapeProblem(text, limits)
  if (shape) {
    const { path, problem, tooLarge } = shape
    return { ok: false, problems: [{ path, problem: tooLarge ? `${problem} No ${what} is that large.` : problem }] }
  }
  try {
    return { ok: true, value: JSON.parse(text) }
  } catch (error) {
    const reason = error instanceof Error ? error.message.slice(0, 120) : 'unreadable'
    return broken(`The file is not valid JSON (${reason}).`)
  }
}
