import type { PlacedAs, Point, Point3 } from '@hedrion/core'
import type { KeyboardEvent } from 'react'
import { directions } from '../picking'
import { firstSnap, nextSnap } from './snaps'
import { inPlane, setCursor, setProblem, takeBackPoint, takeTool, useTool } from './toolStore'
import { pressed } from '../../state/shortcuts'

/** What keys do with the drawing under way. */
export interface KeyActions {
  /** Moves the cursor one snap on. */
  readonly step: (direction: Point) => void
  /** Sets the point under the cursor. */
  readonly set: () => void
  readonly finish: () => void
}

/** While something is drawn arrows go over snaps, Enter sets, with Ctrl it ends, Backspace takes back, Escape puts away; whether it was one of these keys. */
export function placingKey(event: KeyboardEvent, { step, set, finish }: KeyActions): boolean {
  const direction = directions[event.key]
  if (direction) step(direction)
  else if (pressed(event, 'finish')) finish()
  else if (pressed(event, 'setPoint')) set()
  else if (pressed(event, 'removePoint')) takeBackPoint()
  else if (pressed(event, 'stopPlacing')) takeTool(null)
  else return false
  return true
}

/** Which way of the plan or elevation an arrow key goes. */
export type Turn = (direction: Point) => Point

/** Over the snaps of a plan or an elevation. */
export function overSnaps(
  snaps: readonly Point[],
  set: (added: readonly Point[]) => void,
  turn: Turn = (direction) => direction,
): Pick<KeyActions, 'step' | 'set'> {
  const cursor = () => {
    const at = useTool.getState().cursor
    return at && inPlane(at)
  }
  return {
    step: (direction) => {
      const from = cursor()
      setCursor(from ? nextSnap(from, turn(direction), snaps) : firstSnap(snaps))
    },
    set: () => set([cursor() ?? firstSnap(snaps)]),
  }
}

/** Takes typed places, or says what is wrong with them; whether they were understood. */
export function takePlaces<P extends Point | Point3>(read: PlacedAs<P>, set: (added: readonly P[]) => void): boolean {
  if (read.ok) set(read.points)
  else setProblem(read.problem)
  return read.ok
}
