import type { ActionView, CaseView } from '@hedrion/core'
import { withoutAction } from '../../app/caseWords'

/** What tells a case from the others of its action: “category C”, “west”. */
export const shortName = ({ name }: CaseView, action: ActionView): string =>
  withoutAction(name, action.name).replace('wind from the ', '')
