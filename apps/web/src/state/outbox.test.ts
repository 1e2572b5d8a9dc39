import { formatVersion, type ChangeSet } from '@hedrion/core'
import { Outdated } from './api'
import { presentChange } from './outbox'

const load = { kind: 'lineLoad', id: 'lineLoad:000000000001', value: 1000 }
const change = { id: 'a', seen: 3, note: 'Line load', edits: [{ id: load.id, before: null, after: load }] }

test('a change that an earlier build left on this machine is sent in the format of this one, under its id', () => {
  expect(presentChange(change as unknown as ChangeSet, 1)).toEqual({
    ...change,
    edits: [{ id: load.id, before: null, after: { ...load, endValue: null } }],
  })
})

test('one of this build is sent as it is, one of a newer build not at all', () => {
  expect(presentChange(change as unknown as ChangeSet, formatVersion)).toBe(change)
  expect(() => presentChange(change as unknown as ChangeSet, formatVersion + 1)).toThrow(Outdated)
})

test('two edits of one record that an earlier build left are sent as one', () => {
  const moved = { ...load, value: 2000 }
  const twice = { ...change, edits: [...change.edits, { id: load.id, before: load, after: moved }] }
  expect(presentChange(twice as unknown as ChangeSet, formatVersion)).toEqual({
    ...change,
    edits: [{ id: load.id, before: null, after: moved }],
  })
})
