/**
 * What an object has under a name that came from outside; undefined also for `constructor` and the like, which every object has from
 * elsewhere.
 */
export const own = <T>(of: Readonly<Record<string, T>>, name: string): T | undefined =>
  Object.hasOwn(of, name) ? of[name] : undefined
