/** The value that all have; null where there is none, or where they differ. */
export const shared = <T>(values: readonly T[]): T | null =>
  values.every((value) => value === values[0]) ? (values[0] ?? null) : null

/** What a field says in place of a value where the picked records differ. */
export const severalWord = 'several'

/** What a choice says for a value. */
export const wordOf = (options: readonly (readonly [value: string, word: string])[], value: string | null): string =>
  options.find(([option]) => option === value)?.[1] ?? severalWord
