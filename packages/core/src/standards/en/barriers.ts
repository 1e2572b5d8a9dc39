import { barrierValues, highestPlace, type BarrierRow } from '../barriers'
import { remembered } from '../tabled'

const table = 'EN 1991-1-1 table 6.12'

/**
 * EN 1991-1-1, table 6.12, the recommended end of each range, kN/m. Roofs in use go by the use of the floor (6.3.4.1). Barriers
 * of F and G are hit by vehicles (annex B), which no line load stands for; H and K have no row.
 */
const rows: readonly BarrierRow[] = [
  { value: 0.5, clause: table, uses: ['A', 'A-stairs', 'A-balconies', 'I-A'] },
  { value: 0.5, clause: table, uses: ['B', 'C1', 'I-B', 'I-C1'] },
  { value: 1.0, clause: table, uses: ['C2', 'C3', 'C4', 'D1', 'D2', 'I-C2', 'I-C3', 'I-C4', 'I-D1', 'I-D2'] },
  { value: 3.0, clause: table, uses: ['C5', 'I-C5'] },
  { value: 2.0, clause: table, uses: ['E1', 'E2', 'E2-FL1', 'E2-FL2', 'E2-FL3', 'E2-FL4', 'E2-FL5', 'E2-FL6'] },
]

export const enBarriers = {
  ...barrierValues(rows, 1000),
  [highestPlace]: remembered(1.2, 'EN 1991-1-1 6.4(2)'),
}

const german = 'DIN EN 1991-1-1/NA table 6.12DE'

/** DIN EN 1991-1-1/NA, table 6.12DE, kN/m. */
export const germanBarriers = barrierValues(
  [
    { value: 0.5, clause: german, uses: ['A1', 'A2', 'A3', 'B1', 'F1', 'F2', 'H', 'T1', 'Z'] },
    {
      value: 1.0,
      clause: german,
      uses: ['B2', 'B3', 'C1', 'C2', 'C3', 'C4', 'D1', 'D2', 'D3', 'E1.1', 'E1.2', 'E2.1', 'T2'],
    },
    { value: 2.0, clause: german, uses: ['C5', 'C6', 'T3'] },
  ],
  1000,
)
