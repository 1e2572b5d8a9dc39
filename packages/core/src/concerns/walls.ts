import { takesOff } from '../actions/wallLoad'
import { wallSourcesOf } from '../derivation/heads'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { wallRunOf } from '../document/labels'
import type { Concern } from '../outcome/outcome'

/** Wall runs whose height follows from nothing, or whose rule takes off a beam that is not there; once per run. */
export function wallHeights(state: ProjectState): readonly Concern[] {
  const found = new Map<string, Concern>()
  for (const floor of state.floors)
    wallSourcesOf(floor.operator).forEach(({ run: { id } }, i) => {
      const concern = found.has(id) ? undefined : heightConcern(state, floor, id, i)
      if (concern) found.set(id, concern)
    })
  return [...found.values()]
}

function heightConcern(state: ProjectState, { walls, level }: FloorState, id: string, i: number): Concern | undefined {
  const run = wallRunOf(state.document, id)
  const head = walls.heads[i]
  if (!run) return undefined
  const data = { label: run.label, level: level.name }
  if (walls.loads[i] === null) return { code: 'wall.no-height', about: [id], data }
  return takesOff(run.heightRule, 'beam') && head?.beamDepth === null
    ? { code: 'wall.no-beam-above', about: [id], data }
    : undefined
}
