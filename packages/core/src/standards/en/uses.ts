import type { LoadGroup, UseSort } from '../family'
import type { UseRow } from '../tabled'

type Row = readonly [id: string, name: string, q_k: number | null, Q_k: number | null, table: string, sort?: UseSort]

/**
 * EN 1991-1-1, tables 6.2, 6.4, 6.6, 6.8, 6.10 and 6.11: recommended values in kN/m² and kN, for forklifts, F and G the axle. Names in
 * words of our own (tables 6.1, 6.3, 6.5, 6.7 and 6.9). Roofs that people use (I) carry what a floor of the same use does
 * (6.3.4.1). E2 has no recommended value: what is made or stored decides (6.3.2.1).
 */
const rows: readonly Row[] = [
  ['A', 'homes, floors', 2.0, 2.0, '6.2', 'homes'],
  ['A-stairs', 'homes, stairs', 2.0, 2.0, '6.2', 'home stairs'],
  ['A-balconies', 'homes, balconies', 2.5, 2.0, '6.2', 'home balconies'],
  ['B', 'offices', 3.0, 4.5, '6.2', 'offices'],
  ['C1', 'areas with tables', 3.0, 4.0, '6.2', 'tables'],
  ['C2', 'fixed seats', 4.0, 4.0, '6.2', 'fixed seats'],
  ['C3', 'museums, halls', 5.0, 4.0, '6.2', 'museums'],
  ['C4', 'dance and gymnastics', 5.0, 7.0, '6.2', 'gymnastics'],
  ['C5', 'crowds', 5.0, 4.5, '6.2', 'crowds'],
  ['D1', 'retail shops', 4.0, 4.0, '6.2', 'shops'],
  ['D2', 'department stores', 5.0, 7.0, '6.2', 'department stores'],
  ['E1', 'storage, books', 7.5, 7.0, '6.4', 'storage'],
  ['E2', 'industry, value to be entered', null, null, '6.4'],
  ['E2-FL1', 'industry, forklifts of 21 kN, value to be entered', null, 26, '6.6'],
  ['E2-FL2', 'industry, forklifts of 31 kN, value to be entered', null, 40, '6.6'],
  ['E2-FL3', 'industry, forklifts of 44 kN, value to be entered', null, 63, '6.6'],
  ['E2-FL4', 'industry, forklifts of 60 kN, value to be entered', null, 90, '6.6'],
  ['E2-FL5', 'industry, forklifts of 90 kN, value to be entered', null, 140, '6.6'],
  ['E2-FL6', 'industry, forklifts of 110 kN, value to be entered', null, 170, '6.6'],
  ['F', 'light vehicles', 2.5, 20, '6.8', 'cars'],
  ['G', 'medium vehicles', 5.0, 90, '6.8', 'lorries'],
  ['H', 'roof, maintenance access only', 0.4, 1.0, '6.10', 'roof'],
  ['I-A', 'roof used as in homes', 2.0, 2.0, '6.2 by 6.3.4.1'],
  ['I-B', 'roof used as in offices', 3.0, 4.5, '6.2 by 6.3.4.1'],
  ['I-C1', 'roof with tables', 3.0, 4.0, '6.2 by 6.3.4.1'],
  ['I-C2', 'roof with fixed seats', 4.0, 4.0, '6.2 by 6.3.4.1'],
  ['I-C3', 'accessible roof, no obstacles', 5.0, 4.0, '6.2 by 6.3.4.1'],
  ['I-C4', 'roof for dance and gymnastics', 5.0, 7.0, '6.2 by 6.3.4.1'],
  ['I-C5', 'roof for crowds', 5.0, 4.5, '6.2 by 6.3.4.1'],
  ['I-D1', 'roof with shops', 4.0, 4.0, '6.2 by 6.3.4.1'],
  ['I-D2', 'roof with department stores', 5.0, 7.0, '6.2 by 6.3.4.1'],
  ['K-HC1', 'helicopters up to 20 kN', null, 20, '6.11'],
  ['K-HC2', 'helicopters of 20 to 60 kN', null, 60, '6.11'],
]

/** The category: the letter, for a roof in use that of the floor; K goes by the factors of G, since table A1.1 has none for it. */
const groupOf = (id: string): string => (id.startsWith('I-') ? id.charAt(2) : id.startsWith('K') ? 'G' : id.charAt(0))

/** The factor alpha_A is for the loads of table 6.2, also on roofs in use (6.2.1(4), 6.3.1.2(10)). */
const reducible = (table: string): boolean => table.startsWith('6.2')

export const enUseRows: readonly UseRow[] = rows.map(([id, name, uniform, concentrated, table, sort]) => ({
  id,
  name,
  uniform,
  concentrated,
  group: groupOf(id),
  ...(sort ? { sort } : {}),
  reducible: reducible(table),
  clause: `EN 1991-1-1 table ${table}`,
}))

const floor = (letter: string): LoadGroup => ({
  name: `imposed, category ${letter}`,
  partitions: `partitions, category ${letter}`,
  symbol: `Q_${letter}`,
  action: 'imposed',
})

/** Categories of EN 1990, table A1.1. */
export const enGroups: Readonly<Record<string, LoadGroup>> = {
  ...Object.fromEntries(['A', 'B', 'C', 'D', 'E', 'F', 'G'].map((letter) => [letter, floor(letter)])),
  H: { name: 'imposed, roofs (category H)', partitions: 'partitions, category H', symbol: 'Q_H', action: 'roof' },
}
