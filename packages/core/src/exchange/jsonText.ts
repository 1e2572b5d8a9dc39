import type { Problem } from '../document/fields'

export interface JsonLimits {
  readonly bytes: number
  readonly depth: number
}

export type ReadJson =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly problems: readonly [Problem] }

const broken = (problem: string): ReadJson => ({ ok: false, problems: [{ path: '', problem }] })

/** Parses the text of a file within its limits; what is wrong with it is said in a sentence. */
export function parseJsonText(text: string, { bytes, depth }: JsonLimits, what: string): ReadJson {
  if (text.length > bytes) return broken(`The file is larger than ${bytes / 1024 / 1024} MB.`)
  if (depthOf(text) > depth) return broken(`The file is nested deeper than ${depth} levels, which no ${what} is.`)
  try {
    return { ok: true, value: JSON.parse(text) }
  } catch (error) {
    const reason = error instanceof Error ? error.message.slice(0, 120) : 'unreadable'
    return broken(`The file is not complete JSON (${reason}).`)
  }
}

/** Brackets are counted before parsing, so that a hostile file is refused at small cost. */
function depthOf(text: string): number {
  let depth = 0
  let deepest = 0
  let inText = false
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (inText) {
      if (code === 92) i++
      else if (code === 34) inText = false
    } else if (code === 34) inText = true
    else if (code === 123 || code === 91) deepest = Math.max(deepest, ++depth)
    else if (code === 125 || code === 93) depth--
  }
  return deepest
}
