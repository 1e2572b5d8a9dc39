import { Answering } from './answering'
import type { Thread } from './calculator'
import type { FromWorker, ToWorker } from './protocol'

// For tests only.

/** A thread that computes when the test says so, as the worker does: stale questions are not answered. */
export class FakeThread implements Thread {
  onmessage: Thread['onmessage'] = null
  onerror: Thread['onerror'] = null
  readonly received: ToWorker[] = []
  readonly sent: FromWorker[] = []
  readonly #answering = new Answering()
  #waiting: Extract<ToWorker, { kind: 'query' }>[] = []
  ended = false

  get memo(): Answering['memo'] {
    return this.#answering.memo
  }

  postMessage(message: ToWorker): void {
    this.received.push(structuredClone(message))
    if (message.kind === 'cancel') this.#waiting = this.#waiting.filter(({ id }) => id !== message.id)
    if (message.kind === 'query') this.#waiting.push(message)
    else this.#answering.take(message)
  }

  terminate(): void {
    this.ended = true
  }

  /** Answers everything that waits. */
  work(): void {
    for (const message of this.#waiting.splice(0)) {
      const found = this.#answering.answer(message)
      if (found) this.#tell(found)
    }
  }

  fail(message: string): void {
    for (const { id } of this.#waiting.splice(0)) this.#tell({ kind: 'failed', id, message })
  }

  crash(): void {
    this.onerror?.(new Error('out of memory'))
  }

  get open(): number {
    return this.#waiting.length
  }

  #tell(message: FromWorker): void {
    this.sent.push(message)
    this.onmessage?.({ data: structuredClone(message) })
  }
}
