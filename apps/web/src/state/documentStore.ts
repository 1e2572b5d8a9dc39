import type { AcceptedChange, OpenProject } from '@hedrion/contract'
import {
  applyChange,
  cut,
  documentOf,
  foldedEdits,
  inverse,
  longestNote,
  withEdits,
  type ChangeSet,
  type Conflict,
  type Document,
  type Edit,
  type Problem,
  type SetAside,
} from '@hedrion/core'
import { createStore, type StoreApi } from 'zustand/vanilla'

/**
 * How far the project is kept: `waiting` says that the server does not answer and changes wait on this machine, `outdated` that they
 * wait until the page is reloaded, for the server is of another build.
 */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'outdated'

/** A change that the server would not take: another person had changed the same thing, or it failed on it. */
export interface RefusedChange {
  readonly change: ChangeSet
  readonly message: string
  readonly conflicts: readonly Conflict[]
  /** The server failed on it, or on one that it was made on: it is kept on this machine until a person decides. */
  readonly failed?: boolean
}

export interface DocumentState {
  readonly projectId: string
  /** What is shown: the server's state with the unsent changes on top. */
  readonly document: Document
  /** The server's state, and its counter. */
  readonly base: Document
  readonly counter: number
  readonly pending: readonly ChangeSet[]
  /** Changes of this sitting that can be taken back, oldest first; and those that were. */
  readonly undoable: readonly ChangeSet[]
  readonly redoable: readonly ChangeSet[]
  readonly save: SaveState
  /** Why changes wait: the code of what the server said; null where it was silent. */
  readonly waitsFor: string | null
  readonly refused: readonly RefusedChange[]
  /** Stored records that could not be taken as they are. */
  readonly aside: readonly SetAside[]
  /** The edition of the results that readers of the project were last told of. */
  readonly results: number
  /** The last change and when it was made, for the balance to show. */
  readonly last: { readonly note: string; readonly count: number } | null
}

export type DocumentStore = StoreApi<DocumentState>

export const createDocumentStore = ({ id, counter, records, aside, results }: OpenProject): DocumentStore => {
  const base = documentOf(Object.values(records))
  return createStore<DocumentState>(() => ({
    projectId: id,
    document: base,
    base,
    counter,
    pending: [],
    undoable: [],
    redoable: [],
    save: 'saved',
    waitsFor: null,
    refused: [],
    aside,
    results,
    last: null,
  }))
}

export type Committed =
  | { readonly ok: true; readonly change: ChangeSet }
  | { readonly ok: false; readonly conflicts: readonly Conflict[]; readonly problems: readonly Problem[] }

const nothing: Committed = { ok: false, conflicts: [], problems: [] }

/** Makes a change; what is not possible is answered with its problems and changes nothing. */
export function commit(store: DocumentStore, note: string, edits: readonly Edit[]): Committed {
  const real = foldedEdits(edits).filter(({ before, after }) => before !== after)
  if (real.length === 0) return nothing
  const change: ChangeSet = {
    id: crypto.randomUUID(),
    seen: store.getState().counter,
    note: cut(note, longestNote),
    edits: real,
  }
  return apply(store, change, ({ undoable }) => ({ undoable: [...undoable, change], redoable: [] }))
}

/** Takes the last change of this sitting back, by a new, inverse change. */
export function undo(store: DocumentStore): Committed {
  const last = store.getState().undoable.at(-1)
  if (!last) return nothing
  const change = inverse(last, crypto.randomUUID(), store.getState().counter)
  return apply(store, change, ({ undoable, redoable }) => ({
    undoable: undoable.slice(0, -1),
    redoable: [...redoable, change],
  }))
}

/** Makes the last change that was taken back once more. */
export function redo(store: DocumentStore): Committed {
  const last = store.getState().redoable.at(-1)
  if (!last) return nothing
  const change = inverse(last, crypto.randomUUID(), store.getState().counter)
  return apply(store, change, ({ undoable, redoable }) => ({
    undoable: [...undoable, change],
    redoable: redoable.slice(0, -1),
  }))
}

function apply(
  store: DocumentStore,
  change: ChangeSet,
  history: (state: DocumentState) => Pick<DocumentState, 'undoable' | 'redoable'>,
): Committed {
  const state = store.getState()
  const applied = applyChange(state.document, change)
  if (!applied.ok) return applied
  store.setState({
    ...history(state),
    document: applied.document,
    pending: [...state.pending, change],
    save: 'saving',
    last: { note: change.note, count: (state.last?.count ?? 0) + 1 },
  })
  return { ok: true, change }
}

/** Unsent changes of an earlier sitting go on top of what the server has. */
export function takeUp(store: DocumentStore, waiting: readonly ChangeSet[]): void {
  const state = store.getState()
  const known = new Set(state.pending.map(({ id }) => id))
  const pending = [...waiting.filter(({ id }) => !known.has(id)), ...state.pending]
  if (pending.length > state.pending.length) store.setState(rebuilt(state, { pending, save: 'saving' }))
}

/** What the server has accepted, in its order: ours are no longer pending, those of others go below ours. */
export function receive(store: DocumentStore, accepted: readonly AcceptedChange[]): void {
  const state = store.getState()
  const fresh = accepted.filter(({ counter }) => counter > state.counter)
  if (fresh.length === 0) return
  const taken = new Set(fresh.map(({ id }) => id))
  const base = fresh.reduce((document, { edits }) => withEdits(document, edits), state.base)
  const pending = state.pending.filter(({ id }) => !taken.has(id))
  // on its way to the server when it was given up here: kept after all
  const refused = state.refused.filter(({ change }) => !taken.has(change.id))
  const counter = fresh.at(-1)?.counter ?? state.counter
  const save: SaveState = pending.length === 0 ? 'saved' : state.save
  const onlyOurs = fresh.every(({ id }, i) => state.pending[i]?.id === id)
  // our own changes are in the document already: nothing moves on the screen
  if (onlyOurs) store.setState({ base, counter, pending, save })
  else store.setState(rebuilt({ ...state, base, counter, refused }, { pending, save }))
}

/** The server would not take a change: it goes out with what stands on it, and is shown with both values. */
export function refuse(store: DocumentStore, refused: RefusedChange): void {
  const state = store.getState()
  store.setState(
    rebuilt(
      { ...state, refused: [...state.refused, refused] },
      { pending: state.pending.filter(({ id }) => id !== refused.change.id), save: 'saving' },
      refused,
    ),
  )
}

/** Changes that an earlier sitting set aside stand among the refused ones again. */
export const takeUpAside = (store: DocumentStore, aside: readonly RefusedChange[]): void =>
  store.setState(({ refused }) => {
    const known = new Set(refused.map(({ change }) => change.id))
    return { refused: [...aside.filter(({ change }) => !known.has(change.id)), ...refused] }
  })

export const dismissRefused = (store: DocumentStore, id: string): void =>
  store.setState(({ refused }) => ({ refused: refused.filter(({ change }) => change.id !== id) }))

/**
 * The pending changes once more on the server's state; one that no longer fits is shown as refused. What was made on top
 * of a refused change goes with it, even where another's change looks the same: an undo must not take theirs back.
 */
function rebuilt(
  state: DocumentState,
  { pending, save }: Pick<DocumentState, 'pending' | 'save'>,
  lost?: RefusedChange,
): Pick<DocumentState, 'document' | 'base' | 'counter' | 'pending' | 'save' | 'refused' | 'undoable' | 'redoable'> {
  let { base: document } = state
  const fitting: ChangeSet[] = []
  const refused: RefusedChange[] = [...state.refused]
  const inDoubt = new Set(lost?.change.edits.map(({ id }) => id))
  for (const change of pending) {
    const problem = change.edits.some(({ id }) => inDoubt.has(id))
      ? { message: 'It depends on a change that could not be saved.', conflicts: [] }
      : undefined
    const applied = problem ? undefined : applyChange(document, change)
    if (applied?.ok) {
      document = applied.document
      fitting.push(change)
      continue
    }
    for (const { id } of change.edits) inDoubt.add(id)
    const message = applied?.problems[0]?.problem ?? 'Changed by another user in the meantime.'
    // what cannot stand without the failed change is kept with it
    const failed = lost?.failed ? { failed: true } : {}
    refused.push({ change, message, conflicts: applied?.conflicts ?? [], ...problem, ...failed })
  }
  const { base, counter, undoable, redoable } = state
  const gone = new Set(refused.map(({ change }) => change.id))
  const kept = (changes: readonly ChangeSet[]) => changes.filter(({ id }) => !gone.has(id))
  return {
    document,
    base,
    counter,
    pending: fitting,
    save: fitting.length === 0 ? 'saved' : save,
    refused,
    undoable: kept(undoable),
    redoable: kept(redoable),
  }
}
