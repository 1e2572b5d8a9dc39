import type { ProjectState } from '../derivation/project'
import { negligible } from '../derivation/negligible'
import { canPush } from '../derivation/pushes'
import { hasStiffElements } from '../derivation/storeyShears'
import { thrusts } from '../derivation/thrust'
import { gravityCases } from './lostLoads'
import { caseName } from './caseName'
import type { Concern } from '../outcome/outcome'

/** Levels that raking columns and hangers, loads square to slopes, or wall surfaces push sideways, by the case that pushes most: nothing here holds that. */
export function levelsPushed(state: ProjectState): readonly Concern[] {
  // stiff elements hold it, or a concern of their own says that they do not
  if (hasStiffElements(state) || !canPush(state)) return []
  const pushes = gravityCases(state).map((id) => ({ id, levels: thrusts(state, id).levels }))
  return state.floors.flatMap(({ level }, i): Concern[] => {
    const found = pushes.map(({ id, levels }) => ({ id, force: Math.hypot(levels[i]?.x ?? 0, levels[i]?.y ?? 0) }))
    const [most] = found.sort((a, b) => b.force - a.force)
    if (!most || most.force < negligible) return []
    const data = { level: level.name, force: most.force, case: most.id, caseName: caseName(state, most.id) }
    return [{ code: 'level.pushed', about: [level.id], data }]
  })
}
