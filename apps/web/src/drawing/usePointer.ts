import type { Point } from '@hedrion/core'
import { useRef, type PointerEvent, type RefObject, type WheelEvent } from 'react'
import { pan, zoomAt, type Viewport } from './viewport'

interface PointerActions {
  readonly view: RefObject<Viewport | null>
  readonly setView: (view: Viewport) => void
  readonly onClick: (at: Point, event: PointerEvent) => void
  readonly onMove?: ((at: Point) => void) | undefined
  readonly onLeave?: () => void
  readonly onBox?: ((from: Point, to: Point) => void) | undefined
  /** Takes hold of what is under the pointer, so that a drag moves it and not the view. */
  readonly onGrab?: ((at: Point) => Grab | null) | undefined
}

/** Something that is held by the pointer; places in pixels. */
export interface Grab {
  readonly move: (at: Point) => void
  /** It is let go of at a place, or put back where there is none. */
  readonly end: (at: Point | null) => void
}

const slop = 4

/** Click picks, drag with the second button or with the middle one moves the view, the wheel zooms, Shift-drag boxes. */
export function usePointer({ view, setView, onClick, onMove, onLeave, onBox, onGrab }: PointerActions) {
  const start = useRef<{
    readonly at: Point
    last: Point
    readonly button: number
    moved: boolean
    readonly boxing: boolean
    readonly grab: Grab | null
  } | null>(null)
  const at = (event: PointerEvent | WheelEvent): Point => {
    const { left, top } = event.currentTarget.getBoundingClientRect()
    return [event.clientX - left, event.clientY - top]
  }
  return {
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      start.current = {
        at: at(event),
        last: at(event),
        button: event.button,
        moved: false,
        boxing: event.shiftKey && onBox !== undefined,
        grab: event.button === 0 ? (onGrab?.(at(event)) ?? null) : null,
      }
    },
    onPointerMove: (event: PointerEvent) => {
      const here = at(event)
      const drag = start.current
      if (!drag) return onMove?.(here)
      if (Math.hypot(here[0] - drag.at[0], here[1] - drag.at[1]) > slop) drag.moved = true
      if (drag.moved && drag.grab) drag.grab.move(here)
      else if (drag.moved && !drag.boxing && view.current)
        setView(pan(view.current, here[0] - drag.last[0], here[1] - drag.last[1]))
      drag.last = here
    },
    onPointerUp: (event: PointerEvent) => {
      const drag = start.current
      start.current = null
      if (!drag) return
      if (drag.grab) drag.grab.end(drag.moved ? at(event) : null)
      else if (drag.boxing && drag.moved) onBox?.(drag.at, at(event))
      else if (!drag.moved && drag.button === 0) onClick(at(event), event)
    },
    onPointerLeave: () => onLeave?.(),
    onPointerCancel: () => {
      start.current?.grab?.end(null)
      start.current = null
    },
    onContextMenu: (event: { preventDefault: () => void }) => event.preventDefault(),
    onWheel: (event: WheelEvent) => {
      if (view.current) setView(zoomAt(view.current, at(event), Math.exp(-event.deltaY * 0.0012)))
    },
  }
}
