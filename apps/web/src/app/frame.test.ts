import { ask, demoChanges, deriveProject, documentOf, metricPoint, Memo, recordsOf, withTyped } from '@hedrion/core'
import { findEntries, foundAmong } from './findEntries'
import { stepFigure, stepNames } from './steps'

const document = documentOf(demoChanges.flatMap(({ edits }) => edits.flatMap(({ after }) => after ?? [])))
const state = deriveProject(new Memo(), document)

describe('the frame about the steps', () => {
  const overview = ask(state, { kind: 'overview' })

  test('find knows every step, level, case, clause and element by its name', () => {
    const texts = findEntries(document, overview).map(({ text }) => text)
    for (const wanted of ['Paths', 'Level Roof', 'Undo last change', 'panel P2, level 1'])
      expect(texts).toContain(wanted)
    expect(texts.some((text) => text.includes('air density'))).toBe(true)
    expect(texts.some((text) => text.includes('wind from the west'))).toBe(true)
    expect(new Set(findEntries(document, overview).map(({ id }) => id)).size).toBe(texts.length)
  })

  test('whole words come first: C1 before C10, level 1 before any other level of C13', () => {
    const first = (text: string) => foundAmong(findEntries(document, overview), text, 1)[0]?.text
    expect(first('member C1, level 2')).toBe('member C1, level 2')
    expect(first('c13 level 1')).toBe('member C13, level 1')
    expect(foundAmong(findEntries(document, overview), 'member c1', 999).length).toBeGreaterThan(6)
    expect(first('nothing of that name')).toBeUndefined()
  })

  test('each step has one figure; those with open questions stand out', () => {
    const figures = stepNames.map((step) => stepFigure(step, overview, metricPoint))
    expect(figures.every(({ text }) => text !== '')).toBe(true)
    expect(figures.map(({ warm }) => warm)).toEqual([false, false, false, true, false, false, true])
    expect(stepFigure('paths', undefined, metricPoint)).toEqual({ text: '', warm: false })
  })

  test('what a person typed stays beside the value, and goes with it', () => {
    const [level] = recordsOf(document, 'level')
    if (!level) throw new Error('no level')
    const typed = withTyped(level, { path: 'elevation', text: '3.15 - 0.45' })
    expect(typed.typed).toEqual({ elevation: '3.15 - 0.45' })
    expect(withTyped(typed, { path: 'elevation', text: undefined })).toEqual(level)
    expect(withTyped(typed, { path: 'name', text: undefined }).typed).toEqual({ elevation: '3.15 - 0.45' })
  })
})
