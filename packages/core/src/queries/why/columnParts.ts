import { readArea } from '../../derivation/cells'
import { expandedAt, floorAbove, hungFrom, placeOf } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { labelOf } from '../../document/labels'
import { tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import { columnRows } from '../pathRows'
import { folded, splitCase, termOf } from './sums'

/** `columnArea:MEMBER@LEVEL`: the floor area that a column length stands under, by what brings it. */
export function columnArea(state: ProjectState, expandedId: string): Traced | null {
  const place = placeOf(state, expandedId, 'columns')
  if (!place) return null
  const { floor, row } = place
  const read = readArea(state)
  const above = floorAbove(state, floor)
  const fromAbove = (floor.feetAbove?.landings ?? []).flatMap(({ row: foot, on, index, part }): TracedTerm[] => {
    const member = above?.operator.plan.frame.columns[foot]?.member
    if (!above || !member || on !== 'column' || index !== row) return []
    return [
      {
        label: `column ${labelOf(state.document, member.id)} above`,
        value: part * read(above.rundown.feet, foot),
        address: `columnArea:${expandedAt(above, member.id)}`,
      },
    ]
  })
  const fromBeams = floor.operator.plan.frame.beams.flatMap(({ member, supports }, i) =>
    supports.flatMap(({ on, index }, k): TracedTerm[] =>
      on === 'column' && index === row
        ? [
            {
              label: `by beam ${labelOf(state.document, member.id)}`,
              value: read(floor.rundown.reactions, (floor.operator.firstSupport[i] ?? 0) + k),
            },
          ]
        : [],
    ),
  )
  const hanging = hungFrom(state, place, 'column').flatMap(({ place: held }): TracedTerm[] => {
    const member = held.floor.operator.plan.frame.columns[held.row]?.member
    if (!member) return []
    return [
      {
        label: `hanger ${labelOf(state.document, member.id)} below`,
        value: read(held.floor.rundown.feet, held.row),
        address: `columnArea:${expandedAt(held.floor, member.id)}`,
      },
    ]
  })
  return tracedSum('A', 'area', 'floor area, shared and run down as a load would be', [
    ...fromAbove,
    ...hanging,
    ...folded(fromBeams),
  ])
}

/** `adds:MEMBER@LEVEL:CASE`: what its own level adds to a column. */
export function levelAdds(state: ProjectState, rest: string): Traced | null {
  const [expandedId, caseId] = splitCase(rest)
  const place = placeOf(state, expandedId, 'columns')
  if (!place || !state.caseIds.includes(caseId)) return null
  const rows = columnRows(state, place, caseId).filter(({ kind }) => kind === 'beam')
  return tracedSum('N', 'force', 'what the level brings', folded(rows.map(termOf)))
}
