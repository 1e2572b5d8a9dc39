import type { StandardLayer } from '../layer'
import { remembered, ruleKey } from '../tabled'
import { profileValues } from './wind'

const layer = (
  name: string,
  values: StandardLayer['values'],
  methods: StandardLayer['methods'] = {},
): StandardLayer => ({ name, values, tables: {}, methods })

/** Partitions are added up to and including 80 psf; from 7-16 on below it. */
const toLimit = { 'imposed.partitions': 'leastToLimit' }

/** ASCE 7-05: wind is at service level, so its factors are 1.6 and 0.8 (2.3.2) and 1.0 (2.4.1). */
const asce705 = layer(
  'ASCE 7-05',
  {
    [ruleKey('lrfd-3', 'wind')]: remembered(0.8, 'ASCE 7-05 2.3.2, combination 3'),
    [ruleKey('lrfd-4', 'wind')]: remembered(1.6, 'ASCE 7-05 2.3.2, combination 4'),
    [ruleKey('lrfd-5', 'wind')]: remembered(1.6, 'ASCE 7-05 2.3.2, combination 6'),
    [ruleKey('asd-5', 'wind')]: remembered(1, 'ASCE 7-05 2.4.1, combination 5'),
    [ruleKey('asd-6', 'wind')]: remembered(0.75, 'ASCE 7-05 2.4.1, combination 6'),
    [ruleKey('asd-7', 'wind')]: remembered(1, 'ASCE 7-05 2.4.1, combination 7'),
  },
  toLimit,
)

/** ASCE 7-10: combinations, live loads and velocity pressure of this version are those of 7-16, which adds K_e = 1 where it is permitted. */
const asce710 = layer('ASCE 7-10', {}, toLimit)

/** ASCE 7-22: of the rows with D, L, L_r and W none differs from 7-16; the profile of the wind does, and snow (not derived yet). */
const asce722 = layer('ASCE 7-22', {
  'wind.K_d': remembered(1, 'ASCE 7-22 26.10.2: K_d is applied to the load instead'),
  ...profileValues('ASCE 7-22 table 26.11-1', 2.41, { B: [3280, 7.5], C: [2460, 9.8], D: [1935, 11.5] }),
})

/** Editions other than 7-16, which the family itself holds, oldest first. */
export const asceEditions: readonly StandardLayer[] = [asce705, asce710, asce722]
