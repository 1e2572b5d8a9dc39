/** What a use of a floor is for, whatever the family: it lets a load key keep its purpose when the family is changed. */
export const useSorts = [
  'homes',
  'home stairs',
  'home balconies',
  'offices',
  'tables',
  'fixed seats',
  'museums',
  'gymnastics',
  'crowds',
  'shops',
  'department stores',
  'storage',
  'cars',
  'lorries',
  'roof',
] as const

export type UseSort = (typeof useSorts)[number]
