import { ask, demoChanges, deriveProject, documentOf, Memo } from '@hedrion/core'
import { reachedBy, stepFor } from './findEntries'

const state = deriveProject(
  new Memo(),
  documentOf(demoChanges.flatMap(({ edits }) => edits.flatMap(({ after }) => after ?? []))),
)
const reached = (text: string, most = 60) => reachedBy(text, ask(state, { kind: 'find', text, most }), most)

test('steps, commands, levels, cases, clauses and elements are found by their names, each by what it is', () => {
  const first = (text: string) => {
    const [entry] = reached(text)
    return entry && [entry.text, entry.kind]
  }
  expect(first('paths')).toEqual(['Paths', 'step'])
  expect(first('undo')).toEqual(['Undo last change', 'command'])
  expect(first('wall round outline')).toEqual(['Wall round the outline', 'command'])
  expect(first('level roof')).toEqual(['Level Roof', 'level'])
  expect(first('panel P2, level 1')).toEqual(['panel P2, level 1', 'panel'])
  expect(first('air density')?.[1]).toBe('clause')
  expect(first('wind from the west')?.[1]).toBe('case')
  expect(first('nothing of that name')).toBeUndefined()
})

test('whole words come first: C1 before C10; what is in the building before what a standard calls so', () => {
  expect(reached('member C1, level 2')[0]?.text).toBe('member C1, level 2')
  expect(reached('c13 level 1')[0]?.text).toBe('member C13, level 1')
  expect(reached('member c1', 999).length).toBeGreaterThan(6)
  const kinds = reached('c2', 999).map(({ kind }) => kind)
  expect(kinds[0]).toBe('column')
  expect(kinds).toContain('use')
})

test('every entry has an id of its own', () => {
  const all = reached('', 1e6)
  expect(all.length).toBeGreaterThan(200)
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length)
})

test('an answer to another text shows nothing of the project; steps and commands are there at once', () => {
  const old = ask(state, { kind: 'find', text: 'c', most: 9 })
  expect(reachedBy('c1', old, 9)).toEqual([])
  expect(reachedBy('redo', undefined, 9).map(({ text }) => text)).toEqual(['Redo'])
})

test('an element is shown in the step that is open where that shows it', () => {
  const [column] = reached('member C1, level 2')
  const [wall] = reached('wall run', 1)
  if (!column || !wall) throw new Error('not found')
  expect([stepFor(column, 'building'), stepFor(column, 'paths'), stepFor(column, 'actions')]).toEqual([
    'building',
    'paths',
    'paths',
  ])
  expect(stepFor(wall, 'building')).toBe('actions')
  const [level] = reached('level roof')
  expect(level && stepFor(level, 'building')).toBeUndefined()
})
