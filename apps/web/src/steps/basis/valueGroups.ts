/** The folds that values of a standard stand in, by the beginning of their key; the first that fits counts. */
export const valueGroups: readonly (readonly [prefix: string, title: string])[] = [
  ['basis.gamma', 'Partial factors'],
  ['basis.K_FI', 'Reliability'],
  ['basis.psi', 'Combination factors ψ'],
  ['rule.', 'Combination rule factors'],
  ['imposed.partitions', 'Partitions'],
  ['imposed.', 'Imposed loads by use'],
  ['reduction.', 'Reduction of imposed loads'],
  ['barrier.', 'Loads on barriers by use'],
  ['mass.', 'Imposed load in the seismic mass'],
  ['earthquake.', 'Seismic'],
  ['wind.terrain', 'Terrain'],
  ['wind.', 'Wind'],
]

/** Index of the fold, or -1 for a value that none shows. */
export const groupOfValue = (key: string): number => valueGroups.findIndex(([prefix]) => key.startsWith(prefix))
