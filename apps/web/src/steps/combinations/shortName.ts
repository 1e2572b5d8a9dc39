import type { ActionView, CaseView } from '@hedrion/core'

/** What tells a case from the others of its action: “category C”, “west”. */
export const shortName = ({ name }: CaseView, action: ActionView): string =>
  name.replace(`${action.name.toLowerCase()}, `, '').replace('wind from the ', '')
