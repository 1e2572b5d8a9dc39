import { useEffect, useRef } from 'react'

/** Brings the marked row into the frame of its table, and moves nothing else. */
export function useMarkedRow<T extends HTMLElement>(row: string) {
  const frame = useRef<T>(null)
  useEffect(() => {
    const marked = frame.current?.querySelector<HTMLElement>('tr[aria-current]')
    if (!frame.current || !marked) return
    const { clientHeight } = frame.current
    const isHidden = marked.offsetTop + marked.offsetHeight > clientHeight
    if (isHidden) frame.current.scrollTop = marked.offsetTop - clientHeight / 2
  }, [row])
  return frame
}
