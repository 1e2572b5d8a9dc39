import { asceExposures, asceVelocityPressure } from './asce/wind'
import { peakVelocityPressure } from './en/peakVelocityPressure'
import type { FamilyId } from './family'
import { isCategories, isDesignPressure } from './is/wind'
import type { PressureRule } from './pressureRule'

/** What a family without a rule of its own keeps is called as here. */
export const enPressureRule: PressureRule = {
  mark: 'qp',
  name: 'Peak velocity pressure',
  velocity: { symbol: 'v_b,0', says: '10-minute mean at 10 m', clause: '4.2(1)P' },
  terrainClause: 'table 4.1',
  terrains: [
    ['0', '0 · sea or open coast'],
    ['I', 'I · lakes, flat land without obstacles'],
    ['II', 'II · low vegetation, single obstacles'],
    ['III', 'III · villages, suburbs, forest'],
    ['IV', 'IV · towns'],
  ],
  terrainOf: (terrain) => terrain,
  rowOf: (terrain) => terrain,
  at: peakVelocityPressure,
}

const rules: Readonly<Record<FamilyId, PressureRule | null>> = {
  EN: enPressureRule,
  ASCE: {
    mark: 'qz',
    name: 'Velocity pressure',
    velocity: { symbol: 'V', says: '3-second gust at 10 m', clause: '26.5' },
    terrainClause: '26.7.3',
    terrains: [
      ['III', 'B · towns, suburbs, woods'],
      ['II', 'C · open land'],
      ['0', 'D · flat, along water'],
    ],
    terrainOf: (terrain) => (terrain === 'IV' ? 'III' : terrain === 'I' ? '0' : terrain),
    rowOf: (terrain) => asceExposures[terrain],
    at: asceVelocityPressure,
  },
  IS: {
    mark: 'pd',
    name: 'Design wind pressure',
    velocity: { symbol: 'V_b', says: '3-second gust at 10 m', clause: '6.2' },
    terrainClause: '6.3.2.1',
    terrains: [
      ['0', '1 · open, all below 1.5 m'],
      ['II', '2 · open, some of 1.5 to 10 m'],
      ['III', '3 · many up to 10 m'],
      ['IV', '4 · many above 25 m'],
    ],
    terrainOf: (terrain) => (terrain === 'I' ? '0' : terrain),
    rowOf: (terrain) => isCategories[terrain],
    at: isDesignPressure,
  },
  BS: null,
}

/** Null where a family has no pressure of the wind in this version. */
export const pressureRuleOf = (family: FamilyId): PressureRule | null => rules[family]
