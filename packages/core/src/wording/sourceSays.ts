/** What the picture beside a parameter shows of the building. */
export const sourceSays = {
  uses: 'Use in this building: area by level',
  barriers: 'Horizontal loads on barriers of this building, by level',
  partitions: 'Partitions of this building, by level',
  imposedMass: 'Imposed load of this building in the seismic mass, as weight by level',
  earthquake: 'Seismic storey forces of this building',
  weights: 'Seismic weights of this building',
  wind: 'Wind pressure at the levels of this building',
  factored: 'Load of each case on this building, and times the factor',
  reduced: 'At the column bases of this building: unreduced and reduced',
} as const
