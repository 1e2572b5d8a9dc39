import { actionsOf, nothingOnPlan, type LoadCase } from '../actions/cases'
import { enFamily } from '../standards/en/family'
import { standardOf } from '../standards/families'
import { ruleSets, type RuleId } from './ruleSets'
import { combinationStructure, countCombinations, listCombinations } from './structure'

const standard = standardOf('EN', [])
const { exclusions } = enFamily
const ruleOf = (id: RuleId, consequence: 'CC1' | 'CC2' | 'CC3' = 'CC2') => {
  const found = ruleSets(standard, consequence).find((rule) => rule.id === id)
  if (!found) throw new Error(id)
  return found
}
const a = (group: LoadCase['group']): LoadCase => ({ id: 'x/y', name: '', action: 'imposed', group })

describe('EN 1990, factors of each expression (tables A1.1 and A1.2(B), from memory)', () => {
  test.each([
    // category, 6.10 leading and accompanying, frequent leading and accompanying, quasi-permanent
    ['A', 1.5, 1.05, 0.5, 0.3, 0.3],
    ['C', 1.5, 1.05, 0.7, 0.6, 0.6],
    ['E', 1.5, 1.5, 0.9, 0.8, 0.8],
    ['G', 1.5, 1.05, 0.5, 0.3, 0.3],
    ['H', 1.5, 0, 0, 0, 0],
    ['wind', 1.5, 0.9, 0.2, 0, 0],
  ] as const)('category %s', (psi, leads, accompanies, frequent, beside, quasi) => {
    const loadCase = a(psi)
    expect(ruleOf('strength').leading?.(loadCase)).toBeCloseTo(leads, 12)
    expect(ruleOf('strength').accompanying(loadCase)).toBeCloseTo(accompanies, 12)
    expect(ruleOf('characteristic').leading?.(loadCase)).toBe(1)
    expect(ruleOf('characteristic').accompanying(loadCase)).toBeCloseTo(accompanies / 1.5, 12)
    expect(ruleOf('frequent').leading?.(loadCase)).toBe(frequent)
    expect(ruleOf('frequent').accompanying(loadCase)).toBe(beside)
    expect(ruleOf('quasiPermanent').leading).toBeNull()
    expect(ruleOf('quasiPermanent').accompanying(loadCase)).toBe(quasi)
  })

  test('permanent action: 1.35 and 1.0 in strength, 1 and 1 in service', () => {
    expect(ruleOf('strength').permanent).toEqual([1.35, 1])
    for (const id of ['characteristic', 'frequent', 'quasiPermanent'] as const)
      expect(ruleOf(id).permanent).toEqual([1, 1])
  })

  test('consequence class: K_FI on what is unfavourable, in strength alone (B3.3)', () => {
    expect(ruleOf('strength', 'CC1').permanent).toEqual([expect.closeTo(1.215, 12), 1])
    expect(ruleOf('strength', 'CC3').leading?.(a('wind'))).toBeCloseTo(1.65, 12)
    expect(ruleOf('strength', 'CC3').accompanying(a('wind'))).toBeCloseTo(0.99, 12)
    expect(ruleOf('characteristic', 'CC3').leading?.(a('wind'))).toBe(1)
  })

  test('each names its expression', () => {
    expect(ruleSets(standard, 'CC2').map(({ id, clause }) => [id, /\(6\.\d+\)/.exec(clause)?.[0]])).toEqual([
      ['strength', '(6.10)'],
      ['characteristic', '(6.14)'],
      ['frequent', '(6.15)'],
      ['quasiPermanent', '(6.16)'],
    ])
  })
})

describe('the combinations of a rule', () => {
  const actions = actionsOf(enFamily, {
    ...nothingOnPlan,
    groups: [
      { group: 'B', partitions: true },
      { group: 'C', partitions: false },
    ],
    typed: false,
    wind: true,
  })
  const cases = actions.flatMap((action) => action.cases)
  const structure = combinationStructure(ruleOf('strength'), actions, exclusions)

  test('imposed loads act together, wind one direction at a time, never a case twice', () => {
    for (const { factors } of listCombinations(structure)) {
      const ids = factors.map(({ case: index }) => cases[index]?.id ?? '')
      expect(new Set(ids).size).toBe(ids.length)
      expect(ids.filter((id) => id.startsWith('wind/')).length).toBeLessThanOrEqual(1)
      expect([0, 3]).toContain(ids.filter((id) => id.startsWith('imposed/')).length)
      expect(ids.filter((id) => id.startsWith('permanent/'))).toHaveLength(3)
    }
  })

  test('permanent action is all unfavourable or all favourable', () => {
    for (const { factors } of listCombinations(structure)) {
      const permanent = factors.slice(0, 3).map(({ factor }) => factor)
      expect(new Set(permanent).size).toBe(1)
    }
  })

  test('a list may be cut; no combination comes twice', () => {
    const all = [...listCombinations(structure)].map(({ factors }) => JSON.stringify(factors))
    expect(new Set(all).size).toBe(all.length)
    expect([...listCombinations(structure, 5)]).toHaveLength(5)
    expect(countCombinations(structure)).toBe(BigInt(all.length))
  })

  // law: that two actions exclude each other has no order
  test('what excludes each other never acts together, whichever is named first and stands first', () => {
    const pair = ['imposed', 'wind'] as const
    const counts = [actions, [...actions].reverse()].flatMap((list) =>
      [pair, [pair[1], pair[0]] as const].map((named) => {
        const made = combinationStructure(ruleOf('strength'), list, [{ actions: named, clause: 'as for a test' }])
        const of = list.flatMap((action) => action.cases.map((loadCase) => loadCase.action))
        for (const { factors } of listCombinations(made)) {
          const acting = new Set(factors.map(({ case: index }) => of[index]))
          expect(acting.has('imposed') && acting.has('wind')).toBe(false)
        }
        return countCombinations(made)
      }),
    )
    // 2 · (1 + imposed leads + four winds that lead)
    expect(counts).toEqual([12n, 12n, 12n, 12n])
  })

  test('permanent action alone: as many as it has factors', () => {
    const alone = combinationStructure(
      ruleOf('strength'),
      actionsOf(enFamily, { ...nothingOnPlan, groups: [], typed: false, wind: false }),
      exclusions,
    )
    expect(countCombinations(alone)).toBe(2n)
    const service = combinationStructure(
      ruleOf('characteristic'),
      actionsOf(enFamily, { ...nothingOnPlan, groups: [], typed: false, wind: false }),
      exclusions,
    )
    expect(countCombinations(service)).toBe(1n)
  })
})

describe('rows of a table are written as they count', () => {
  const expressions = (id: 'ASCE' | 'IS' | 'BS') =>
    Object.fromEntries(ruleSets(standardOf(id, []), 'CC2').map((rule) => [rule.id, rule.expression]))

  test('ASCE 7-16 2.3.1 (from memory), with the live load that stays whole beside wind as L_p', () => {
    expect(expressions('ASCE')).toMatchObject({
      'lrfd-1': '1.4 D',
      'lrfd-2': '1.2 D + 1.6 L + 1.6 L_p + 0.5 L_r',
      'lrfd-3': '1.2 D + 1.6 L_r + (0.5 L + L_p or 0.5 W)',
      'lrfd-4': '1.2 D + W + 0.5 L + L_p + 0.5 L_r',
      'lrfd-5': '0.9 D + W',
      'asd-7': '0.6 D + 0.6 W',
    })
  })

  test('IS 456 table 18 and BS 8110-1 table 2.1 (from memory): dead load that helps and that does not', () => {
    expect(expressions('IS')['concrete-2']).toBe('1.5 or 0.9 DL + 1.5 WL')
    expect(expressions('BS')['ultimate-1']).toBe('1.4 or 1 G + 1.6 Q + 1.6 Q_r')
  })
})
