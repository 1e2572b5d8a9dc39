import { own } from '../outcome/own'
import type { BuildUp, ConstructionStage, LoadKey } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import { familyOf } from '../standards/families'
import { concentratedKey, perMetreKey, uniformKey, type Family } from '../standards/family'
import { parameterIf, type Standard } from '../standards/layer'
import { given, tracedSum, type Traced } from '../trace/traced'
import { storedLoad } from './storedLoad'
import { imposedCase, partitionCase } from './cases'
import { buildUpWeight } from './ownWeight'
import { massShare } from './massShare'
import { byPitch } from './pitchedRoof'
import { partitionAllowance } from './partitions'

/** The area loads of one load key in Pa, each with its trace. */
export interface KeyLoads {
  readonly key: LoadKey
  /** The group of the key's use and the cases that its loads act in; null where it has no use that the standard knows. */
  readonly cases: { readonly group: string; readonly imposed: string; readonly partitions: string } | null
  readonly buildUp: Traced
  readonly imposed: Traced | null
  /** How it goes by the pitch of the roof that it lies on; null where it does not. */
  readonly pitched: PitchRule | null
  /** What each metre of height adds where the use is storage, N/m³; null where height does not count. */
  readonly perMetre: Traced | null
  /** In N, for the local check: it acts alone, so it is in no case (EN 1991-1-1, 6.2.1(3)P). */
  readonly concentrated: Traced | null
  readonly partitions: Traced | null
  /** Whether its imposed load may be reduced for area or storeys: the standard lets that of its use, and the key does not forbid it. */
  readonly reducible: boolean
  /** Of a heavy floor what stays when it is reduced, Pa; null where all of it may be. */
  readonly kept: Traced | null
  /** While the floor is built; null where nothing was said. */
  readonly construction: { readonly permanent: Traced | null; readonly imposed: Traced | null }
  /** Of the imposed load, for the mass of the level. */
  readonly massShare: Traced
  /** Counts for the mass and loads nothing, Pa. */
  readonly additionalSeismicMass: Traced | null
  readonly concerns: readonly Concern[]
}

export function keyLoads(
  key: LoadKey,
  buildUp: BuildUp | undefined,
  standard: Standard,
  stage: ConstructionStage | null = null,
): KeyLoads {
  const imposed = imposedLoad(key, standard)
  const perMetre = key.use === null ? null : parameterIf(standard, perMetreKey(key.use))
  const partitions = partitionAllowance(key, imposed, standard)
  const permanent = buildUpWeight(buildUp)
  const construction = stage ? constructionOf(stage, key.name, standard) : { permanent: null, imposed: null }
  return {
    key,
    cases: casesOfUse(key.use, standard, imposed?.value),
    buildUp: permanent,
    imposed,
    pitched: pitchRuleOf(key, standard),
    perMetre,
    concentrated: key.use === null ? null : parameterIf(standard, concentratedKey(key.use)),
    partitions: partitions.value,
    ...reducibleOf(key, imposed?.value ?? 0, standard),
    construction,
    massShare: massShare(key, imposed?.value ?? 0, standard),
    additionalSeismicMass: entered(key.additionalSeismicMass, 'g_m', key.name),
    concerns: [
      ...withoutUse(key),
      ...useConcerns(key, imposed, perMetre, standard),
      ...partitions.concerns,
      ...(stage ? aboveFinal(key, stage, construction, permanent, imposed) : []),
    ],
  }
}

type PitchRule = NonNullable<Family['pitched']>['rule']

/** What is typed is typed for the roof as it is. */
function pitchRuleOf({ use, imposed }: LoadKey, { family }: Standard): PitchRule | null {
  const { pitched } = familyOf(family)
  return pitched && imposed === null && use === pitched.use ? pitched.rule : null
}

/**
 * The uniform imposed load of a key where it lies.
 * @param stretch - true area by area in plan
 */
export const imposedOn = ({ imposed, pitched }: KeyLoads, stretch: number): Traced | null =>
  imposed && pitched ? byPitch(pitched, imposed, stretch) : imposed

/** Whether it may be reduced, and what stays of it then (IS 875-2 3.2.1.1, BS 6399-1 6.1). */
function reducibleOf(key: LoadKey, uniform: number, standard: Standard): Pick<KeyLoads, 'reducible' | 'kept'> {
  const use = key.use === null ? undefined : own(standard.uses, key.use)
  const limit = use?.kept ? parameterIf(standard, 'reduction.kept') : null
  const isHeavy = limit !== null && uniform >= limit.value
  const reducible = key.reducible !== 'never' && use?.reducible === true && (use.kept !== 'onlyHeavy' || isHeavy)
  return { reducible, kept: reducible && isHeavy ? limit : null }
}

const entered = (value: number | null, symbol: string, name: string): Traced | null =>
  value === null ? null : given(symbol, 'pressure', value, `entered for “${name}”`)

/** The kinds of load that act on a floor while it is built, by their names (EN 1991-1-6, table 4.1). */
export const stageKinds = {
  personnel: 'personnel and hand tools',
  storedMaterials: 'stored materials',
  equipment: 'equipment',
  other: 'other construction loads',
} as const
export type StageKind = keyof typeof stageKinds
export const stageKindNames = Object.keys(stageKinds) as StageKind[]

/** What lies there for good by then, and the sum of what is stated of the rest; null where nothing is. */
function constructionOf(stage: ConstructionStage, name: string, { family }: Standard): KeyLoads['construction'] {
  const parts = stageKindNames.flatMap((kind) => {
    const value = stage[kind]
    return value === null ? [] : [{ label: stageKinds[kind], value }]
  })
  return {
    permanent: entered(stage.permanent, 'g_c', name),
    imposed:
      parts.length === 0 ? null : tracedSum('q_c', 'pressure', familyOf(family).actionClauses.construction, parts),
  }
}

/** A floor that carries more while it is built than when it is in use is asked about. */
function aboveFinal(
  key: LoadKey,
  stage: ConstructionStage,
  { permanent: lying, imposed: acting }: KeyLoads['construction'],
  permanent: Traced,
  imposed: Traced | null,
): readonly Concern[] {
  const pairs = [
    ['permanent', lying?.value ?? 0, permanent.value],
    ['imposed', acting?.value ?? 0, imposed?.value ?? 0],
  ] as const
  return pairs.flatMap(([what, value, final]): Concern[] => {
    if (value <= final) return []
    const data = { key: key.name, what, value, final }
    return [{ code: 'key.construction-above-final', about: [key.id, stage.id], data }]
  })
}

/**
 * The group of a use and its cases; null where the standard does not know it.
 * @param uniform - the uniform load that counts, Pa: a heavy one may belong to another group
 */
export function casesOfUse(use: string | null, standard: Standard, uniform = 0): KeyLoads['cases'] {
  const { groups, heavy } = familyOf(standard.family)
  const its = use === null ? undefined : own(standard.uses, use)?.group
  const group = heavy && its === heavy.group && uniform > heavy.above ? heavy.becomes : its
  const known = group === undefined ? undefined : own(groups, group)
  if (group === undefined || known === undefined) return null
  return { group, imposed: imposedCase(known, group), partitions: partitionCase(known, group) }
}

/** Without a use a load belongs to no category, hence to no case. */
function withoutUse({ id, name, use, imposed, partitionWeight, partitionLoad }: LoadKey): readonly Concern[] {
  if (use !== null || ![imposed, partitionWeight, partitionLoad].some((load) => (load ?? 0) !== 0)) return []
  return [{ code: 'key.no-use', about: [id], data: { key: name } }]
}

/** A use that the standard does not know, or one for which it has no value. */
function useConcerns(
  { id, name, use }: LoadKey,
  imposed: Traced | null,
  perMetre: Traced | null,
  standard: Standard,
): readonly Concern[] {
  if (use === null) return []
  const data = { key: name, use, standard: standard.layers.join(' + ') }
  if (!own(standard.uses, use)) return [{ code: 'key.unknown-use', about: [id], data }]
  const byHeight = perMetre === null ? 0 : 1
  if (imposed === null) return [{ code: 'key.no-value', about: [id], data: { ...data, byHeight } }]
  return []
}

function imposedLoad(key: LoadKey, standard: Standard): Traced | null {
  if (key.imposed !== null) return given('q_k', 'pressure', key.imposed, `entered for “${key.name}”`)
  if (key.use === null) return null
  return storedLoad(key, key.use, standard) ?? parameterIf(standard, uniformKey(key.use))
}
