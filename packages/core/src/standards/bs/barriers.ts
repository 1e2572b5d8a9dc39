import { barrierValues, highestPlace, type BarrierRow } from '../barriers'
import { remembered } from '../tabled'

const clause = 'BS 6399-1 table 4'

/**
 * BS 6399-1:1996, table 4, in kN/m at 1.1 m above the floor. Uses that the table parts by what stands beside the barrier (light
 * access, escape routes, stadia, vehicles) have no value here and are typed.
 */
const rows: readonly BarrierRow[] = [
  { value: 0.36, clause, uses: ['A-dwellings', 'A-dwelling-balconies'] },
  {
    value: 0.74,
    clause,
    uses: [
      'A-bedrooms',
      'A-hotel-bedrooms',
      'A-billiards',
      'A-kitchens',
      'A-corridors',
      'A-balconies',
      'A-hotel-balconies',
      'B-operating',
      'B-work-rooms',
      'B-offices',
      'B-kitchens',
      'B-computers',
      'B-machinery',
      'B-projection',
      'B-factories',
      'B-foundries',
      'C1-reading',
      'C1-classrooms',
      'C3-corridors',
      'C3-stairs',
      'E-equipment',
      'E-reading',
      'E-files',
      'E-storage',
      'E-stacks',
      'E-dense-stacks',
      'E-dense-warehouse',
      'E-paper',
      'E-cold',
      'E-plant',
      'roof-access',
    ],
  },
  { value: 1.5, clause, uses: ['B-banking', 'C1-dining', 'C2-fixed-seats', 'D-shops', 'F-cars'] },
  { value: 3.0, clause, uses: ['C3-museums', 'C5-crowds', 'C5-stages'] },
]

export const bsBarriers = {
  ...barrierValues(rows, 1000),
  [highestPlace]: remembered(1.1, clause),
}
