import { PlanPane } from '../../drawing/PlanPane'
import { ViewBar } from '../../drawing/ViewBar'
import { StepLayout } from '../../sheet/StepLayout'
import { HandoverSheet } from './HandoverSheet'

/** Exactly what leaves: files, units, axes and signs, and the sums that prove them. */
export const HandoverStep = () => (
  <StepLayout
    name="Handover"
    bar={<ViewBar loads />}
    drawing={<PlanPane options={{ area: false, member: true, names: true, spans: false }} />}
    sheet={<HandoverSheet />}
  />
)
