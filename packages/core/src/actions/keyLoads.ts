import type { BuildUp, LoadKey } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import { parameterOf, tableOf, type Standard } from '../standards/layer'
import { readTable } from '../trace/table'
import { given, type Traced } from '../trace/traced'
import { buildUpWeight } from './ownWeight'

/** The area loads of one load key in Pa, each with its trace. */
export interface KeyLoads {
  readonly key: LoadKey
  readonly buildUp: Traced
  readonly imposed: Traced | null
  /** In N, for the local check: it acts alone, so it is in no case (EN 1991-1-1, 6.2.1(3)P). */
  readonly concentrated: Traced | null
  readonly partitions: Traced | null
  readonly concerns: readonly Concern[]
}

export function keyLoads(key: LoadKey, buildUp: BuildUp | undefined, standard: Standard): KeyLoads {
  const partitions = partitionAllowance(key, standard)
  return {
    key,
    buildUp: buildUpWeight(buildUp),
    imposed: imposedLoad(key, standard),
    concentrated: key.use === null ? null : parameterOf(standard, `imposed.Q_k.${key.use}`, 'force'),
    partitions: partitions.value,
    concerns: [...withoutUse(key), ...partitions.concerns],
  }
}

/** Without a use a load belongs to no category, hence to no case. */
function withoutUse({ id, name, use, imposed, partitionWeight }: LoadKey): readonly Concern[] {
  if (use !== null || ((imposed ?? 0) === 0 && (partitionWeight ?? 0) === 0)) return []
  return [{ code: 'key.no-use', severity: 'blocking', about: [id], data: { key: name } }]
}

function imposedLoad(key: LoadKey, standard: Standard): Traced | null {
  if (key.imposed !== null) return given('q_k', 'pressure', key.imposed, `typed for “${key.name}”`)
  return key.use === null ? null : parameterOf(standard, `imposed.q_k.${key.use}`, 'pressure')
}

function partitionAllowance(
  key: LoadKey,
  standard: Standard,
): { readonly value: Traced | null; readonly concerns: readonly Concern[] } {
  if (key.partitionWeight === null || key.partitionWeight === 0) return { value: null, concerns: [] }
  const wall = given('g_wall', 'lineLoad', key.partitionWeight, `own weight of the partitions of “${key.name}”`)
  const read = readTable(tableOf(standard, 'imposed.partitions'), 'allowance', wall)
  if (read.ok) return { value: read.value, concerns: read.concerns }
  return {
    value: null,
    concerns: [
      {
        code: 'partitions.too-heavy',
        severity: 'blocking',
        about: [key.id],
        data: { key: key.name, weight: key.partitionWeight },
      },
    ],
  }
}
