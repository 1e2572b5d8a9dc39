import { farEnd } from '../building/frame'
import { heightsOfColumn } from '../derivation/columnExtents'
import type { ProjectState } from '../derivation/project'
import { isUpright } from '../document/roles'
import type { Point3 } from '../geometry/point'
import { membersInSpace } from './spaceView'

/** Points in space on which a drawn one may fall: ends of columns, of beams and of members in space; each once. */
export function joints(state: ProjectState): readonly Point3[] {
  const found = new Map<string, Point3>()
  const add = (point: Point3) => {
    const key = point.map((value) => value.toFixed(3)).join()
    if (!found.has(key)) found.set(key, point)
  }
  for (const floor of state.floors) {
    floor.operator.plan.frame.columns.forEach((column, row) => {
      const [low, high] = heightsOfColumn(floor, row)
      add([...column.at, high])
      add([...farEnd(column), low])
    })
    for (const { role, path } of membersInSpace(state, floor)) if (!isUpright(role)) path.forEach(add)
  }
  return [...found.values()]
}
