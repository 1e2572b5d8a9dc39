import type { Traced } from '../trace/traced'
import type { FamilyId } from './family'
import { isCoefficient, isPeriod } from './is/earthquake'
import { parameterOf, type Standard } from './layer'

/** How a family gets horizontal forces of an earthquake from the weight of the levels: a force at the base, and its parts by height. */
export interface EarthquakeRule {
  /** “IS 1893-1, equivalent static method”. */
  readonly name: string
  readonly forceClause: string
  readonly partClause: string
  /** Of a building by its height, where nobody says it. */
  readonly period: (h: Traced<'length'>, standard: Standard) => Traced<'period'>
  /** Force at the base per weight. */
  readonly coefficient: (T: Traced<'period'>, standard: Standard) => Traced<'coefficient'>
  /** The power of the height by which the levels share it. */
  readonly power: (T: Traced<'period'>, standard: Standard) => Traced<'factor'>
}

const rules: Readonly<Partial<Record<FamilyId, EarthquakeRule>>> = {
  IS: {
    name: 'IS 1893-1, equivalent static method',
    forceClause: 'IS 1893-1 7.6.1',
    partClause: 'IS 1893-1 7.6.3',
    period: isPeriod,
    coefficient: isCoefficient,
    power: (_, standard) => parameterOf(standard, 'earthquake.k', 'factor'),
  },
}

/** Null where a family has none in this version. */
export const earthquakeRuleOf = (family: FamilyId): EarthquakeRule | null => rules[family] ?? null
