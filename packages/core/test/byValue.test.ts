import { deriveProject } from '../src/derivation/project'
import { Memo } from '../src/derivation/memo'
import { ask } from '../src/queries/derive'
import { asksByValue } from '../src/queries/byValue'
import { demoDocument } from './demo'

const state = deriveProject(new Memo(), demoDocument())
const found = (text: string, caseId = 'imposed/C') => {
  const answer = ask(state, { kind: 'byValue', text, caseId })
  return answer?.ok ? [answer.words, answer.ids.length] : (answer?.problem ?? null)
}

// the demo by hand: glass screens of 0.9 kN/m on two floors each side; the wall round the outline weighs 6.51 and 6.23
test('loads by their value', () => {
  expect(found('line loads above 0.8 kN/m')).toEqual(['4 line loads above 0.80 kN/m', 4])
  expect(found('every line load below 1')).toEqual(['4 line loads below 1.00 kN/m', 4])
  expect(found('point loads above 17 kN')).toEqual(['2 point loads above 17.0 kN', 2])
  expect(found('walls above 6 kN/m')).toEqual(['2 wall runs above 6.00 kN/m', 2])
  expect(found('wall runs longer than 80 m')).toEqual(['3 wall runs longer than 80.00 m', 3])
})

test('members by length, by what lands on them, by force; panels by pressure and area', () => {
  // three girders of 10.8 m with the balcony on two levels, five trusses of 12 m
  expect(found('beams longer than 10 m')).toEqual(['11 beams longer than 10.00 m', 11])
  expect(found('columns above 300 kN')).toEqual(
    expect.arrayContaining([expect.stringMatching(/^\d+ columns above 300\.0 kN$/)]),
  )
  expect(found('panels above 4 kN/m²')).toEqual(['4 panels above 4.00 kN/m²', 4])
  expect(found('panels below 6 m²')).toEqual(['1 panel below 6.0 m²', 1])
})

test('above and below are everything but what is equal', () => {
  const count = (text: string) => Number(found(text)?.[1])
  const all = state.floors.reduce((sum, { operator }) => sum + operator.plan.frame.columns.length, 0)
  expect(count('columns above 100 kN') + count('columns below 100 kN')).toBe(all)
})

test('what is no question, and what is no value', () => {
  expect(asksByValue('wall run W1')).toBe(false)
  expect(asksByValue('beams above 3 m')).toBe(true)
  expect(found('elephants above 3 m')).toBeNull()
  expect(found('line loads above some')).toMatch(/is not a number/)
})
