import {
  ask,
  deriveProject,
  documentOf,
  emptyDocument,
  Memo,
  withEdits,
  type Document,
  type Edit,
  type ProjectState,
} from '@hedrion/core'
import type { FromWorker, ToWorker } from './protocol'

let document: Document = emptyDocument
let version = 0
let state: ProjectState | undefined
const memo = new Memo()
const cancelled = new Set<number>()

const post = (message: FromWorker): void => globalThis.postMessage(message)

const present = (): ProjectState => (state ??= deriveProject(memo, document))

const supposed = (edits: readonly Edit[]): ProjectState => deriveProject(memo, withEdits(document, edits))

function take(message: ToWorker): void {
  switch (message.kind) {
    case 'open':
      document = documentOf(message.records)
      version = message.version
      state = undefined
      return
    case 'apply':
      document = withEdits(document, message.edits)
      version = message.version
      state = undefined
      return
    case 'cancel':
      cancelled.add(message.id)
      return
    case 'query':
      // a later change is on its way: its own question will be answered
      setTimeout(() => answer(message))
  }
}

/** The last answer to each query as text, so that an equal one is not sent again. */
const sent = new Map<string, { readonly text: string; readonly number: number }>()
const most = 200

function answer({ id, version: asked, query, held, supposing }: Extract<ToWorker, { kind: 'query' }>): void {
  if (cancelled.delete(id) || asked < version) return
  try {
    const found = ask(supposing ? supposed(supposing) : present(), query)
    if (supposing) return post({ kind: 'answer', id, version: asked, number: 0, answer: found })
    const { number, isNew } = numberOf(JSON.stringify(query), JSON.stringify(found))
    if (!isNew && number === held) post({ kind: 'same', id, version: asked })
    else post({ kind: 'answer', id, version: asked, number, answer: found })
  } catch (error) {
    post({ kind: 'failed', id, message: error instanceof Error ? error.message : String(error) })
  }
}

function numberOf(key: string, text: string): { readonly number: number; readonly isNew: boolean } {
  const known = sent.get(key)
  if (known?.text === text) return { number: known.number, isNew: false }
  const number = (known?.number ?? 0) + 1
  sent.delete(key)
  sent.set(key, { text, number })
  for (const oldest of sent.keys()) {
    if (sent.size <= most) break
    sent.delete(oldest)
  }
  return { number, isNew: true }
}

globalThis.onmessage = ({ data }: MessageEvent<ToWorker>) => take(data)
