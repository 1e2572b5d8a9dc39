import { uncapitalized } from '../outcome/letters'
import type { ActionId, Family, LoadGroup } from '../standards/family'

/** How the cases of an action may act. */
export type ActingRule = 'together' | 'oneAtATime'

export interface LoadCase {
  /** Stable: `action/detail`. */
  readonly id: string
  readonly name: string
  readonly action: ActionId
  /** What the factors of combinations go by: a group of uses (a category, L, L_r) or wind; permanent cases have none. */
  readonly group: string | null
}

export interface Action {
  readonly id: ActionId
  readonly name: string
  readonly nature: 'permanent' | 'variable'
  readonly rule: ActingRule
  readonly cases: readonly LoadCase[]
  /** Why the cases belong together. */
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

/** The action that a case is of: what stands before the stroke. */
export const actionOfCase = (caseId: string): string => caseId.slice(0, caseId.indexOf('/'))

/** Where the wind of a case comes from; undefined for any other case. */
export const windOfCase = (caseId: string): WindDirection | undefined =>
  windDirections.find(({ id }) => windCase(id) === caseId)

/** The direction of a wind case; undefined for any other case, which is of gravity. */
export const windDirectionOf = (caseId: string): WindDirection['id'] | undefined => windOfCase(caseId)?.id

export const selfWeight = 'permanent/self-weight'
export const buildUps = 'permanent/build-ups'
export const walls = 'permanent/walls'
export const typedLoads = 'permanent/typed'
export const constructionPermanent = 'construction/permanent'
export const constructionImposed = 'construction/imposed'

export const barrierCase = 'barrier/people'

/** The case of a record of storey forces. */
export const lateralCase = (id: string): string => `lateral/${id.slice(id.indexOf(':') + 1)}`
export const isLateral = (caseId: string): boolean => caseId.startsWith('lateral/')

/** Storey forces of whatever origin. */
export const hasStoreyForces = (caseId: string): boolean => windDirectionOf(caseId) !== undefined || isLateral(caseId)

/** Horizontal loads reach no member under them here. */
export const isHorizontal = (caseId: string): boolean => hasStoreyForces(caseId) || caseId === barrierCase

/** The construction stage, what presses on barriers and storey forces by weight stand apart: handed on and combined with nothing. */
export const standsApart = (action: ActionId): boolean =>
  action === 'construction' || action === 'barrier' || action === 'lateral'

/** Of the construction stage. */
export const isConstruction = (caseId: string): boolean => caseId.startsWith('construction/')
/** Partitions on a roof in use stand with its imposed load. */
export const imposedCase = ({ action }: Pick<LoadGroup, 'action'>, group: string): string => `${action}/${group}`
export const partitionCase = (groupOf: Pick<LoadGroup, 'action'>, group: string): string =>
  `${imposedCase(groupOf, group)}/partitions`

/** Whether a case is of partitions, of whatever group. */
export const isPartitionCase = (caseId: string): boolean => caseId.endsWith('/partitions')
/** The group of a case of imposed load on floors; null for partitions and all other cases. */
export const imposedGroupOf = (caseId: string): string | null =>
  caseId.startsWith('imposed/') && !isPartitionCase(caseId) ? caseId.slice('imposed/'.length) : null

/** Whether a case is of imposed load on roofs, partitions there included. */
export const isRoofCase = (caseId: string): boolean => caseId.startsWith('roof/')
/** The same for roofs too: what may be reduced by a rule of the standard. */
export const reducibleGroupOf = (caseId: string): string | null =>
  imposedGroupOf(caseId) ?? (isRoofCase(caseId) && !isPartitionCase(caseId) ? caseId.slice('roof/'.length) : null)

const permanentCases: readonly LoadCase[] = [
  { id: selfWeight, name: 'self-weight', action: 'permanent', group: null },
  { id: buildUps, name: 'build-ups', action: 'permanent', group: null },
  { id: walls, name: 'walls', action: 'permanent', group: null },
]

const typedCase: LoadCase = {
  id: typedLoads,
  name: 'applied line, point and area loads',
  action: 'permanent',
  group: null,
}

/** What is on plan that cases follow from. */
export interface OnPlan {
  readonly groups: readonly GroupOnPlan[]
  /** Permanent loads that were typed along a line or at a point. */
  readonly typed: boolean
  /** Loads of the construction stage. */
  readonly construction: { readonly permanent: boolean; readonly imposed: boolean }
  readonly wind: boolean
  readonly barriers: boolean
  /** Records of storey forces by weight. */
  readonly lateral: readonly { readonly id: string; readonly name: string }[]
}

export const nothingOnPlan: OnPlan = {
  groups: [],
  typed: false,
  construction: { permanent: false, imposed: false },
  wind: false,
  barriers: false,
  lateral: [],
}

export interface GroupOnPlan {
  readonly group: string
  readonly partitions: boolean
}

type FamilyOfCases = Pick<Family, 'groups' | 'actionNames' | 'actionClauses'>

/** The actions of a project and their cases, in the fixed order permanent, imposed, roof, wind, then what stands apart. */
export function actionsOf(
  { groups, actionNames: names, actionClauses: clauses }: FamilyOfCases,
  { groups: used, typed, construction, wind: withWind, barriers, lateral }: OnPlan,
): readonly Action[] {
  const parted = new Set(used.filter(({ partitions }) => partitions).map(({ group }) => group))
  const casesOf = (action: 'imposed' | 'roof') =>
    [...new Set(used.map(({ group }) => group))].sort().flatMap((group) => {
      const known = groups[group]
      return known?.action === action ? groupCases(known, group, parted.has(group)) : []
    })
  const wind = withWind
    ? windDirections.map(({ id, name }): LoadCase => ({ id: windCase(id), name, action: 'wind', group: 'wind' }))
    : []
  const all: readonly Action[] = [
    {
      id: 'permanent',
      name: names.permanent,
      nature: 'permanent',
      rule: 'together',
      cases: typed ? [...permanentCases, typedCase] : permanentCases,
      clause: clauses.permanent,
    },
    {
      id: 'imposed',
      name: names.imposed,
      nature: 'variable',
      rule: 'together',
      cases: casesOf('imposed'),
      clause: clauses.imposed,
    },
    {
      id: 'roof',
      name: names.roof,
      nature: 'variable',
      rule: 'together',
      cases: casesOf('roof'),
      clause: clauses.roof,
    },
    { id: 'wind', name: names.wind, nature: 'variable', rule: 'oneAtATime', cases: wind, clause: clauses.wind },
    ...apartFrom({ actionNames: names, actionClauses: clauses }, { construction, barriers, lateral }),
  ]
  return all.filter(({ cases }) => cases.length > 0)
}

/** What stands apart from combinations. */
const apartFrom = (
  { actionNames: names, actionClauses: clauses }: Pick<Family, 'actionNames' | 'actionClauses'>,
  { construction, barriers, lateral }: Pick<OnPlan, 'construction' | 'barriers' | 'lateral'>,
): readonly Action[] => [
  {
    id: 'construction',
    name: names.construction,
    nature: 'variable',
    rule: 'together',
    cases: constructionCases(construction, names),
    clause: clauses.construction,
  },
  {
    id: 'barrier',
    name: names.barrier,
    nature: 'variable',
    rule: 'together',
    cases: barriers ? [{ id: barrierCase, name: 'horizontal load on barriers', action: 'barrier', group: null }] : [],
    clause: clauses.barrier,
  },
  {
    id: 'lateral',
    name: names.lateral,
    nature: 'variable',
    rule: 'oneAtATime',
    cases: lateral.map(({ id, name }) => ({ id: lateralCase(id), name, action: 'lateral', group: null })),
    clause: clauses.lateral,
  },
]

const constructionCases = (
  { permanent, imposed }: OnPlan['construction'],
  names: Family['actionNames'],
): readonly LoadCase[] => [
  ...(permanent
    ? [
        {
          id: constructionPermanent,
          name: `construction, ${uncapitalized(names.permanent)}`,
          action: 'construction',
          group: null,
        } as const,
      ]
    : []),
  ...(imposed
    ? [
        {
          id: constructionImposed,
          name: `construction, ${uncapitalized(names.imposed)}`,
          action: 'construction',
          group: null,
        } as const,
      ]
    : []),
]

function groupCases(known: LoadGroup, group: string, parted: boolean): readonly LoadCase[] {
  const { name, partitions, action } = known
  const own: LoadCase = { id: imposedCase(known, group), name, action, group }
  return parted ? [own, { id: partitionCase(known, group), name: partitions, action, group }] : [own]
}
