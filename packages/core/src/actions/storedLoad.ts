import type { LoadKey } from '../document/recordKinds'
import { perMetreKey, uniformKey, upToKey } from '../standards/family'
import { parameterIf, type Standard } from '../standards/layer'
import { formula } from '../trace/formula'
import { given, type Traced } from '../trace/traced'

/** BS 6399-1 table 1 and IS 875-2 table 1: so much for each metre of storage height, and never less than the least. */
export const storedByHeight = formula({
  symbol: 'q_k',
  quantity: 'pressure',
  clause: 'BS 6399-1 table 1, IS 875-2 table 1',
  inputs: { q_h: 'unitWeight', h: 'length', q_min: 'pressure' },
  expression: 'max(q_h * h, q_min)',
  evaluate: ({ q_h, h, q_min }) => Math.max(q_h * h, q_min),
})

/** IS 875-2 table 1, stack rooms: a value up to a height, and so much for each metre beyond it. */
export const storedBeyond = formula({
  symbol: 'q_k',
  quantity: 'pressure',
  clause: 'IS 875-2 table 1',
  inputs: { q_0: 'pressure', q_h: 'unitWeight', h: 'length', h_0: 'length' },
  expression: 'q_0 + q_h * max(h - h_0, 0)',
  evaluate: ({ q_0, q_h, h, h_0 }) => q_0 + q_h * Math.max(h - h_0, 0),
})

/** The imposed load of what is stored to a height; null where no height is given, or the standard has none for the use. */
export function storedLoad({ name, storageHeight }: LoadKey, use: string, standard: Standard): Traced | null {
  const perMetre = parameterIf(standard, perMetreKey(use))
  if (perMetre === null || storageHeight === null) return null
  const q_h: Traced<'unitWeight'> = { ...perMetre, quantity: 'unitWeight' }
  const h = given('h', 'length', storageHeight, `entered for “${name}”`)
  const least = parameterIf(standard, uniformKey(use)) ?? given('q_min', 'pressure', 0, 'no minimum value')
  const q_min: Traced<'pressure'> = { ...least, quantity: 'pressure' }
  const from = parameterIf(standard, upToKey(use))
  return from === null
    ? storedByHeight({ q_h, h, q_min })
    : storedBeyond({ q_0: q_min, q_h, h, h_0: { ...from, quantity: 'length' } })
}
