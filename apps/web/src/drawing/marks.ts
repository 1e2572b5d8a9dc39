import { hasStoreyForces, type ActionView, type CaseView, type Overview } from '@hedrion/core'
import type { Mark } from './scene'

/** Which mark a case is drawn with. */
export const markOf = (caseId: string): Mark =>
  caseId.startsWith('permanent/') || caseId === 'construction/permanent'
    ? 'permanent'
    : hasStoreyForces(caseId)
      ? 'wind'
      : 'imposed'

/** The colour of a mark in a picture of the sheet. */
export const colourOfMark = (mark: Mark): string =>
  mark === 'plain' || mark === 'notCarried' ? 'var(--quiet)' : `var(--${mark})`

export interface CaseOfAction {
  readonly action: ActionView
  readonly loadCase: CaseView
}

export const allCases = ({ actions }: Pick<Overview, 'actions'>): readonly CaseOfAction[] =>
  actions.flatMap((action) => action.cases.map((loadCase) => ({ action, loadCase })))

/** The case that is looked at: the one in the address, else the first variable one, else the first. */
export function caseInView(
  overview: Pick<Overview, 'actions'> | undefined,
  wanted: string | null,
): CaseOfAction | undefined {
  const all = overview ? allCases(overview) : []
  return (
    all.find(({ loadCase }) => loadCase.id === wanted) ??
    all.find(({ action }) => action.nature === 'variable' && action.id !== 'wind') ??
    all[0]
  )
}
