import type { Basis } from '../document/recordKinds'
import type { Vocabulary } from '../outcome/vocabulary'
import type { UseSort } from '../document/useSorts'
import type { Quantity } from '../units/quantity'
import type { Table } from '../trace/table'

export type { UseSort }
export type FamilyId = Basis['family']
export type ActionId = 'permanent' | 'imposed' | 'roof' | 'wind' | 'construction' | 'barrier' | 'lateral'

/** A use of floors or roofs, as a table of the standard names it. */
export interface Use {
  /** In words of our own. */
  readonly name: string
  /** The family's group that its cases, factors and exclusions go by. */
  readonly group: string
  readonly sort: UseSort | null
  /** Whether the standard lets the uniform load be reduced for area or storeys. */
  readonly reducible: boolean
  /** Of a floor as heavy as `reduction.kept` or more so much stays when it is reduced; or only such floors are reduced at all. */
  readonly kept: Kept | null
}

export type Kept = 'whereHeavy' | 'onlyHeavy'

/** The first use of a sort; undefined where there is none. */
export const useOfSort = (uses: Readonly<Record<string, Use>>, sort: UseSort): string | undefined =>
  Object.keys(uses).find((id) => uses[id]?.sort === sort)

/** Short marks of a table (A, C1, E1.2) stand before the name; where rows have no mark, the name says all. */
export const titleOfUse = (id: string, { name }: Pick<Use, 'name'>): string =>
  /^[A-Z]\d?(\.\d)?(-|$)/.test(id) ? `${id} · ${name}` : name

/** Uses that are combined alike: a category of EN 1990 table A1.1, L or L_r of ASCE 7. */
export interface LoadGroup {
  /** As a case is called: “imposed, category B”. */
  readonly name: string
  /** As partitions of the same group are called. */
  readonly partitions: string
  readonly symbol: string
  readonly action: 'imposed' | 'roof'
}

/** Two actions that never act at the same time. */
export interface Exclusion {
  readonly actions: readonly [ActionId, ActionId]
  readonly clause: string
}

/**
 * A row of a table of combinations: factors by group (or `wind`), each a parameter of the standard under
 * `rule.ID.GROUP`; permanent action under `rule.ID.G_sup` and, where the row has a lower one, `rule.ID.G_inf`.
 */
export interface RuleRow {
  readonly id: string
  /** The rows of one set are enveloped together. */
  readonly set: string
  readonly name: string
  readonly clause: string
  readonly permanent: readonly [unfavourable: number, favourable: number]
  readonly factors: Readonly<Record<string, number>>
  /** The action that the row is made for: without a case of it the row says nothing. */
  readonly principal?: ActionId
  /** Pairs of which the row takes one or the other. */
  readonly either?: readonly (readonly [ActionId, ActionId])[]
}

export interface RuleSet {
  readonly id: string
  readonly name: string
}

/** A parameter of a family: a layer may replace its value, never its meaning or its limits. */
export interface ParameterMeaning {
  readonly symbol: string
  readonly quantity: Quantity
  readonly name: string
  readonly min: number
  readonly max: number
}

/** What part of imposed load counts for the mass of a level (earthquake): how it follows, with its clause. */
export interface MassRule {
  readonly clause: string
  /** psi_2 of the group; by the uniform load, up to a limit and above it; of storage alone; nothing. */
  readonly shareOf: 'psi2' | 'byIntensity' | 'storage' | 'none'
  /**
   * Whether partitions count like the imposed load that they stand with, or whole; or, where an allowance is asked for, by what they
   * weigh and at least so much.
   */
  readonly partitions: 'share' | 'whole' | 'atLeast'
}

/** How the allowance for movable partitions follows. */
export type PartitionRule = 'byWeight' | 'least' | 'typed'

export interface LayerValue {
  readonly value: number
  readonly clause: string
  readonly fromMemory?: boolean
}

/** A family's recommended values, a national set or a project's own changes: flat data, laid one over another. */
export interface StandardLayer {
  readonly name: string
  readonly values: Readonly<Record<string, LayerValue>>
  readonly tables: Readonly<Record<string, Table>>
  /** Methods are chosen by name among those that the family registers; a layer never carries code. */
  readonly methods: Readonly<Record<string, string>>
  /** Uses that the layer adds or names anew; null takes one away. */
  readonly uses?: Readonly<Record<string, Use | null>>
}

/** What a family knows: the parameters and tables that a layer may replace, and the methods it may choose among. */
export interface Family {
  readonly id: FamilyId
  readonly name: string
  /** The standards behind it, as the sheet says them. */
  readonly documents: string
  readonly meanings: Readonly<Record<string, ParameterMeaning>>
  readonly methods: Readonly<Record<string, readonly string[]>>
  readonly recommended: StandardLayer
  readonly uses: Readonly<Record<string, Use>>
  readonly groups: Readonly<Record<string, LoadGroup>>
  /** A group whose uses go to another one where their uniform load (typed or of the table) is above so many Pa. */
  readonly heavy?: { readonly group: string; readonly becomes: string; readonly above: number }
  /** The group whose uses keep a part of their load when they are reduced. */
  readonly keptGroup?: string
  /** Symbols of the uniform and the concentrated imposed load. */
  readonly imposedSymbols: readonly [uniform: string, concentrated: string]
  /** A clause as the set in use numbers it, by the names of the layers; where it does not say, as it stands. */
  readonly cited?: (layers: readonly string[], clause: string) => string
  readonly partitionRules: readonly PartitionRule[]
  readonly partitionClause: string
  /** The uses that the least allowance is for; of all where it does not say. */
  readonly leastPartitionsOf?: readonly string[]
  /** A use whose load goes by the pitch of the roof that it lies on. */
  readonly pitched?: { readonly use: string; readonly rule: 'lessPerDegree' | 'toSixty' }
  /** The family's words for those of the product's texts; empty where they are the same. */
  readonly words: Vocabulary
  /** Actions as the family calls them, the first letter large. */
  readonly actionNames: Readonly<Record<ActionId, string>>
  /** Why the cases of an action belong together. */
  readonly actionClauses: Readonly<Record<ActionId, string>>
  readonly exclusions: readonly Exclusion[]
  readonly ruleSets: readonly RuleSet[]
  /** Empty where the rules have leading and accompanying actions, as in EN 1990. */
  readonly ruleRows: readonly RuleRow[]
  /** Whether wind is derived by this family in this version. */
  readonly derivesWind: boolean
  readonly mass: MassRule
}

/** Of families that speak of dead and imposed load. */
export const deadForPermanent: Vocabulary = [['permanent', 'dead']]

/** Names of actions that all families share. */
export const sharedActionNames = {
  wind: 'Wind',
  construction: 'Construction',
  barrier: 'Barriers',
  lateral: 'Storey forces by weight',
} as const

/** The parameters of one use: its uniform and its concentrated load, and that on barriers. */
export const useMeanings = (
  { imposedSymbols: [q, Q] }: Pick<Family, 'imposedSymbols'>,
  id: string,
): Readonly<Record<string, ParameterMeaning>> => ({
  [uniformKey(id)]: { symbol: q, quantity: 'pressure', name: `uniform load, ${id}`, min: 0, max: 1e5 },
  [barrierKey(id)]: { symbol: 'q_k,h', quantity: 'lineLoad', name: `barrier load, ${id}`, min: 0, max: 1e4 },
  [concentratedKey(id)]: { symbol: Q, quantity: 'force', name: `concentrated load, ${id}`, min: 0, max: 1e6 },
})

/** How the uniform load of a use grows with what is stored. */
export const growthMeanings = (id: string): Readonly<Record<string, ParameterMeaning>> => ({
  [perMetreKey(id)]: { symbol: 'q_h', quantity: 'unitWeight', name: `per metre of height, ${id}`, min: 0, max: 1e5 },
  [upToKey(id)]: {
    symbol: 'h_0',
    quantity: 'length',
    name: `height up to which it is uniform, ${id}`,
    min: 0,
    max: 100,
  },
})

export const barrierKey = (use: string): string => `barrier.q_k.${use}`
/** For each metre that is stored on one another, and from which height on. */
export const perMetreKey = (use: string): string => `imposed.q_h.${use}`
export const upToKey = (use: string): string => `imposed.h_0.${use}`
export const uniformKey = (use: string): string => `imposed.q_k.${use}`
export const concentratedKey = (use: string): string => `imposed.Q_k.${use}`
