import type { LoadKey } from '../../document/recordKinds'

export type Use = NonNullable<LoadKey['use']>

/** The category that psi factors and exclusions go by: the first letter. */
export type Category = 'A' | 'B' | 'C' | 'D' | 'E' | 'F' | 'G' | 'H'

export const categoryOf = (use: Use): Category => use.charAt(0) as Category

/** What the category is for, in words of our own (EN 1991-1-1, tables 6.1, 6.3, 6.7 and 6.9). */
export const useNames: Readonly<Record<Use, string>> = {
  A: 'homes, floors',
  'A-stairs': 'homes, stairs',
  'A-balconies': 'homes, balconies',
  B: 'offices',
  C1: 'people at tables',
  C2: 'fixed seats',
  C3: 'museums, halls',
  C4: 'dance and gymnastics',
  C5: 'crowds',
  D1: 'retail shops',
  D2: 'department stores',
  E1: 'storage, books',
  F: 'light vehicles',
  G: 'medium vehicles',
  H: 'roof, repair only',
}
export const uses = Object.keys(useNames) as readonly Use[]
