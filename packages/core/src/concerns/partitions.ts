import { smallest } from '../outcome/lists'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import type { Concern } from '../outcome/outcome'
import { parameterIf } from '../standards/layer'

/** Partitions that weigh more per area of wall than an allowance stands for (IS 875-2 3.1.2), in the lowest storey where their key may be. */
export function heavyFaces({ document, standard, keys, floors }: ProjectState): readonly Concern[] {
  const most = parameterIf(standard, 'imposed.partitions.heaviestFace')?.value
  if (most === undefined) return []
  const levels = recordsOf(document, 'level')
    .map(({ elevation }) => elevation)
    .sort((a, b) => a - b)
  const storeys = levels.slice(1).map((z, i) => z - (levels[i] ?? z))
  const height = smallest(storeys.filter((storey) => storey > 0))
  if (!Number.isFinite(height) || floors.length === 0) return []
  return [...keys.values()].flatMap(({ key, partitions }): Concern[] => {
    const { id, name, partitionRule, partitionWeight: weight } = key
    if (partitionRule !== 'byWeight' || weight === null || partitions === null || !(weight > most * height)) return []
    const data = { key: name, weight, face: weight / height, height, most }
    return [{ code: 'partitions.heavy-face', about: [id], data }]
  })
}
