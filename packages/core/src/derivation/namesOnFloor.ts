import type { FloorState } from './floorStates'
import type { ProjectState } from './project'
import { labelOf, recordIdOf } from '../document/labels'
import { once } from '../document/once'

/** Labels that more than one member of a floor has: columns of a layout above may pass down beside those of the level. */
const sharedLabels = once((floor: FloorState) => {
  const seen = new Map<string, number>()
  const { beams, columns } = floor.operator.plan.frame
  return (state: ProjectState): ReadonlySet<string> => {
    if (seen.size === 0)
      for (const { member } of [...beams, ...columns]) {
        const label = labelOf(state.document, member.id)
        seen.set(label, (seen.get(label) ?? 0) + 1)
      }
    return new Set([...seen].flatMap(([label, count]) => (count > 1 ? [label] : [])))
  }
})

/** The label of a member as lists and files have it: with its layout where another member of the floor has the same. */
export function rowLabel(state: ProjectState, floor: FloorState | undefined, id: string): string {
  const label = labelOf(state.document, id)
  if (!floor || !sharedLabels(floor)(state).has(label)) return label
  const record = state.document.records.get(recordIdOf(id))
  return record && 'layout' in record && record.layout !== null
    ? `${label} (${labelOf(state.document, record.layout)})`
    : label
}
