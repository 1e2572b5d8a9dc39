import type { OpenProject } from '@hedrion/contract'
import { withPanelsFollowing, type Edit } from '@hedrion/core'
import { commit, createDocumentStore, redo, undo, type Committed, type DocumentStore } from '../state/documentStore'
import { Sync } from '../state/sync'
import { Answers } from './answers'
import { Calculator, type Thread } from './calculator'

// a Worker hands on whatever was posted to it; that this is our protocol is the agreement with calc.worker
const startWorker = (): Thread =>
  new Worker(new URL('./calc.worker.ts', import.meta.url), { type: 'module' }) as unknown as Thread

/** An open project: its document, what keeps it alike with the server, and what computes from it. */
export class ProjectSession {
  readonly store: DocumentStore
  readonly sync: Sync
  readonly calculator: Calculator
  readonly answers: Answers

  constructor(project: OpenProject) {
    this.store = createDocumentStore(project)
    this.calculator = new Calculator(startWorker, this.store.getState().document)
    this.answers = new Answers(this.calculator)
    this.store.subscribe(({ document }, before) => {
      if (document === before.document) return
      this.calculator.update(document)
      this.answers.refresh()
    })
    this.sync = new Sync(this.store)
  }

  /** From now on the project is kept alike with the server. */
  open(): void {
    void this.sync.start()
  }

  /** A change, and with it what panels do that follow their beams. */
  commit(note: string, edits: readonly Edit[]): Committed {
    const all = withPanelsFollowing(this.store.getState().document, edits, Math.random)
    return this.#kept(commit(this.store, noteWith(note, all.length - edits.length), all))
  }

  undo(): Committed {
    return this.#kept(undo(this.store))
  }

  redo(): Committed {
    return this.#kept(redo(this.store))
  }

  close(): void {
    this.sync.stop()
    this.calculator.stop()
  }

  #kept(committed: Committed): Committed {
    if (committed.ok) this.sync.keep(committed.change)
    return committed
  }
}

const noteWith = (note: string, panels: number): string =>
  panels > 0 ? `${note}; ${panels === 1 ? 'one panel is deleted' : `${panels} panels are deleted`} with it` : note
