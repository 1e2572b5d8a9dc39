import { ask, demoChanges, deriveProject, documentOf, metricPoint, Memo, recordsOf, withTyped } from '@hedrion/core'
import { stepFigure, stepNames } from './steps'

const document = documentOf(demoChanges.flatMap(({ edits }) => edits.flatMap(({ after }) => after ?? [])))
const state = deriveProject(new Memo(), document)

describe('the frame about the steps', () => {
  const overview = ask(state, { kind: 'overview' })

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
