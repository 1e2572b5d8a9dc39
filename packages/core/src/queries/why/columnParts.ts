import { readArea } from '../../derivation/cells'
import { columnChain, expandedAt, floorAbove, hungFrom, placeOf, type Place } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { labelOf } from '../../document/labels'
import { rowSum } from '../../rundown/operator'
import { recordOfSource } from '../../rundown/sources'
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
  const hanging = hungFrom(state, place, 'column').flatMap(({ part, place: held }): TracedTerm[] => {
    const member = held.floor.operator.plan.frame.columns[held.row]?.member
    if (!member) return []
    return [
      {
        label: `hanger ${labelOf(state.document, member.id)} below`,
        value: part * read(held.floor.rundown.feet, held.row),
        address: `columnArea:${expandedAt(held.floor, member.id)}`,
      },
    ]
  })
  return tracedSum('A', 'area', 'floor area, distributed as a load', [
    ...fromAbove,
    ...hanging,
    ...folded([...fromBeams, ...takenDirectly(state, place)]),
  ])
}

/** `adds:MEMBER@LEVEL:CASE`: what its own level adds to a column. */
export function levelAdds(state: ProjectState, rest: string): Traced | null {
  const [expandedId, caseId] = splitCase(rest)
  const place = placeOf(state, expandedId, 'columns')
  if (!place || !state.caseIds.includes(caseId)) return null
  // of all that enters it not what comes down the column itself, nor its own weight
  const before = lengthBefore(state, expandedId)
  const own = `columnWeight:${expandedId}`
  const rows = columnRows(state, place, caseId).filter((row) => row.expandedId !== before && row.address !== own)
  return tracedSum('N', 'force', 'load from the level', folded(rows.map(termOf)))
}

/** The length from which load comes into a length of the same column. */
function lengthBefore(state: ProjectState, expandedId: string): string | null {
  const chain = columnChain(state, expandedId).map(({ floor, row }) =>
    expandedAt(floor, floor.operator.plan.frame.columns[row]?.member.id ?? ''),
  )
  return chain[chain.indexOf(expandedId) - 1] ?? null
}

/** Floor that the column takes without a beam: of panels that rest on it, stairs, and stretches of walls on the slab. */
function takenDirectly(state: ProjectState, { floor, row }: Place): readonly TracedTerm[] {
  const read = readArea(state)
  const { sources } = floor.operator.plan
  const ofSources = sources.flatMap((source, i): TracedTerm[] => {
    const value = rowSum(floor.operator.toColumns, i, row) * read(floor.intensities, i)
    return value === 0 ? [] : [{ label: labelOf(state.document, recordOfSource(source)), value }]
  })
  const above = floorAbove(state, floor)
  const throughSlab = (floor.onSlab?.rows ?? []).flatMap((foot, k): TracedTerm[] => {
    const part = floor.onSlab ? rowSum(floor.onSlab.shared.toColumns, k, row) : 0
    const member = above?.operator.plan.frame.columns[foot]?.member
    if (!above || !member || part === 0) return []
    return [
      {
        label: `wall ${labelOf(state.document, member.id)} on the slab`,
        value: part * read(above.rundown.feet, foot),
        address: `columnArea:${expandedAt(above, member.id)}`,
      },
    ]
  })
  return [...ofSources, ...throughSlab]
}
