import type { ProjectState } from '../derivation/project'

/** The name of a load case in a sentence; its id where it is of no action (any more). */
export const caseName = ({ actions }: ProjectState, caseId: string): string =>
  actions.flatMap(({ cases }) => cases).find(({ id }) => id === caseId)?.name ?? caseId
