import { hatches } from '../document/loadKeyKind'
import type { LoadKey } from '../document/recordKinds'

/** The hatch and the code that a new load key gets beside others: one that none of them has, or else that of the fewest. */
export function givenHatch(others: readonly LoadKey[]): Pick<LoadKey, 'hatch' | 'code'> {
  const countOf = (hatch: LoadKey['hatch']) => others.filter((key) => key.hatch === hatch).length
  const hatch = [...hatches].sort((p, q) => countOf(p) - countOf(q))[0] ?? 'rising'
  const codes = new Set(others.map(({ code }) => code))
  let number = 1
  while (codes.has(`K${number}`)) number++
  return { hatch, code: `K${number}` }
}
