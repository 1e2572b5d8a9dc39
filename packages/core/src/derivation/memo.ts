import { canonical } from '../document/canonical'

/** A pure, named step of the derivation. Raise `version` when the same input should give another answer. */
export interface Stage<In extends readonly unknown[], Out extends object> {
  readonly name: string
  readonly version: number
  readonly compute: (...input: In) => Out
  /** Rough size of a result in bytes, for the memo's limit. */
  readonly bytes?: (result: Out) => number
}

interface Entry {
  readonly result: object
  readonly bytes: number
}

export interface MemoLimits {
  /** Bytes of results kept, by the stages' own estimate. */
  readonly results: number
  /** Characters of interned content kept. */
  readonly contents: number
}

/**
 * Remembers results by the content of their inputs. Every record gets an integer once per content; a result gets its
 * integer when it is made, so that no big numeric output is ever read to form a key. What goes into a stage or came out
 * of one is never changed afterwards. Beyond the limits the least recently used goes; it is computed again when asked.
 */
export class Memo {
  readonly #entries = new Map<string, Entry>()
  readonly #numbers = new WeakMap<object, number>()
  readonly #contents = new Map<string, number>()
  readonly #limits: MemoLimits
  #next = 1
  #bytes = 0
  #characters = 0
  /** How often each stage was computed, for tests and the bench: work counted, not time. */
  readonly computed: Record<string, number> = {}

  constructor(limits: Partial<MemoLimits> = {}) {
    this.#limits = { results: 512 * 1024 * 1024, contents: 64 * 1024 * 1024, ...limits }
  }

  get<In extends readonly unknown[], Out extends object>(stage: Stage<In, Out>, ...input: In): Out {
    const key = `${stage.name}@${stage.version}:${input.map((value) => this.#numberOf(value)).join()}`
    const known = this.#entries.get(key)
    if (known) {
      this.#entries.delete(key)
      this.#entries.set(key, known)
      return known.result as Out
    }
    const result = stage.compute(...input)
    this.computed[stage.name] = (this.computed[stage.name] ?? 0) + 1
    if (!this.#numbers.has(result)) this.#numbers.set(result, this.#next++)
    const bytes = 200 + (stage.bytes?.(result) ?? 2000)
    this.#entries.set(key, { result, bytes })
    this.#bytes += bytes
    this.#forgetResults()
    return result
  }

  resetCounts(): void {
    for (const name of Object.keys(this.computed)) delete this.computed[name]
  }

  #forgetResults(): void {
    for (const [key, { bytes }] of this.#entries) {
      if (this.#bytes <= this.#limits.results || this.#entries.size <= 1) return
      this.#entries.delete(key)
      this.#bytes -= bytes
    }
  }

  #numberOf(value: unknown): number {
    if (typeof value !== 'object' || value === null)
      return this.#intern(value === undefined ? 'undefined' : canonical(value))
    const known = this.#numbers.get(value)
    if (known !== undefined) return known
    const content = Array.isArray(value) ? `[${value.map((entry) => this.#numberOf(entry)).join()}]` : canonical(value)
    const number = this.#intern(content)
    this.#numbers.set(value, number)
    return number
  }

  #intern(content: string): number {
    const known = this.#contents.get(content)
    if (known !== undefined) return known
    const number = this.#next++
    this.#contents.set(content, number)
    this.#characters += content.length
    for (const oldest of this.#contents.keys()) {
      if (this.#characters <= this.#limits.contents) break
      this.#contents.delete(oldest)
      this.#characters -= oldest.length
    }
    return number
  }
}
