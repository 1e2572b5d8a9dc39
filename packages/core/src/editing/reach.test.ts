import { demoDocument } from '../../test/demo'
import { recordsOf } from '../document/document'
import { labelOf } from '../document/labels'
import { reachedBy } from './reach'

const demo = demoDocument()
const named = (kind: 'section' | 'loadKey' | 'material', name: string) => {
  const found = recordsOf(demo, kind).find((record) => record.name === name)
  if (!found) throw new Error(`No ${kind} ${name}`)
  return found
}
const labels = (id: string) => reachedBy(demo, id).map((record) => labelOf(demo, record.id))

test('an edit of what is drawn reaches that alone', () => {
  const [panel] = recordsOf(demo, 'panel')
  expect(reachedBy(demo, panel?.id ?? '')).toEqual([panel])
})

test('a section reaches every member made of it, and no other', () => {
  const { id } = named('section', 'HEB 240')
  const reached = reachedBy(demo, id)
  expect(reached.length).toBeGreaterThan(0)
  expect(reached).toEqual(recordsOf(demo, 'member').filter(({ section }) => section === id))
})

test('a material reaches members and slabs', () => {
  const kinds = recordsOf(demo, 'material').flatMap(({ id }) => reachedBy(demo, id).map(({ kind }) => kind))
  expect(new Set(kinds)).toEqual(new Set(['member', 'panel']))
})

test('a load key and its build-up reach patches that carry it, and the panels under it as a default', () => {
  const store = named('loadKey', 'Book store')
  expect(labels(store.id)).toContain('Book store')
  expect(reachedBy(demo, store.id).every(({ kind }) => kind === 'patch')).toBe(true)
  const room = named('loadKey', 'Reading room')
  const reached = reachedBy(demo, room.id).filter(({ kind }) => kind === 'panel')
  expect(reached.length).toBeGreaterThan(0)
  if (room.kind !== 'loadKey' || !room.buildUp) throw new Error('the reading room has a build-up')
  expect(reachedBy(demo, room.buildUp)).toEqual(expect.arrayContaining([...reached]))
})

test('levels, the basis and what is not there reach nothing drawn', () => {
  for (const { id } of [...recordsOf(demo, 'level'), ...recordsOf(demo, 'basis')])
    expect(reachedBy(demo, id)).toEqual([])
  expect(reachedBy(demo, 'member:none')).toEqual([])
})
