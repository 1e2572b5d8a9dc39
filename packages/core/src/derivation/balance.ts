import { largest } from '../outcome/lists'
import { barrierCase, isHorizontal } from '../actions/cases'
import { isHanger } from '../building/frame'
import { pressedOnBarriers } from './barriers'
import { readCase } from './cells'
import type { FloorState } from './floorStates'
import { storeyForcesOf } from './storeyForces'
import type { StoreyForcesOfCase } from './storeyForcesOfCase'
import { hasStiffElements, shareStoreyForces } from './storeyShears'
import type { ProjectState } from './project'

/** The sum of one case: what was applied, what reached members, what reached supports, what is missing. N. */
export interface Balance {
  readonly caseId: string
  /** Gravity: downwards. Storey forces: along their push. Barriers: outwards all round. */
  readonly applied: number
  readonly onMembers: number
  readonly atSupports: number
  readonly notCarried: number
  /**
   * What is horizontal is handed on as it is and reaches no member here: storey forces reach the ground by stiff elements where the
   * project says what those are, else no support at all.
   */
  readonly handedOn: 'storeyForces' | 'stiffElements' | 'barriers' | null
}

export function balanceOf(state: ProjectState, caseId: string): Balance {
  const forces = storeyForcesOf(state, caseId)
  if (forces) return balanceOfStoreys(state, forces)
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

function balanceOfStoreys(state: ProjectState, forces: StoreyForcesOfCase): Balance {
  const { caseId, total, lost } = forces
  const applied = total + lost
  if (!hasStiffElements(state))
    return { caseId, applied, onMembers: 0, atSupports: 0, notCarried: lost, handedOn: 'storeyForces' }
  const { atFoot, intoGround, unheld } = shareStoreyForces(state, forces)
  const atSupports = atFoot + intoGround
  return { caseId, applied, onMembers: 0, atSupports, notCarried: unheld + lost, handedOn: 'stiffElements' }
}

/** Rows of the hangers of a floor that find nothing to hang from, or only what they hold up themselves. */
export const hangingFromNothing = ({ hung, rings }: FloorState): readonly number[] => [...hung.unsupported, ...rings]

/** Force at the feet of columns that stand on nothing, and of hangers that hang from nothing, by the floor that they belong to. */
export function strandedAt(state: ProjectState, index: number, caseId: string): number {
  const floor = state.floors[index]
  return floor ? feetSum(state, floor, [...onNothing(state, index), ...hangingFromNothing(floor)], caseId) : 0
}

/** Rows of the columns of a floor that stand on nothing. */
export const onNothing = (state: ProjectState, index: number): readonly number[] =>
  state.floors[index - 1]?.feetAbove?.unsupported ?? []

/** What some columns or hangers of a floor hand on, N. */
export function feetSum(state: ProjectState, { rundown }: FloorState, rows: readonly number[], caseId: string): number {
  const at = readCase(state, caseId)
  return rows.reduce((total, row) => total + at(rundown.feet, row), 0)
}

const strandedSum = (state: ProjectState, caseId: string): number =>
  state.floors.reduce((total, _, index) => total + strandedAt(state, index, caseId), 0)

function baseSum(state: ProjectState, caseId: string): number {
  const bottom = state.floors[0]
  const at = readCase(state, caseId)
  return (bottom?.operator.plan.frame.columns ?? []).reduce(
    (total, column, row) => total + (bottom && !isHanger(column) ? at(bottom.rundown.feet, row) : 0),
    0,
  )
}

/** How far the sums of the worst gravity case disagree: |applied − at supports − not carried| over applied. */
export function equilibriumResidual(state: ProjectState): number {
  const gravity = state.caseIds.filter((id) => !isHorizontal(id)).map((id) => balanceOf(state, id))
  return Math.max(
    0,
    largest(
      gravity.map(
        ({ applied, atSupports, notCarried }) =>
          Math.abs(applied - atSupports - notCarried) / Math.max(1, Math.abs(applied)),
      ),
    ),
  )
}
