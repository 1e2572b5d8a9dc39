import { categoryOf, type Category, type Use } from '../standards/en/uses'

/** How the cases of an action may act. */
export type ActingRule = 'together' | 'oneAtATime'

export interface LoadCase {
  /** Stable: `action/detail`. */
  readonly id: string
  readonly name: string
  readonly action: ActionId
  /** Key of the psi factors (a category of use, or wind); permanent cases have none. */
  readonly psi: Category | 'wind' | null
}

export type ActionId = 'permanent' | 'imposed' | 'roof' | 'wind'

export interface Action {
  readonly id: ActionId
  readonly name: string
  readonly nature: 'permanent' | 'variable'
  readonly rule: ActingRule
  readonly cases: readonly LoadCase[]
  /** Why the cases belong together. */
  readonly clause: string
}

/** Two actions that never act at the same time. */
export interface Exclusion {
  readonly actions: readonly [ActionId, ActionId]
  readonly clause: string
}

export const windDirections = [
  { id: 'west', name: 'wind from the west', x: 1, y: 0 },
  { id: 'south', name: 'wind from the south', x: 0, y: 1 },
  { id: 'east', name: 'wind from the east', x: -1, y: 0 },
  { id: 'north', name: 'wind from the north', x: 0, y: -1 },
] as const
export type WindDirection = (typeof windDirections)[number]

export const windCase = (direction: WindDirection['id']): string => `wind/${direction}`

/** The direction of a wind case; undefined for any other case, which is of gravity. */
export const windDirectionOf = (caseId: string): WindDirection['id'] | undefined =>
  windDirections.find(({ id }) => windCase(id) === caseId)?.id

export const selfWeight = 'permanent/self-weight'
export const buildUps = 'permanent/build-ups'
export const walls = 'permanent/walls'
export const imposedCase = (category: Category): string => (category === 'H' ? 'roof/H' : `imposed/${category}`)
export const partitionCase = (category: Category): string => `imposed/${category}/partitions`

const permanentCases: readonly LoadCase[] = [
  { id: selfWeight, name: 'self-weight', action: 'permanent', psi: null },
  { id: buildUps, name: 'build-ups', action: 'permanent', psi: null },
  { id: walls, name: 'walls', action: 'permanent', psi: null },
]

export interface UseOnPlan {
  readonly use: Use
  readonly partitions: boolean
}

/** The actions of a project and their cases, in the fixed order permanent, imposed, roof, wind. */
export function actionsOf(used: readonly UseOnPlan[], withWind: boolean): readonly Action[] {
  const categories = [...new Set(used.map(({ use }) => categoryOf(use)))].sort()
  const floors = categories.filter((category) => category !== 'H')
  const parted = new Set(used.filter(({ partitions }) => partitions).map(({ use }) => categoryOf(use)))
  const imposed = floors.flatMap((category): LoadCase[] => [
    { id: imposedCase(category), name: `imposed, category ${category}`, action: 'imposed', psi: category },
    ...(parted.has(category)
      ? [
          {
            id: partitionCase(category),
            name: `partitions, category ${category}`,
            action: 'imposed',
            psi: category,
          } as const,
        ]
      : []),
  ])
  const roof: LoadCase[] = categories.includes('H')
    ? [{ id: 'roof/H', name: 'roof access, category H', action: 'roof', psi: 'H' }]
    : []
  const wind = withWind
    ? windDirections.map(({ id, name }): LoadCase => ({ id: windCase(id), name, action: 'wind', psi: 'wind' }))
    : []
  const all: readonly Action[] = [
    {
      id: 'permanent',
      name: 'Permanent',
      nature: 'permanent',
      rule: 'together',
      cases: permanentCases,
      clause: 'EN 1991-1-1 3.2(1): self-weight as one action',
    },
    {
      id: 'imposed',
      name: 'Imposed',
      nature: 'variable',
      rule: 'together',
      cases: imposed,
      clause: 'EN 1991-1-1 3.3.1(2): imposed loads as one action',
    },
    { id: 'roof', name: 'Roof access', nature: 'variable', rule: 'together', cases: roof, clause: 'EN 1991-1-1 6.3.4' },
    {
      id: 'wind',
      name: 'Wind',
      nature: 'variable',
      rule: 'oneAtATime',
      cases: wind,
      clause: 'EN 1991-1-4 4.2: one direction at a time',
    },
  ]
  return all.filter(({ cases }) => cases.length > 0)
}

/** EN 1991-1-1, 3.3.2(1): imposed load of category H is not taken with wind. */
export const exclusions: readonly Exclusion[] = [{ actions: ['roof', 'wind'], clause: 'EN 1991-1-1 3.3.2(1)' }]
