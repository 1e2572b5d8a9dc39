import { floorAt, expandedAt } from '../derivation/floorQueries'
import { limitsOf } from '../derivation/layouts'
import type { ProjectState } from '../derivation/project'
import { labelOf, splitExpanded } from '../document/labels'
import { candidatesOf, type Candidate } from '../sharing/candidates'
import { carriersOf } from '../sharing/rails'

export interface CandidateView extends Candidate {
  readonly expandedId: string
  readonly label: string
}

/** The members at a panel and what the limits of its supports make of them; none for what is no panel. */
export function candidateViews(state: ProjectState, panelId: string): readonly CandidateView[] {
  const [id, levelId] = splitExpanded(panelId)
  const floor = floorAt(state, levelId)
  const plan = floor?.operator.plan.panels.find(({ panel }) => panel.id === id)
  if (!floor || !plan) return []
  const { beams } = floor.operator.plan.frame
  const taking = new Set<string>(beams.flatMap(({ member }) => (member.takesLoad ? member.id : [])))
  const carriers = beams.flatMap(carriersOf)
  return candidatesOf(plan, limitsOf(state.document), carriers, (member) => taking.has(member)).map((candidate) => ({
    ...candidate,
    expandedId: expandedAt(floor, candidate.member),
    label: labelOf(state.document, candidate.member),
  }))
}
