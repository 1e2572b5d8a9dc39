import type { LoadKey } from '../document/recordKinds'
import type { Concern } from '../outcome/outcome'
import { familyOf } from '../standards/families'
import { parameterIf, parameterOf, tableOf, type Standard } from '../standards/layer'
import { formula } from '../trace/formula'
import { readTable } from '../trace/readTable'
import { given, type Traced } from '../trace/traced'

/** IS 875-2 3.1.2 and BS 6399-1 5.1.4: a third of the weight per metre of wall, and never less than the least. */
export const thirdOfWeight = formula({
  symbol: 'q_part',
  quantity: 'pressure',
  clause: 'IS 875-2 3.1.2, BS 6399-1 5.1.4',
  // the rules name the weight of one metre of wall, which is spread over a metre's width: l = 1 m
  inputs: { g_wall: 'lineLoad', l: 'length', q_min: 'pressure' },
  expression: 'max(g_wall / (3 * l), q_min)',
  evaluate: ({ g_wall, l, q_min }) => Math.max(g_wall / (3 * l), q_min),
})

/** ASCE 7 4.3.2: not less than the least, and none where the live load is at or above the limit. */
export const leastAllowance = formula({
  symbol: 'q_part',
  quantity: 'pressure',
  clause: 'ASCE 7-16 4.3.2',
  inputs: { L_0: 'pressure', L_lim: 'pressure', q_min: 'pressure' },
  expression: 'q_min * (L_0 < L_lim)',
  evaluate: ({ L_0, L_lim, q_min }) => (L_0 < L_lim ? q_min : 0),
})

/** The same of 7-05 and 7-10: none where the live load exceeds the limit. */
export const leastAllowanceToLimit = formula({
  symbol: 'q_part',
  quantity: 'pressure',
  clause: 'ASCE 7-16 4.3.2',
  inputs: { L_0: 'pressure', L_lim: 'pressure', q_min: 'pressure' },
  expression: 'q_min * (L_0 <= L_lim)',
  // 80 psf as a sum or a conversion may have it
  evaluate: ({ L_0, L_lim, q_min }) => (L_0 <= L_lim ? q_min : 0),
})

export interface Allowance {
  readonly value: Traced | null
  readonly concerns: readonly Concern[]
}

const none: Allowance = { value: null, concerns: [] }

/** The allowance for movable partitions, apart from the imposed load since it is never reduced. */
export function partitionAllowance(key: LoadKey, imposed: Traced | null, standard: Standard): Allowance {
  switch (key.partitionRule) {
    case 'typed':
      return typedAllowance(key, imposed, standard)
    case 'least':
      return asksForLeast(standard) ? { value: least(imposed, standard), concerns: [] } : unfit(key, standard)
    case 'byWeight':
      return byWeight(key, imposed, standard)
  }
}

/** The standard asks for an allowance wherever partitions may stand, whatever they weigh. */
const asksForLeast = ({ methods }: Standard): boolean =>
  methods['imposed.partitions'] === 'least' || methods['imposed.partitions'] === 'leastToLimit'

const least = (imposed: Traced | null, standard: Standard): Traced =>
  (standard.methods['imposed.partitions'] === 'leastToLimit' ? leastAllowanceToLimit : leastAllowance)({
    L_0: pressure(imposed ?? given('L_0', 'pressure', 0, 'no live load')),
    L_lim: parameterOf(standard, 'imposed.partitions.limit', 'pressure'),
    q_min: parameterOf(standard, 'imposed.partitions.least', 'pressure'),
  })

const pressure = (traced: Traced): Traced<'pressure'> => ({ ...traced, quantity: 'pressure' })

/** A typed allowance counts as typed; one below what the standard asks for is named. */
function typedAllowance(key: LoadKey, imposed: Traced | null, standard: Standard): Allowance {
  if (key.partitionLoad === null) return none
  const value = given('q_part', 'pressure', key.partitionLoad, `entered for “${key.name}”`)
  const wanted = asksForLeast(standard) ? least(imposed, standard).value : 0
  if (key.partitionLoad >= wanted) return { value, concerns: [] }
  const data = { key: key.name, value: key.partitionLoad, least: wanted }
  return { value, concerns: [{ code: 'partitions.below-least', about: [key.id], data }] }
}

function byWeight(key: LoadKey, imposed: Traced | null, standard: Standard): Allowance {
  if (key.partitionWeight === null || key.partitionWeight === 0) return none
  const g_wall = given('g_wall', 'lineLoad', key.partitionWeight, `self-weight of the partitions of “${key.name}”`)
  switch (standard.methods['imposed.partitions']) {
    case 'thirdOfWeight': {
      const heaviest = parameterIf(standard, 'imposed.partitions.heaviest')
      if (heaviest && key.partitionWeight > heaviest.value) return tooHeavy(key, key.partitionWeight)
      // BS 6399-1 5.1.4: the least is for offices
      const asksFor = familyOf(standard.family).leastPartitionsOf
      const q_min =
        asksFor && !asksFor.includes(key.use ?? '')
          ? given('q_min', 'pressure', 0, 'minimum value for offices only')
          : parameterOf(standard, 'imposed.partitions.least', 'pressure')
      return { value: thirdOfWeight({ g_wall, l: given('l', 'length', 1, 'a metre of width'), q_min }), concerns: [] }
    }
    case 'byBand':
      return byBand(key, imposed, g_wall, standard)
    default:
      return unfit(key, standard)
  }
}

/** EN 1991-1-1 6.3.1.2(8): a step by the weight of the wall, bounds inclusive. */
function byBand(key: LoadKey, imposed: Traced | null, g_wall: Traced, standard: Standard): Allowance {
  const limit = parameterIf(standard, 'imposed.partitions.limit')
  const read = readTable(tableOf(standard, 'imposed.partitions'), 'allowance', g_wall)
  if (limit && imposed && imposed.value >= limit.value) {
    const q_band = read.ok ? pressure(read.value) : given('q_band', 'pressure', 0, 'heavier than any band')
    return { value: allowanceBelow({ q_band, q_k: pressure(imposed), q_lim: pressure(limit) }), concerns: [] }
  }
  if (read.ok) return { value: read.value, concerns: read.concerns }
  return tooHeavy(key, g_wall.value)
}

function tooHeavy(key: LoadKey, weight: number): Allowance {
  const data = { key: key.name, weight }
  return { value: null, concerns: [{ code: 'partitions.too-heavy', about: [key.id], data }] }
}

/** DIN EN 1991-1-1/NA to 6.3.1.2(8): none is needed where the imposed load is so large. */
export const allowanceBelow = formula({
  symbol: 'q_k,part',
  quantity: 'pressure',
  clause: 'DIN EN 1991-1-1/NA to 6.3.1.2(8)',
  inputs: { q_band: 'pressure', q_k: 'pressure', q_lim: 'pressure' },
  expression: 'q_band * (q_k < q_lim)',
  evaluate: ({ q_band, q_k, q_lim }) => (q_k < q_lim ? q_band : 0),
})

/** A rule that the standard in use does not have: no load follows, and that is said. */
function unfit(key: LoadKey, standard: Standard): Allowance {
  const data = { key: key.name, rule: key.partitionRule, standard: standard.layers.join(' + ') }
  return { value: null, concerns: [{ code: 'partitions.no-such-rule', about: [key.id], data }] }
}
