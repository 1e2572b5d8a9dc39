import { severityOf } from '../concerns/definitions'
import { concernsOf } from '../concerns/concernsOf'
import { balanceOf } from '../derivation/balance'
import { Memo } from '../derivation/memo'
import { deriveProject } from '../derivation/project'
import { documentOf, recordsOf, seededRandom } from '../document/document'
import { invariantProblems } from '../document/invariants'
import type { Rec } from '../document/recordKinds'
import { hallSentence } from './hallSentence'
import { readNewBuilding } from './newBuilding'

const recordsFor = (text: string): readonly Rec[] => {
  const read = readNewBuilding(text)
  if (!read.ok) throw new Error(read.problem)
  return read.building.records('Hall', seededRandom(5))
}
const stateOf = (text: string) => deriveProject(new Memo(), documentOf(recordsFor(text)))

test('the sentence of a hall says what it is', () => {
  const read = readNewBuilding(hallSentence)
  expect(read.ok && [read.building.summary, read.building.area]).toEqual([
    'A hall of 6 bays on 7 trusses',
    expect.closeTo(24 * 36, 9),
  ])
})

test.each([
  ['Hall 24 m wide', /Hall of 24 m by 6 x 6.0 m/],
  ['Hall of 240 m by 6 x 6.0 m, eaves at 6 m, pitch 10°, trusses, purlins every 2 m', /4 to 100 m wide/],
  ['Hall of 24 m by 6 x 6.0 m, pitch 10°, trusses, purlins every 2 m', /eaves at/],
  ['Hall of 24 m by 6 x 6.0 m, eaves at 6 m, pitch 60°, trusses, purlins every 2 m', /0 to 45°/],
  ['Hall of 24 m by 6 x 6.0 m, eaves at 6 m, pitch 10°, arches, purlins every 2 m', /trusses or rafters/],
  [
    'Hall of 24 m by 6 x 6.0 m, eaves at 6 m, pitch 10°, rafters, purlins every 20 m',
    /The purlin spacing must be 0\.5 m to half the span\./,
  ],
  ['Hall of 24 m by 60 x 6.0 m, eaves at 6 m, pitch 10°, rafters, purlins every 2 m', /1 to 40 bays/],
])('%s', (text, problem) => {
  const read = readNewBuilding(text)
  expect(read.ok ? 'read' : read.problem).toMatch(problem)
})

describe.each(['trusses', 'rafters'])('a hall on %s', (frames) => {
  const text = hallSentence.replace('trusses', frames)

  test('is legal, and a checker has nothing to ask but the assumed sections', () => {
    const document = documentOf(recordsFor(text))
    expect(invariantProblems(document)).toEqual([])
    expect(concernsOf(stateOf(text)).filter((concern) => severityOf(concern) !== 'note')).toEqual([])
  })

  test('everything arrives: applied is at the supports', () => {
    const state = stateOf(text)
    for (const id of state.caseIds) {
      const { applied, atSupports, notCarried } = balanceOf(state, id)
      expect([atSupports, notCarried]).toEqual([expect.closeTo(applied, 3), expect.closeTo(0, 6)])
    }
  })

  // by hand (common practice): sheeting weighs by the true area of the roof, the imposed load by its area in plan
  test('sheeting by true area, imposed load by the plan', () => {
    const state = stateOf(text)
    const plan = 24 * 36
    expect(balanceOf(state, 'permanent/build-ups').applied).toBeCloseTo((250 * plan) / Math.cos(Math.PI / 18), 3)
    // EN 1991-1-1 table 6.10: 0.4 kN/m² on a roof of category H, from memory
    expect(balanceOf(state, 'roof/H').applied).toBeCloseTo(400 * plan, 3)
  })
})

// by hand: steel of 78.5 kN/m³ by the volume of every part, lengths by Pythagoras, no joints
test('self-weight of the hall on trusses', () => {
  const records = recordsFor(hallSentence)
  const document = documentOf(records)
  const area = (id: string) => recordsOf(document, 'section').find((section) => section.id === id)?.area ?? NaN
  const members = recordsOf(document, 'member')
  const [column, truss, purlin, brace] = [
    members.find(({ role }) => role === 'column')?.section,
    members.find(({ role }) => role === 'truss'),
    members.find(({ role }) => role === 'purlin')?.section,
    recordsOf(document, 'strut')[0]?.section,
  ]
  const made = truss?.truss
  if (!column || !truss || !made || !purlin || !brace) throw new Error('a part is missing')
  const pitch = Math.PI / 18
  const [half, rise] = [12, 12 * Math.tan(pitch)]
  // 12 bays of 2 m: posts 1.20 m at the eaves, growing by the pitch; diagonals from the foot of the outer post
  expect([made.bays, made.depth]).toEqual([12, 1.2])
  const post = (i: number) => 1.2 + (rise * Math.min(i, 12 - i)) / 6
  const posts = Array.from({ length: 13 }, (_, i) => post(i)).reduce((sum, h) => sum + h, 0)
  const diagonals = 2 * Array.from({ length: 6 }, (_, i) => Math.hypot(2, post(i + 1))).reduce((sum, l) => sum + l, 0)
  const chords = area(truss.section) * 2 * Math.hypot(half, rise) + area(made.bottomSection) * 24
  const trusses = 7 * (chords + area(made.webSection) * (posts + diagonals))
  const columns = 14 * 6 * area(column)
  const purlins = 13 * 36 * area(purlin)
  // two end bays: two walls with a cross of 6 by 6 m, two roof diagonals each
  const braces = area(brace) * (2 * 4 * Math.hypot(6, 6) + 4 * Math.hypot(6, half, rise))
  const state = stateOf(hallSentence)
  expect(balanceOf(state, 'permanent/self-weight').applied).toBeCloseTo(
    78_500 * (trusses + columns + purlins + braces),
    3,
  )
})
