import { farEnd, isHanger } from '../building/frame'
import { feetSum } from '../derivation/balance'
import { expandedAt, floorAbove } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { Concern } from '../outcome/outcome'
import { gravityCases } from './lostLoads'

/** Hangers that find nothing to hang from, and those that hang from what they hold up, with all that they hold. */
export function hangersFromNothing(state: ProjectState): readonly Concern[] {
  return state.floors.flatMap((floor): Concern[] => {
    const lost = [
      ['hanger.unsupported', floor.hung.unsupported],
      ['hanger.ring', floor.rings],
    ] as const
    return lost.flatMap(([code, rows]): Concern[] => {
      const ids = rows.flatMap((row) => floor.operator.plan.frame.columns[row]?.member.id ?? [])
      if (ids.length === 0) return []
      const force = gravityCases(state).reduce((sum, id) => sum + feetSum(state, floor, rows, id), 0)
      const labels = ids.map((id) => labelOf(state.document, id)).join(', ')
      const about = ids.map((id) => expandedAt(floor, id))
      return [{ code, about, data: { labels, level: floor.level.name, force } }]
    })
  })
}

/** Hangers with a column in the same place over the same storey: one of them cannot be there. */
export function hangersInColumns(state: ProjectState): readonly Concern[] {
  return state.floors.flatMap((floor) => {
    const above = floorAbove(state, floor)
    const standing = (above?.operator.plan.frame.columns ?? []).filter((column) => !isHanger(column) && !column.stretch)
    return floor.operator.plan.frame.columns.filter(isHanger).flatMap((hanger): Concern[] => {
      const column = standing.find(
        (one) => distance(one.at, farEnd(hanger)) <= onLine && distance(farEnd(one), hanger.at) <= onLine,
      )
      if (!above || !column) return []
      const data = {
        label: labelOf(state.document, hanger.member.id),
        level: floor.level.name,
        column: labelOf(state.document, column.member.id),
        above: above.level.name,
      }
      const about = [expandedAt(floor, hanger.member.id), expandedAt(above, column.member.id)]
      return [{ code: 'hanger.in-column', about, data }]
    })
  })
}
