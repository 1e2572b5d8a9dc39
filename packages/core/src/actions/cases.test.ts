import { enFamily } from '../standards/en/family'
import {
  actionsOf,
  nothingOnPlan,
  type GroupOnPlan,
  imposedCase,
  partitionCase,
  windCase,
  windDirectionOf,
  windDirections,
} from './cases'

const idsOf = (used: readonly GroupOnPlan[], withWind: boolean) =>
  actionsOf(enFamily, { ...nothingOnPlan, groups: used, typed: false, wind: withWind }).map(({ id, cases }) => [
    id,
    cases.map((loadCase) => loadCase.id),
  ])

test('cases follow from what is on plan, in a fixed order whatever the order of the groups', () => {
  const used = [
    { group: 'H', partitions: false },
    { group: 'E', partitions: false },
    { group: 'C', partitions: false },
    { group: 'C', partitions: true },
  ] as const
  const wanted = [
    ['permanent', ['permanent/self-weight', 'permanent/build-ups', 'permanent/walls']],
    ['imposed', ['imposed/C', 'imposed/C/partitions', 'imposed/E']],
    ['roof', ['roof/H']],
    ['wind', ['wind/west', 'wind/south', 'wind/east', 'wind/north']],
  ]
  expect(idsOf(used, true)).toEqual(wanted)
  expect(idsOf([...used].reverse(), true)).toEqual(wanted)
})

test('an action without a case is not there', () => {
  expect(idsOf([], false)).toEqual([['permanent', expect.anything()]])
})

test('how they act: imposed loads as one action, wind one direction at a time, roof access never with wind', () => {
  const actions = actionsOf(enFamily, {
    ...nothingOnPlan,
    groups: [{ group: 'B', partitions: false }],
    typed: false,
    wind: true,
  })
  expect(Object.fromEntries(actions.map(({ id, rule }) => [id, rule]))).toEqual({
    permanent: 'together',
    imposed: 'together',
    wind: 'oneAtATime',
  })
  // EN 1991-1-1, 3.3.2(1), from memory
  expect(enFamily.exclusions.map(({ actions: pair }) => [...pair].sort())).toEqual([['roof', 'wind']])
})

test('groups: partitions go with their category, permanent action has none', () => {
  const cases = actionsOf(enFamily, {
    ...nothingOnPlan,
    groups: [{ group: 'D', partitions: true }],
    typed: true,
    wind: true,
  }).flatMap((action) => action.cases)
  expect(Object.fromEntries(cases.map(({ id, group }) => [id, group]))).toMatchObject({
    'permanent/walls': null,
    'permanent/typed': null,
    'imposed/D': 'D',
    'imposed/D/partitions': 'D',
    'wind/south': 'wind',
  })
  expect(imposedCase({ action: 'roof' }, 'H')).toBe('roof/H')
  expect(partitionCase({ action: 'imposed' }, 'B')).toBe('imposed/B/partitions')
})

test('a direction blows from where it is named after to the other side', () => {
  expect(windDirections.map(({ id, x, y }) => [id, x, y])).toEqual([
    ['west', 1, 0],
    ['south', 0, 1],
    ['east', -1, 0],
    ['north', 0, -1],
  ])
  for (const { id } of windDirections) expect(windDirectionOf(windCase(id))).toBe(id)
  expect(windDirectionOf('imposed/B')).toBeUndefined()
})
