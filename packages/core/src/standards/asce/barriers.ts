import { barrierValues } from '../barriers'
import { asceUseRows } from './uses'

/** One pound-force per foot in N/m. */
export const poundPerFoot = 14.593903

/** Homes of one and two families take a single force alone (4.5.1.1, exception 1). */
const homes = /^(attics-|homes$|stairs-homes$|fire-escapes-single$)/

/**
 * ASCE 7-16, 4.5.1.1: handrails and guards, 50 lb/ft at the top; the 20 lb/ft of exception 2 (no public, fewer than 50 people)
 * are for the person to type. Roofs without access have no guard.
 */
export const asceBarriers = barrierValues(
  [
    {
      value: 50,
      clause: 'ASCE 7-16 4.5.1.1',
      uses: asceUseRows.filter(({ id, group }) => group !== 'Lr' && !homes.test(id)).map(({ id }) => id),
    },
  ],
  poundPerFoot,
)
