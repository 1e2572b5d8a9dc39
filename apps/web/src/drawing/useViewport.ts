import { useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react'
import type { Scene } from './scene'
import { fit, type Margins, type Viewport } from './viewport'

/** The view of a scene in its frame: fitted, until a person moves it; fitted again when the frame changes its size. */
export function useViewport(frame: RefObject<HTMLElement | null>, scene: Scene, margins: Margins) {
  const [size, setSize] = useState<readonly [number, number]>([0, 0])
  const [moved, setView] = useState<Viewport | null>(null)
  useEffect(() => {
    if (!frame.current) return
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize([Math.floor(entry.contentRect.width), Math.floor(entry.contentRect.height)])
    })
    observer.observe(frame.current)
    return () => observer.disconnect()
  }, [frame])
  const { x0, y0, x1, y1 } = scene.box
  // by the numbers of the box: a scene is made anew at every answer, and mostly has the same box
  const fitted = useMemo(
    () => (size[0] > 0 ? fit({ x0, y0, x1, y1 }, size[0], size[1], margins) : null),
    [x0, y0, x1, y1, size, margins],
  )
  const view = moved && moved.width === size[0] && moved.height === size[1] ? moved : fitted
  const viewRef = useRef(view)
  useLayoutEffect(() => {
    viewRef.current = view
  }, [view])
  return { view, viewRef, setView }
}
