import fc from 'fast-check'
import { actionsOf, exclusions, type Action, type ActionId, type Exclusion } from '../actions/cases'
import { ruleSets, type Rule } from '../combinations/ruleSets'
import { combinationStructure, countCombinations, listCombinations } from '../combinations/structure'
import { enStandard } from '../standards/en/standard'
import { extreme } from './extremes'

const standard = enStandard([])
const rules = ruleSets(standard, 'CC2')
const rule = (id: Rule['id']): Rule => {
  const found = rules.find((r) => r.id === id)
  if (!found) throw new Error(id)
  return found
}

describe('EN 1990 6.10 by hand', () => {
  const actions = actionsOf(
    [
      { use: 'C1', partitions: false },
      { use: 'H', partitions: false },
    ],
    true,
  )
  const structure = combinationStructure(rule('strength'), actions, exclusions)
  const cases = actions.flatMap((a) => a.cases)
  const effect = (values: Record<string, number>) => cases.map((c) => values[c.id] ?? 0)

  test('EN 1990 (6.10), table A1.2(B), from memory: 1.35·100 + 1.5·60 + 1.5·0.6·20 = 243; least 1.0·100', () => {
    const values = effect({ 'permanent/self-weight': 100, 'imposed/C': 60, 'wind/west': 20, 'wind/east': -20 })
    const most = extreme(structure, values, 'most')
    expect(most.value).toBeCloseTo(243, 9)
    expect(most.leading).toBe('imposed')
    // hand: wind leading against it 1.0·100 + 1.5·(−20) = 70
    expect(extreme(structure, values, 'least').value).toBeCloseTo(70, 9)
    // next best: wind leads, 135 + 30 + 1.5·0.7·60 = 228
    expect(most.nextBest).toEqual({ value: expect.closeTo(228, 9), leading: 'wind' })
  })

  test('EN 1991-1-1 3.3.2(1): roof access never with wind, so the larger of the two counts', () => {
    const values = effect({ 'roof/H': 10, 'wind/west': 9 })
    expect(extreme(structure, values, 'most').value).toBeCloseTo(15, 9)
    for (const { factors } of listCombinations(structure)) {
      const acting = new Set(factors.map((f) => cases[f.case]?.action))
      expect(acting.has('roof') && acting.has('wind')).toBe(false)
    }
  })

  test('the count by hand: 2 · (1 + imposed leads 1·(1 + 4) + roof leads 1·(1 + 1) + wind leads 4·(1 + 1)) = 32', () => {
    // accompanying roof has ψ0 = 0 and so never accompanies
    expect(countCombinations(structure)).toBe(32n)
    expect([...listCombinations(structure)]).toHaveLength(32)
  })

  test('K_FI multiplies unfavourable actions only (EN 1990 B3.3, from memory)', () => {
    const cc3 = ruleSets(standard, 'CC3').find((r) => r.id === 'strength')
    expect(cc3?.permanent).toEqual([expect.closeTo(1.485, 9), 1])
  })
})

describe('structured envelopes equal brute force', () => {
  const ids: readonly ActionId[] = ['imposed', 'roof', 'wind']
  const anActions = fc
    .array(
      fc.tuple(fc.integer({ min: 1, max: 4 }), fc.constantFrom<'together' | 'oneAtATime'>('together', 'oneAtATime')),
      { minLength: 0, maxLength: 3 },
    )
    .map((specs): readonly Action[] => [
      {
        id: 'permanent',
        name: '',
        nature: 'permanent',
        rule: 'together',
        clause: '',
        cases: [{ id: 'g', name: 'g', action: 'permanent', psi: null }],
      },
      ...specs.map(([n, acting], i): Action => {
        const id = ids[i] ?? 'imposed'
        const psi = (['C', 'H', 'wind'] as const)[i] ?? 'C'
        return {
          id,
          name: '',
          nature: 'variable',
          rule: acting,
          clause: '',
          cases: Array.from({ length: n }, (_, k) => ({ id: `${id}/${k}`, name: '', action: id, psi })),
        }
      }),
    ])
  const anExclusions = fc.subarray<Exclusion>([
    { actions: ['imposed', 'roof'], clause: '' },
    { actions: ['roof', 'wind'], clause: '' },
    { actions: ['imposed', 'wind'], clause: '' },
  ])

  test('most, least and count, for every rule', () => {
    fc.assert(
      fc.property(
        anActions,
        anExclusions,
        fc.constantFrom(...rules),
        fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 13, maxLength: 13 }),
        (actions, excluded, r, effect) => {
          const structure = combinationStructure(r, actions, excluded)
          const all = [...listCombinations(structure)]
          expect(countCombinations(structure)).toBe(BigInt(all.length))
          const values = all.map(({ factors }) => factors.reduce((sum, f) => sum + f.factor * (effect[f.case] ?? 0), 0))
          const most = extreme(structure, effect, 'most')
          expect(most.value).toBeCloseTo(Math.max(...values), 9)
          expect(extreme(structure, effect, 'least').value).toBeCloseTo(Math.min(...values), 9)
          expect(most.factors.reduce((sum, f) => sum + f.factor * (effect[f.case] ?? 0), 0)).toBeCloseTo(most.value, 9)
        },
      ),
      { numRuns: 300 },
    )
  })
})
