import type { Field } from './fields'
import { numberField } from './numberField'
import { recordKinds } from './recordKinds'

test('limits and quantity of a number, at the top or within lists and objects, are those of its kind', () => {
  expect(numberField('stair', 'waist')).toEqual({ quantity: 'smallLength', min: 0, max: 2 })
  expect(numberField('barrier', 'height')).toEqual({ quantity: 'length', above: 0, max: 10 })
  // one that may be left open, and one that older files lack
  expect(numberField('basis', 'groundSnow')).toEqual({ quantity: 'pressure', min: 0, max: 5e4 })
  expect(numberField('buildUp', 'layers.3.load')).toEqual({ quantity: 'pressure', min: -1e6, max: 1e6 })
  expect(numberField('member', 'truss.depth')).toEqual({ quantity: 'length', above: 0, max: 20 })
})

test.each([
  ['stair', 'label'],
  ['stair', 'nothing'],
  ['buildUp', 'layers.0.nothing'],
  ['basis', 'toString'],
] as const)('%s has no number at %s', (kind, path) => {
  expect(() => numberField(kind, path)).toThrow(`${kind} has no number at ${path}`)
})

test('what a number of any kind is limited to, its reader takes, and nothing beyond', () => {
  let seen = 0
  const kinds: Readonly<Record<string, Readonly<Record<string, Field<unknown>>>>> = recordKinds
  for (const [kind, fields] of Object.entries(kinds))
    for (const [name, field] of Object.entries(fields)) {
      if (!field.limits) continue
      const { min, max, above, quantity } = numberField(kind as keyof typeof recordKinds, name)
      const problemsOf = (value: number): number => {
        const problems: { path: string; problem: string }[] = []
        field.read(value, name, problems)
        return problems.length
      }
      const low = min ?? above ?? -Infinity
      expect([quantity, problemsOf(max ?? 0), problemsOf((max ?? 0) + 1)]).toEqual([field.quantity, 0, 1])
      expect([problemsOf(low), problemsOf(low - 1)]).toEqual([above === undefined ? 0 : 1, 1])
      seen++
    }
  expect(seen).toBeGreaterThan(50)
})
