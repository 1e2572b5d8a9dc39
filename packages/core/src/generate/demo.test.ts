import { demoDocument } from '../../test/demo'
import { documentOf, seededRandom } from '../document/document'
import { concernsOf } from '../concerns/concernsOf'
import { balanceOf, equilibriumResidual } from '../derivation/balance'
import { Memo } from '../derivation/memo'
import { deriveProject } from '../derivation/project'
import { concernSentence } from '../concerns/definitions'
import { metricPoint } from '../units/format'
import { readProjectFile, writeProjectFile } from '../exchange/projectFile'
import { bayGrid } from './bayGrid'
import { openingSentence, readOpeningSentence } from './openingSentence'

describe('the demo', () => {
  const document = demoDocument()
  const state = deriveProject(new Memo(), document)

  test('shows exactly two honest concerns (hand: 5.4 m² · (0.12·24 + 1.25 + 0.40) kN/m² = 24.5 kN)', () => {
    const sentences = concernsOf(state).map((concern) => concernSentence(concern, metricPoint))
    expect(sentences).toEqual([
      expect.stringMatching(/^24\.5 kN of panel P9 on level Roof is not carried/),
      expect.stringMatching(/^Wind on the roof is not derived in this version, so all wind cases/),
    ])
  })

  test('every kilonewton applied arrives or is named', () => {
    expect(equilibriumResidual(state)).toBeLessThan(1e-12)
    const roof = balanceOf(state, 'roof/H')
    // hand: L-shaped roof 14.4·21 + 7.2·12 = 388.8 m², a platform of 1.8·3 = 5.4 m² and the hall of 24·12 m at 0.40 kN/m²
    expect(roof.applied).toBeCloseTo((388.8 + 5.4 + 288) * 400, 6)
    expect(roof.notCarried).toBeCloseTo(5.4 * 400, 6)
  })

  test('hand: imposed C on two floors: (388.8 − 9 void − 43.2 store)·3.0 and balcony 25.92·5.0, two flights of 3·1.5 m·5.0, twice', () => {
    const floor = (388.8 - 9 - 43.2) * 3000 + 25.92 * 5000 + 2 * 3 * 1.5 * 5000
    expect(balanceOf(state, 'imposed/C').applied).toBeCloseTo(2 * floor, 3)
    // screens 6 m · 0.9 kN/m on two floors, and two feet of the chiller of 18 kN
    expect(balanceOf(state, 'permanent/typed').applied).toBeCloseTo(2 * 6 * 900 + 2 * 18_000, 3)
  })

  test('hand: people press 1.00 kN/m (EN 1991-1-1 table 6.12, from memory) on 1.8 + 14.4 + 1.8 m of parapet, twice', () => {
    expect(balanceOf(state, 'barrier/people').applied).toBeCloseTo(2 * 18 * 1000, 6)
  })

  test('survives the project file', () => {
    const read = readProjectFile(writeProjectFile(document))
    expect(read.ok && writeProjectFile(read.document)).toBe(writeProjectFile(document))
  })
})

describe('a new building from its opening sentence', () => {
  const read = readOpeningSentence(openingSentence)
  if (!read.ok) throw new Error(read.problem)
  const document = documentOf(bayGrid(read.brief, 'New', seededRandom(1)))
  const state = deriveProject(new Memo(), document)

  test('hand: offices 3.0 kN/m² on three floors of 21.6 × 18 m; slab 150 mm is 3.60 kN/m²', () => {
    const imposed = balanceOf(state, 'imposed/B')
    expect(imposed.applied).toBeCloseTo(3 * 21.6 * 18 * 3000, 3)
    expect(imposed.atSupports).toBeCloseTo(imposed.applied, 3)
    expect(concernsOf(state)).toEqual([])
  })

  test.each([
    ['a house', /bays/],
    ['3 x 7 m by 2 x 6 m', /storeys/],
    ['3 x 7 m by 2 x 6 m, 3 storeys of 30 m, beams every 2 m, 150 mm concrete, offices', /2 to 12 m/],
  ])('%s is refused with what is missing', (text, problem) => {
    const refused = readOpeningSentence(text)
    expect(refused.ok ? '' : refused.problem).toMatch(problem)
  })
})
