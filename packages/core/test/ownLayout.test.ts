import { Building } from './build'
import { rectangle } from './shapes'
import { expandFloors } from '../src/building/floors'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { applyChange, inverse, type Edit } from '../src/document/changes'
import { recordsOf, seededRandom, type Document } from '../src/document/document'
import type { Level } from '../src/document/recordKinds'
import { ask } from '../src/queries/derive'
import { followable, followAgainEdits, ownLayoutEdits, ownReaches } from '../src/editing/ownLayout'

const random = seededRandom(41)

function after(document: Document, edits: readonly Edit[]): Document {
  const applied = applyChange(document, { id: 'c', seen: 0, note: '', edits })
  if (!applied.ok) throw new Error(JSON.stringify(applied))
  return applied.document
}

/** Four office floors of one layout and a roof; one bay of 6 x 4 m each. */
function tower() {
  const building = new Building()
  const levels = ['Base', '1', '2', '3', '4', 'Roof'].map((name, i) => building.level(name, 3 * i))
  const key = building.key(3000)
  const offices = building.layout('Offices', key, levels[1], levels[4])
  const roof = building.layout('Roof', building.key(400, { use: 'H' }), levels[5])
  for (const layout of [offices, roof]) {
    for (const at of rectangle(0, 0, 6, 4)) building.column(layout, at)
    building.beam(layout, [0, 0], [6, 0])
    building.beam(layout, [0, 4], [6, 4])
    building.panel(layout, rectangle(0, 0, 6, 4))
  }
  building.opening(offices, rectangle(1, 1, 2, 2))
  building.patch(offices, building.key(5000), rectangle(2, 0, 4, 4))
  building.wall(offices, [
    [0, 0],
    [6, 0],
  ])
  const at = (name: string): Level => {
    const found = levels.find((level) => level.name === name)
    if (!found) throw new Error(name)
    return found
  }
  return { document: building.document, at, offices }
}

const standing = (document: Document) =>
  expandFloors(recordsOf(document, 'level'), recordsOf(document, 'levelRange')).map(({ layoutId }) => {
    const layout = document.records.get(layoutId ?? '')
    return layout?.kind === 'layout' ? layout.name : '–'
  })
const totals = (document: Document) =>
  deriveProject(new Memo(), document).actions.flatMap(({ cases }) => cases.map(({ id }) => id))

test('only one level: it gets a copy of all that is drawn, and the others keep theirs', () => {
  const { document, at, offices } = tower()
  const next = after(document, ownLayoutEdits(document, at('2'), 'this', random))
  expect(standing(next)).toEqual(['–', 'Offices', 'Offices, level 2', 'Offices', 'Offices', 'Roof'])
  const own = recordsOf(next, 'layout').find(({ origin }) => origin === offices.id)
  for (const kind of ['member', 'panel', 'opening', 'patch', 'wallRun'] as const) {
    const [before, copies] = [offices.id, own?.id].map((id) =>
      recordsOf(next, kind).filter(({ layout }) => layout === id),
    )
    expect(copies).toHaveLength(before?.length ?? -1)
    expect(new Set(copies?.map(({ origin }) => origin))).toEqual(new Set(before?.map(({ id }) => id)))
  }
  expect(totals(next)).toEqual(totals(document))
})

test('from a level up: the range is split there', () => {
  const { document, at } = tower()
  const next = after(document, ownLayoutEdits(document, at('3'), 'up', random))
  expect(standing(next)).toEqual(['–', 'Offices', 'Offices', 'Offices, from level 3', 'Offices, from level 3', 'Roof'])
  expect(recordsOf(next, 'levelRange')).toHaveLength(3)
})

test('the loads of the building are the same after a split as before, to a micronewton', () => {
  const { document, at } = tower()
  const sums = (of: Document) => {
    const state = deriveProject(new Memo(), of)
    return state.caseIds.map((caseId) => {
      const { applied = NaN, atSupports = NaN } = ask(state, { kind: 'balance', caseId }) ?? {}
      return [caseId, Math.round(applied * 1e6), Math.round(atSupports * 1e6)]
    })
  }
  const before = sums(document)
  expect(before.length).toBeGreaterThan(2)
  expect(sums(after(document, ownLayoutEdits(document, at('2'), 'this', random)))).toEqual(before)
  expect(sums(after(document, ownLayoutEdits(document, at('2'), 'up', random)))).toEqual(before)
})

test('a layout on one level only, or a level without one, has nothing to be split from', () => {
  const { document, at } = tower()
  expect(ownLayoutEdits(document, at('Roof'), 'this', random)).toEqual([])
  expect(ownLayoutEdits(document, at('1'), 'up', random)).toEqual([])
  expect(ownLayoutEdits(document, at('Base'), 'this', random)).toEqual([])
  const reaches = ['Base', '1', '2', '4', 'Roof'].map((name) => ownReaches(document, at(name)).join())
  expect(reaches).toEqual(['', 'this', 'this,up', 'this', ''])
})

test('following again takes the copy away when no level keeps it, and gives the document back', () => {
  const { document, at, offices } = tower()
  const split = after(document, ownLayoutEdits(document, at('3'), 'up', random))
  const own = recordsOf(split, 'layout').find(({ origin }) => origin === offices.id)
  expect(followable(split, own?.id ?? null)?.id).toBe(offices.id)
  const half = after(split, followAgainEdits(split, at('3'), random))
  expect(standing(half)).toEqual(['–', 'Offices', 'Offices', 'Offices', 'Offices, from level 3', 'Roof'])
  const whole = after(half, followAgainEdits(half, at('4'), random))
  expect(standing(whole)).toEqual(standing(document))
  expect(whole.records.size).toBe(document.records.size)
  expect(followAgainEdits(document, at('2'), random)).toEqual([])
  expect(followable(document, null)).toBeNull()
})

test('one undo takes a split back', () => {
  const { document, at } = tower()
  const change = { id: 'c', seen: 0, note: '', edits: ownLayoutEdits(document, at('2'), 'this', random) }
  const applied = applyChange(document, change)
  if (!applied.ok) throw new Error('refused')
  const back = applyChange(applied.document, inverse(change, 'd', 1))
  if (!back.ok) throw new Error('refused')
  expect([...back.document.records].sort()).toEqual([...document.records].sort())
})

test('names stay within their length', () => {
  const { document, at, offices } = tower()
  const long = after(document, [
    { id: offices.id, before: offices, after: { ...offices, name: 'A layout with a name as long as names go' } },
  ])
  const next = after(long, ownLayoutEdits(long, at('2'), 'up', random))
  expect(standing(next)[2]).toBe('A layout with a name as lo, from level 2')
})
