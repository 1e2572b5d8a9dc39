import type { Placed, Point } from '@hedrion/core'
import type { KeyboardEvent } from 'react'
import { directions } from '../picking'
import { firstSnap, nextSnap } from './snaps'
import { setCursor, setProblem, takeBackPoint, takeTool, useTool } from './toolStore'

/** What keys do while something is drawn: arrows over snaps, Enter sets, with Ctrl it ends, Backspace takes back, Escape puts away; whether it was one. */
export function placingKey(
  event: KeyboardEvent,
  snaps: readonly Point[],
  set: (added: readonly Point[]) => void,
  finish: () => void,
): boolean {
  const direction = directions[event.key]
  const { cursor } = useTool.getState()
  if (direction) setCursor(cursor ? nextSnap(cursor, direction, snaps) : firstSnap(snaps))
  else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) finish()
  else if (event.key === 'Enter') set([cursor ?? firstSnap(snaps)])
  else if (event.key === 'Backspace') takeBackPoint()
  else if (event.key === 'Escape') takeTool(null)
  else return false
  return true
}

/** Takes typed places, or says what is wrong with them; whether they were understood. */
export function takePlaces(read: Placed, set: (added: readonly Point[]) => void): boolean {
  if (read.ok) set(read.points)
  else setProblem(read.problem)
  return read.ok
}
