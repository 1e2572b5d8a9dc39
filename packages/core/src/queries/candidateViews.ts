import { heightAt } from '../building/slopes'
import { floorAt, expandedAt } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import { limitsOf } from '../derivation/layouts'
import type { ProjectState } from '../derivation/project'
import { recordsOf } from '../document/document'
import { labelOf, splitExpanded } from '../document/labels'
import { distance } from '../geometry/segment'
import { bracingOf, candidatesOf, type Brace, type Candidate } from '../sharing/candidates'
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
  const found = candidatesOf(plan, limitsOf(state.document), carriers, (member) => taking.has(member))
  return [...found, ...bracingOf(plan, bracesOn(state, floor))].map((candidate) => ({
    ...candidate,
    expandedId: expandedAt(floor, candidate.member),
    label: labelOf(state.document, candidate.member),
  }))
}

/** Members in space of a floor, with how far they are off what they lie under or in: the level, or the roof over it. */
function bracesOn({ document }: ProjectState, { floor, operator }: FloorState): readonly Brace[] {
  const { slopes } = operator.plan
  return recordsOf(document, 'strut').flatMap(({ id, layout, path: [a, b], startHeight, endHeight }): Brace[] => {
    if (layout !== floor.layoutId || !a || !b || distance(a, b) === 0) return []
    const off = Math.max(Math.abs(startHeight - heightAt(slopes, a)), Math.abs(endHeight - heightAt(slopes, b)))
    return [{ member: id, a, b, off }]
  })
}
