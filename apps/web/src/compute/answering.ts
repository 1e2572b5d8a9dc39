import {
  ask,
  deriveProject,
  documentOf,
  emptyDocument,
  Memo,
  withEdits,
  type Answer,
  type Document,
  type Edit,
  type ProjectState,
  type Query,
} from '@hedrion/core'
import { deltaOf } from './delta'
import type { FromWorker, ToWorker } from './protocol'

/** The last answers that are kept for what comes next, by query. */
const most = 200

/** The worker's side of the protocol: keeps the document, and answers with as little as the page does not have yet. */
export class Answering {
  readonly memo = new Memo()
  #document: Document = emptyDocument
  #version = 0
  #state: ProjectState | undefined
  readonly #cancelled = new Set<number>()
  readonly #last = new Map<string, { readonly answer: Answer<Query>; readonly number: number }>()

  /** Takes in what changes the document or calls a question off; a question is left for later. */
  take(message: Exclude<ToWorker, { kind: 'query' }>): void {
    if (message.kind === 'cancel') {
      this.#cancelled.add(message.id)
      return
    }
    this.#document = message.kind === 'open' ? documentOf(message.records) : withEdits(this.#document, message.edits)
    this.#version = message.version
    this.#state = undefined
  }

  /** The answer to a question, or null where it was called off or is of an earlier document. */
  answer({ id, version, query, held, supposing }: Extract<ToWorker, { kind: 'query' }>): FromWorker | null {
    if (this.#cancelled.delete(id) || version < this.#version) return null
    try {
      if (supposing) return whole(id, version, 0, ask(this.#supposed(supposing), query))
      return this.#difference(id, version, query, held)
    } catch (error) {
      return { kind: 'failed', id, message: error instanceof Error ? error.message : String(error) }
    }
  }

  #supposed(edits: readonly Edit[]): ProjectState {
    return deriveProject(this.memo, withEdits(this.#document, edits))
  }

  #difference(id: number, version: number, query: Query, held: number | null): FromWorker {
    this.#state ??= deriveProject(this.memo, this.#document)
    const answer = ask(this.#state, query)
    const key = JSON.stringify(query)
    const last = this.#last.get(key)
    const delta = last ? deltaOf(last.answer, answer) : null
    const number = last && delta === null ? last.number : (last?.number ?? 0) + 1
    this.#keep(key, { answer, number })
    if (!last || held !== last.number) return whole(id, version, number, answer)
    return delta === null ? { kind: 'same', id, version } : { kind: 'changed', id, version, number, from: held, delta }
  }

  #keep(key: string, entry: { readonly answer: Answer<Query>; readonly number: number }): void {
    this.#last.delete(key)
    this.#last.set(key, entry)
    for (const oldest of this.#last.keys()) {
      if (this.#last.size <= most) return
      this.#last.delete(oldest)
    }
  }
}

/** Every answer is plain JSON; a test of the core holds it to that. */
const whole = (id: number, version: number, number: number, answer: Answer<Query>): FromWorker => ({
  kind: 'answer',
  id,
  version,
  number,
  text: JSON.stringify(answer),
})
