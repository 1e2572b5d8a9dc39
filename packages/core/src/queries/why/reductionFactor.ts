import { columnChain, expandedAt, placeOf } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { factorOfBeam, reductionsAt } from '../../derivation/reductions'
import { slabReductions } from '../../derivation/slabReductions'
import type { Traced } from '../../trace/traced'
import { splitCase } from './sums'

/** `reduction:MEMBER@LEVEL:CASE:area` or `:storeys`: the factor for a beam, or for one length of a column. */
export function reductionFactor(state: ProjectState, rest: string): Traced | null {
  const [head, way] = splitCase(rest)
  const [expandedId, caseId] = splitCase(head)
  const beam = placeOf(state, expandedId, 'beams')
  if (beam) return way === 'area' ? (factorOfBeam(state, beam, caseId)?.factor ?? null) : null
  const chain = columnChain(state, expandedId)
  const index = chain.findIndex(({ floor, row }) => {
    const id = floor.operator.plan.frame.columns[row]?.member.id
    return id !== undefined && expandedAt(floor, id) === expandedId
  })
  const found = reductionsAt(state, chain, index, caseId)
  return found && (way === 'area' ? found.byArea : way === 'storeys' ? found.byStoreys : null)
}

/** `slabReduction:REGION@LEVEL:CASE`: the factor for slabs of a region. */
export function slabReductionFactor(state: ProjectState, rest: string): Traced | null {
  const [expandedId, caseId] = splitCase(rest)
  const found = slabReductions(state, caseId).find(({ region, floor }) => expandedAt(floor, region.id) === expandedId)
  return found?.factor ?? null
}
