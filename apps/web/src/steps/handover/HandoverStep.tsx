import { PlanPane } from '../../drawing/PlanPane'
import { ViewBar } from '../../drawing/ViewBar'
import { StepLayout } from '../../sheet/StepLayout'
import { useLook } from '../../state/look'
import { HandoverSheet } from './HandoverSheet'

/** Exactly what leaves: files, units, axes and signs, and the sums that prove them. */
export function HandoverStep() {
  const [{ shown }] = useLook()
  return (
    <StepLayout
      name="Handover"
      bar={<ViewBar loads />}
      drawing={
        <PlanPane options={{ area: false, member: true, names: true, spans: false }} parted={shown === 'split'} />
      }
      sheet={<HandoverSheet />}
    />
  )
}
