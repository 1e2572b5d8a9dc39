import { StepLayout } from '../../sheet/StepLayout'
import { ViewBar } from '../../drawing/ViewBar'
import { EnvelopePicture } from './EnvelopePicture'
import { EnvelopesSheet } from './EnvelopesSheet'
import { useEnvelope } from './useEnvelope'

/** Most and least of reactions, column forces, storey shears and beam totals, with what governs. */
export function EnvelopesStep() {
  const envelope = useEnvelope()
  return (
    <StepLayout
      name="Envelopes"
      bar={<ViewBar />}
      drawing={<EnvelopePicture envelope={envelope} />}
      sheet={<EnvelopesSheet envelope={envelope} />}
    />
  )
}
