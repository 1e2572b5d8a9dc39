import type { Answer, Query } from '@hedrion/core'
import { Overtaken, type Calculator } from './calculator'

/** The last answer to a query, and what went wrong where there is none. */
export interface Held<A> {
  readonly answer: A | undefined
  readonly failed: string | null
}

interface Entry {
  readonly query: Query
  held: Held<Answer<Query>>
  /** Whether what is held is of the present document. */
  current: boolean
  readonly listeners: Set<() => void>
  /** Calls off the question that is on its way. */
  asking: AbortController
}

const unanswered: Held<never> = { answer: undefined, failed: null }

/** Holds the answers that the screen looks at, and asks again after every change of the document. */
export class Answers {
  readonly #calculator: Calculator
  readonly #entries = new Map<string, Entry>()

  constructor(calculator: Calculator) {
    this.#calculator = calculator
  }

  /** Follows a query; the function returned ends it. */
  follow(query: Query, listener: () => void): () => void {
    const key = JSON.stringify(query)
    const entry = this.#entries.get(key) ?? {
      query,
      held: unanswered,
      current: false,
      listeners: new Set(),
      asking: new AbortController(),
    }
    const isNew = !this.#entries.has(key)
    this.#entries.set(key, entry)
    entry.listeners.add(listener)
    if (isNew || !entry.current) this.#ask(entry)
    return () => {
      entry.listeners.delete(listener)
      // the answer is kept for a moment: another part of the screen may be about to look at it
      setTimeout(() => {
        if (entry.listeners.size === 0 && this.#entries.get(key) === entry) this.#forget(key, entry)
      }, 2000)
    }
  }

  held<Q extends Query>(query: Q): Held<Answer<Q>> {
    return (this.#entries.get(JSON.stringify(query))?.held ?? unanswered) as Held<Answer<Q>>
  }

  /** After a change of the document. */
  refresh(): void {
    for (const [key, entry] of this.#entries) {
      if (entry.listeners.size === 0) {
        this.#forget(key, entry)
        continue
      }
      entry.current = false
      this.#ask(entry)
    }
  }

  #forget(key: string, entry: Entry): void {
    entry.asking.abort()
    this.#entries.delete(key)
  }

  #ask(entry: Entry): void {
    const { version } = this.#calculator
    entry.asking.abort()
    entry.asking = new AbortController()
    this.#calculator.ask(entry.query, { signal: entry.asking.signal }).then(
      (answer) => {
        if (version !== this.#calculator.version) return
        entry.current = true
        this.#set(entry, { answer, failed: null })
      },
      (error: unknown) => {
        // overtaken: it is asked again already
        if (error instanceof Overtaken) return
        this.#set(entry, { ...entry.held, failed: error instanceof Error ? error.message : String(error) })
      },
    )
  }

  #set(entry: Entry, held: Held<Answer<Query>>): void {
    if (entry.held.answer === held.answer && entry.held.failed === held.failed) return
    entry.held = held
    for (const listener of entry.listeners) listener()
  }
}
