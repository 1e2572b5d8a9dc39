import fc from 'fast-check'
import { holds } from '../../test/holds'
import { actionsOf, nothingOnPlan, type Action } from '../actions/cases'
import { ruleSets, type Rule } from '../combinations/ruleSets'
import { combinationStructure, countCombinations, listCombinations } from '../combinations/structure'
import { enFamily } from '../standards/en/family'
import { families, standardOf } from '../standards/families'
import type { ActionId, Exclusion } from '../standards/family'
import { alike, extreme, extremeOf } from './extremes'

const standard = standardOf('EN', [])
const { exclusions } = enFamily
const rules = ruleSets(standard, 'CC2')
const rule = (id: Rule['id']): Rule => {
  const found = rules.find((r) => r.id === id)
  if (!found) throw new Error(id)
  return found
}

describe('EN 1990 6.10 by hand', () => {
  const actions = actionsOf(enFamily, {
    ...nothingOnPlan,
    groups: [
      { group: 'C', partitions: false },
      { group: 'H', partitions: false },
    ],
    typed: false,
    wind: true,
  })
  const structure = combinationStructure(rule('strength'), actions, exclusions)
  const cases = actions.flatMap((a) => a.cases)
  const effect = (values: Record<string, number>) => cases.map((c) => values[c.id] ?? 0)

  test('EN 1990 (6.10), table A1.2(B), from memory: 1.35·100 + 1.5·60 + 1.5·0.6·20 = 243; least 1.0·100', () => {
    const values = effect({ 'permanent/self-weight': 100, 'imposed/C': 60, 'wind/west': 20, 'wind/east': -20 })
    const most = extreme(structure, alike(values), 'most')
    expect(most.value).toBeCloseTo(243, 9)
    expect(most.leading).toBe('imposed')
    // hand: wind leading against it 1.0·100 + 1.5·(−20) = 70
    expect(extreme(structure, alike(values), 'least').value).toBeCloseTo(70, 9)
    // next best: wind leads, 135 + 30 + 1.5·0.7·60 = 228
    expect(most.nextBest).toEqual({ value: expect.closeTo(228, 9), leading: 'wind', rule: 'strength' })
  })

  test('EN 1991-1-1 3.3.2(1): roof access never with wind, so the larger of the two counts', () => {
    const values = effect({ 'roof/H': 10, 'wind/west': 9 })
    expect(extreme(structure, alike(values), 'most').value).toBeCloseTo(15, 9)
    for (const { factors } of listCombinations(structure)) {
      const acting = new Set(factors.map((f) => cases[f.case]?.action))
      expect(acting.has('roof') && acting.has('wind')).toBe(false)
    }
  })

  test('imposed load reduced to 3/4 where no psi lowers it: what leads is chosen anew (EN 1991-1-1 3.3.2, from memory)', () => {
    const whole = effect({ 'permanent/self-weight': 100, 'imposed/C': 60, 'wind/west': 20 })
    const less = effect({ 'permanent/self-weight': 100, 'imposed/C': 45, 'wind/west': 20 })
    const mixed = (index: number, psi: number | null) => (psi === null ? less : whole)[index] ?? 0
    // imposed leads: 135 + 1.5·45 + 1.5·0.6·20 = 220.5; wind leads: 135 + 30 + 1.5·0.7·60 = 228
    const most = extreme(structure, mixed, 'most')
    expect(most.value).toBeCloseTo(228, 9)
    expect(most.leading).toBe('wind')
    expect(most.nextBest?.value).toBeCloseTo(220.5, 9)
    expect(most.factors.filter(({ psi }) => psi !== null).map(({ case: index }) => cases[index]?.id)).toEqual([
      'imposed/C',
    ])
    // counted twice it would be 220.5 after all: imposed leads, and wind with 135 + 30 + 1.5·0.7·45 = 212.25 comes next
    expect(extreme(structure, alike(less), 'most').value).toBeCloseTo(220.5, 9)
    // psi_1 lowers what leads in the frequent combination: 100 + 0.7·60
    const frequent = combinationStructure(rule('frequent'), actions, exclusions)
    expect(extreme(frequent, mixed, 'most').value).toBeCloseTo(142, 9)
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
        cases: [{ id: 'g', name: 'g', action: 'permanent', group: null }],
      },
      ...specs.map(([n, acting], i): Action => {
        const id = ids[i] ?? 'imposed'
        const group = (['C', 'H', 'wind'] as const)[i] ?? 'C'
        return {
          id,
          name: '',
          nature: 'variable',
          rule: acting,
          clause: '',
          cases: Array.from({ length: n }, (_, k) => ({ id: `${id}/${k}`, name: '', action: id, group })),
        }
      }),
    ])
  const anExclusions = fc.subarray<Exclusion>([
    { actions: ['imposed', 'roof'], clause: '' },
    { actions: ['roof', 'wind'], clause: '' },
    { actions: ['imposed', 'wind'], clause: '' },
  ])

  test('most, least and count, for every rule', () => {
    holds(
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
          const most = extreme(structure, alike(effect), 'most')
          expect(most.value).toBeCloseTo(Math.max(...values), 9)
          expect(extreme(structure, alike(effect), 'least').value).toBeCloseTo(Math.min(...values), 9)
          expect(most.factors.reduce((sum, f) => sum + f.factor * (effect[f.case] ?? 0), 0)).toBeCloseTo(most.value, 9)
        },
      ),
      { numRuns: 300 },
    )
  })

  test('where effects differ beside psi', () => {
    const values = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 13, maxLength: 13 })
    holds(
      fc.property(
        anActions,
        anExclusions,
        fc.constantFrom(...rules),
        values,
        values,
        (actions, excluded, r, alone, besidePsi) => {
          const structure = combinationStructure(r, actions, excluded)
          const of = actions.flatMap((action) => action.cases.map(() => action))
          const effect = (index: number, psi: number | null) => (psi === null ? alone : besidePsi)[index] ?? 0
          const listed = [...listCombinations(structure)].map(({ factors, leading }) =>
            factors.reduce((sum, { case: index, factor }) => {
              const { id, nature } = of[index] ?? { id: '', nature: 'permanent' }
              const psi = nature === 'variable' && (id === leading ? r.psi.leading : r.psi.accompanying)
              return sum + factor * ((psi ? besidePsi : alone)[index] ?? 0)
            }, 0),
          )
          expect(extreme(structure, effect, 'most').value).toBeCloseTo(Math.max(...listed), 9)
          expect(extreme(structure, effect, 'least').value).toBeCloseTo(Math.min(...listed), 9)
        },
      ),
      { numRuns: 100 },
    )
  })

  test.each(['EN', 'ASCE', 'IS', 'BS'] as const)('over all rules of a set: %s', (id) => {
    const family = families[id]
    const used = Object.keys(family.groups).map((group) => ({ group, partitions: true }))
    const actions = actionsOf(family, { ...nothingOnPlan, groups: used, typed: false, wind: true })
    const cases = actions.flatMap((action) => action.cases).length
    const structures = ruleSets(standardOf(id, []), 'CC2').map((r) =>
      combinationStructure(r, actions, family.exclusions),
    )
    const effects = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: cases, maxLength: cases })
    holds(
      fc.property(fc.constantFrom(...family.ruleSets), effects, ({ id: set }, effect) => {
        const own = structures.filter((structure) => structure.rule.set === set)
        const all = own.flatMap((structure) => [...listCombinations(structure)])
        const values = all.map(({ factors }) => factors.reduce((sum, f) => sum + f.factor * (effect[f.case] ?? 0), 0))
        const [most, least] = [extremeOf(own, alike(effect), 'most'), extremeOf(own, alike(effect), 'least')]
        expect(most?.value).toBeCloseTo(Math.max(...values), 9)
        expect(least?.value).toBeCloseTo(Math.min(...values), 9)
        // the combination that governs is one of the rule that it names
        const ofRule = own.find((structure) => structure.rule.id === most?.rule)
        const listed = ofRule ? [...listCombinations(ofRule)].map(({ factors }) => JSON.stringify(factors)) : []
        expect(listed).toContain(JSON.stringify(most?.factors))
        // what comes next is not better, and not the same again
        if (most?.nextBest) {
          expect(most.nextBest.value).toBeLessThanOrEqual(most.value + 1e-9)
          expect([most.nextBest.rule, most.nextBest.leading]).not.toEqual([most.rule, most.leading])
        }
      }),
      { numRuns: 60 },
    )
  })

  test('of no rule nothing', () => expect(extremeOf([], alike([1]), 'most')).toBeNull())
})

describe('rows of a table by hand (from memory)', () => {
  const by = (
    id: 'ASCE' | 'IS' | 'BS',
    set: string,
    effect: Readonly<Record<string, number>>,
    sense: 'most' | 'least',
  ) => {
    const family = families[id]
    const used = Object.keys(family.groups).map((group) => ({ group, partitions: false }))
    const actions = actionsOf(family, { ...nothingOnPlan, groups: used, typed: false, wind: true })
    const values = actions.flatMap((action) => action.cases).map((loadCase) => effect[loadCase.id] ?? 0)
    const structures = ruleSets(standardOf(id, []), 'CC2')
      .filter((r) => r.set === set)
      .map((r) => combinationStructure(r, actions, family.exclusions))
    return extremeOf(structures, alike(values), sense)
  }

  test.each([
    // ASCE 7-16 2.3.1, D 100, L 80, L_r 20, W ±30: 2 is 120 + 128 + 10; without live load 1 is 140
    ['ASCE', 'strength', { g: 100, 'imposed/L': 80, 'roof/Lr': 20, w: 30 }, 'most', 258, 'lrfd-2'],
    ['ASCE', 'strength', { g: 100 }, 'most', 140, 'lrfd-1'],
    // 4: 120 + 90 + 0.5·10 = 215 is more than 2 (136) and 3 (120 + 45)
    ['ASCE', 'strength', { g: 100, 'imposed/L': 10, w: 90 }, 'most', 215, 'lrfd-4'],
    // in row 3 live load or wind, never both: 120 + 1.6·100 + 0.5·30 (wind) against 0.5·20 (live): 295
    ['ASCE', 'strength', { g: 100, 'imposed/L': 20, 'roof/Lr': 100, w: 30 }, 'most', 295, 'lrfd-3'],
    // heavy live load stays whole beside wind: 120 + 60 + 100
    ['ASCE', 'strength', { g: 100, 'imposed/Lp': 60, w: 100 }, 'most', 280, 'lrfd-4'],
    // uplift: 0.9·100 − 120
    ['ASCE', 'strength', { g: 100, w: -120 }, 'least', -30, 'lrfd-5'],
    ['ASCE', 'allowable', { g: 100, 'imposed/L': 80, w: 60 }, 'most', 187, 'asd-6'],
    // IS 456 table 18: 1.5·(100 + 80) = 270; with wind 100: 1.2·280 = 336; uplift 0.9·100 − 1.5·100
    ['IS', 'strength', { g: 100, 'imposed/IL': 80 }, 'most', 270, 'concrete-1'],
    ['IS', 'strength', { g: 100, 'imposed/IL': 80, w: 100 }, 'most', 336, 'concrete-3'],
    ['IS', 'strength', { g: 100, w: -100 }, 'least', -60, 'concrete-2'],
    // BS 8110-1 table 2.1: 1.4·100 + 1.6·80 = 268; 1.2·(100 + 80 + 100) = 336; 1.0·100 − 1.4·100
    ['BS', 'strength', { g: 100, 'imposed/Q': 80 }, 'most', 268, 'ultimate-1'],
    ['BS', 'strength', { g: 100, 'imposed/Q': 80, w: 100 }, 'most', 336, 'ultimate-3'],
    ['BS', 'strength', { g: 100, w: -100 }, 'least', -40, 'ultimate-2'],
  ] as const)('%s %s %j: %s %d by %s', (id, set, effect, sense, value, rule) => {
    const { g, w = 0, ...others } = effect as Readonly<Record<string, number>>
    const named = { ...others, 'permanent/self-weight': g ?? 0, 'wind/west': w }
    expect(by(id, set, named, sense)).toMatchObject({ value: expect.closeTo(value, 9) as number, rule })
  })
})
