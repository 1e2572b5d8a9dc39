import { Children, startTransition, useEffect, useState, type ReactNode } from 'react'

/**
 * What lies further down a page comes a moment after the rest, so that a page appears in several short tasks instead of
 * one long one. `after` counts: what has a higher number comes later.
 */
export function Later({ after = 1, children }: { readonly after?: number; readonly children: ReactNode }) {
  const [due, setDue] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setDue(true)), 30 * after)
    return () => clearTimeout(timer)
  }, [after])
  return due ? children : null
}

/** Its children one after another, in their order: each a moment after the one before is there. */
export function OneByOne({ children }: { readonly children: ReactNode }) {
  const all = Children.toArray(children)
  const [due, setDue] = useState(1)
  useEffect(() => {
    if (due >= all.length) return
    const timer = setTimeout(() => startTransition(() => setDue(due + 1)), 30)
    return () => clearTimeout(timer)
  }, [due, all.length])
  return all.slice(0, due)
}
