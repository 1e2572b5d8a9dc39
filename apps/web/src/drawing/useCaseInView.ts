import { useAnswer } from '../compute/SessionContext'
import { useLook } from '../state/look'
import { caseInView, type CaseOfAction } from './marks'

/** The case that is looked at with its action; undefined while there is none. */
export function useCaseInView(): CaseOfAction | undefined {
  const overview = useAnswer({ kind: 'overview' })
  const [look] = useLook()
  return caseInView(overview, look.case)
}

/** Its id; empty while there is none. */
export const useCaseId = (): string => useCaseInView()?.loadCase.id ?? ''
