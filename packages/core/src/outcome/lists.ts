/**
 * A list as arguments is put on the stack, which holds some hundred thousand at most: these take lists of any length. An empty one has
 * the smallest value Infinity and the largest -Infinity, as with Math.
 */
export function smallest(values: Iterable<number>): number {
  let least = Infinity
  for (const value of values) least = Math.min(least, value)
  return least
}

export function largest(values: Iterable<number>): number {
  let most = -Infinity
  for (const value of values) most = Math.max(most, value)
  return most
}

/** Puts all items at the end of a list. */
export function pushAll<T>(list: T[], items: Iterable<T>): void {
  for (const item of items) list.push(item)
}
