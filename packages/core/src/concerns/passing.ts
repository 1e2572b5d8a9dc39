import { expandedAt, floorAbove } from '../derivation/floorQueries'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { labelOf } from '../document/labels'
import { touches } from '../geometry/polygon'
import type { Concern } from '../outcome/outcome'

/**
 * Columns that go down through an opening of a floor. Beside a floor that is what a hall beside a block looks like; through a hole in
 * one it may be a column that was left out below.
 */
export function columnsThroughOpenings(state: ProjectState): readonly Concern[] {
  const openings = recordsOf(state.document, 'opening')
  return state.floors.flatMap((floor) => {
    const above = floorAbove(state, floor)
    const { panels, frame } = floor.operator.plan
    const passing = floor.passing === 0 ? [] : frame.columns.slice(-floor.passing)
    return passing.flatMap(({ member, at }): Concern[] => {
      const opening = openings.find(({ layout, outline }) => layout === floor.floor.layoutId && touches([outline], at))
      const inPanel = panels.some(({ outline }) => touches(outline, at))
      if (!above || !opening || !inPanel) return []
      const data = {
        label: labelOf(state.document, member.id),
        above: above.level.name,
        opening: opening.label,
        level: floor.level.name,
      }
      const about = [expandedAt(floor, member.id), expandedAt(floor, opening.id)]
      return [{ code: 'column.through-opening', about, data }]
    })
  })
}
