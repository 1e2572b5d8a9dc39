import type { AcceptedChange, ChangeAnswer } from '@hedrion/contract'
import type { ChangeSet } from '@hedrion/core'
import { Failed, Outdated, Refused, request, Unreachable } from './api'
import { receive, refuse, takeUp, takeUpAside, type DocumentStore, type RefusedChange } from './documentStore'
import { enqueue, putAside, remove, setAside, waiting, type Envelope } from './outbox'

/** What a tab tells the others. */
type Notice = { readonly kind: 'accepted' } | { readonly kind: 'refused'; readonly refused: RefusedChange }

/** Wait before the next try while the server does not answer, in ms: first soon, then seldom. */
const pauses = [500, 1000, 2000, 5000, 10_000] as const

/** So often the server may fail on a change before it is set aside; 503 and silence do not count. */
const mostFailures = 3

/**
 * Keeps a document store and the server alike. Every change first goes to the outbox on this machine; of all tabs one at
 * a time sends (a Web Lock), in order, and tells the others.
 */
export class Sync {
  readonly #store: DocumentStore
  #channel: BroadcastChannel | undefined
  #stop = new AbortController()
  #queued: Promise<void> = Promise.resolve()
  #sending = false
  #wanted = false
  #failures = 0
  /** How often the server failed on a change, by its id. */
  readonly #failed = new Map<string, number>()
  #settled: Promise<void> = Promise.resolve()

  constructor(store: DocumentStore) {
    this.#store = store
  }

  get #project(): string {
    return this.#store.getState().projectId
  }

  /** Listens to other tabs, and takes up what an earlier sitting left unsent. */
  async start(): Promise<void> {
    this.#stop = new AbortController()
    const { signal } = this.#stop
    this.#channel = new BroadcastChannel(`hedrion-${this.#project}`)
    this.#channel.onmessage = ({ data }: MessageEvent<Notice>) => void this.#hear(data)
    const wake = () => void this.send()
    globalThis.addEventListener('online', wake, { signal })
    const unsubscribe = this.#store.subscribe(({ refused }, before) => {
      if (refused !== before.refused)
        this.#settled = this.#settled.then(() => this.#settle(refused, before.refused)).catch(() => undefined)
    })
    signal.addEventListener('abort', unsubscribe)
    globalThis.addEventListener('focus', () => void this.catchUp().then(wake), { signal })
    try {
      const aside = await setAside(this.#project)
      takeUpAside(
        this.#store,
        aside.map(({ change, aside: message }) => ({ change, message, conflicts: [], failed: true })),
      )
      const left = await waiting(this.#project)
      takeUp(
        this.#store,
        left.map(({ change }) => change),
      )
    } catch (error) {
      if (!(error instanceof Outdated)) throw error
      this.#store.setState({ save: 'outdated' })
      return
    }
    await this.send()
  }

  /** After a local change: keep it, then send. */
  keep(change: ChangeSet): void {
    this.#queued = this.#queued.then(() => enqueue(this.#project, change))
    void this.#queued.then(() => this.send())
  }

  stop(): void {
    this.#stop.abort()
    this.#channel?.close()
  }

  /** What others (or another tab) have changed since. */
  async catchUp(): Promise<void> {
    try {
      for (let more = true; more && !this.#stop.signal.aborted;) {
        const { counter } = this.#store.getState()
        const path = `/projects/${this.#project}/changes?after=${counter}`
        const accepted = await request<readonly AcceptedChange[]>('GET', path)
        receive(this.#store, accepted)
        more = accepted.length > 0
      }
    } catch (error) {
      if (error instanceof Outdated) this.#store.setState({ save: 'outdated' })
      else if (!(error instanceof Unreachable)) throw error
    }
  }

  /** Sends everything that waits. A call while another is at it makes that one look once more before it ends. */
  async send(): Promise<void> {
    this.#wanted = true
    if (this.#sending) return
    this.#sending = true
    try {
      while (this.#wanted && !this.#stop.signal.aborted) {
        this.#wanted = false
        await navigator.locks.request(`hedrion-send-${this.#project}`, () => this.#drain())
      }
      this.#failures = 0
    } catch (error) {
      if (error instanceof Outdated) this.#store.setState({ save: 'outdated' })
      else if (error instanceof Unreachable) this.#retryLater(error)
      else throw error
    } finally {
      this.#sending = false
    }
  }

  async #drain(): Promise<void> {
    await this.#queued
    if (this.#store.getState().pending.length > 0) this.#store.setState({ save: 'saving' })
    for (let next = (await waiting(this.#project))[0]; next && !this.#stop.signal.aborted;) {
      await this.#sendOne(next)
      // what stood on a refused change is taken out before it is its turn
      await this.#settled
      next = (await waiting(this.#project))[0]
    }
  }

  async #sendOne({ key, change }: Envelope): Promise<void> {
    try {
      const { counter, others } = await request<ChangeAnswer>('POST', `/projects/${this.#project}/changes`, change)
      const follows = others.length === 0 && counter === this.#store.getState().counter + 1
      await remove(key)
      this.#failed.delete(change.id)
      this.#tell({ kind: 'accepted' })
      if (follows) receive(this.#store, [{ ...change, counter, at: new Date().toISOString() }])
      else await this.catchUp()
    } catch (error) {
      const refused = await this.#refusedBy(error, { key, change })
      this.#tell({ kind: 'refused', refused })
      await this.#hear({ kind: 'refused', refused })
    }
  }

  /** What an error says about a change, which is not sent any more then; throws where it is to be sent again. */
  async #refusedBy(error: unknown, { key, change }: Envelope): Promise<RefusedChange> {
    if (error instanceof Refused) {
      await remove(key)
      return { change, message: error.message, conflicts: error.problem.conflicts ?? [] }
    }
    if (!(error instanceof Failed)) throw error
    const failures = (this.#failed.get(change.id) ?? 0) + 1
    this.#failed.set(change.id, failures)
    if (failures < mostFailures) throw error
    this.#failed.delete(change.id)
    const message = `The server failed to save it ${mostFailures} times. It is kept in this browser; other changes are sent.`
    await putAside(key, message)
    return { change, message, conflicts: [], failed: true }
  }

  /** What was refused here is not sent any more, and what the server failed on is kept until a person has decided. */
  async #settle(refused: readonly RefusedChange[], before: readonly RefusedChange[]): Promise<void> {
    const now = new Map(refused.map((entry) => [entry.change.id, entry]))
    for (const { key, change } of await waiting(this.#project)) {
      const entry = now.get(change.id)
      if (entry) await (entry.failed ? putAside(key, entry.message) : remove(key))
    }
    const decided = new Set(before.flatMap(({ change }) => (now.has(change.id) ? [] : [change.id])))
    for (const { key, change } of await setAside(this.#project)) if (decided.has(change.id)) await remove(key)
  }

  #tell(notice: Notice): void {
    this.#channel?.postMessage(notice)
  }

  /** The tab that sends is not always the one that made the change. */
  async #hear(notice: Notice): Promise<void> {
    await this.catchUp()
    if (notice.kind === 'refused' && this.#store.getState().pending.some(({ id }) => id === notice.refused.change.id))
      refuse(this.#store, notice.refused)
  }

  #retryLater({ code }: Unreachable): void {
    this.#store.setState({ save: 'waiting', waitsFor: code ?? null })
    const pause = pauses[Math.min(this.#failures++, pauses.length - 1)]
    setTimeout(() => void this.send(), pause)
  }
}
