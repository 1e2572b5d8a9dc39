import { isBent, isContinuous, type Beam } from '../../building/frame'
import { floorIn, placeOf, type Place } from '../../derivation/floorQueries'
import type { ProjectState } from '../../derivation/project'
import { pointReactions } from '../../rundown/beamStatics'
import { rowSum } from '../../rundown/operator'
import { tracedSum, type Traced, type TracedTerm } from '../../trace/traced'
import { landingRows, type PathRow } from '../pathRows'
import { sourceNames } from '../../wording/sourceNames'
import { folded, splitCase } from './sums'

/** `reaction:BEAM@LEVEL:SUPPORT:CASE`: what each load on a beam gives to one of its supports, by lever. */
export function reactionSum(state: ProjectState, rest: string): Traced | null {
  const [where, caseId] = splitCase(rest)
  const [expandedId, support] = splitCase(where)
  const place = placeOf(state, expandedId, 'beams')
  const beam = place?.floor.operator.plan.frame.beams[place.row]
  if (!place || !beam?.supports[Number(support)] || !state.caseIds.includes(caseId)) return null
  const seen = { ...place, floor: floorIn(place.floor, caseId) }
  const terms = landingRows(state, place, caseId).map((row) => termOf(row, partOf(seen, row, Number(support))))
  return tracedSum('R', 'force', wayOf(beam), folded(terms))
}

const wayOf = (beam: Beam): string => {
  if (beam.stretches) return 'load on the wall piece'
  if (isContinuous(beam)) return 'three-moment equation, continuous over supports'
  return isBent(beam) ? 'lever rule along the chord of each span' : 'lever rule, simply supported spans'
}

/** The part of a landing load that one support gets. */
function partOf({ floor, row }: Place, { source, intensity, at, force }: PathRow, support: number): number {
  const beam = floor.operator.plan.frame.beams[row]
  if (source === null) return beam ? (pointReactions(beam, at ?? 0, force)[support] ?? 0) : 0
  const wanted = (floor.operator.firstSupport[row] ?? 0) + support
  return rowSum(floor.operator.toSupports, source, wanted) * (intensity ?? 0)
}

function termOf({ kind, label, force, address }: PathRow, value: number): TracedTerm {
  return {
    label: kind === 'ownWeight' ? 'self-weight' : `${sourceNames[kind]} ${label}`,
    value,
    factors: [
      { value: force, quantity: 'force' },
      { value: force === 0 ? 0 : value / force, quantity: 'factor' },
    ],
    ...(address ? { address } : {}),
  }
}
