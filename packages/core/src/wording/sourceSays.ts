/** What the picture beside a parameter shows of the building. */
export const sourceSays = {
  uses: 'Where this building has it: area by level',
  barriers: 'What presses on the barriers of this building, by level',
  partitions: 'Partitions of this building, by level',
  imposedMass: 'Imposed load of this building that counts in the mass, as weight by level',
  earthquake: 'Storey forces of the earthquake on this building',
  weights: 'Weights of this building, which storey forces follow from',
  wind: 'Pressure of the wind at the levels of this building',
  factored: 'What each case puts on this building, and times the factor',
  reduced: 'At the feet of the columns of this building: whole, and reduced',
} as const
