import { ownTable } from '../derivation/reductions'
import type { ProjectState } from '../derivation/project'
import type { Concern } from '../outcome/outcome'
import { familyOf } from '../standards/families'

/**
 * Imposed load is reduced by an own table where psi lowers it as well: of the standard's factors alpha_A may stand there, and alpha_n never
 * does (EN 1991-1-1, 3.3.2(2)).
 */
export function reducedBesidePsi(state: ProjectState): readonly Concern[] {
  const { basis, standard } = state
  if (basis?.reductions !== 'everywhere' || familyOf(standard.family).ruleRows.length > 0 || !ownTable(state)) return []
  return [{ code: 'reduction.beside-psi', about: [basis.id], data: {} }]
}
