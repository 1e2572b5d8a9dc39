import { highestPlaceMeaning } from '../barriers'
import type { Table } from '../../trace/table'
import { citingMethods } from '../methodClauses'
import { deadForPermanent, sharedActionNames, type Family } from '../family'
import {
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
import { bsBarriers } from './barriers'
import { bsRows } from './combinations'
import { bsGroups, bsUseRows } from './uses'

const imposedSymbols = ['q', 'Q'] as const
const rules = ruleParameters(bsRows, {
  permanent: 'G',
  of: symbolsOf(bsGroups, 'W'),
})

/** BS 6399-1, table 3: the part that is spared by the area supported, in proportion between its rows. From memory. */
const areaTable: Table = {
  symbol: 'r_A',
  quantity: 'factor',
  clause: 'BS 6399-1 table 3',
  fromMemory: true,
  axis: {
    symbol: 'A',
    quantity: 'area',
    at: [0, 50, 100, 150, 200, 250],
    between: 'linear',
    below: 'nearest',
    above: 'nearest',
  },
  rows: { spared: [0, 0.05, 0.1, 0.15, 0.2, 0.25] },
}

const methods = citingMethods({
  'EN 1991-1-1 5.2.1(1)': 'BS 6399-1 3.1',
  'EN 1991-1-1 6.4(2)': 'BS 6399-1 10',
  'IS 875-2 3.1.2, BS 6399-1 5.1.4': 'BS 6399-1 5.1.4',
})

/** BS 6399-1 and BS 6399-3 with the combinations of BS 8110. */
export const bsFamily: Family = {
  id: 'BS',
  name: 'British Standards',
  documents: 'BS 6399-1, BS 6399-3, BS 8110-1',
  meanings: {
    ...useParameters({ imposedSymbols }, bsUseRows),
    ...rules.meanings,
    ...leastPartitions('q_min'),
    ...keptMeaning,
    ...highestPlaceMeaning,
  },
  methods: { 'imposed.partitions': ['thirdOfWeight'], 'imposed.reduction': ['tables'] },
  recommended: {
    name: 'BS 6399, BS 8110',
    values: {
      ...useValues(bsUseRows, metricTable),
      ...bsBarriers,
      ...rules.values,
      'reduction.kept': remembered(5000, 'BS 6399-1 6.1'),
      'imposed.partitions.least': remembered(1000, 'BS 6399-1 5.1.4'),
    },
    tables: {
      'reduction.storeys': storeyTable('BS 6399-1 table 2'),
      'reduction.area': areaTable,
      'reduction.beams': areaTable,
    },
    methods: { 'imposed.partitions': 'thirdOfWeight', 'imposed.reduction': 'tables' },
  },
  uses: usesOf(bsUseRows),
  groups: bsGroups,
  keptGroup: 'Q',
  imposedSymbols,
  cited: (_, clause) => methods(clause),
  partitionRules: ['byWeight', 'typed'],
  partitionClause: 'BS 6399-1 5.1.4',
  leastPartitionsOf: ['B-offices'],
  pitched: { use: 'roof', rule: 'toSixty' },
  words: deadForPermanent,
  actionNames: { permanent: 'Dead', imposed: 'Imposed', roof: 'Imposed, roofs', ...sharedActionNames },
  actionClauses: {
    permanent: 'BS 6399-1 3.1: dead load',
    imposed: 'BS 6399-1 5.1: imposed load on floors',
    roof: 'BS 6399-3 4: imposed load on roofs',
    wind: 'BS 6399-2: one direction at a time',
    construction: 'BS 6399-1: apart from the final stage',
    barrier: 'BS 6399-1 10: apart from what acts downwards',
    lateral: 'BS 8110-1 3.1.4.2: one direction at a time; not derived',
  },
  exclusions: [],
  ruleSets: [
    { id: 'strength', name: 'ultimate, BS 8110' },
    { id: 'service', name: 'service' },
  ],
  ruleRows: bsRows,
  derivesWind: false,
  mass: { clause: 'common practice', shareOf: 'none', partitions: 'whole' },
}
