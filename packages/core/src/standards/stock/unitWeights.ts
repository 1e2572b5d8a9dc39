import { annexA } from './weights/annexA'
import { annexAStored } from './weights/annexAStored'
import { asceDeadLoads } from './weights/asceDeadLoads'
import { asceDensities } from './weights/asceDensities'
import { is456Concrete, isAreas, isDensities } from './weights/isWeights'
import { bsSchedule } from './weights/bsSchedule'
import { expandRows, type Rows, type TabledWeight } from './weights/row'

/** lb/ft³ in N/m³ (NIST SP 811: 1 lb/ft³ of weight is 157.0875 N/m³). */
const poundsPerCubicFoot = 157.087_46
/** kg/m³ of mass in N/m³ of weight: standard gravity, m/s² (ISO 80000-3). */
const standardGravity = 9.806_65
/** lb/ft² in N/m² (NIST SP 811: 1 lbf/ft² is 47.88026 Pa). */
const poundsPerSquareFoot = 47.880_26

const groups = (
  table: string,
  rows: Readonly<Record<string, Rows>>,
  per: TabledWeight['per'],
  unit: number,
): readonly TabledWeight[] => Object.entries(rows).flatMap(([group, of]) => expandRows([table, group, of], per, unit))

/**
 * Weights by volume, N/m³, standard after standard and table after table. Reinforced concrete of EN is the plain one
 * and 1 kN/m³, by the note.
 */
export const unitWeights: readonly TabledWeight[] = [
  ...[...annexA, ...annexAStored].flatMap(([table, group, rows]) =>
    expandRows([`EN 1991-1-1 table ${table}`, group, rows], 'volume', 1000),
  ),
  ...groups('ASCE 7-16 table C3.1-2', asceDensities, 'volume', poundsPerCubicFoot),
  ...groups('IS 875-1 table 1', isDensities, 'volume', 1000),
  ...groups('IS 456 19.2.1', is456Concrete, 'volume', 1000),
  ...groups('BS 648', bsSchedule, 'volume', standardGravity),
]

/** Weights by area of what is laid, hung or built in one thickness, N/m². */
export const areaWeights: readonly TabledWeight[] = [
  ...groups('ASCE 7-16 table C3.1-1', asceDeadLoads, 'area', poundsPerSquareFoot),
  ...groups('IS 875-1 table 2', isAreas, 'area', 1000),
]

/** How a record says where its value came from. */
export const sourceOf = ({ clause, fromMemory }: TabledWeight): string =>
  `${clause}${fromMemory ? ', from memory' : ''}`

/** The upper value of a row, N/m³, with its source: what weighs is not taken too light. A name that no row has is a programming error. */
export function weightOf(name: string): { readonly unitWeight: number; readonly source: string } {
  const row = unitWeights.find((entry) => entry.name === name)
  if (!row) throw new Error(`No unit weight of ${name}`)
  return { unitWeight: row.to, source: sourceOf(row) }
}
