import { countOf, type Concern } from '@hedrion/core'

/** “62 concerns”: those that are not listed too, so that every place says the same. */
export function countedConcerns(concerns: readonly Concern[]): string {
  const count = countOf(concerns)
  return `${count} concern${count === 1 ? '' : 's'}`
}
