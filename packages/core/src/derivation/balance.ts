import { barrierCase, isHorizontal, windDirectionOf } from '../actions/cases'
import { pressedOnBarriers } from './barriers'
import { readCase } from './cells'
import type { FloorState } from './floorStates'
import type { ProjectState } from './project'

/** The sum of one case: what was applied, what reached members, what reached supports, what is missing. N. */
export interface Balance {
  readonly caseId: string
  /** Gravity: downwards. Wind: along the wind. Barriers: outwards all round. */
  readonly applied: number
  readonly onMembers: number
  readonly atSupports: number
  readonly notCarried: number
  /** What is horizontal is handed on as it is and reaches no support here. */
  readonly handedOn: 'storeyForces' | 'barriers' | null
}

export function balanceOf(state: ProjectState, caseId: string): Balance {
  const direction = windDirectionOf(caseId)
  if (direction) {
    const total = state.wind?.results.find((result) => result.direction.id === direction)?.total ?? 0
    return { caseId, applied: total, onMembers: 0, atSupports: 0, notCarried: 0, handedOn: 'storeyForces' }
  }
  if (caseId === barrierCase) {
    const applied = pressedOnBarriers(state)
    return { caseId, applied, onMembers: 0, atSupports: 0, notCarried: 0, handedOn: 'barriers' }
  }
  const at = readCase(state, caseId)
  const sum = (pick: (floor: FloorState) => Float64Array) =>
    state.floors.reduce((total, floor) => total + at(pick(floor), 0), 0)
  return {
    caseId,
    applied: sum(({ rundown }) => rundown.applied),
    onMembers: sum(({ rundown }) => rundown.onMembers),
    atSupports: baseSum(state, caseId),
    notCarried: sum(({ rundown }) => rundown.notCarried) + strandedSum(state, caseId),
    handedOn: null,
  }
}

/** Force at the feet of columns that stand on nothing, by the floor that they belong to. */
export function strandedAt(state: ProjectState, index: number, caseId: string): number {
  const [floor, below] = [state.floors[index], state.floors[index - 1]]
  const at = readCase(state, caseId)
  return (below?.feetAbove?.unsupported ?? []).reduce(
    (total, row) => total + (floor ? at(floor.rundown.feet, row) : 0),
    0,
  )
}

const strandedSum = (state: ProjectState, caseId: string): number =>
  state.floors.reduce((total, _, index) => total + strandedAt(state, index, caseId), 0)

function baseSum(state: ProjectState, caseId: string): number {
  const bottom = state.floors[0]
  const at = readCase(state, caseId)
  return (bottom?.operator.plan.frame.columns ?? []).reduce(
    (total, _, row) => total + (bottom ? at(bottom.rundown.feet, row) : 0),
    0,
  )
}

/** How far the sums of the worst gravity case disagree: |applied − at supports − not carried| over applied. */
export function equilibriumResidual(state: ProjectState): number {
  const gravity = state.caseIds.filter((id) => !isHorizontal(id)).map((id) => balanceOf(state, id))
  return Math.max(
    0,
    ...gravity.map(
      ({ applied, atSupports, notCarried }) =>
        Math.abs(applied - atSupports - notCarried) / Math.max(1, Math.abs(applied)),
    ),
  )
}
