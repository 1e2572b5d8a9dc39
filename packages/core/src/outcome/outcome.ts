export type Severity = 'blocking' | 'caution' | 'note'

/**
 * Something a checker would ask about: a stable code, the records it is about and the figures. What follows from the code (how severe it
 * is, where it is mended, its sentence) stands in `concerns/definitions`.
 */
export interface Concern {
  readonly code: `${string}.${string}`
  /** Record ids or expanded ids, so that the screen can point at them. */
  readonly about: readonly string[]
  readonly data: Readonly<Record<string, number | string>>
  /** How many more of its kind there are that are not listed: on the last one of a kind that is. */
  readonly more?: number
}

export type Outcome<T> =
  | { readonly ok: true; readonly value: T; readonly concerns: readonly Concern[] }
  | { readonly ok: false; readonly concerns: readonly [Concern, ...Concern[]] }

export const sound = <T>(value: T, ...concerns: readonly Concern[]): Outcome<T> => ({ ok: true, value, concerns })

export const refused = (first: Concern, ...rest: readonly Concern[]): Outcome<never> => ({
  ok: false,
  concerns: [first, ...rest],
})
