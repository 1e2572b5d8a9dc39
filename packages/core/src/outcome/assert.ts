/** A broken promise between programmers, never something that a user can cause. */
export function assert(condition: unknown, message: string): asserts condition {
  if (!condition) throw new Error(message)
}

export function unreachable(value: never): never {
  throw new Error(`Unhandled: ${JSON.stringify(value)}`)
}

/** A value that must be there; throws with its name otherwise. */
export function present<T>(value: T | undefined | null, what: string): T {
  if (value === undefined || value === null) throw new Error(`Missing: ${what}`)
  return value
}

/** An entry that its list must have; throws with the place otherwise, where a default of nought would be a wrong number. */
export function entry<T>(list: ArrayLike<T>, index: number): T {
  const value = list[index]
  if (value === undefined) throw new Error(`Missing: entry ${index} of ${list.length}`)
  return value
}
