import { largest } from '../outcome/lists'
import { heightOn } from '../building/slopes'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { boxesTouch, boxOf } from '../geometry/polygon'
import type { Concern } from '../outcome/outcome'

/** What rises less over its level changes no wind, m. */
const negligible = 0.05

/** Roof slopes of the body in the wind that rise over their level: gables and the height of the ridge are not in the wind yet. */
export function windOfSlopes({ document, basis, floors, wind, extent }: ProjectState): readonly Concern[] {
  if (!wind || !extent) return []
  const ground = basis?.ground ?? 0
  const rising = floors.flatMap(({ level, operator }) =>
    operator.plan.slopes.flatMap((slope) => {
      const rise = largest(slope.outline.map((corner) => heightOn(slope, corner)))
      const stands = level.elevation > ground && boxesTouch(boxOf(slope.outline), extent)
      return stands && rise > negligible ? [{ id: slope.id, ridge: level.elevation + rise - ground }] : []
    }),
  )
  if (rising.length === 0) return []
  const labels = [...new Set(rising.map(({ id }) => labelOf(document, id)))].join(', ')
  const ridge = largest(rising.map((slope) => slope.ridge))
  const about = [...new Set(rising.map(({ id }) => id as string))]
  return [{ code: 'wind.slopes', about, data: { labels, ridge } }]
}
