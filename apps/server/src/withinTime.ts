import { setTimeout as after } from 'node:timers/promises'

/** What work comes to, or what `late` makes of it when it takes longer than so many milliseconds; the work itself goes on. */
export async function withinTime<T>(work: Promise<T>, milliseconds: number, late: () => Error): Promise<T> {
  const stop = new AbortController()
  const end = after(milliseconds, undefined, { signal: stop.signal }).then((): never => {
    throw late()
  })
  try {
    return await Promise.race([work, end])
  } finally {
    stop.abort()
    end.catch(() => undefined)
  }
}
