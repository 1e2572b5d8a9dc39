import { farEnd } from '../building/frame'
import { heightsOfColumn } from '../derivation/columnExtents'
import type { ProjectState } from '../derivation/project'
import type { Point } from '../geometry/point'
import { isUpright } from '../document/roles'
import type { ElevationAxis } from './elevationView'
import { membersInSpace } from './spaceView'

/** A point of an elevation on which a drawn one may fall, and how deep behind the picture it lies, m. */
export interface UprightSnap {
  readonly at: Point
  readonly depth: number
}

/** Ends of members, and where columns pass levels or end; each once. */
export function uprightSnaps(state: ProjectState, axis: ElevationAxis): readonly UprightSnap[] {
  const [i, j] = axis === 'x' ? ([0, 1] as const) : ([1, 0] as const)
  const found = new Map<string, UprightSnap>()
  const add = (u: number, z: number, depth: number) => {
    const key = [u, z, depth].map((value) => value.toFixed(3)).join()
    if (!found.has(key)) found.set(key, { at: [u, z], depth })
  }
  for (const floor of state.floors) {
    floor.operator.plan.frame.columns.forEach((column, row) => {
      const [low, high] = heightsOfColumn(floor, row)
      const foot = farEnd(column)
      add(column.at[i], high, column.at[j])
      add(foot[i], low, foot[j])
    })
    for (const { role, path } of membersInSpace(state, floor))
      if (!isUpright(role)) for (const point of path) add(point[i], point[2], point[j])
  }
  return [...found.values()]
}
