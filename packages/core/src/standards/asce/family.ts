import { usSpelling } from '../../outcome/vocabulary'
import { citingMethods } from '../methodClauses'
import { sharedActionNames, type Family } from '../family'
import {
  massMeanings,
  remembered,
  ruleParameters,
  useParameters,
  usesOf,
  useValues,
  leastPartitions,
  symbolsOf,
} from '../tabled'
import { citedInEdition } from './cited'
import { asceBarriers } from './barriers'
import { asceRows } from './combinations'
import { asceGroups, asceUseRows, poundTable } from './uses'
import { asceWindMeanings, asceWindValues } from './wind'

const imposedSymbols = ['L_0', 'P'] as const
const rules = ruleParameters(asceRows, {
  permanent: 'D',
  of: symbolsOf(asceGroups, 'W'),
})
/** m */
const foot = 0.3048

const methods = citingMethods({ 'EN 1991-1-1 5.2.1(1)': 'ASCE 7-16 3.1.2', 'EN 1991-1-1 6.4(2)': 'ASCE 7-16 4.5.1' })

/** ASCE 7-16: live loads and combinations; the other editions lie over it as layers. */
export const asceFamily: Family = {
  id: 'ASCE',
  name: 'ASCE 7',
  documents: 'ASCE 7-16: live loads, combinations',
  meanings: {
    ...useParameters({ imposedSymbols }, asceUseRows),
    ...rules.meanings,
    ...massMeanings(['storage']),
    'mass.partitions.least': {
      symbol: 'w_part',
      quantity: 'pressure',
      name: 'minimum partition weight in the seismic mass',
      min: 0,
      max: 1e4,
    },
    ...leastPartitions('q_part'),
    ...asceWindMeanings,
    'reduction.length': {
      symbol: 'L_1',
      quantity: 'length',
      name: 'of the area supported by a member',
      min: 0,
      max: 100,
    },
    'reduction.slabWidth': {
      symbol: 'w',
      quantity: 'factor',
      name: 'width of a one-way slab that counts for its area, by its span',
      min: 0.1,
      max: 10,
    },
    'reduction.roofArea': {
      symbol: 'A_1',
      quantity: 'area',
      name: 'of roof from which its live load is reduced',
      min: 0.1,
      max: 1e4,
    },
    'imposed.partitions.limit': {
      symbol: 'L_lim',
      quantity: 'pressure',
      name: 'live load from which no partitions are added',
      min: 0,
      max: 1e5,
    },
  },
  methods: { 'imposed.partitions': ['least', 'leastToLimit'], 'imposed.reduction': ['rootOfArea'] },
  recommended: {
    name: 'ASCE 7-16',
    values: {
      ...useValues(asceUseRows, poundTable),
      ...asceBarriers,
      ...rules.values,
      ...asceWindValues,
      'imposed.partitions.least': remembered(15 * poundTable.pressure, 'ASCE 7-16 4.3.2'),
      'mass.partitions.least': remembered(10 * poundTable.pressure, 'ASCE 7-16 12.7.2, item 2'),
      'mass.share.storage': remembered(0.25, 'ASCE 7-16 12.7.2, item 1'),
      'reduction.length': remembered(15 * foot, 'ASCE 7-16 (4.7-1)'),
      'reduction.slabWidth': remembered(1.5, 'ASCE 7-16 4.7.6'),
      'reduction.roofArea': remembered(200 * foot * foot, 'ASCE 7-16 4.8.2'),
      'imposed.partitions.limit': remembered(80 * poundTable.pressure, 'ASCE 7-16 4.3.2, exception'),
    },
    tables: {},
    methods: { 'imposed.partitions': 'least', 'imposed.reduction': 'rootOfArea' },
  },
  uses: usesOf(asceUseRows),
  groups: asceGroups,
  // 2.3.1, exception: a live load above 100 psf stays whole beside wind, whoever says it; a hair more for rounding
  heavy: { group: 'L', becomes: 'Lp', above: 100.001 * poundTable.pressure },
  imposedSymbols,
  cited: (layers, clause) => citedInEdition(layers, methods(clause)),
  partitionRules: ['least', 'typed'],
  partitionClause: 'ASCE 7-16 4.3.2',
  words: [['imposed', 'live'], ['permanent', 'dead'], ...usSpelling],
  actionNames: {
    permanent: 'Dead',
    imposed: 'Live',
    roof: 'Roof live',
    ...sharedActionNames,
    lateral: 'Story forces by weight',
  },
  actionClauses: {
    permanent: 'ASCE 7-16 3.1: dead load',
    imposed: 'ASCE 7-16 4.3: live load',
    roof: 'ASCE 7-16 4.8: roof live load',
    wind: 'ASCE 7-16 26.5: one direction at a time',
    construction: 'ASCE 37: apart from the final stage',
    barrier: 'ASCE 7-16 4.5: apart from what acts downwards',
    lateral: 'ASCE 7-16 1.4.2, 12.8.3: one direction at a time; not derived',
  },
  exclusions: [],
  ruleSets: [
    { id: 'strength', name: 'strength (LRFD), 2.3.1' },
    { id: 'allowable', name: 'allowable stress (ASD), 2.4.1' },
  ],
  ruleRows: asceRows,
  derivesWind: false,
  mass: { clause: 'ASCE 7-16 12.7.2', shareOf: 'storage', partitions: 'atLeast' },
}
