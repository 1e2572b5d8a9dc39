import { isConstruction, isHorizontal } from '../actions/cases'
import type { ProjectState } from '../derivation/project'
import { thrusts } from '../derivation/thrust'
import type { Concern } from '../outcome/outcome'

/** A newton is nothing to a building. */
const least = 1

/** Levels that raking columns and hangers push sideways, by the case that pushes most: nothing here holds that. */
export function levelsPushed(state: ProjectState): readonly Concern[] {
  const rakes = state.floors.some(({ operator }) => operator.plan.frame.columns.some(({ far }) => far !== undefined))
  if (!rakes) return []
  const cases = state.caseIds.filter((id) => !isHorizontal(id) && !isConstruction(id))
  const names = new Map(state.actions.flatMap((action) => action.cases.map(({ id, name }) => [id, name] as const)))
  const pushes = cases.map((id) => ({ id, levels: thrusts(state, id).levels }))
  return state.floors.flatMap(({ level }, i): Concern[] => {
    const found = pushes.map(({ id, levels }) => ({ id, force: Math.hypot(levels[i]?.x ?? 0, levels[i]?.y ?? 0) }))
    const [most] = found.sort((a, b) => b.force - a.force)
    if (!most || most.force < least) return []
    const data = { level: level.name, force: most.force, case: names.get(most.id) ?? most.id }
    return [{ code: 'level.pushed', severity: 'note', about: [level.id], data }]
  })
}
