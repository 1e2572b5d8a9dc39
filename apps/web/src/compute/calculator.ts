import type { Answer, Document, Edit, Query } from '@hedrion/core'
import { withDelta } from './delta'
import type { FromWorker, ToWorker } from './protocol'

/** A thread that speaks the protocol; a real worker, or a stand-in in tests. */
export interface Thread {
  postMessage(message: ToWorker): void
  onmessage: ((event: { readonly data: FromWorker }) => void) | null
  onerror: ((event: unknown) => void) | null
  terminate(): void
}

interface Open {
  readonly query: Query
  readonly supposing: readonly Edit[] | undefined
  readonly version: number
  readonly resolve: (answer: Answer<Query>) => void
  readonly reject: (reason: Error) => void
}

interface Asking {
  /** Answered for the document with these edits on top, which are not kept. */
  readonly supposing?: readonly Edit[]
  /** Calls the question off. */
  readonly signal?: AbortSignal
}

const mostHeld = 100

/** The computation failed; the page says so where the answer would stand. */
export class ComputationFailed extends Error {}

/** The document changed before the answer came: whoever still wants it asks again. */
export class Overtaken extends Error {}

/**
 * Keeps a worker at the present document and asks it. A worker that crashes is started again from the document, and what
 * was still open is asked once more; a question that crashes it twice fails.
 */
export class Calculator {
  readonly #start: () => Thread
  #thread: Thread | undefined
  #document: Document
  #version = 1
  #next = 1
  readonly #open = new Map<number, Open>()
  readonly #crashedOn = new Set<string>()
  /** Answers at hand, by query: the worker sends what changed of them, and nothing where nothing did. */
  readonly #held = new Map<string, { readonly number: number; readonly answer: Answer<Query> }>()
  #restarts = 0

  constructor(start: () => Thread, document: Document) {
    this.#start = start
    this.#document = document
  }

  /** How often a crashed worker was started again. */
  get restarts(): number {
    return this.#restarts
  }

  get version(): number {
    return this.#version
  }

  /** The document has changed: the worker hears the difference. */
  update(document: Document): void {
    const edits = difference(this.#document, document)
    this.#document = document
    if (edits.length === 0) return
    this.#version++
    // a worker that is not there yet begins with the document as it is then
    this.#thread?.postMessage({ kind: 'apply', version: this.#version, edits })
  }

  /** The answer for the document as it is now; rejects where a later change overtakes it. Called off, it never settles. */
  ask<Q extends Query>(query: Q, { supposing, signal }: Asking = {}): Promise<Answer<Q>> {
    const id = this.#next++
    signal?.addEventListener('abort', () => this.#cancel(id), { once: true })
    return new Promise<Answer<Q>>((resolve, reject) => {
      const open: Open = {
        query,
        supposing,
        version: this.#version,
        // the worker answers a query of one kind with the answer of that kind
        resolve: resolve as (answer: Answer<Query>) => void,
        reject,
      }
      this.#open.set(id, open)
      this.#post(id, open)
    })
  }

  /** The answer for the document as it is when it comes: asked again as often as a change overtakes it. */
  async askUntilCurrent<Q extends Query>(query: Q): Promise<Answer<Q>> {
    for (;;) {
      try {
        return await this.ask(query)
      } catch (error) {
        if (!(error instanceof Overtaken)) throw error
      }
    }
  }

  /** Ends the worker; the next question starts it again. */
  stop(): void {
    this.#thread?.terminate()
    this.#thread = undefined
    this.#open.clear()
  }

  /** Ends the worker as a crash would; for tests. */
  crash(): void {
    this.#thread?.onerror?.(new Error('crashed on purpose'))
  }

  /** Nobody waits for it any more. */
  #cancel(id: number): void {
    if (this.#open.delete(id)) this.#thread?.postMessage({ kind: 'cancel', id })
  }

  #post(id: number, { query, supposing, version }: Open): void {
    this.#thread ??= this.#begin()
    const held = supposing ? null : (this.#held.get(JSON.stringify(query))?.number ?? null)
    this.#thread.postMessage({ kind: 'query', id, version, query, held, ...(supposing ? { supposing } : {}) })
  }

  #begin(): Thread {
    // a new worker counts its answers from one
    this.#held.clear()
    const thread = this.#start()
    thread.onmessage = ({ data }) => this.#hear(data)
    thread.onerror = () => this.#restart()
    thread.postMessage({ kind: 'open', version: this.#version, records: [...this.#document.records.values()] })
    return thread
  }

  #hear(message: FromWorker): void {
    const open = this.#open.get(message.id)
    if (!open) return
    const key = JSON.stringify(open.query)
    const held = this.#held.get(key)
    const isLost = message.kind === 'changed' ? held?.number !== message.from : message.kind === 'same' && !held
    if (isLost) {
      // let go in the meantime: ask for the whole answer
      this.#post(message.id, open)
      return
    }
    this.#open.delete(message.id)
    if (message.kind === 'failed') open.reject(new ComputationFailed(message.message))
    else if (message.kind === 'answer') {
      const answer = JSON.parse(message.text) as Answer<Query>
      if (!open.supposing) this.#hold(key, { number: message.number, answer })
      open.resolve(answer)
    } else if (held) {
      // the worker answered with what changed of the answer that is held here
      const answer = message.kind === 'changed' ? (withDelta(held.answer, message.delta) as Answer<Query>) : held.answer
      if (message.kind === 'changed') this.#hold(key, { number: message.number, answer })
      open.resolve(answer)
    }
    this.#forgetOld()
  }

  #hold(key: string, { number, answer }: { readonly number: number; readonly answer: Answer<Query> }): void {
    this.#held.delete(key)
    this.#held.set(key, { number, answer })
    for (const oldest of this.#held.keys()) {
      if (this.#held.size <= mostHeld) return
      this.#held.delete(oldest)
    }
  }

  /** Questions about an earlier document are dropped; the worker does not answer them either. */
  #forgetOld(): void {
    for (const [id, { version, reject }] of this.#open) {
      if (version >= this.#version) continue
      this.#open.delete(id)
      reject(new Overtaken())
    }
  }

  #restart(): void {
    this.#thread?.terminate()
    this.#restarts++
    this.#forgetOld()
    const open = [...this.#open]
    this.#open.clear()
    this.#thread = this.#begin()
    for (const [id, question] of open) {
      const key = `${question.version} ${JSON.stringify(question.query)}`
      if (this.#crashedOn.has(key)) {
        question.reject(new ComputationFailed('The computation ended without a result.'))
        continue
      }
      this.#crashedOn.add(key)
      this.#open.set(id, question)
      this.#post(id, question)
    }
  }
}

/** What must be edited in one document to get the other; records are compared as objects, since they never change. */
function difference(from: Document, to: Document): readonly Edit[] {
  const edits: Edit[] = []
  for (const [id, after] of to.records) {
    const before = from.records.get(id) ?? null
    if (before !== after) edits.push({ id, before, after })
  }
  for (const [id, before] of from.records) if (!to.records.has(id)) edits.push({ id, before, after: null })
  return edits
}
