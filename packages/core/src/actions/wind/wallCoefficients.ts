import type { Concern, Outcome } from '../../outcome/outcome'
import { refused, sound } from '../../outcome/outcome'
import { tableOf, type Standard } from '../../standards/layer'
import { formula } from '../../trace/formula'
import { readTable } from '../../trace/readTable'
import { given, type Traced } from '../../trace/traced'

/** What zones D and E of one direction need (EN 1991-1-4, table 7.1 and 7.2.2(3)). */
export interface WallCoefficients {
  readonly ratio: Traced<'factor'>
  readonly c_D: Traced<'factor'>
  readonly c_E: Traced<'factor'>
  readonly k_corr: Traced<'factor'>
}

export const slenderness = formula({
  symbol: 'h/d',
  quantity: 'factor',
  clause: 'EN 1991-1-4 7.2.2',
  inputs: { h: 'length', d: 'length' },
  expression: 'h / d',
  evaluate: ({ h, d }) => h / d,
})

/** Refused where h/d lies beyond table 7.1. */
export function wallCoefficients(
  h: number,
  d: number,
  direction: string,
  standard: Standard,
): Outcome<WallCoefficients> {
  const ratio = slenderness({
    h: given('h', 'length', h, 'height with parapet'),
    d: given('d', 'length', d, 'depth along the wind'),
  })
  const pressures = tableOf(standard, 'wind.wallPressure')
  const c_D = readTable(pressures, 'D', ratio)
  const c_E = readTable(pressures, 'E', ratio)
  const k_corr = readTable(tableOf(standard, 'wind.correlation'), 'D+E', ratio)
  if (!c_D.ok) return refused(tooSlender(c_D.concerns[0], direction))
  if (!c_E.ok) return refused(tooSlender(c_E.concerns[0], direction))
  if (!k_corr.ok) return refused(tooSlender(k_corr.concerns[0], direction))
  return sound({ ratio, c_D: asFactor(c_D.value), c_E: asFactor(c_E.value), k_corr: asFactor(k_corr.value) })
}

/** Both tables are of factors; a layer cannot change the quantity of a table. */
const asFactor = (traced: Traced): Traced<'factor'> => ({ ...traced, quantity: 'factor' })

const tooSlender = (concern: Concern, direction: string): Concern => ({
  ...concern,
  code: 'wind.too-slender',
  data: { ...concern.data, direction },
})
