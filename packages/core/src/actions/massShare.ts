import { own } from '../outcome/own'
import type { LoadKey } from '../document/recordKinds'
import { familyOf } from '../standards/families'
import type { Use } from '../standards/family'
import { parameterIf, type Standard } from '../standards/layer'
import { given, type Traced } from '../trace/traced'

/** The part of the imposed load of a use that counts for the mass of a level, by the standard's rule. */
export function massShareOfUse(use: string | null, imposed: number, standard: Standard): Traced {
  const { mass, groups } = familyOf(standard.family)
  const entry = use === null ? undefined : own(standard.uses, use)
  const none = given('ψ_E', 'factor', 0, `not counted, ${mass.clause}`)
  // how heavy it is decides, also of what is typed without a use
  if (mass.shareOf === 'byIntensity' && !entry) return parameterIf(standard, byIntensity(imposed, standard)) ?? none
  if (use === null || !entry) return none
  const key = {
    psi2: `basis.psi_2.${entry.group}`,
    byIntensity: groups[entry.group]?.action === 'roof' ? '' : byIntensity(imposed, standard),
    storage: isStorage(use, entry.sort) ? 'mass.share.storage' : '',
    none: '',
  }[mass.shareOf]
  return parameterIf(standard, key) ?? none
}

/** IS 1893-1 table 10: the limit belongs to the light floors. */
const byIntensity = (imposed: number, standard: Standard): string =>
  imposed <= (parameterIf(standard, 'mass.share.limit')?.value ?? 0) ? 'mass.share.low' : 'mass.share.high'

const isStorage = (use: string, sort: Use['sort']): boolean => sort === 'storage' || /storage|stacks/.test(use)

/** The same of a load key, where a typed part goes before the standard's. */
export const massShare = ({ massShare: typed, name, use }: LoadKey, imposed: number, standard: Standard): Traced =>
  typed === null ? massShareOfUse(use, imposed, standard) : given('ψ_E', 'factor', typed, `entered for “${name}”`)
