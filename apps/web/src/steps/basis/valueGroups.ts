import type { InWords } from '../../compute/useWords'

/** The folds that values of a standard stand in, by the beginning of their key; the first that fits counts. */
export const valueGroups = (inWords: InWords): readonly (readonly [prefix: string, title: string])[] => [
  ['basis.gamma', 'Partial factors'],
  ['basis.K_FI', 'Reliability'],
  ['basis.psi', 'Combination factors ψ'],
  ['rule.', 'Combination rule factors'],
  ['imposed.partitions', 'Partitions'],
  ['imposed.', inWords('Imposed loads by use')],
  ['reduction.', inWords('Reduction of imposed loads')],
  ['barrier.', 'Loads on barriers by use'],
  ['mass.', inWords('Imposed load in the seismic mass')],
  ['earthquake.', 'Seismic'],
  ['wind.terrain', 'Terrain'],
  ['wind.', 'Wind'],
]

const prefixes = valueGroups((text) => text)

/** Index of the fold, or -1 for a value that none shows. */
export const groupOfValue = (key: string): number => prefixes.findIndex(([prefix]) => key.startsWith(prefix))
