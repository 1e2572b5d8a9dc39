import type { ProjectState } from '../derivation/project'
import type { Concern } from '../outcome/outcome'
import { familyOf } from '../standards/families'

/** Imposed load is reduced where psi lowers it as well (EN 1991-1-1, 3.3.2(2)). */
export function reducedBesidePsi({ basis, standard }: ProjectState): readonly Concern[] {
  if (basis?.reductions !== 'everywhere' || familyOf(standard.family).ruleRows.length > 0) return []
  return [{ code: 'reduction.beside-psi', severity: 'caution', about: [basis.id], data: {} }]
}
