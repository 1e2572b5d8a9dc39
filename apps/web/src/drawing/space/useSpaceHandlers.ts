import type { Point } from '@hedrion/core'
import { useRef, type KeyboardEvent, type PointerEvent, type RefObject } from 'react'
import { useLook } from '../../state/look'
import { neighbour } from '../hit'
import { directions, pickedAfter } from '../picking'
import type { SpaceDrawing } from '../placing/useDrawingIn'
import type { Target } from '../scene'
import { useLevel } from '../useLevel'
import type { Grab } from '../usePointer'
import type { SpaceScene } from './SpaceScene'
import { pressed, type ShortcutName } from '../../state/shortcuts'

/** A press that moves less than this is a click, pixels. */
const clickWithin = 4

interface Press {
  readonly at: Point
  readonly button: number
  readonly boxing: boolean
  readonly grab: Grab | null
  moved: boolean
}

interface SpaceHands {
  readonly scene: SpaceScene | null
  readonly frame: RefObject<HTMLDivElement | null>
  readonly targets: readonly Target[]
  readonly drawing: SpaceDrawing | null
}

/** Picking, drawing, copying and turning in space, by pointer and by keys. */
export function useSpaceHandlers({ scene, frame, targets, drawing }: SpaceHands) {
  const [look, change] = useLook()
  const onKeyDown = useSpaceKeys({ scene, frame, targets, drawing })
  const press = useRef<Press | null>(null)
  const at = (event: PointerEvent): Point => {
    const { left = 0, top = 0 } = frame.current?.getBoundingClientRect() ?? {}
    return [event.clientX - left, event.clientY - top]
  }
  const pickAt = ([x, y]: Point, more: boolean) => {
    const { clientWidth = 1, clientHeight = 1 } = frame.current ?? {}
    const id = scene?.at(x, y, clientWidth, clientHeight) ?? null
    if (id !== null) change({ picked: pickedAfter(look.picked, id, more) })
    else if (!more) change({ picked: [] })
  }
  const pickIn = (from: Point, to: Point) => {
    const within = (value: number, i: 0 | 1) => value >= Math.min(from[i], to[i]) && value <= Math.max(from[i], to[i])
    const inside = (scene?.middles() ?? []).filter(({ at: [x, y] }) => within(x, 0) && within(y, 1))
    change({ picked: [...new Set(inside.map(({ id }) => id))] })
  }
  const letGo = (to: Point | null) => {
    press.current?.grab?.end(to)
    press.current = null
    scene?.setTurns(true)
  }
  return {
    onKeyDown,
    // before the view takes the press for a turn
    onPointerDownCapture: (event: PointerEvent) => {
      if (!scene) return
      const here = at(event)
      const grab = event.button === 0 ? (drawing?.onGrab(here, scene.sight()) ?? null) : null
      const boxing = event.shiftKey && event.button === 0
      press.current = { at: here, button: event.button, boxing, grab, moved: false }
      scene.setTurns(!grab && !boxing)
      if (grab || boxing) event.currentTarget.setPointerCapture(event.pointerId)
    },
    onPointerMove: (event: PointerEvent) => {
      const [here, held] = [at(event), press.current]
      if (!held) {
        if (scene) drawing?.onHover?.(here, scene.sight())
        return
      }
      if (Math.hypot(here[0] - held.at[0], here[1] - held.at[1]) > clickWithin) held.moved = true
      if (held.moved) held.grab?.move(here)
    },
    onPointerUp: (event: PointerEvent) => {
      const [here, held] = [at(event), press.current]
      letGo(held?.moved ? here : null)
      if (!held || !scene || held.grab || held.button !== 0) return
      if (held.boxing && held.moved) pickIn(held.at, here)
      if (held.moved) return
      frame.current?.focus()
      if (drawing?.onPlace) drawing.onPlace(here, scene.sight())
      else pickAt(here, event.ctrlKey || event.metaKey || event.shiftKey)
    },
    onPointerCancel: () => letGo(null),
  }
}

/** Arrows pick neighbours, with Shift they turn the view; + - 0 zoom, Page Up and Down change the level; while something is drawn its keys come first. */
function useSpaceKeys({ scene, targets, drawing }: SpaceHands) {
  const [look, change] = useLook()
  const { go } = useLevel()
  const toNeighbour = ([dx, dy]: Point) => {
    const seen = (scene?.middles() ?? []).map(({ id, kind, at: [x, y] }): Target => ({
      id,
      kind: kind === 'face' ? 'panel' : kind === 'surface' ? 'wallSurface' : 'beam',
      shape: { kind: 'point', at: [x, -y] },
      text: '',
    }))
    const from = seen.find(({ id }) => id === look.picked.at(-1))
    const next = from ? neighbour(seen, from, [dx, dy]) : targets[0]
    if (next) change({ picked: [next.id] })
  }
  const others: readonly (readonly [ShortcutName, () => void])[] = [
    ['levelUp', () => go(1)],
    ['levelDown', () => go(-1)],
    ['pickNone', () => change({ picked: [] })],
    ['fit', () => scene?.fit()],
    ['zoomIn', () => scene?.zoom(1.25)],
    ['zoomOut', () => scene?.zoom(0.8)],
  ]
  return (event: KeyboardEvent) => {
    const direction = event.ctrlKey ? undefined : directions[event.key]
    const turns = direction && pressed(event, 'turn')
    const drawn = !turns && scene && drawing?.onKey(event, scene.sight())
    const [, other] = others.find(([name]) => pressed(event, name)) ?? []
    if (turns) scene?.turn(direction[0] * 0.2, direction[1] * 0.15)
    else if (drawn) return event.preventDefault()
    else if (direction) toNeighbour(direction)
    else if (other) other()
    else return
    event.preventDefault()
  }
}
