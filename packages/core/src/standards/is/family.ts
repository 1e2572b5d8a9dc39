import type { Table } from '../../trace/table'
import { citingMethods } from '../methodClauses'
import { deadForPermanent, sharedActionNames, type Family } from '../family'
import {
  massMeanings,
  metricTable,
  remembered,
  ruleParameters,
  useParameters,
  usesOf,
  useValues,
  keptMeaning,
  leastPartitions,
  symbolsOf,
} from '../tabled'
import { storeyTable } from '../storeyTables'
import { isBarriers } from './barriers'
import { isRows } from './combinations'
import { isEarthquake } from './earthquake'
import { isGroups, isUseRows } from './uses'
import { isTerrainTable, isWind } from './wind'

const imposedSymbols = ['q', 'Q'] as const
const rules = ruleParameters(isRows, {
  permanent: 'DL',
  of: symbolsOf(isGroups, 'WL'),
})

/** IS 875-2 3.2.2: a twentieth for each 50 m² of floor that a beam supports, up to a quarter; nothing below 50 m². From memory. */
const beamTable: Table = {
  symbol: 'r_A',
  quantity: 'factor',
  clause: 'IS 875-2 3.2.2',
  fromMemory: true,
  axis: {
    symbol: 'A',
    quantity: 'area',
    at: [0, 50, 100, 150, 200, 250],
    between: 'lastBelow',
    below: 'refuse',
    above: 'nearest',
  },
  rows: { spared: [0, 0.05, 0.1, 0.15, 0.2, 0.25] },
}

const methods = citingMethods({
  'EN 1991-1-1 5.2.1(1)': 'IS 875-1',
  'EN 1991-1-1 6.4(2)': 'IS 875-2 table 3',
  'IS 875-2 3.1.2, BS 6399-1 5.1.4': 'IS 875-2 3.1.2',
})

/** IS 875-2 with the combinations of IS 456 and IS 800. */
export const isFamily: Family = {
  id: 'IS',
  name: 'Indian Standards',
  documents: 'IS 875-2, IS 875-3, IS 1893-1, IS 456, IS 800',
  meanings: {
    ...useParameters({ imposedSymbols }, isUseRows),
    ...rules.meanings,
    ...massMeanings(['low', 'high', 'limit']),
    ...leastPartitions('q_min'),
    'imposed.partitions.heaviest': {
      symbol: 'g_max',
      quantity: 'lineLoad',
      name: 'weight per metre up to which partitions count as an allowance',
      min: 0,
      max: 1e5,
    },
    'imposed.partitions.heaviestFace': {
      symbol: 'w_max',
      quantity: 'pressure',
      name: 'weight per area of wall up to which partitions count as an allowance',
      min: 0,
      max: 1e5,
    },
    ...keptMeaning,
    ...isWind.meanings,
    ...isEarthquake.meanings,
  },
  methods: { 'imposed.partitions': ['thirdOfWeight'], 'imposed.reduction': ['tablesAllFloors'] },
  recommended: {
    name: 'IS 875-2, IS 875-3, IS 456, IS 800',
    values: {
      ...useValues(isUseRows, metricTable),
      ...isBarriers,
      ...rules.values,
      ...isWind.values,
      ...isEarthquake.values,
      'reduction.kept': remembered(5000, 'IS 875-2 3.2.1.1'),
      'imposed.partitions.least': remembered(1000, 'IS 875-2 3.1.2'),
      'imposed.partitions.heaviest': remembered(4000, 'IS 875-2 3.1.2'),
      'imposed.partitions.heaviestFace': remembered(1500, 'IS 875-2 3.1.2'),
      'mass.share.low': remembered(0.25, 'IS 1893-1 table 10, up to 3.0 kN/m²'),
      'mass.share.high': remembered(0.5, 'IS 1893-1 table 10, above 3.0 kN/m²'),
      'mass.share.limit': remembered(3000, 'IS 1893-1 table 10'),
    },
    tables: {
      'reduction.storeys': storeyTable('IS 875-2 3.2.1'),
      'reduction.beams': beamTable,
      'wind.k_2': isTerrainTable,
    },
    methods: { 'imposed.partitions': 'thirdOfWeight', 'imposed.reduction': 'tablesAllFloors' },
  },
  uses: usesOf(isUseRows),
  groups: isGroups,
  keptGroup: 'IL',
  imposedSymbols,
  cited: (_, clause) => methods(clause),
  partitionRules: ['byWeight', 'typed'],
  partitionClause: 'IS 875-2 3.1.2',
  pitched: { use: 'roof', rule: 'lessPerDegree' },
  words: deadForPermanent,
  actionNames: { permanent: 'Dead', imposed: 'Imposed', roof: 'Imposed, roofs', ...sharedActionNames },
  actionClauses: {
    permanent: 'IS 875-1: dead load',
    imposed: 'IS 875-2 3.1: imposed load on floors',
    roof: 'IS 875-2 4.1: imposed load on roofs',
    wind: 'IS 875-3: one direction at a time',
    construction: 'IS 875-2: apart from the final stage',
    barrier: 'IS 875-2 table 3: apart from what acts downwards',
    lateral: 'IS 1893-1 7.6.3: one direction at a time; not derived',
  },
  exclusions: [],
  ruleSets: [
    { id: 'strength', name: 'collapse, IS 456' },
    { id: 'service', name: 'serviceability, IS 456' },
    { id: 'steel', name: 'strength, IS 800' },
    { id: 'steelService', name: 'serviceability, IS 800' },
  ],
  ruleRows: isRows,
  derivesWind: false,
  mass: { clause: 'IS 1893-1 table 10', shareOf: 'byIntensity', partitions: 'whole' },
}
