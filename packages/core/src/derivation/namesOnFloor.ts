import type { FloorState } from './floorStates'
import type { ProjectState } from './project'
import { labelOf, recordIdOf } from '../document/labels'
import { once } from '../outcome/once'

/** Labels that more than one member of a floor has: columns of a layout above may pass down beside those of the level. */
const sharedLabels = once((state: ProjectState) => {
  // by the state and not by the floor: a floor stays the same when a label changes
  const shared = new Map<FloorState, ReadonlySet<string>>()
  return (floor: FloorState): ReadonlySet<string> => {
    const known = shared.get(floor)
    if (known) return known
    const [seen, twice] = [new Set<string>(), new Set<string>()]
    const { beams, columns } = floor.operator.plan.frame
    for (const { member } of [...beams, ...columns]) {
      const label = labelOf(state.document, member.id)
      ;(seen.has(label) ? twice : seen).add(label)
    }
    shared.set(floor, twice)
    return twice
  }
})

/** The label of a member as lists and files have it: with its layout where another member of the floor has the same. */
export function rowLabel(state: ProjectState, floor: FloorState | undefined, id: string): string {
  const label = labelOf(state.document, id)
  if (!floor || !sharedLabels(state)(floor).has(label)) return label
  const record = state.document.records.get(recordIdOf(id))
  return record && 'layout' in record && record.layout !== null
    ? `${label} (${labelOf(state.document, record.layout)})`
    : label
}
