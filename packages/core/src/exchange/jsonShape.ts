import type { Problem } from '../document/fields'

export interface ShapeLimits {
  readonly depth: number
  /** Values of all kinds, those within others too. */
  readonly values: number
}

/** What speaks against a text: its size, or a key. */
export interface ShapeProblem extends Problem {
  readonly tooLarge: boolean
}

const signs = { quote: 34, comma: 44, colon: 58, openList: 91, backslash: 92, closeList: 93, open: 123, close: 125 }

/**
 * What speaks against parsing a JSON text: how deep and how large it would become, and keys that change what an object is. It reads the
 * signs alone, in one pass and without memory of its own, so that a hostile text is refused at small cost; whether the text is JSON is
 * left to the parser.
 */
export function shapeProblem(text: string, { depth, values }: ShapeLimits): ShapeProblem | null {
  const levels = new Levels(depth)
  const tooLarge = (problem: string): ShapeProblem => ({ path: levels.path(text), problem, tooLarge: true })
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (code === signs.quote) {
      const end = endOfText(text, i)
      if (levels.isKey() && levels.takesKey(text, i, end) === '__proto__')
        return { path: levels.path(text), problem: hostileKey, tooLarge: false }
      i = end
    } else if (code === signs.open || code === signs.openList) {
      if (levels.depth === depth) return tooLarge(`The data is nested deeper than ${depth} levels.`)
      levels.opens(code === signs.open)
    } else levels.reads(code)
    if (levels.values > values) return tooLarge(`The data has more than ${values} values.`)
  }
  return null
}

const hostileKey = 'A field named __proto__ is not allowed.'

/** Where a reader of JSON text is: for each level whether it is an object, and its key or index there. */
class Levels {
  depth = 0
  values = 1
  readonly #isObject: Uint8Array
  readonly #wantsKey: Uint8Array
  readonly #index: Int32Array
  readonly #keyStart: Int32Array
  readonly #keyEnd: Int32Array

  constructor(depth: number) {
    this.#isObject = new Uint8Array(depth + 1)
    this.#wantsKey = new Uint8Array(depth + 1)
    this.#index = new Int32Array(depth + 1)
    this.#keyStart = new Int32Array(depth + 1)
    this.#keyEnd = new Int32Array(depth + 1)
  }

  isKey(): boolean {
    return this.#wantsKey[this.depth] === 1
  }

  /** @returns the key, read. */
  takesKey(text: string, start: number, end: number): string {
    this.#keyStart[this.depth] = start
    this.#keyEnd[this.depth] = end
    return keyOf(text, start, end)
  }

  opens(isObject: boolean): void {
    this.depth++
    this.values++
    const { depth } = this
    this.#isObject[depth] = this.#wantsKey[depth] = isObject ? 1 : 0
    this.#index[depth] = this.#keyStart[depth] = this.#keyEnd[depth] = 0
  }

  /** A sign that opens nothing. */
  reads(code: number): void {
    const { depth } = this
    if (code === signs.comma) {
      this.values++
      this.#index[depth] = (this.#index[depth] ?? 0) + 1
      this.#wantsKey[depth] = this.#isObject[depth] ?? 0
    } else if (code === signs.colon) this.#wantsKey[depth] = 0
    else if (code === signs.close || code === signs.closeList) this.depth = Math.max(0, depth - 1)
  }

  path(text: string): string {
    let path = ''
    for (let at = 1; at <= this.depth && path.length < 300; at++)
      path +=
        this.#isObject[at] === 1
          ? `.${keyOf(text, this.#keyStart[at] ?? 0, this.#keyEnd[at] ?? 0).slice(0, 60)}`
          : `[${this.#index[at] ?? 0}]`
    return path.replace(/^\./, '').slice(0, 300)
  }
}

/** The place of the quote that ends the text which begins at a quote, or the end of all. */
function endOfText(text: string, start: number): number {
  for (let i = start + 1; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (code === signs.backslash) i++
    else if (code === signs.quote) return i
  }
  return text.length
}

/** A key without its quotes; one that is written with escapes is read as the parser would. */
function keyOf(text: string, start: number, end: number): string {
  // no name of ours is near this long, however it is escaped
  const written = text.slice(start + 1, Math.min(end, start + 1 + 120))
  if (!written.includes('\\')) return written
  try {
    return String(JSON.parse(`"${written}"`))
  } catch {
    return written
  }
}
