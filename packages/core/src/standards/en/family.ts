import { sharedActionNames, type Family } from '../family'
import { usesOf } from '../tabled'
import { peakPressureMethods } from './peakVelocityPressure'
import { enImposedSymbols, enMeanings, enRecommended } from './recommended'
import { enGroups, enUseRows } from './uses'

export const enFamily: Family = {
  id: 'EN',
  name: 'Eurocodes',
  documents: 'EN 1990, EN 1991-1-1, EN 1991-1-4',
  meanings: enMeanings,
  methods: {
    'wind.peakPressure': Object.keys(peakPressureMethods),
    'imposed.partitions': ['byBand'],
    'imposed.reduction': ['alpha', 'alphaGermany'],
    'imposed.columns': ['byStoreys', 'byAreaToo'],
  },
  recommended: enRecommended,
  uses: usesOf(enUseRows),
  groups: enGroups,
  imposedSymbols: enImposedSymbols,
  partitionRules: ['byWeight', 'typed'],
  partitionClause: 'EN 1991-1-1 6.3.1.2(8)',
  words: [],
  actionNames: {
    permanent: 'Permanent',
    imposed: 'Imposed',
    roof: 'Imposed, roofs (category H)',
    ...sharedActionNames,
  },
  actionClauses: {
    permanent: 'EN 1991-1-1 3.2(1): self-weight as one action',
    imposed: 'EN 1991-1-1 3.3.1(2): imposed loads as one action',
    roof: 'EN 1991-1-1 6.3.4',
    wind: 'EN 1991-1-4 4.2: one direction at a time',
    construction: 'EN 1991-1-6: apart from the final stage',
    barrier: 'EN 1991-1-1 6.4: apart from what acts downwards',
    lateral: 'EN 1992-1-1 5.2(8), EN 1998-1 4.3.3.2.3: one direction at a time; not derived',
  },
  exclusions: [{ actions: ['roof', 'wind'], clause: 'EN 1991-1-1 3.3.2(1)' }],
  ruleSets: [
    { id: 'strength', name: 'strength, 6.10' },
    { id: 'characteristic', name: 'characteristic' },
    { id: 'frequent', name: 'frequent' },
    { id: 'quasiPermanent', name: 'quasi-permanent' },
  ],
  ruleRows: [],
  derivesWind: true,
  mass: { clause: 'EN 1998-1 3.2.4(2): ψ2 with φ = 1', shareOf: 'psi2', partitions: 'share' },
}
