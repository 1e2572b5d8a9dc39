import { derivesWind } from '../derivation/climate'
import type { ProjectState } from '../derivation/project'
import type { Concern } from '../outcome/outcome'
import { familyOf } from '../standards/families'

/** A velocity is given and the family in use derives no wind from it. */
export function windOfFamily({ basis, standard }: ProjectState): readonly Concern[] {
  if (!basis || basis.basicWindVelocity === null || derivesWind(standard)) return []
  const data = { family: familyOf(standard.family).name }
  return [{ code: 'wind.family-underived', severity: 'caution', about: [basis.id], data }]
}
