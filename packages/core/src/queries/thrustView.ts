import type { ProjectState } from '../derivation/project'
import { negligible } from '../derivation/negligible'
import { thrusts, type LevelThrust } from '../derivation/thrust'

/** What raking columns and hangers do sideways to one level in a case; N in global axes, and Nm about the origin. */
export interface LevelThrustView extends LevelThrust {
  /** Null for the base. */
  readonly levelId: string | null
  readonly levelName: string
}

/** Levels that are pushed, from the roof down, the base last; none where nothing rakes. */
export function thrustView(state: ProjectState, caseId: string): readonly LevelThrustView[] {
  const { levels, base } = thrusts(state, caseId)
  const named = levels.map((sum, i): LevelThrustView => {
    const level = state.floors[i]?.level
    return { levelId: level?.id ?? null, levelName: level?.name ?? '', ...sum }
  })
  return [...named.reverse(), { levelId: null, levelName: state.levels[0]?.level.name ?? '', ...base }].filter(
    ({ x, y, moment }) => Math.hypot(x, y) >= negligible || Math.abs(moment) >= negligible,
  )
}
