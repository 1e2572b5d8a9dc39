import type { AcceptedChange, OpenProject } from '@hedrion/contract'
import {
  applyChange,
  demoChanges,
  documentOf,
  recordsOf,
  sameRecord,
  type ChangeSet,
  type Document,
  type Edit,
  type Level,
} from '@hedrion/core'
import fc from 'fast-check'
import {
  commit,
  createDocumentStore,
  dismissRefused,
  receive,
  redo,
  refuse,
  takeUp,
  undo,
  type DocumentStore,
} from './documentStore'

const demo = documentOf(demoChanges.flatMap(({ edits }) => edits.flatMap(({ after }) => after ?? [])))
const project: OpenProject = {
  format: 2,
  results: 1,
  aside: [],
  id: 'p',
  name: 'Demo',
  counter: 7,
  records: Object.fromEntries(demo.records),
}
const levelsOf = (document: Document) => [...recordsOf(document, 'level')].sort((a, b) => a.elevation - b.elevation)
const topOf = (document: Document): Level => {
  const top = levelsOf(document).at(-1)
  if (!top) throw new Error('no level')
  return top
}
const raise = (store: DocumentStore, by: number, level = topOf(store.getState().document)) =>
  commit(store, `raise ${level.name}`, [
    { id: level.id, before: level, after: { ...level, elevation: level.elevation + by } },
  ])
const accept = (change: ChangeSet, counter: number): AcceptedChange => ({
  ...change,
  counter,
  at: '2026-11-24T10:00:00Z',
})
const sameDocument = (a: Document, b: Document): boolean =>
  a.records.size === b.records.size &&
  [...a.records].every(([id, record]) => sameRecord(record, b.records.get(id) ?? null))

describe('a change of this sitting', () => {
  test('shows at once, waits to be sent, and is acknowledged without moving the screen', () => {
    const store = createDocumentStore(project)
    const made = raise(store, 0.2)
    const shown = store.getState().document
    expect(topOf(shown).elevation).toBeCloseTo(11, 9)
    expect(store.getState()).toMatchObject({ save: 'saving', counter: 7, last: { count: 1 } })
    if (!made.ok) throw new Error('refused')
    receive(store, [accept(made.change, 8)])
    expect(store.getState().document).toBe(shown)
    expect(store.getState()).toMatchObject({ save: 'saved', counter: 8, pending: [] })
    expect(sameDocument(store.getState().base, shown)).toBe(true)
  })

  test('what is impossible changes nothing and says why; what changes nothing is no change', () => {
    const store = createDocumentStore(project)
    const [base, ground] = levelsOf(demo)
    if (!base || !ground) throw new Error('levels')
    const made = commit(store, 'onto the base', [
      { id: ground.id, before: ground, after: { ...ground, elevation: base.elevation } },
    ])
    expect(made).toMatchObject({ ok: false, problems: [{ problem: expect.stringMatching(/closer than 10 mm/) }] })
    expect(commit(store, 'nothing', [{ id: base.id, before: base, after: base }]).ok).toBe(false)
    expect(store.getState()).toMatchObject({ pending: [], undoable: [], save: 'saved' })
  })

  test('undo and redo are changes like any other; a new change ends what can be redone', () => {
    const store = createDocumentStore(project)
    raise(store, 0.2)
    raise(store, 0.3)
    undo(store)
    expect(topOf(store.getState().document).elevation).toBeCloseTo(11, 9)
    expect(store.getState().pending).toHaveLength(3)
    redo(store)
    expect(topOf(store.getState().document).elevation).toBeCloseTo(11.3, 9)
    undo(store)
    undo(store)
    expect(sameDocument(store.getState().document, demo)).toBe(true)
    expect(undo(store).ok).toBe(false)
    raise(store, 1)
    expect(redo(store).ok).toBe(false)
  })
})

describe('changes of others', () => {
  const otherChange = (document: Document, edits: readonly Edit[]): ChangeSet => ({
    id: `other ${edits[0]?.id ?? ''}`,
    seen: 7,
    note: 'other',
    edits,
  })

  test('go below ours; ours stay on top and wait', () => {
    const store = createDocumentStore(project)
    raise(store, 0.2)
    const [key] = recordsOf(demo, 'loadKey')
    if (!key) throw new Error('no key')
    const theirs = otherChange(demo, [{ id: key.id, before: key, after: { ...key, imposed: 4321 } }])
    receive(store, [accept(theirs, 8)])
    const { document, pending, counter, save } = store.getState()
    expect(document.records.get(key.id)).toMatchObject({ imposed: 4321 })
    expect(topOf(document).elevation).toBeCloseTo(11, 9)
    expect([pending.length, counter, save]).toEqual([1, 8, 'saving'])
  })

  test('to the same record refuse ours with both values, and keep it to be shown', () => {
    const store = createDocumentStore(project)
    raise(store, 0.2)
    const top = topOf(demo)
    receive(store, [accept(otherChange(demo, [{ id: top.id, before: top, after: { ...top, elevation: 12 } }]), 8)])
    const { document, pending, refused, save } = store.getState()
    expect(topOf(document).elevation).toBe(12)
    expect([pending.length, save]).toEqual([0, 'saved'])
    expect(refused).toMatchObject([{ conflicts: [{ expected: { elevation: 10.8 }, current: { elevation: 12 } }] }])
    dismissRefused(store, refused[0]?.change.id ?? '')
    expect(store.getState().refused).toEqual([])
  })

  test('come once, whichever way they come twice', () => {
    const store = createDocumentStore(project)
    const top = topOf(demo)
    const theirs = accept(otherChange(demo, [{ id: top.id, before: top, after: { ...top, elevation: 12 } }]), 8)
    receive(store, [theirs])
    receive(store, [theirs])
    expect(store.getState().counter).toBe(8)
    expect(topOf(store.getState().document).elevation).toBe(12)
  })

  test('a refusal of the server takes our change out, with what stood on it', () => {
    const store = createDocumentStore(project)
    const first = raise(store, 0.2)
    raise(store, 0.3)
    if (!first.ok) throw new Error('refused')
    refuse(store, { change: first.change, message: 'No.', conflicts: [] })
    const { document, refused, undoable } = store.getState()
    expect(topOf(document).elevation).toBeCloseTo(10.8, 9)
    expect(refused.map(({ message }) => message)).toEqual(['No.', 'It depends on a change that could not be saved.'])
    expect(undoable.some(({ id }) => id === first.change.id)).toBe(false)
  })
})

test('an undo of ours never takes back what another did alike', () => {
  const [ours, theirs] = [createDocumentStore(project), createDocumentStore(project)]
  const other = raise(theirs, 0.01)
  raise(ours, 0.01)
  undo(ours)
  if (!other.ok) throw new Error('refused')
  receive(ours, [accept(other.change, 8)])
  const { document, pending, refused } = ours.getState()
  expect(topOf(document).elevation).toBeCloseTo(10.81, 9)
  expect([pending.length, refused.length]).toEqual([0, 2])
})

test('changes of an earlier sitting are taken up once, below those of this one', () => {
  const before = createDocumentStore(project)
  raise(before, 0.2)
  const store = createDocumentStore(project)
  const { pending } = before.getState()
  takeUp(store, pending)
  takeUp(store, pending)
  expect(store.getState().pending).toHaveLength(1)
  expect(topOf(store.getState().document).elevation).toBeCloseTo(11, 9)
  expect(store.getState().save).toBe('saving')
})

test('two tabs and a server, in any order of edits, sends and receipts, end alike; nothing is applied twice or lost silently', () => {
  // a script of steps: which tab does what
  const step = fc.record({
    tab: fc.nat(1),
    act: fc.constantFrom('edit', 'undo', 'send', 'receive'),
    level: fc.nat(3),
    by: fc.integer({ min: 1, max: 9 }),
  })
  fc.assert(
    fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
      const server: { document: Document; log: AcceptedChange[] } = { document: demo, log: [] }
      const tabs = [createDocumentStore(project), createDocumentStore(project)] as const
      const made = new Set<string>()
      const catchUp = (store: DocumentStore) =>
        receive(
          store,
          server.log.filter(({ counter }) => counter > store.getState().counter),
        )
      const send = (store: DocumentStore) => {
        const change = store.getState().pending[0]
        if (!change) return
        if (server.log.every(({ id }) => id !== change.id)) {
          const applied = applyChange(server.document, change)
          if (applied.ok) {
            server.document = applied.document
            server.log.push(accept(change, 8 + server.log.length))
          } else refuse(store, { change, message: 'conflict', conflicts: applied.conflicts })
        }
        catchUp(store)
      }
      for (const { tab, act, level, by } of steps) {
        const store = tabs[tab] ?? tabs[0]
        const record = levelsOf(store.getState().document)[level]
        if (act === 'edit' && record) {
          const committed = raise(store, by / 100, record)
          if (committed.ok) made.add(committed.change.id)
        }
        if (act === 'undo') {
          const committed = undo(store)
          if (committed.ok) made.add(committed.change.id)
        }
        if (act === 'send') send(store)
        if (act === 'receive') catchUp(store)
      }
      for (const store of tabs) while (store.getState().pending.length > 0) send(store)
      for (const store of tabs) {
        catchUp(store)
        expect(sameDocument(store.getState().document, server.document)).toBe(true)
        expect(store.getState().save).toBe('saved')
      }
      const accepted = server.log.map(({ id }) => id)
      expect(new Set(accepted).size).toBe(accepted.length)
      const refused = tabs.flatMap((store) => store.getState().refused.map(({ change }) => change.id))
      expect([...accepted, ...refused].sort()).toEqual([...made].sort())
    }),
    { numRuns: 60 },
  )
})
